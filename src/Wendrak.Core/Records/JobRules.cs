using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What may happen at a job.</summary>
public static class JobRules
{
    /// <summary>More than twenty years day and night: judgement, to catch a figure typed in another unit.</summary>
    public const double MostHours = 200_000;

    /// <summary>A day: longer work is written down day by day.</summary>
    public const double MostMinutes = 24 * 60;

    /// <summary>“Just right”, as of an outcome of an aim.</summary>
    public const int BestScore = 5;

    /// <summary>Where such a job is done, in the order of the work. Source: common practice.</summary>
    public static IReadOnlyList<Station> StationsFor(JobReason reason) =>
        reason switch
        {
            JobReason.AnotherGearing =>
            [
                Station.Aim,
                Station.Ratio,
                Station.Fit,
                Station.Loads,
                Station.Build,
                Station.Set,
                Station.Check,
            ],
            JobReason.PartNotToBeHad => [Station.Loads, Station.Fit, Station.Build, Station.Set, Station.Check],
            JobReason.SomethingWrong => [Station.Check, Station.Build, Station.Set],
            _ => [Station.Check, Station.Set],
        };

    /// <summary>Refuses an event that can't come next, at the job or at one of its loops.</summary>
    /// <param name="path">Where an event of the job itself stands in what was sent.</param>
    /// <exception cref="InvalidInputException">Says what is in its way.</exception>
    public static void CheckNext(JobContent before, JobEvent next, string path)
    {
        // What is wrong with a visit is named where it stands in the visit; what comes at the wrong time, where it was sent.
        if (next is SetEvent { LoopKey: string loop } && before.VisitTo(loop) is not null)
            Refusal.Renamed(
                "kind",
                path.Length == 0 ? "kind" : $"{path}.kind",
                () =>
                {
                    CheckNext(before, next);
                    return true;
                }
            );
        else
            Refusal.Under(path, () => CheckNext(before, next));
    }

    /// <summary>The same of one that was sent by itself.</summary>
    /// <exception cref="InvalidInputException">Says what is in its way.</exception>
    public static void CheckNext(JobContent before, JobEvent next)
    {
        new Guard()
            .That(
                !before.IsSigned || next is CureJudged,
                "kind",
                "closed",
                "This job is signed: take the signature back, or begin another one."
            )
            .That(next is not JobOpened || before.Entries.Count == 0, "kind", "begun", "This job is begun already.")
            .That(
                next is not WaitEnded || before.Sheet.WaitsFor is not null,
                "kind",
                "not_waiting",
                "This job waits for nothing."
            )
            .ThrowIfAny();
        // What is no elongation a chain can have is refused where it is worked out.
        (next as ElongationMeasured)?.Compute();
        if (next is SetEvent set)
            CheckNext(before, set);
        else
            Check(before, next).ThrowIfAny();
    }

    /// <summary>What a machine has run by then. A job that is written down late, or a slip, does not turn its odometer back.</summary>
    public static Machine MachineAfter(Machine machine, JobOpened opened) =>
        opened.OdometerKm is double km && (machine.OdometerKm is not double known || km > known)
            ? machine with
            {
                OdometerKm = km,
            }
            : machine;

    /// <summary>A signature as the record takes it: what it was signed over is told by what happened, whoever sends what.</summary>
    public static JobSigned Fill(JobSheet before, JobSigned sent) =>
        sent with
        {
            Despite = before.Despite.Count == 0 ? null : before.Despite,
            Reason = before.Despite.Count == 0 ? null : sent.Reason,
        };

    /// <summary>A loop is set once at a job; what comes after must suit what was done there.</summary>
    private static void CheckNext(JobContent before, SetEvent next)
    {
        SetJob? visit = before.VisitTo(next.LoopKey);
        if (visit is not null)
            SetJobRules.CheckNext(visit, next);
        else if (next is not VisitBegun)
            throw new InvalidInputException("LoopKey", "unknown", "Give the loop that is set at this visit.");
    }

    private static Guard Check(JobContent before, JobEvent next)
    {
        Guard guard = new();
        JobSheet sheet = before.Sheet;
        return next switch
        {
            JobOpened e => guard
                .OneOf(nameof(e.Reason), e.Reason)
                .Note(nameof(e.About), e.About)
                .BetweenIfGiven(nameof(e.OdometerKm), e.OdometerKm, 0, MachineRules.FarthestKm, "km")
                .BetweenIfGiven(nameof(e.Hours), e.Hours, 0, MostHours, "h"),
            NoteWritten e => guard.Written(nameof(e.Text), e.Text).Note(nameof(e.Text), e.Text),
            WaitBegun e => guard.Named(nameof(e.For), e.For),
            TimeSpent e => guard.Between(nameof(e.Minutes), e.Minutes, 1, MostMinutes, "min"),
            DeviationNoted e => guard
                .Named(nameof(e.What), e.What)
                .Written(nameof(e.Why), e.Why)
                .Note(nameof(e.Why), e.Why),
            ProvisionalFitted e => guard
                .Named(nameof(e.What), e.What)
                .That(
                    !Stands(sheet, e.What),
                    nameof(e.What),
                    "stands",
                    "That is noted as provisional already: give it other words if it is another one."
                ),
            ProvisionalCleared e => guard.That(
                Stands(sheet, e.What),
                nameof(e.What),
                "unknown",
                "Give something provisional that still stands."
            ),
            PhotoTaken e => PhotoRules.Check(guard, sheet, before.Plan, e),
            PhotoLineDrawn e => PhotoRules.Check(guard, sheet, e),
            SetupFitted e => guard.Named(nameof(e.Name), e.Name),
            PartUsed e => PartRules.Check(guard, e),
            FindingNoted e => FindingRules.Check(guard, before, e),
            FindingCured e => FindingRules.Check(guard, e, sheet),
            RestFine e => FindingRules.Check(guard, e),
            UseEventNoted e => guard.OneOf(nameof(e.Event), e.Event).Note(nameof(e.Words), e.Words),
            FaultDescribed e => FaultRules.Check(guard, sheet, e),
            FaultTested e => FaultRules.Check(guard, sheet, e),
            FaultFound e => FaultRules.Check(guard, sheet, e),
            CureJudged e => FaultRules.Check(guard, sheet, e),
            PlanMade e => PlanRules.Check(guard, before.Plan, e),
            StepDone e => PlanRules.Check(guard, before.Plan, e),
            StepReopened e => PlanRules.Check(guard, before.Plan, e),
            StepMoved e => PlanRules.Check(guard, before.Plan, e),
            TrayTicked e => PlanRules.Check(guard, before.Plan, e),
            JobSigned e => Check(guard, sheet, e),
            _ => guard,
        };
    }

    private static Guard Check(Guard guard, JobSheet sheet, JobSigned sent)
    {
        foreach (BlockedBy block in sheet.BlockedBy)
            guard.That(
                false,
                "kind",
                "blocked",
                block.Kind switch
                {
                    SignatureBlock.Waits => $"It still waits for {block.What}: say that it came first.",
                    SignatureBlock.Provisional =>
                        $"Still provisional: {block.What}. Put there what belongs there first.",
                    SignatureBlock.NoLastReading =>
                        $"Not read since it was tightened: {block.What}. Read it at Set with everything tight, and close it.",
                    SignatureBlock.StopFinding => $"Seen, and not mended: {block.What}. It does not go out with that.",
                    SignatureBlock.StepOpen => $"Not done: {block.What} The machine does not go out without it.",
                    SignatureBlock.StepForNow => $"Done for now only: {block.What} Do it for good first.",
                    SignatureBlock.PartMissing => $"Missing on the tray: {block.What}.",
                    _ => "Setting was begun and is not closed: close it first, with everything tight.",
                }
            );
        if (sent.Score is int score)
            guard.Between(nameof(sent.Score), score, 1, BestScore, "");
        return guard
            .Note(nameof(sent.Word), sent.Word)
            .That(
                sheet.Despite.Count == 0 || !string.IsNullOrWhiteSpace(sent.Reason),
                nameof(sent.Reason),
                "missing",
                "Say why it is signed over what is open; it stands in the record."
            )
            .Note(nameof(sent.Reason), sent.Reason);
    }

    private static bool Stands(JobSheet sheet, string what) =>
        sheet.Provisional.Any(p => p.What == what && p.ClearedAt is null);

    private static Guard Written(this Guard guard, string field, string? text) =>
        guard.That(!string.IsNullOrWhiteSpace(text), field, "missing", "Write something.");
}
