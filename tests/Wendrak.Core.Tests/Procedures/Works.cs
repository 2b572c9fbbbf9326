using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>Works on the machines that somebody begins with.</summary>
internal static class Works
{
    private const string Loop = "final";

    /// <summary>A machine whose first loop is of a kind and set by an adjuster.</summary>
    public static (Machine Machine, Setup Fitted, Loop Loop) On(
        MachineKind kind,
        DriveElement? element = null,
        AdjusterKind? adjuster = null
    )
    {
        MachineDraft draft = StartingMachines.For(kind);
        Drive drive = draft.Machine.Drives[0];
        Loop loop = drive.Stages.OfType<Loop>().First();
        Loop changed = element is DriveElement other ? loop with { DriveElement = other } : loop;
        Machine machine = draft.Machine with
        {
            Drives = [drive with { Stages = [.. drive.Stages.Select(s => s == loop ? changed : s)] }],
            Settings = adjuster is AdjusterKind a ? [new LoopSetting(loop.Key, new Adjuster(a))] : null,
        };
        Setup fitted = StoredMachine.From(draft with { Machine = machine }, default).Fitted;
        return (machine, fitted, changed);
    }

    /// <summary>The plan of one change on such a machine.</summary>
    public static PlanMade Plan(
        (Machine Machine, Setup Fitted, Loop Loop) on,
        ProcedureFamily family,
        ChangeKind change
    ) => WorkPlan.Fill(new(change, on.Loop.Key, family, null), on.Machine, on.Fitted, "");

    /// <summary>A machine that each family suits.</summary>
    public static (Machine Machine, Setup Fitted, Loop Loop) For(ProcedureFamily family) =>
        family switch
        {
            ProcedureFamily.FinalBelt => On(MachineKind.Moped),
            ProcedureFamily.FinalChain => On(MachineKind.Motorcycle),
            ProcedureFamily.BicycleBelt => On(MachineKind.Bicycle, DriveElement.ToothedBelt),
            ProcedureFamily.MotorSlide => On(MachineKind.KickBoard, adjuster: AdjusterKind.SlidingMotor),
            ProcedureFamily.SprungSlide => On(MachineKind.KickBoard, adjuster: AdjusterKind.SpringSlide),
            ProcedureFamily.RobotRail => On(MachineKind.Robot),
            ProcedureFamily.VBeltPlate => On(MachineKind.Winch),
            ProcedureFamily.VariableBelt => On(MachineKind.Moped, DriveElement.VBelt, AdjusterKind.SheaveShims),
            ProcedureFamily.ArmSwap => On(MachineKind.Moped),
            ProcedureFamily.PrimaryBelt => On(MachineKind.Motorcycle, DriveElement.ToothedBelt),
            ProcedureFamily.WeldedBelt => On(MachineKind.Other, DriveElement.RoundBelt),
            _ => On(MachineKind.Motorcycle),
        };

    /// <summary>A job with its plan made.</summary>
    public static JobContent Begun(ProcedureFamily family, ChangeKind change) =>
        After(JobContent.From(new(3, 1, 7, new(2026, 11, 30)), []), Plan(For(family), family, change));

    public static JobContent After(JobContent job, params JobEvent[] happened)
    {
        foreach (JobEvent e in happened)
        {
            JobRules.CheckNext(job, e);
            long number = job.Sheet.Version + 1;
            DateTimeOffset at = new DateTimeOffset(2026, 11, 30, 8, 0, 0, TimeSpan.Zero).AddMinutes(number);
            job = job.After(new(number, at, "Ann", e));
        }
        return job;
    }

    /// <summary>A step as the plan has it, with all it asks.</summary>
    public static StepDone Done(JobContent job, string key)
    {
        ProcedureStep step = job.Plan!.Steps.Single(s => s.Step.Key == key).Step;
        return new(
            key,
            StepOutcome.Done,
            null,
            step.Way?.Right,
            [],
            step.Fastener is { } f ? new(f.Count ?? 4, f.Count ?? 4, 20, TorqueBy.Maker, LockCondition.Fresh) : null
        );
    }

    /// <summary>Everything in its order up to a step, which is left open; to the end where it is null.</summary>
    public static JobContent WorkedUpTo(JobContent job, string? key)
    {
        while (job.Plan!.Next is string next && next != key)
            job = job.Plan.Steps.Single(s => s.Step.Key == next).Step.IsAtSet
                ? After(job, [.. Closed(job.Plan.LoopKey)])
                : After(job, Done(job, next));
        return job;
    }

    public static IEnumerable<JobEvent> Closed(string loop) =>
        [
            new VisitBegun(loop, SetGoal.Both),
            new RoundNoted(loop, new(0, 0, LockState.Torqued, [])),
            new ReadingTaken(loop, new(ReadingMethod.FreePlay, 35)),
            new RoundKept(loop, null),
            new VisitClosed(loop, new(2026, 11, 30), 98, Enum.GetValues<ClosingStep>(), null, null, null, null),
        ];
}
