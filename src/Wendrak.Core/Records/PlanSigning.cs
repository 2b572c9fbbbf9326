using Wendrak.Core.Procedures;

namespace Wendrak.Core.Records;

/// <summary>What of a plan stands in the way of the signature, and what asks a reason there.</summary>
internal static class PlanSigning
{
    public static IEnumerable<BlockedBy> Blocks(JobPlan? plan) =>
        plan is null
            ? []
            :
            [
                .. plan
                    .Steps.Where(s => s.Step.IsMust && s.State == StepState.Open)
                    .Select(s => new BlockedBy(SignatureBlock.StepOpen, s.Step.Do)),
                .. plan
                    .Steps.Where(s => s.State == StepState.ForNow)
                    .Select(s => new BlockedBy(SignatureBlock.StepForNow, s.Step.Do)),
                .. plan
                    .Tray.Where(l => l.State == TrayState.Missing)
                    .Select(l => new BlockedBy(SignatureBlock.PartMissing, l.Part.What)),
            ];

    /// <summary>What was done otherwise than the plan has it, by whom and why.</summary>
    public static IEnumerable<Deviation> Deviations(JobPlan? plan) =>
        plan is null
            ? []
            :
            [
                .. plan
                    .Steps.Where(s => s.State is StepState.Differently or StepState.LeftOut)
                    .Select(s => new Deviation(
                        s.State == StepState.LeftOut ? $"left out: {s.Step.Do}" : s.Step.Do,
                        s.Why ?? "",
                        s.Who,
                        s.At ?? default
                    )),
            ];

    public static IEnumerable<SignedDespite> Despite(JobPlan? plan, IEnumerable<JobEntry> entries)
    {
        if (plan is null)
            yield break;
        // A step that nobody did is left out too: it is told as what it is.
        if (
            plan.Steps.Any(s => s.State is StepState.Differently or StepState.LeftOut)
            || plan.Steps.Any(s => s.State == StepState.Open && !s.Step.IsMust)
            || plan.Tray.Any(l => l.State == TrayState.StandIn)
        )
            yield return SignedDespite.Deviation;
        if (
            plan.Steps.Any(s =>
                s.Fastening is { } tight
                && (tight.By != TorqueBy.Maker || tight.TorqueNm is null)
                && s.Step.Fastener is { TakesTorque: true }
            )
        )
            yield return SignedDespite.NoTorque;
        if (plan.IsUntold(entries))
            yield return SignedDespite.NotOnMachine;
    }
}
