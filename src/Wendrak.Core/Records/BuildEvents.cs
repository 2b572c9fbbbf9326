using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;

namespace Wendrak.Core.Records;

/// <summary>How a step of a plan was done.</summary>
public enum StepOutcome
{
    /// <summary>As the plan has it.</summary>
    Done,

    /// <summary>Otherwise: a deviation.</summary>
    Differently,

    /// <summary>Only until something better comes: provisional.</summary>
    ForNow,

    /// <summary>It can’t be done, and is not.</summary>
    LeftOut,
}

/// <summary>Where a torque comes from.</summary>
public enum TorqueBy
{
    /// <summary>The maker’s, and a wrench that tells it.</summary>
    Maker,

    /// <summary>A hand.</summary>
    Feel,

    /// <summary>Length of an arm times its pull: an estimate, no reading.</summary>
    ArmAndPull,
}

/// <summary>How what keeps a fastener was found good.</summary>
public enum LockCondition
{
    /// <summary>Nothing keeps it but its torque.</summary>
    None,

    /// <summary>New, or as good as new.</summary>
    Fresh,

    /// <summary>Used before: it may not hold.</summary>
    Spent,
}

/// <summary>What was planned for a job.</summary>
/// <param name="Title">Of the procedure it was made from.</param>
/// <param name="ProcedureVersion">Of that, then.</param>
/// <param name="Was">Wheels and length as fitted then.</param>
/// <param name="Steps">In their order.</param>
public sealed record MadePlan(string Title, int ProcedureVersion, LoopChoice Was, IReadOnlyList<PlannedStep> Steps);

/// <summary>The order of the work was made for this machine and this change.</summary>
/// <param name="Change">What is to be done.</param>
/// <param name="LoopKey">The loop it is about.</param>
/// <param name="Family">Of the procedure.</param>
/// <param name="Wanted">Wheels and length that are to go on; null for those that are on.</param>
/// <param name="Made">The core says it, whoever sends what.</param>
/// <param name="TrialId">The trial it puts on, with the kind of loop that is tried in it; 0 where that is gone, null for none.</param>
public sealed record PlanMade(
    ChangeKind Change,
    string LoopKey,
    ProcedureFamily Family,
    LoopChoice? Wanted,
    MadePlan? Made = null,
    long? TrialId = null
) : JobEvent;

/// <summary>A value that a step asked for.</summary>
/// <param name="Key">Of the field.</param>
/// <param name="Value">In the unit of the field.</param>
public sealed record StepValue(string Key, double Value);

/// <summary>Screws or nuts that were tightened.</summary>
/// <param name="Count">How many are in and tight.</param>
/// <param name="Of">How many there are to be.</param>
/// <param name="TorqueNm">What they were tightened to, Nm; null where nobody measured it.</param>
/// <param name="By">Where that comes from.</param>
public sealed record FasteningDone(int Count, int Of, double? TorqueNm, TorqueBy By, LockCondition Lock);

/// <summary>A step of the plan was done, or is done anew.</summary>
/// <param name="Step">Its key.</param>
/// <param name="Why">Asked for everything but done.</param>
/// <param name="Way">Which way round the part went on, in the words of the step; null where there is one way.</param>
/// <param name="Values">What was written down.</param>
/// <param name="Fastening">What was tightened; null for nothing.</param>
public sealed record StepDone(
    string Step,
    StepOutcome Outcome,
    string? Why,
    string? Way,
    IReadOnlyList<StepValue> Values,
    FasteningDone? Fastening
) : JobEvent;

/// <summary>A step that was done is to be done again.</summary>
/// <param name="Step">Its key.</param>
public sealed record StepReopened(string Step) : JobEvent;

/// <summary>A step was moved to another place of the plan.</summary>
/// <param name="Step">Its key.</param>
/// <param name="Before">Key of the step that follows it then; null for the last place.</param>
public sealed record StepMoved(string Step, string? Before) : JobEvent;

/// <summary>How a part of the tray was found.</summary>
public enum TrayState
{
    NotLooked,
    There,

    /// <summary>Something else stands in for it.</summary>
    StandIn,
    Missing,
}

/// <summary>A part of the tray was looked for.</summary>
/// <param name="Part">Its key.</param>
/// <param name="StandIn">What stands in for it, in a few words; null for nothing.</param>
public sealed record TrayTicked(string Part, TrayState State, string? StandIn) : JobEvent;
