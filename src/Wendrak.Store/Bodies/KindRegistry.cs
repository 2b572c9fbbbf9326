namespace Wendrak.Store.Bodies;

/// <summary>All kinds of record that a store holds.</summary>
public sealed class KindRegistry(IEnumerable<IStoredKind> kinds)
{
    private readonly Dictionary<string, IStoredKind> _kinds = kinds.ToDictionary(k => k.Name);

    /// <summary>Null for a kind that only a history of earlier versions names.</summary>
    public IStoredKind? Find(string name) => _kinds.GetValueOrDefault(name);
}
