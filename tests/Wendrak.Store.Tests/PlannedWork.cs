using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>A front wheel of a chain of one tooth more, planned at a job and worked on until its parts are on.</summary>
internal static class PlannedWork
{
    /// <param name="key">Of each event.</param>
    /// <returns>What is to go on.</returns>
    public static async Task<LoopChoice> PlanAsync(TempStore store, JobSheet job, Func<string> key)
    {
        Setup fitted = (await store.Setups.ListAsync(job.MachineId)).Single(s => s.Status == SetupStatus.AsFitted);
        LoopChoice on = fitted.Loops[0];
        LoopChoice wanted = on with { FrontSize = on.FrontSize + 1 };
        PlanMade plan = new(ChangeKind.FrontWheel, on.LoopKey, ProcedureFamily.FinalChain, wanted);
        await store.Jobs.AppendAsync("Ann", job.Id, [new(key(), plan)], default);
        return wanted;
    }

    public static async Task<LoopChoice> PutPartsOnAsync(TempStore store, JobSheet job, Func<string> key)
    {
        LoopChoice wanted = await PlanAsync(store, job, key);
        await WorkAsync(store, job, key);
        return wanted;
    }

    /// <summary>Every step until its parts are on.</summary>
    public static async Task WorkAsync(TempStore store, JobSheet job, Func<string> key)
    {
        IEnumerable<ProcedureStep> steps = (await store.Jobs.FindPlanAsync(job.Id))!.Plan.Steps.Select(s => s.Step);
        await store.Jobs.AppendAsync(
            "Ann",
            job.Id,
            [.. steps.TakeWhile(s => s.Phase <= StepPhase.On).Select(s => new SentEvent(key(), Done(s)))],
            default
        );
    }

    private static StepDone Done(ProcedureStep step) =>
        new(
            step.Key,
            StepOutcome.Done,
            null,
            step.Way?.Right,
            [],
            step.Fastener is null ? null : new(4, 4, 98, TorqueBy.Maker, LockCondition.Fresh)
        );
}
