using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Evaluation;

/// <summary>The order of a work that is not begun yet.</summary>
/// <param name="Families">Leave out for the one that is usual for such a machine; else the first of them is taken.</param>
/// <param name="Changes">Leave out for what differs between what is on and what is in view; else the first of them is taken.</param>
public sealed record BuildQuestion(
    IReadOnlyList<ProcedureFamily>? Families = null,
    IReadOnlyList<ChangeKind>? Changes = null
);

/// <summary>What would be done, before it is begun.</summary>
/// <param name="Families">That suit the loop, the usual one first.</param>
/// <param name="Family">The one that is shown.</param>
/// <param name="Change">The one that is shown.</param>
/// <param name="Was">As fitted.</param>
/// <param name="Wanted">In view.</param>
/// <param name="Steps">In their order.</param>
/// <param name="Minutes">Usual working time of all, min.</param>
/// <param name="Phases">Parts of the work in their order.</param>
/// <param name="Source">Where the procedure comes from.</param>
/// <param name="Tray">What must lie ready.</param>
/// <param name="MissingTools">Empty where nobody listed the workshop’s tools.</param>
/// <param name="Hubs">Wheels whose hub was measured, at the steps that put them on.</param>
/// <param name="Ways">Other parts that go on one way round, and what is measured for them.</param>
/// <param name="Runs">Chain or belt at the steps that ask which way round a clip or an arrow goes.</param>
/// <param name="Defers">Whose word wins, and whose work it is where people can be hurt.</param>
public sealed record BuildAnswer(
    IReadOnlyList<FamilyChoice> Families,
    ProcedureFamily Family,
    ChangeKind Change,
    LoopChoice Was,
    LoopChoice Wanted,
    IReadOnlyList<PlannedStep> Steps,
    double Minutes,
    IReadOnlyList<PhaseMinutes> Phases,
    string Source,
    IReadOnlyList<TrayCount> Tray,
    IReadOnlyList<ToolStandIn> MissingTools,
    IReadOnlyList<HubAtStep> Hubs,
    IReadOnlyList<WayAtStep> Ways,
    IReadOnlyList<RunAtStep> Runs,
    string Defers
);

/// <summary>What the station Build says of what is in view.</summary>
internal static class BuildAnswers
{
    public static BuildAnswer Build(MachineInView view, BuildQuestion question)
    {
        // What is on is taken apart, whatever kind is to come.
        Loop loop = view.LoopAsFitted(view.AnyLoop);
        Machine machine = view.Stored.Machine;
        IReadOnlyList<FamilyChoice> families = WorkPlan.FamiliesFor(machine, loop);
        ProcedureFamily family = question.Families is [ProcedureFamily chosen, ..] ? chosen : families[0].Family;
        LoopChoice was = view.Fitted.Loops.First(c => c.LoopKey == loop.Key);
        LoopChoice wanted = view.ChoiceOf(loop);
        ChangeKind change = question.Changes is [ChangeKind named, ..]
            ? named
            : WorkPlan.ChangeFor(ProcedureLibrary.Get(family), (loop, was), (view.AnyLoop, wanted));
        Procedure procedure = WorkPlan.Find(machine, loop, family, change);
        IReadOnlyList<PlannedStep> steps = StepPlanner.Compose(
            procedure,
            PlanFacts.Of(machine, view.FittedDrive, loop, change)
        );
        ProcedureStep[] asked = [.. steps.Select(s => s.Step)];
        IReadOnlyList<HubAtStep> hubs = HubWays.At(asked, machine, view.FittedDrive, loop);
        return new(
            families,
            family,
            change,
            was,
            wanted,
            steps,
            steps.Sum(s => s.Step.Minutes),
            PhaseMinutes.Of(asked),
            $"{procedure.Author}, version {procedure.Version}: {procedure.Source}",
            [
                .. asked
                    .SelectMany(s => s.Parts)
                    .Select(p => TrayCounts.Count(p, view.AnyLoop, wanted, view.Machine, view.Workshop)),
            ],
            ToolStandIns.Missing(asked.SelectMany(s => s.Tools).Select(t => t.Kind), view.Workshop.Tools),
            hubs,
            MeasuredWays.At(asked, machine, family, hubs),
            RunWays.At(asked, loop),
            Tables.MachineKinds.Get(view.Machine.Kind).Defers
        );
    }
}
