namespace Wendrak.Core.Gearing;

/// <summary>Keeps the sides of a machine alike when one of them is changed.</summary>
public static class MirroredSetups
{
    /// <summary>Fills a full set of wheels from a few changed loops.</summary>
    /// <param name="drives">All drives of the machine.</param>
    /// <param name="present">Wheels of every loop before the change.</param>
    /// <param name="changes">Loops that change.</param>
    /// <returns>
    /// Wheels of every loop. A loop in a mirrored drive follows the loop at the same place of its other side, unless
    /// it is itself among the changes.
    /// </returns>
    public static IReadOnlyList<LoopChoice> Complete(
        IReadOnlyList<Drive> drives,
        IReadOnlyList<LoopChoice> present,
        IReadOnlyList<LoopChoice> changes
    )
    {
        Dictionary<string, LoopChoice> result = present.ToDictionary(c => c.LoopKey);
        foreach (LoopChoice change in changes)
        foreach (string twin in TwinsOf(drives, change.LoopKey))
            result[twin] = change with { LoopKey = twin };
        foreach (LoopChoice change in changes)
            result[change.LoopKey] = change;
        return [.. result.Values];
    }

    /// <summary>Keys of the loops at the same place of mirrored drives, in either direction.</summary>
    private static IEnumerable<string> TwinsOf(IReadOnlyList<Drive> drives, string loopKey)
    {
        Drive? own = drives.FirstOrDefault(d => d.Stages.Any(s => s.Key == loopKey));
        if (own is null)
            yield break;
        int place = own.Stages.TakeWhile(s => s.Key != loopKey).Count();
        string side = own.Mirrors ?? own.Key;
        foreach (Drive drive in drives.Where(d => d.Key != own.Key && (d.Mirrors ?? d.Key) == side))
            if (place < drive.Stages.Count && drive.Stages[place] is Loop twin)
                yield return twin.Key;
    }
}
