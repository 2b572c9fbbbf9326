using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>A family that a loop can be worked on by.</summary>
/// <param name="Title">What it is for.</param>
/// <param name="Changes">What can be done by it.</param>
public sealed record FamilyChoice(ProcedureFamily Family, string Title, IReadOnlyList<ChangeKind> Changes);

/// <summary>Makes the plan of a work for a stored machine.</summary>
public static class WorkPlan
{
    /// <summary>Families that suit a loop, the usual one of such a machine first. Source: common practice.</summary>
    internal static IReadOnlyList<FamilyChoice> FamiliesFor(Machine machine, Loop loop)
    {
        ProcedureFamily usual = UsualFor(machine, loop);
        return
        [
            .. Enum.GetValues<ProcedureFamily>()
                .Select(ProcedureLibrary.Get)
                .Where(p => p.Elements.Contains(loop.DriveElement))
                .OrderBy(p => p.Family == usual ? 0 : 1)
                .Select(p => new FamilyChoice(p.Family, p.Title, ChangesOf(p, loop))),
        ];
    }

    /// <summary>What is to be done where nobody said: what differs between what is on and what is wanted.</summary>
    /// <param name="now">The loop as it is on, and its wheels.</param>
    /// <param name="then">The same as it shall be: another kind of it is all new.</param>
    internal static ChangeKind ChangeFor(
        Procedure procedure,
        (Loop Loop, LoopChoice Choice) now,
        (Loop Loop, LoopChoice Choice) then
    )
    {
        (LoopChoice was, LoopChoice wanted) = (now.Choice, then.Choice);
        if (now.Loop.DriveElement != then.Loop.DriveElement || now.Loop.Standard != then.Loop.Standard)
        {
            ChangeKind other =
                then.Loop.DriveElement == DriveElement.Chain ? ChangeKind.BeltToChain : ChangeKind.ChainToBelt;
            bool isOther =
                (now.Loop.DriveElement == DriveElement.Chain) != (then.Loop.DriveElement == DriveElement.Chain);
            return isOther && procedure.Changes.Contains(other) ? other
                : procedure.Changes.Contains(ChangeKind.WholeSet) ? ChangeKind.WholeSet
                : procedure.Changes[0];
        }
        bool front = was.FrontSize != wanted.FrontSize;
        bool rear = was.RearSize != wanted.RearSize;
        bool loop = (was.Links, was.LengthMm) != (wanted.Links, wanted.LengthMm);
        ChangeKind found = (front, rear, loop) switch
        {
            (true, false, false) => ChangeKind.FrontWheel,
            (false, true, false) => ChangeKind.RearWheel,
            (true, true, false) => ChangeKind.BothWheels,
            (false, false, true) => ChangeKind.Loop,
            (false, false, false) => ChangeKind.TensionOnly,
            _ => ChangeKind.WholeSet,
        };
        return procedure.Changes.Contains(found) ? found : procedure.Changes[0];
    }

    /// <summary>The plan as the record takes it: its steps are told by the machine, whoever sends what.</summary>
    /// <param name="path">Where the event stands in what was sent; empty for nowhere.</param>
    /// <param name="trial">That it names; null where it names none, or none that is still tried on this machine.</param>
    /// <exception cref="InvalidInputException">
    /// The family does not suit the loop, the change not the family, or the trial is none or has other wheels.
    /// </exception>
    public static PlanMade Fill(PlanMade sent, Machine machine, Setup fitted, string path, Setup? trial = null) =>
        Refusal.Under(path, () => Fill(sent, machine, fitted, trial));

    private static PlanMade Fill(PlanMade sent, Machine machine, Setup fitted, Setup? trial)
    {
        Drive drive = machine.Drives.First(d => MachineInView.LoopOf(d, sent.LoopKey) is not null);
        Loop loop = MachineInView.LoopOf(drive, sent.LoopKey)!;
        LoopChoice was = fitted.Loops.First(c => c.LoopKey == loop.Key);
        Procedure procedure = Find(machine, loop, sent.Family, sent.Change);
        Guard guard = new Guard().That(
            sent.TrialId is null || trial is { Status: SetupStatus.Trial },
            nameof(sent.TrialId),
            "unknown",
            "Name a trial of this machine, or none."
        );
        LoopChoice? tried = trial?.Loops.First(c => c.LoopKey == loop.Key);
        guard.That(
            tried is null || sent.Wanted is null || sent.Wanted == tried,
            nameof(sent.Wanted),
            "not_of_trial",
            "Leave the wheels to the trial, or give the ones it has."
        );
        LoopChoice? wanted = sent.Wanted ?? tried;
        // Wheels of a trial are of the kind that is tried in it.
        LoopKind? kind = trial?.Kinds?.FirstOrDefault(k => k.LoopKey == loop.Key);
        if (wanted is not null)
            guard.CheckChoice($"{nameof(sent.Wanted)}.", wanted, kind?.On(loop) ?? loop);
        guard
            .That(
                sent.Wanted is null || sent.Wanted.LoopKey == sent.LoopKey,
                $"{nameof(sent.Wanted)}.{nameof(LoopChoice.LoopKey)}",
                "unknown",
                "Give the loop that the plan is about."
            )
            .ThrowIfAny();
        return sent with
        {
            Wanted = wanted == was && kind is null ? null : wanted,
            TrialId = wanted == was && kind is null ? null : sent.TrialId,
            Made = new(
                procedure.Title,
                procedure.Version,
                was,
                StepPlanner.Compose(procedure, PlanFacts.Of(machine, drive, loop, sent.Change))
            ),
        };
    }

    /// <summary>A procedure with what the machine has of its own beside it.</summary>
    /// <exception cref="InvalidInputException">The family does not suit the loop, or the change not the family.</exception>
    internal static Procedure Find(Machine machine, Loop loop, ProcedureFamily family, ChangeKind change)
    {
        Procedure procedure = ProcedureLibrary.Get(family);
        new Guard()
            .That(
                procedure.Elements.Contains(loop.DriveElement),
                nameof(PlanMade.Family),
                "unsuited",
                "Name a family for this kind of chain or belt."
            )
            .That(
                ChangesOf(procedure, loop).Contains(change),
                nameof(PlanMade.Change),
                "unsuited",
                "Name a change that this family knows."
            )
            .ThrowIfAny();
        return machine.Procedures?.FirstOrDefault(o => o.Family == family)?.On(procedure) ?? procedure;
    }

    /// <summary>A belt is not changed to a belt by what changes it to a chain.</summary>
    private static ChangeKind[] ChangesOf(Procedure procedure, Loop loop) =>
        [
            .. procedure.Changes.Where(c =>
                c switch
                {
                    ChangeKind.BeltToChain => loop.DriveElement != DriveElement.Chain,
                    ChangeKind.ChainToBelt => loop.DriveElement == DriveElement.Chain,
                    _ => true,
                }
            ),
        ];

    private static ProcedureFamily UsualFor(Machine machine, Loop loop) =>
        (machine.Kind, loop.DriveElement, PlanFacts.AdjusterOf(machine, loop)) switch
        {
            (_, DriveElement.RoundBelt, _) => ProcedureFamily.WeldedBelt,
            (_, _, AdjusterKind.SheaveShims) => ProcedureFamily.VariableBelt,
            (_, _, AdjusterKind.SpringSlide or AdjusterKind.SprungArm) => ProcedureFamily.SprungSlide,
            (_, DriveElement.VBelt or DriveElement.FlatBelt, _) => ProcedureFamily.VBeltPlate,
            (MachineKind.Robot, DriveElement.Chain, _) => ProcedureFamily.RobotRail,
            (MachineKind.Bicycle, DriveElement.ToothedBelt, _) => ProcedureFamily.BicycleBelt,
            (MachineKind.KickBoard, _, _) => ProcedureFamily.MotorSlide,
            (_, DriveElement.Chain, _) => ProcedureFamily.FinalChain,
            _ => ProcedureFamily.FinalBelt,
        };
}
