using Wendrak.Core.Faults;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Tests of a search that a look at Check has answered already. Source: common practice.</summary>
internal static class FaultLooks
{
    private sealed record LookAsTest(
        FaultKind[] Kinds,
        InspectedPart[] Parts,
        string Test,
        string? Fine,
        IReadOnlyDictionary<InspectedPart, string> Stop
    );

    private static readonly FaultKind[] Chains = [FaultKind.Chain, FaultKind.Rail];

    private static readonly LookAsTest[] All =
    [
        new(
            Chains,
            [InspectedPart.Plates, InspectedPart.Joint],
            "lookChain",
            "no",
            new Dictionary<InspectedPart, string> { [InspectedPart.Plates] = "crack", [InspectedPart.Joint] = "clip" }
        ),
        Alike([FaultKind.Belt], [InspectedPart.Teeth, InspectedPart.Back], "lookBelt", "no", "yes"),
        Alike(Chains, [InspectedPart.FrontTeeth, InspectedPart.RearTeeth], "hookTeeth", "no", "yes"),
        Alike(Chains, [InspectedPart.StiffLinks], "bendLinks", "none", "aLink"),
        Alike([FaultKind.Chain], [InspectedPart.Rings], "oilPins", null, "ringsOut"),
        Alike(
            [FaultKind.Chain, FaultKind.Rail, FaultKind.Belt, FaultKind.VBelt],
            [InspectedPart.Guard],
            "behindGuard",
            "no",
            "yes"
        ),
        Alike([FaultKind.Belt, FaultKind.VBelt], [InspectedPart.Oil], "feelDry", "dry", "oil"),
        Alike([FaultKind.VariableBelt], [InspectedPart.Width], "caliperWidth", "asNew", "narrower"),
    ];

    /// <param name="seen">Everything that was looked at on the machine, newest first.</param>
    /// <param name="isFresh">Whether a look of that day still tells how it is.</param>
    public static IEnumerable<FaultRecordAnswer> Of(
        FaultKind kind,
        IReadOnlyList<PartSeen> seen,
        string loopKey,
        Func<DateOnly, bool> isFresh
    )
    {
        foreach (LookAsTest look in All.Where(l => l.Kinds.Contains(kind)))
        {
            PartSeen?[] newest =
            [
                .. look.Parts.Select(p => seen.FirstOrDefault(s => s.Part == p && s.LoopKey == loopKey)),
            ];
            // Without a look at all of it nothing is known of the rest.
            if (newest.Any(s => s is null || s.CuredAt is not null || !isFresh(DayOf(s))))
                continue;
            PartSeen? stop = newest.FirstOrDefault(s => s!.Grade == FindingGrade.Stop);
            string? answer =
                stop is not null ? look.Stop[stop.Part]
                : newest.All(s => s!.Grade == FindingGrade.Fine) ? look.Fine
                : null;
            if (answer is not null)
                yield return new(look.Test, answer, "looked at", newest.Max(s => DayOf(s!)));
        }
    }

    private static DateOnly DayOf(PartSeen seen) => DateOnly.FromDateTime(seen.At.UtcDateTime);

    private static LookAsTest Alike(FaultKind[] kinds, InspectedPart[] parts, string test, string? fine, string stop) =>
        new(kinds, parts, test, fine, parts.ToDictionary(p => p, _ => stop));
}
