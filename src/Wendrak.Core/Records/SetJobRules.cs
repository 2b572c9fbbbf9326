using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>What of a visit may be stored.</summary>
public static class SetJobRules
{
    /// <summary>Refuses a visit to a loop that the machine does not have.</summary>
    /// <exception cref="InvalidInputException">It names no loop of the machine.</exception>
    public static void CheckLoop(SetJob job, Machine machine) =>
        new Guard()
            .That(
                MachineRules.LoopsOf(machine).Any(l => l.Key == job.LoopKey),
                nameof(job.LoopKey),
                "unknown",
                "Give a loop of this machine."
            )
            .ThrowIfAny();

    /// <summary>Refuses what can't have been. The loop itself may be gone since: what was read of it stays.</summary>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void Check(SetJob job)
    {
        Guard guard = new();
        guard
            .Named(nameof(job.LoopKey), job.LoopKey)
            .OneOf(nameof(job.Goal), job.Goal)
            .Include(SetRound.Check(job.Rounds, job.InHand?.Round))
            .That(
                job.InHand is null
                    || job.InHand.Done.SequenceEqual(Enum.GetValues<ClosingStep>().Take(job.InHand.Done.Count)),
                "InHand.Done",
                "order",
                "Do the steps of the closing list in their order."
            )
            .Count(nameof(job.Gauge), job.Gauge.Count, 0, 10, "pairs");
        for (int i = 0; i < job.Gauge.Count; i++)
            guard.Include(new Guard($"{nameof(job.Gauge)}[{i}].").Include(job.Gauge[i].Check()));
        if (job.Closing is { } closing)
            guard.Include(new Guard("Closing.").Include(CheckClosing(closing, job)));
        guard.ThrowIfAny();
    }

    /// <summary>Refuses an event that can't come next: what was found and what was closed stays as it is.</summary>
    /// <exception cref="InvalidInputException">Says what is in its way.</exception>
    public static void CheckNext(SetJob before, JobEvent next)
    {
        SetRound? round = before.InHand?.Round;
        new Guard()
            .That(before.Closing is null, nameof(before.Closing), "closed", "This visit is closed: begin another one.")
            .That(next is not VisitBegun, "kind", "begun", "This visit is begun already.")
            .That(next is not RoundKept || round is not null, "InHand.Round", "missing", "Nothing is read yet.")
            .That(
                next is not VisitClosed || round is null,
                "InHand.Round",
                "not_kept",
                "A round is begun and not kept: keep it or drop it before the visit is closed."
            )
            .That(
                next is not VisitCancelled || before.Rounds.Count == 0,
                nameof(before.Rounds),
                "kept",
                "A round is kept, so something was set: close the visit, or take its rounds back first."
            )
            .That(
                next is not ReadingDiscarded discarded
                    || round?.Readings.Any(r => r.Position == discarded.Position) == true,
                nameof(ReadingDiscarded.Position),
                "unknown",
                "Give a place that is read in the round in hand."
            )
            .ThrowIfAny();
        if (next is StepTicked tick)
            new Guard().OneOf(nameof(tick.Step), tick.Step).ThrowIfAny();
    }

    private static Guard CheckClosing(SetClosing closing, SetJob job)
    {
        ClosingStep[] all = Enum.GetValues<ClosingStep>();
        return new Guard()
            .That(
                job.Rounds is [.., { Lock: LockState.Torqued } last]
                    && (last.Readings.Count > 0 || (job.Goal == SetGoal.TrackingOnly && last.GapMm is not null)),
                "Lock",
                "not_torqued",
                "The last reading must be taken with everything tight: bring it to its torque and read once more."
            )
            .That(
                closing.Done.SequenceEqual(all),
                nameof(closing.Done),
                "not_done",
                $"Do all {all.Length} steps of the closing list, in their order.",
                all.Length
            )
            .BetweenIfGiven(nameof(closing.TorqueNm), closing.TorqueNm, 0.5, 1_000, "Nm")
            .That(
                closing.NextCheckOn is not DateOnly next || next >= closing.ClosedOn,
                nameof(closing.NextCheckOn),
                "before",
                "Give a day after this one."
            )
            .Note(nameof(closing.Note), closing.Note);
    }
}
