using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>What may be said of what is seen.</summary>
internal static class FindingRules
{
    private const int MostTeeth = 500;
    private const int MostWatchedYears = 20;

    // Whole words of things this program is not to judge, however they are written down.
    private static readonly string[] NotHere =
    [
        "control cable",
        "brake cable",
        "clutch cable",
        "throttle cable",
        "hoist rope",
        "hoist cable",
        "lift rope",
        "lift cable",
        "wire rope",
        "elevator",
    ];

    public static Guard Check(Guard guard, JobContent before, FindingNoted e)
    {
        guard
            .Named(nameof(e.What), e.What)
            .OneOf(nameof(e.Grade), e.Grade)
            .Note(nameof(e.Words), e.Words)
            .That(
                !IsSeen(before.Sheet, e.What),
                nameof(e.What),
                "stands",
                "That is noted as seen already: give it other words if it is another one."
            );
        NotOurs(guard, nameof(e.What), e.What);
        NotOurs(guard, nameof(e.Words), e.Words);
        if (e.Detail is { } detail)
            guard
                .That(e.LoopKey is not null, nameof(e.LoopKey), "missing", "Name the loop: a part of it was looked at.")
                .Include(new Guard($"{nameof(e.Detail)}.").Include(Check(detail, e.Grade, before.Job.OpenedOn)));
        return guard;
    }

    public static Guard Check(Guard guard, FindingCured e, JobSheet sheet) =>
        guard
            .That(IsSeen(sheet, e.What), nameof(e.What), "unknown", "Give something that was seen and still stands.")
            .That(!string.IsNullOrWhiteSpace(e.How), nameof(e.How), "missing", "Write something.")
            .Note(nameof(e.How), e.How);

    public static Guard Check(Guard guard, RestFine e) =>
        guard
            .Count(nameof(e.Parts), e.Parts.Count, 1, Enum.GetValues<InspectedPart>().Length, "parts")
            .That(
                e.Parts.All(Enum.IsDefined) && e.Parts.Distinct().Count() == e.Parts.Count,
                nameof(e.Parts),
                "unknown",
                "Name each part that was looked at once."
            );

    private static Guard Check(FindingDetail detail, FindingGrade grade, DateOnly openedOn)
    {
        bool isWatch = grade == FindingGrade.Watch;
        Guard guard = new Guard()
            .OneOf(nameof(detail.Part), detail.Part)
            .BetweenIfGiven(nameof(detail.FromTooth), detail.FromTooth, 1, MostTeeth, "")
            .BetweenIfGiven(nameof(detail.ToTooth), detail.ToTooth, 1, MostTeeth, "")
            .That(
                detail.ToTooth is null || detail.FromTooth is not null,
                nameof(detail.FromTooth),
                "missing",
                "Give the first tooth, too."
            )
            .BetweenIfGiven(nameof(detail.UntilKm), detail.UntilKm, 0, MachineRules.FarthestKm, "km")
            .That(
                detail.UntilOn is not { } on || (on >= openedOn && on <= openedOn.AddYears(MostWatchedYears)),
                nameof(detail.UntilOn),
                "out_of_range",
                $"Give a day from the job’s own to {MostWatchedYears} years after it."
            )
            .That(
                !isWatch || detail.UntilKm is not null || detail.UntilOn is not null,
                nameof(detail.UntilOn),
                "missing",
                "Say until when it may go on: a distance, a day or both."
            )
            .That(
                isWatch || (detail.UntilKm is null && detail.UntilOn is null),
                detail.UntilKm is null ? nameof(detail.UntilOn) : nameof(detail.UntilKm),
                "unwanted",
                "Only what is watched may go on until then."
            )
            .Note(nameof(detail.Against), detail.Against);
        if (detail.Run is { } run)
            guard.OneOf(nameof(detail.Run), run);
        if (detail.Measure is { } measure)
            guard.Include(
                new Guard($"{nameof(detail.Measure)}.").Include(
                    new Guard()
                        .Between(nameof(measure.Value), measure.Value, -1e6, 1e6, "")
                        .Named(nameof(measure.Unit), measure.Unit)
                        .Note(nameof(measure.Method), measure.Method)
                        .BetweenIfGiven(nameof(measure.Limit), measure.Limit, -1e6, 1e6, "")
                )
            );
        return guard;
    }

    private static void NotOurs(Guard guard, string field, string? text) =>
        guard.That(
            !NotHere.Any(name => text?.Contains(name, StringComparison.OrdinalIgnoreCase) == true),
            field,
            "not_judged_here",
            "Control cables, hoist ropes and lifts are not looked at here: they are for licensed people and their rules."
        );

    private static bool IsSeen(JobSheet sheet, string what) =>
        sheet.Findings.Any(f => f.What == what && f.CuredAt is null);
}
