using System.Collections.Concurrent;

namespace Wendrak.Store;

/// <summary>What was found damaged while it was read.</summary>
public sealed class Damage
{
    private readonly ConcurrentDictionary<(string Kind, long Id), bool> _found = [];

    /// <summary>“machine 3”, sorted.</summary>
    public IReadOnlyList<string> Found =>
        [.. _found.Keys.Order().Select(d => FormattableString.Invariant($"{d.Kind.Replace('_', ' ')} {d.Id}"))];

    public bool IsAny => !_found.IsEmpty;

    internal void Clear() => _found.Clear();

    internal void Add(string kind, long id) => _found[(kind, id)] = true;
}
