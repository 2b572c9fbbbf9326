using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Which road wheel is on an output: the setup's own choice, else the machine's.</summary>
public static class RoadWheels
{
    public static RoadWheel? On(DriveOutput output, IReadOnlyList<RoadWheelChoice> choices) =>
        choices.FirstOrDefault(c => c.OutputName == output.Name)?.RoadWheel ?? output.RoadWheel;

    /// <summary>Refuses a choice for an output that is not there, or of a size that can't be read.</summary>
    internal static Guard Check(IReadOnlyList<RoadWheelChoice> choices, IEnumerable<Drive> drives)
    {
        Guard guard = new();
        HashSet<string> outputs = [.. drives.SelectMany(d => d.Outputs).Select(o => o.Name)];
        for (int i = 0; i < choices.Count; i++)
        {
            RoadWheelChoice choice = choices[i];
            string at = $"RoadWheels[{i}].";
            guard.That(
                outputs.Contains(choice.OutputName),
                at + nameof(choice.OutputName),
                "unknown",
                $"Give one of this machine's outputs: {string.Join(", ", outputs)}."
            );
            guard.Include(new Guard(at + "RoadWheel.").Include(RollingCircumference.Check(choice.RoadWheel)));
        }
        return guard;
    }
}
