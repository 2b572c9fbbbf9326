using Wendrak.Core.Procedures;

namespace Wendrak.Core.Evaluation;

/// <summary>A part of the work.</summary>
/// <param name="Minutes">Usual working time of its steps, min.</param>
public sealed record PhaseMinutes(StepPhase Phase, double Minutes)
{
    /// <returns>Parts in the order in which the steps first come to them.</returns>
    internal static IReadOnlyList<PhaseMinutes> Of(IEnumerable<ProcedureStep> steps) =>
        [.. steps.GroupBy(s => s.Phase).Select(p => new PhaseMinutes(p.Key, p.Sum(s => s.Minutes)))];
}
