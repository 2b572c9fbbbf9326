using Wendrak.Core.Quantities;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>Reads and writes one kind of record whole.</summary>
public class Repository<T>(StoredKind<T> kind)
    where T : StoredRecord
{
    internal StoredKind<T> Kind { get; } = kind;

    /// <summary>Null when there is none.</summary>
    /// <exception cref="DamagedException">It is there and can't be read.</exception>
    public async Task<T?> FindAsync(Session session, long id) =>
        await RecordRows.FindAsync(session, Kind.Name, id) is { } row
            ? (await CompleteAsync(session, [Read(row)]))[0]
            : null;

    /// <summary>All, in the order in which they were added. What is damaged is left out and told to the session.</summary>
    public async Task<IReadOnlyList<T>> ListAsync(Session session) =>
        await ReadAsync(session, await RecordRows.ListAsync(session, Kind.Name));

    /// <summary>Those with the given numbers.</summary>
    public async Task<IReadOnlyList<T>> ListAsync(Session session, IReadOnlyCollection<long> ids) =>
        await ReadAsync(session, await RecordRows.ListAsync(session, Kind.Name, ids));

    /// <summary>Those of one machine, in the order in which they were added.</summary>
    public async Task<IReadOnlyList<T>> ListOfMachineAsync(Session session, long machineId) =>
        await ReadAsync(session, await RecordRows.ListOfMachineAsync(session, Kind.Name, machineId));

    /// <summary>Adds a record under a number of its own.</summary>
    public async Task<T> AddAsync(Edit edit, T value)
    {
        long id = await RecordRows.NextIdAsync(edit.Session, Kind.Name);
        return await PutAsync(edit, (T)(value with { Id = id }), null);
    }

    /// <summary>Stores a new state of a record. Saving without a change is no change.</summary>
    /// <exception cref="ChangedMeanwhileException">Its version is not the stored one.</exception>
    public async Task<T> ChangeAsync(Edit edit, T value) =>
        await ChangeAsync(edit, value, await FindAsync(edit.Session, value.Id));

    /// <param name="current">As it was read in this same change; null where it is gone.</param>
    /// <exception cref="ChangedMeanwhileException">Its version is not the one of the value.</exception>
    public async Task<T> ChangeAsync(Edit edit, T value, T? current)
    {
        if (current is null || current.Version != value.Version)
            throw new ChangedMeanwhileException(Kind.Name, current);
        return Kind.Write(value) == Kind.Write(current) ? current : await PutAsync(edit, value, current);
    }

    private async Task<T> PutAsync(Edit edit, T value, T? current)
    {
        Replaced? before = current is null ? null : new(current.Version, Kind.ReferencesOf(current));
        long version = await RecordRows.PutAsync(
            edit,
            Kind,
            value.Id,
            Kind.Write(value),
            Kind.ReferencesOf(value),
            before
        );
        return (T)(value with { Version = (int)version });
    }

    /// <summary>Removes a record with all that is a part of it, as one change.</summary>
    /// <exception cref="ChangedMeanwhileException">Its version is not the stored one, or it is gone.</exception>
    /// <exception cref="StillUsedException">Something else can't be without it.</exception>
    public async Task RemoveAsync(Edit edit, long id, int version)
    {
        T? current = await FindAsync(edit.Session, id);
        if (current is null || current.Version != version)
            throw new ChangedMeanwhileException(Kind.Name, current);
        await Removing.WithPartsAsync(edit, Kind.Name, id);
    }

    /// <summary>What of a record stands in other records, read in one statement for all.</summary>
    protected virtual Task<IReadOnlyList<T>> CompleteAsync(Session session, IReadOnlyList<T> values) =>
        Task.FromResult(values);

    internal async Task<IReadOnlyList<T>> ReadAsync(Session session, IEnumerable<RecordRow> rows)
    {
        List<T> values = [];
        foreach (RecordRow row in rows)
            try
            {
                values.Add(Read(row));
            }
            catch (Exception e) when (e is DamagedException or UnreadableBodyException)
            {
                session.Damage.Add(row.Kind, row.Id);
            }
        return await CompleteAsync(session, values);
    }

    private T Read(RecordRow row)
    {
        row.CheckHash();
        return (T)(Kind.Read((int)row.Schema, row.Body) with { Id = row.Id, Version = (int)row.Version });
    }
}
