using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>Puts back what worked: a setup that was on the machine, as it stood then.</summary>
public static class FittingAgain
{
    /// <summary>The machine as it stands with the setup on it again: what was kept of then, for what it still has.</summary>
    /// <exception cref="InvalidInputException">What it is now takes it no more.</exception>
    public static Machine MachineWith(Machine now, Setup former)
    {
        now = SetupKinds.On(now, former.Kinds);
        if (former.AsLeft is not { } then)
            return now;
        HashSet<string> loops = [.. MachineRules.LoopsOf(now).Select(l => l.Key)];
        Machine back = now with
        {
            Layouts = Put(now.Layouts, then.Layouts, l => l.LoopKey, loops.Contains),
            Settings = Put(now.Settings, then.Settings, s => s.LoopKey, loops.Contains),
            Shafts = Put(
                now.Shafts,
                then.Shafts,
                s => (s.DriveKey, s.Shaft),
                s => now.Drives.Any(d => d.Key == s.DriveKey)
            ),
        };
        MachineRules.Check(back, former.Loops);
        return back;
    }

    /// <summary>What a setup leaves as it comes off.</summary>
    /// <param name="setups">All of the machine: the one that came off last did so when this one went on.</param>
    public static FittedState StateOf(Machine machine, IEnumerable<Setup> setups, DateTimeOffset now) =>
        new(setups.Max(s => s.AsLeft?.TakenOffAt), now, machine.Layouts, machine.Shafts, machine.Settings);

    /// <summary>What was put back with it.</summary>
    /// <param name="setups">All of the machine.</param>
    /// <param name="visits">To its loops.</param>
    public static FittedAgain Describe(
        Setup former,
        IReadOnlyList<Setup> setups,
        IReadOnlyList<Aim> aims,
        IReadOnlyList<SetJob> visits
    ) => new(former.AsLeft is not null, AimOf(former, aims), ReadingsOf(former, setups, visits));

    /// <summary>Of what is known now, and of what was then: then has the say about what it tells.</summary>
    private static IReadOnlyList<T>? Put<T, TKey>(
        IReadOnlyList<T>? now,
        IReadOnlyList<T>? then,
        Func<T, TKey> key,
        Predicate<TKey> isThere
    )
    {
        T[] back = [.. (then ?? []).Where(t => isThere(key(t)))];
        HashSet<TKey> told = [.. back.Select(key)];
        T[] all = [.. back, .. (now ?? []).Where(n => !told.Contains(key(n)))];
        return all.Length == 0 ? now : all;
    }

    private static string? AimOf(Setup former, IEnumerable<Aim> aims) =>
        aims.SelectMany(a => a.Outcomes.Where(o => o.SetupId == former.Id).Select(o => (a.Name, o.Score, o.On)))
            .OrderByDescending(o => o.Score)
            .ThenByDescending(o => o.On)
            .Select(o => o.Name)
            .FirstOrDefault();

    /// <summary>Of each loop the last visit that was closed while the setup was on.</summary>
    private static ReadingToReach[] ReadingsOf(Setup former, IReadOnlyList<Setup> setups, IReadOnlyList<SetJob> visits)
    {
        DateTimeOffset off = TakenOffAt(former, setups);
        DateTimeOffset on = former.AsLeft?.PutOnAt ?? Begin(former.FittedOn ?? former.MadeOn);
        return
        [
            .. visits
                .Where(v => v.Closing is not null && ClosedAt(v) >= on && ClosedAt(v) < off)
                .GroupBy(v => v.LoopKey)
                .Select(of => of.MaxBy(ClosedAt)!)
                .Select(ToReach)
                .OfType<ReadingToReach>(),
        ];
    }

    /// <summary>Where nobody kept when it came off, the next one went on that day.</summary>
    private static DateTimeOffset TakenOffAt(Setup former, IEnumerable<Setup> setups) =>
        former.AsLeft?.TakenOffAt
        ?? setups
            .Where(s => s.Id != former.Id && s.FittedOn > former.FittedOn)
            .Select(s => Begin(s.FittedOn!.Value))
            .Append(DateTimeOffset.MaxValue)
            .Min();

    private static DateTimeOffset ClosedAt(SetJob visit) =>
        (visit.Rounds is [.., { } last] ? last.At : null) ?? Begin(visit.Closing!.ClosedOn);

    private static DateTimeOffset Begin(DateOnly day) => new(day.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);

    private static ReadingToReach? ToReach(SetJob visit)
    {
        SetRound last = visit.Rounds[^1];
        if (last is { Readings: [], GapMm: null })
            return null;
        Reading? first = last.Readings is [{ } read, ..] ? read : null;
        double[] values = [.. last.Readings.Where(r => r.Method == first?.Method).Select(r => r.Value)];
        return new(
            visit.LoopKey,
            visit.Closing!.ClosedOn,
            first?.Method,
            values.Length == 0 ? null : values.Min(),
            values.Length == 0 ? null : values.Max(),
            first?.ForceN,
            last.GapMm
        );
    }
}
