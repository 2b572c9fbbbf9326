namespace Wendrak.Core.Loads;

/// <summary>What is laid side by side of two loops or more.</summary>
/// <param name="Standard">Of the chain or belt that was judged.</param>
/// <param name="FrontSize">Driving wheel it was counted with.</param>
/// <param name="RearSize">Driven wheel it was counted with.</param>
/// <param name="IsJudged">False for hoists, lifts for people and aircraft: this tool does not decide those.</param>
/// <param name="Smallest">The least margin of strength or grip that is no mere advice; null when none could be told.</param>
/// <param name="HardestPullN">Pull at the hardest, N; null where that is no operating point.</param>
/// <param name="FirstToothN">Then on the tooth where the tight run of a chain comes on, N; null for belts.</param>
/// <param name="EvenShareN">Then over the teeth in mesh, N; null for belts.</param>
/// <param name="PinPressureMpa">Cruising, MPa; null for belts, and where the bearing area is not known.</param>
/// <param name="GreatestSpeedMS">Of the chain or belt.</param>
/// <param name="ShaftLoadN">At the hardest pull on the driving shaft, N.</param>
/// <param name="InstalledTensionN">Of one run of a belt at rest, N; null for chains.</param>
/// <param name="MassKg">Of the chain or belt alone; null where neither tables nor person tell.</param>
public sealed record LoopFigures(
    string Standard,
    double FrontSize,
    double RearSize,
    bool IsJudged,
    LoadCheck? Smallest,
    double? HardestPullN,
    double? FirstToothN,
    double? EvenShareN,
    double? PinPressureMpa,
    double GreatestSpeedMS,
    double? ShaftLoadN,
    double? InstalledTensionN,
    double? MassKg
)
{
    internal static LoopFigures From(LoopLoadsResult loads)
    {
        PointLoads? hardest = loads.Points.FirstOrDefault(p => p.Point.Kind == OperatingPointKind.HardestPull);
        return new(
            loads.Standard,
            loads.FrontSize,
            loads.RearSize,
            loads.IsJudged,
            loads.Smallest,
            hardest?.PullN,
            hardest?.Teeth?.FirstToothN,
            hardest?.Teeth?.EvenShareN,
            loads.Checks.FirstOrDefault(c => c.Kind == LoadCheckKind.PinPressure)?.Value,
            loads.GreatestSpeedMS,
            hardest?.FrontShaft.LoadN,
            loads.InstalledTensionN,
            loads.MassKg
        );
    }
}
