using Wendrak.Core.Procedures;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>A part at the step that puts it on, and how far it is off the wrong way round.</summary>
/// <param name="Step">Key of the step.</param>
/// <param name="What">What is measured for it.</param>
/// <param name="MeasuredMm">As measured on this machine, mm; null where nobody did.</param>
/// <param name="MovesMm">How far it stands off the wrong way round, mm; null where nothing is measured.</param>
public sealed record WayAtStep(string Step, string What, double? MeasuredMm, double? MovesMm);

/// <summary>Both ways round of what was measured for its step: dish, flange, spacers, lips.</summary>
internal static class MeasuredWays
{
    /// <returns>Steps that ask for a measure, measured or not; what Fit has measured already is not asked again.</returns>
    public static IReadOnlyList<WayAtStep> At(
        IReadOnlyList<ProcedureStep> steps,
        Machine machine,
        ProcedureFamily family,
        IReadOnlyList<HubAtStep> hubs
    )
    {
        // A plan that was made before its procedure named the measure is helped by what the procedure says now.
        Dictionary<string, WayMeasure?> now = ProcedureLibrary
            .Get(family)
            .Steps.ToDictionary(s => s.Key, s => s.Way?.Measure);
        OwnProcedure? own = machine.Procedures?.FirstOrDefault(p => p.Family == family);
        return
        [
            .. from step in steps
            where step.Way is not null && hubs.All(h => h.Step != step.Key)
            let measure = step.Way?.Measure ?? now.GetValueOrDefault(step.Key)
            where measure is not null
            let mm = own?.Reworded.FirstOrDefault(w => w.Step == step.Key)?.WayMm
            select new WayAtStep(step.Key, measure.What, mm, mm * measure.Times),
        ];
    }
}
