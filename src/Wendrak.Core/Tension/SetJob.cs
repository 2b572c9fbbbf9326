using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What is done before a drive is left, in this order.</summary>
public enum ClosingStep
{
    /// <summary>Axle nut or clamp at its torque.</summary>
    FinalTorque,

    /// <summary>Adjuster locks and lock nuts fast.</summary>
    AdjusterLocks,

    /// <summary>Split pins, caps and screws in.</summary>
    PinsAndCaps,

    /// <summary>Guards back on.</summary>
    Guards,

    /// <summary>Wheel turned by hand: free, nothing rubs, brake works.</summary>
    TurnsFreely,
}

/// <summary>How a visit ended.</summary>
/// <param name="TorqueNm">Of what holds it; null where nobody measured it.</param>
/// <param name="Done">Steps in their order.</param>
/// <param name="Despite">What it was closed over, as it stood then; null for nothing.</param>
/// <param name="Reason">Why it was closed over that.</param>
public sealed record SetClosing(
    DateOnly ClosedOn,
    string? Who,
    double? TorqueNm,
    IReadOnlyList<ClosingStep> Done,
    DateOnly? NextCheckOn,
    string? Note,
    IReadOnlyList<ClosedDespite>? Despite = null,
    string? Reason = null
);

/// <summary>One visit at which a loop is set, from as found to as left. It can be broken off and gone on with anywhere.</summary>
/// <param name="Goal">What the rounds are for.</param>
/// <param name="Rounds">The first is as found and is never edited.</param>
/// <param name="Closing">Null while it goes on.</param>
/// <param name="InHand">What was begun and is not kept yet, so that it can be gone on with; null where nothing was.</param>
/// <param name="Cautions">Who said that what must be so before hands go near was so; null where nobody has.</param>
public sealed record SetJob(
    long Id,
    int Version,
    long MachineId,
    string LoopKey,
    DateOnly OpenedOn,
    string? Who,
    SetGoal Goal,
    IReadOnlyList<SetRound> Rounds,
    IReadOnlyList<CalibrationPair> Gauge,
    SetClosing? Closing,
    SetInHand? InHand = null,
    CautionsConfirmed? Cautions = null
);

/// <param name="Round">Being read.</param>
/// <param name="Done">Of the closing list, in its order.</param>
public sealed record SetInHand(SetRound? Round, IReadOnlyList<ClosingStep> Done);

/// <summary>Once for each visit.</summary>
public sealed record CautionsConfirmed(string? Who, DateTimeOffset At);

/// <summary>What of a visit may be stored.</summary>
public static class SetJobRules
{
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void Check(SetJob job, Machine machine)
    {
        Guard guard = new();
        guard
            .That(
                MachineRules.LoopsOf(machine).Any(l => l.Key == job.LoopKey),
                nameof(job.LoopKey),
                "unknown",
                "Give a loop of this machine."
            )
            .OneOf(nameof(job.Goal), job.Goal)
            .Include(SetRound.Check(job.InHand?.Round is { } begun ? [.. job.Rounds, begun] : job.Rounds))
            .That(
                job.InHand is null
                    || job.InHand.Done.SequenceEqual(Enum.GetValues<ClosingStep>().Take(job.InHand.Done.Count)),
                "InHand.Done",
                "order",
                "Do the steps of the closing list in their order."
            )
            .That(
                job.Closing is null || job.InHand?.Round is null,
                "InHand.Round",
                "not_kept",
                "A round is begun and not kept: keep it or drop it before the visit is closed."
            )
            .Count(nameof(job.Gauge), job.Gauge.Count, 0, 10, "pairs");
        for (int i = 0; i < job.Gauge.Count; i++)
            guard.Include(new Guard($"{nameof(job.Gauge)}[{i}].").Include(job.Gauge[i].Check()));
        if (job.Closing is { } closing)
            guard.Include(new Guard("Closing.").Include(CheckClosing(closing, job)));
        guard.ThrowIfAny();
    }

    /// <summary>Refuses what must not change: as found, and a visit that was closed.</summary>
    /// <exception cref="InvalidInputException">It was changed.</exception>
    public static void CheckChange(SetJob before, SetJob after) =>
        new Guard()
            .That(before.Closing is null, nameof(before.Closing), "closed", "This visit is closed: begin another one.")
            .That(
                before.Rounds.Count == 0 || (after.Rounds.Count > 0 && IsSame(before.Rounds[0], after.Rounds[0])),
                "Rounds[0]",
                "as_found",
                "As found stays as it was found."
            )
            .ThrowIfAny();

    /// <summary>The visit with what it is closed over written down; a reason is asked for it.</summary>
    /// <exception cref="InvalidInputException">Something asks for a reason, and none is given.</exception>
    public static SetJob Closed(SetJob job, Machine machine, Setup fitted)
    {
        if (
            job.Closing is not { } closing
            || SetInputs.For(machine, fitted.Loops, fitted.RoadWheels, job) is not { } input
        )
            return job;
        IReadOnlyList<ClosedDespite> despite = ClosingReasons.Of(
            new(input, job.Cautions is not null, closing.TorqueNm)
        );
        new Guard()
            .That(
                despite.Count == 0 || !string.IsNullOrWhiteSpace(closing.Reason),
                "Closing.Reason",
                "missing",
                "Say why it is closed over what is open; it stands in the record."
            )
            .Note("Closing.Reason", closing.Reason)
            .ThrowIfAny();
        return job with
        {
            Closing = closing with
            {
                Despite = despite.Count == 0 ? null : despite,
                Reason = despite.Count == 0 ? null : closing.Reason,
            },
        };
    }

    private static bool IsSame(SetRound one, SetRound other) =>
        one.Readings.SequenceEqual(other.Readings)
        && (one.Assumed ?? []).SequenceEqual(other.Assumed ?? [])
        && one == other with { Readings = one.Readings, Assumed = one.Assumed };

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
