using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What is to be looked at on the loop in view.</summary>
/// <param name="Kinds">Leave out for how such a loop is usually looked at; else the first of them is taken.</param>
public sealed record LookQuestion(IReadOnlyList<InspectionKind>? Kinds = null);

/// <summary>What is due on the machine.</summary>
public sealed record DueQuestion;

/// <summary>What the loop in view comes to, as it was looked at last.</summary>
public enum LookVerdict
{
    NotLooked,
    Fine,
    Watch,
    Stop,

    /// <summary>It hoists, lifts people or flies: what somebody saw is kept, and no verdict is given.</summary>
    NotJudged,
}

/// <summary>What makes a part fine, watched or a stop.</summary>
/// <param name="Fine">What it looks like where it is fine.</param>
/// <param name="Watch">Null where there is nothing between fine and stop.</param>
/// <param name="Stop">What it does not go out with.</param>
/// <param name="Source">Where the trade’s come from.</param>
/// <param name="Certainty">How sure those are.</param>
/// <param name="Makers">Those of them that are its maker’s.</param>
/// <param name="MakersSource">Where its maker says so; null where nobody said.</param>
public sealed record GradeCriteria(
    string Fine,
    string? Watch,
    string Stop,
    string Source,
    string Certainty,
    IReadOnlyList<FindingGrade> Makers,
    string? MakersSource
)
{
    /// <param name="makers">What its maker says, word by word in place of the trade’s; null for nothing.</param>
    internal static GradeCriteria Of(InspectionItem trade, MakerGrades? makers) =>
        new(
            makers?.Fine ?? trade.Fine,
            makers?.Watch ?? trade.Watch,
            makers?.Stop ?? trade.Stop,
            trade.Source,
            trade.Certainty,
            [
                .. makers?.Fine is null ? (FindingGrade[])[] : [FindingGrade.Fine],
                .. makers?.Watch is null ? (FindingGrade[])[] : [FindingGrade.Watch],
                .. makers?.Stop is null ? (FindingGrade[])[] : [FindingGrade.Stop],
            ],
            makers?.Source
        );
}

/// <summary>One thing that is looked at.</summary>
/// <param name="What">What it is, in a few words.</param>
/// <param name="Criteria">Null where this program does not judge.</param>
/// <param name="Caution">Where the hand goes in; null for nothing to say.</param>
/// <param name="WatchKm">How far it usually goes on being watched, km; null where no distance is usual.</param>
/// <param name="WatchDays">The same in days.</param>
/// <param name="IsAsked">An event asks for it.</param>
/// <param name="Seen">How it was before, newest first: at most three times.</param>
public sealed record PartToLookAt(
    InspectedPart Part,
    InspectedPlace Place,
    string What,
    GradeCriteria? Criteria,
    string? Caution,
    double? WatchKm,
    int? WatchDays,
    bool IsAsked,
    IReadOnlyList<PartSeen> Seen
);

/// <summary>What is looked at on a loop, in the order of the hand.</summary>
/// <param name="Kinds">Ways such a loop may be looked at, the usual one first.</param>
/// <param name="Kind">The one that is shown.</param>
/// <param name="WashFirst">What comes before all else.</param>
/// <param name="NotHere">What is not looked at with this program.</param>
/// <param name="Defers">Whose work it is where people can be hurt.</param>
/// <param name="Others">What was seen on the loop and is no part of the list, newest first.</param>
/// <param name="Verdict">By what stands.</param>
/// <param name="OdometerKm">What the machine has run; null where nobody said.</param>
public sealed record LookAnswer(
    IReadOnlyList<InspectionKind> Kinds,
    InspectionKind Kind,
    string WashFirst,
    string NotHere,
    string Defers,
    IReadOnlyList<PartToLookAt> Parts,
    IReadOnlyList<PartSeen> Others,
    LookVerdict Verdict,
    double? OdometerKm
);

/// <summary>What the station Check says of what is in view.</summary>
internal static class LookAnswers
{
    /// <summary>This time, last time and the time before.</summary>
    private const int TimesShown = 3;

    private const string NotHere =
        "Control cables, hoist ropes and lifts are not looked at here: they are for licensed people and their rules.";

    public static LookAnswer Look(MachineInView view, LookQuestion question)
    {
        Loop loop = view.AnyLoop;
        IReadOnlyList<InspectionKind> kinds = InspectionKinds.Suiting(
            loop.DriveElement,
            PlanFacts.AdjusterOf(view.Machine, loop)
        );
        InspectionKind kind = question.Kinds is [InspectionKind asked, ..] ? asked : DueList.KindOf(view.Machine, loop);
        new Guard()
            .That(
                kinds.Contains(kind),
                $"{nameof(question.Kinds)}[0]",
                "unsuited",
                $"Such a loop is looked at as one of: {string.Join(", ", kinds)}."
            )
            .ThrowIfAny();
        PartSeen[] seen = [.. view.Seen.Where(s => s.LoopKey == loop.Key)];
        HashSet<InspectedPart> asks =
        [
            .. view.Due.Items.Where(i => i.Kind == DueKind.Event && i.LoopKey == loop.Key).SelectMany(i => i.Parts),
        ];
        bool isJudged = IsJudged(view);
        IReadOnlyList<MakerGrades> makers =
            view.Machine.Inspections?.FirstOrDefault(i => i.LoopKey == loop.Key)?.Grades ?? [];
        PartToLookAt[] parts =
        [
            .. InspectionItems
                .For(kind)
                .Select(i => new PartToLookAt(
                    i.Part,
                    i.Place,
                    i.What,
                    isJudged ? GradeCriteria.Of(i, makers.FirstOrDefault(m => m.Part == i.Part)) : null,
                    i.Caution,
                    i.WatchKm,
                    i.WatchDays,
                    asks.Contains(i.Part),
                    Times(seen.Where(s => s.Part == i.Part))
                )),
        ];
        return new(
            kinds,
            kind,
            InspectionItems.WashFirst(kind),
            NotHere,
            MachineKinds.Get(view.Machine.Kind).Defers,
            parts,
            [.. seen.Where(s => parts.All(p => p.Part != s.Part))],
            isJudged ? VerdictOf(seen) : LookVerdict.NotJudged,
            view.Machine.OdometerKm
        );
    }

    /// <summary>By what stands; without a look there is none.</summary>
    internal static LookVerdict VerdictOf(IReadOnlyList<PartSeen> seen)
    {
        IReadOnlyList<PartSeen> standing = PartSeen.Standing(seen);
        return seen.Count == 0 ? LookVerdict.NotLooked
            : standing.Any(s => s.Grade == FindingGrade.Stop) ? LookVerdict.Stop
            : standing.Count > 0 ? LookVerdict.Watch
            : LookVerdict.Fine;
    }

    internal static bool IsJudged(MachineInView view) => IsJudged(view.Machine, view.Drive);

    internal static bool IsJudged(Machine machine, Loop loop) =>
        machine.Drives.FirstOrDefault(d => d.Stages.Contains(loop)) is not { } drive || IsJudged(machine, drive);

    private static bool IsJudged(Machine machine, Drive drive) =>
        machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == drive.Key)?.IsJudged ?? true;

    /// <summary>All of the newest job, and one of each of the two before.</summary>
    private static IReadOnlyList<PartSeen> Times(IEnumerable<PartSeen> seen)
    {
        IGrouping<long, PartSeen>[] jobs = [.. seen.GroupBy(s => s.JobId).Take(TimesShown)];
        return [.. jobs.SelectMany((job, at) => at == 0 ? job : job.Take(1))];
    }
}
