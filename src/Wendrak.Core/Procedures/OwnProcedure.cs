using Wendrak.Core.Quantities;

namespace Wendrak.Core.Procedures;

/// <summary>A step of a procedure in the words of one machine.</summary>
/// <param name="Step">Its key.</param>
/// <param name="Do">What to do; null for the procedure’s own words.</param>
/// <param name="Minutes">Usual working time, min; null for the procedure’s.</param>
/// <param name="TorqueNm">The maker’s torque of what it tightens, Nm; null where nobody typed it.</param>
/// <param name="TorqueFor">What thread the maker gives it for; null where nobody said.</param>
/// <param name="WayMm">What tells how far the part is off the wrong way round, as measured on this machine, mm; null for not measured.</param>
public sealed record StepWording(
    string Step,
    string? Do,
    double? Minutes,
    double? TorqueNm,
    TorqueThread? TorqueFor = null,
    double? WayMm = null
);

/// <summary>A step that only one machine has.</summary>
/// <param name="Key">Short name, one of its procedure.</param>
/// <param name="After">Key of the step that it comes after; null for none.</param>
/// <param name="Do">What to do.</param>
/// <param name="Why">Why, in a few words.</param>
/// <param name="Minutes">Usual working time, min.</param>
/// <param name="IsMust">Without it the machine does not go out.</param>
public sealed record AddedStep(
    string Key,
    StepPhase Phase,
    string? After,
    string Do,
    string Why,
    double Minutes,
    bool IsMust
);

/// <summary>What one machine has of its own beside a procedure.</summary>
/// <param name="Reworded">Each step at most once.</param>
/// <param name="Added">In the order in which they were added.</param>
public sealed record OwnProcedure(
    ProcedureFamily Family,
    IReadOnlyList<StepWording> Reworded,
    IReadOnlyList<AddedStep> Added
)
{
    /// <summary>The procedure with what the machine has of its own.</summary>
    public Procedure On(Procedure procedure) =>
        procedure with
        {
            Steps =
            [
                .. procedure.Steps.Select(s =>
                    Reworded.FirstOrDefault(w => w.Step == s.Key) is { } own ? Say(s, own) : s
                ),
                .. Added.Select(a => ToStep(a)),
            ],
        };

    /// <summary>Refuses what does not belong to the procedure.</summary>
    internal Guard Check()
    {
        Guard guard = new Guard()
            .OneOf(nameof(Family), Family)
            .Count(nameof(Reworded), Reworded.Count, 0, StepBounds.MostSteps, "steps")
            .Count(nameof(Added), Added.Count, 0, StepBounds.MostOwnSteps, "steps");
        if (guard.HasIssues)
            return guard;
        Dictionary<string, ProcedureStep> steps = ProcedureLibrary.Get(Family).Steps.ToDictionary(s => s.Key);
        for (int i = 0; i < Reworded.Count; i++)
            guard.Include(Check(Reworded[i], steps, $"{nameof(Reworded)}[{i}]."));
        for (int i = 0; i < Added.Count; i++)
            guard.Include(Check(Added[i], steps, $"{nameof(Added)}[{i}]."));
        return guard.That(
            Reworded.Select(w => w.Step).Distinct().Count() == Reworded.Count,
            nameof(Reworded),
            "twice",
            "Word every step once."
        );
    }

    private static Guard Check(StepWording own, Dictionary<string, ProcedureStep> steps, string at)
    {
        ProcedureStep? step = steps.GetValueOrDefault(own.Step);
        return new Guard(at)
            .That(step is not null, nameof(own.Step), "unknown", "Give a step of this procedure.")
            .That(
                // Of a rivet too: machines were stored with one, and must stay to be changed.
                own.TorqueNm
                    is null
                    || step?.Fastener is not null,
                nameof(own.TorqueNm),
                "unasked",
                "Nothing is tightened at this step: leave it out."
            )
            .That(
                own.TorqueFor is null || own.TorqueNm is not null,
                nameof(own.TorqueFor),
                "unasked",
                "Give the torque that it is said of, or leave it out."
            )
            .That(
                own.WayMm is null || step?.Way?.Measure is not null,
                nameof(own.WayMm),
                "unasked",
                "Nothing is measured for the way round of this step: leave it out."
            )
            .That(own.Do is null || own.Do.Trim().Length > 0, nameof(own.Do), "missing", "Say what is to be done.")
            .Note(nameof(own.Do), own.Do)
            .BetweenIfGiven(nameof(own.Minutes), own.Minutes, StepBounds.LeastMinutes, StepBounds.MostMinutes, "min")
            .BetweenIfGiven(nameof(own.TorqueNm), own.TorqueNm, StepBounds.LeastTorqueNm, StepBounds.MostTorqueNm, "Nm")
            .OneOf(nameof(own.TorqueFor), own.TorqueFor ?? TorqueThread.Dry)
            .BetweenIfGiven(nameof(own.WayMm), own.WayMm, StepBounds.LeastWayMm, StepBounds.MostWayMm, "mm");
    }

    private static Guard Check(AddedStep added, Dictionary<string, ProcedureStep> steps, string at)
    {
        ProcedureStep? after = added.After is null ? null : steps.GetValueOrDefault(added.After);
        return new Guard(at)
            .Named(nameof(added.Key), added.Key)
            .That(steps.TryAdd(added.Key, ToStep(added)), nameof(added.Key), "twice", "Give every step another key.")
            .That(
                added.After is null || (after is not null && after.Phase <= added.Phase),
                nameof(added.After),
                "unknown",
                "Give a step of this procedure that stands no later in the work."
            )
            .OneOf(nameof(added.Phase), added.Phase)
            .That(added.Do.Trim().Length > 0, nameof(added.Do), "missing", "Say what is to be done.")
            .Note(nameof(added.Do), added.Do)
            .Note(nameof(added.Why), added.Why)
            .Between(nameof(added.Minutes), added.Minutes, StepBounds.LeastMinutes, StepBounds.MostMinutes, "min");
    }

    private static ProcedureStep Say(ProcedureStep step, StepWording own) =>
        step with
        {
            Do = own.Do ?? step.Do,
            Minutes = own.Minutes ?? step.Minutes,
            Fastener =
                step.Fastener is { } fastener && own.TorqueNm is not null
                    ? fastener with
                    {
                        TorqueNm = own.TorqueNm,
                        TorqueFor = own.TorqueFor,
                    }
                    : step.Fastener,
        };

    private static ProcedureStep ToStep(AddedStep added) =>
        new(
            added.Key,
            added.Phase,
            added.Do,
            added.Why,
            null,
            added.Minutes,
            1,
            WorkPlace.Machine,
            [],
            [],
            [],
            added.After is null ? [] : [added.After],
            [],
            [],
            [],
            null,
            null,
            null,
            null,
            added.IsMust,
            false,
            []
        );
}
