namespace Wendrak.Store.Bodies;

/// <summary>Something stored is not what was written; the rest can still be read.</summary>
/// <param name="kind">Kind of record, or of entry in the history.</param>
public sealed class DamagedException(string kind, long id)
    : Exception($"The stored {kind.Replace('_', ' ')} {id} is damaged: it is not what was written.")
{
    public string Kind { get; } = kind;
    public long Id { get; } = id;
}
