namespace Wendrak.Store.Ledger;

/// <summary>Where one kind of thing is kept: reads and writes rows, knows nothing of versions or history.</summary>
internal interface IShelf<T>
    where T : class
{
    /// <summary>Name of the main table; it stands in the record of changes, so it stays as it is.</summary>
    string Thing { get; }

    Task<T?> FindAsync(Session session, long id);

    /// <summary>Adds a thing; with an id of 0 the store gives one.</summary>
    Task<long> InsertAsync(Session session, T value);

    Task ReplaceAsync(Session session, T value);

    Task RemoveAsync(Session session, long id);

    long IdOf(T value);

    int VersionOf(T value);

    T With(T value, long id, int version);

    /// <summary>What of a thing goes into the record of changes: its own part, not what it only refers to.</summary>
    T OwnPart(T value) => value;
}
