using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Evaluation;

/// <summary>The plan of a job, with what the workshop has for it.</summary>
/// <param name="Phases">Parts of the work in their order.</param>
/// <param name="Tray">Parts against Stock, in the order of the plan’s tray.</param>
/// <param name="MissingTools">Empty where nobody listed the workshop’s tools.</param>
/// <param name="Hubs">Wheels whose hub was measured, at the steps that put them on.</param>
/// <param name="Ways">Other parts that go on one way round, and what is measured for them.</param>
/// <param name="Runs">Chain or belt at the steps that ask which way round a clip or an arrow goes.</param>
/// <param name="Taken">What a finished change of wheels really took; null until it is, where no minutes were written down, and for other changes.</param>
/// <param name="ToFit">What went on and the machine does not say yet; null until its parts are on, and where nothing else goes on.</param>
/// <param name="Defers">Whose word wins, and whose work it is where people can be hurt.</param>
public sealed record PlanToWork(
    JobPlan Plan,
    IReadOnlyList<PhaseMinutes> Phases,
    IReadOnlyList<TrayCount> Tray,
    IReadOnlyList<ToolStandIn> MissingTools,
    IReadOnlyList<HubAtStep> Hubs,
    IReadOnlyList<WayAtStep> Ways,
    IReadOnlyList<RunAtStep> Runs,
    WorkTaken? Taken,
    LoopChoice? ToFit,
    string Defers
)
{
    /// <param name="stored">The machine as it is stored now.</param>
    /// <param name="minutes">Working time written down at the job, min.</param>
    public static PlanToWork From(JobPlan plan, double minutes, StoredMachine stored, Workshop workshop)
    {
        Machine machine = stored.Machine;
        // A loop that is gone since: its plan stays readable, its parts are named and not counted.
        Loop? loop = MachineRules.LoopsOf(machine).FirstOrDefault(l => l.Key == plan.LoopKey);
        ProcedureStep[] steps = [.. plan.Steps.Select(s => s.Step)];
        IReadOnlyList<HubAtStep> hubs = loop is null
            ? []
            : HubWays.At(
                steps,
                machine,
                machine.Drives.First(d => MachineInView.LoopOf(d, loop.Key) is not null),
                loop
            );
        return new(
            plan,
            PhaseMinutes.Of(steps),
            [
                .. plan.Tray.Select(l =>
                    loop is null
                        ? TrayCount.NotCounted(l.Part, l.Part.What)
                        : TrayCounts.Count(l.Part, loop, plan.Wanted ?? plan.Was, machine, workshop)
                ),
            ],
            ToolStandIns.Missing(
                plan.Steps.Where(s => s.State == StepState.Open).SelectMany(s => s.Step.Tools).Select(t => t.Kind),
                workshop.Tools
            ),
            hubs,
            MeasuredWays.At(steps, machine, plan.Family, hubs),
            loop is null ? [] : RunWays.At(steps, loop),
            loop is null || plan.Next is not null ? null : WorkTaken.From(plan.Change, minutes, machine, loop),
            plan.ToFit(stored.Fitted),
            Tables.MachineKinds.Get(machine.Kind).Defers
        );
    }
}
