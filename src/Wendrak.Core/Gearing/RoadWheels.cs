namespace Wendrak.Core.Gearing;

/// <summary>Which road wheel is on an output: the setup's own choice, else the machine's.</summary>
public static class RoadWheels
{
    public static RoadWheel? On(DriveOutput output, IReadOnlyList<RoadWheelChoice> choices) =>
        choices.FirstOrDefault(c => c.OutputName == output.Name)?.RoadWheel ?? output.RoadWheel;
}
