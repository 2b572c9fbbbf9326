using System.Collections.Concurrent;

namespace Wendrak.Store;

/// <summary>
/// What was read, or worked out of what was read, since something was written last. Whoever turns over one page asks many times
/// about the same, and nothing in it can have changed.
/// </summary>
/// <param name="most">So many are kept; others are made anew each time.</param>
public sealed class SinceCommit<TKey, TValue>(Database database, int most)
    where TKey : notnull
    where TValue : class
{
    private Kept _kept = new(-1);

    /// <param name="make">Makes it where it is not there; null is handed on and not kept.</param>
    public async Task<TValue?> FindAsync(TKey key, Func<Task<TValue?>> make)
    {
        Kept kept = Current();
        if (kept.Values.TryGetValue(key, out TValue? known))
            return known;
        TValue? made = await make();
        if (made is not null && kept.Values.Count < most)
            kept.Values[key] = made;
        return made;
    }

    /// <param name="make">Makes it where it is not there.</param>
    public async Task<TValue> GetAsync(TKey key, Func<Task<TValue>> make) => (await FindAsync(key, make!))!;

    /// <summary>
    /// The count is taken before anything is made: what is kept under it may be newer than it says, never older.
    /// </summary>
    private Kept Current()
    {
        long commits = database.Commits;
        return _kept.Commits == commits ? _kept : _kept = new(commits);
    }

    private sealed record Kept(long Commits)
    {
        public ConcurrentDictionary<TKey, TValue> Values { get; } = [];
    }
}
