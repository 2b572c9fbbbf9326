using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Evaluation;

/// <summary>A wheel on its hub at the step that puts it on, and what turning it round would do.</summary>
/// <param name="Step">Key of the step.</param>
/// <param name="HubWidthMm">Width of its hub, mm.</param>
/// <param name="PlaneMm">Middle of its teeth or groove from the left face of its hub, mm, as it goes on.</param>
/// <param name="TurnedPlaneMm">The same with the wheel turned round, mm.</param>
/// <param name="BoreMm">The shaft it sits on, mm.</param>
/// <param name="MovesMm">How far the row moves when it is turned round, mm.</param>
public sealed record HubAtStep(
    string Step,
    double HubWidthMm,
    double PlaneMm,
    double TurnedPlaneMm,
    double BoreMm,
    double MovesMm
);

/// <summary>Both ways round of the wheels that were measured on their shafts.</summary>
internal static class HubWays
{
    private static readonly Dictionary<string, WheelSide> Sides = new()
    {
        [TrayCounts.FrontWheel] = WheelSide.Front,
        [TrayCounts.RearWheel] = WheelSide.Rear,
    };

    /// <returns>Only wheels whose widths were measured at Fit; empty where none was.</returns>
    public static IReadOnlyList<HubAtStep> At(
        IEnumerable<ProcedureStep> steps,
        Machine machine,
        Drive drive,
        Loop loop
    ) =>
        [
            .. from step in steps
            where step.Way is not null
            from part in step.Parts
            where Sides.ContainsKey(part.Key)
            from shaft in machine.Shafts ?? []
            where shaft.DriveKey == drive.Key
            from wheel in shaft.Sprockets
            where wheel.LoopKey == loop.Key && wheel.Side == Sides[part.Key]
            select Turn(step.Key, wheel, shaft.DiameterMm),
        ];

    private static HubAtStep Turn(string step, SprocketOnShaft wheel, double boreMm)
    {
        double turned = wheel.HubWidthMm - wheel.PlaneMm;
        return new(step, wheel.HubWidthMm, wheel.PlaneMm, turned, boreMm, Math.Abs(turned - wheel.PlaneMm));
    }
}
