using Wendrak.Core.Gearing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>What differs between two setups.</summary>
public enum SetupPart
{
    Front,
    Rear,

    /// <summary>Links, teeth or mm of the chain or belt: it follows the wheels and has no effect of its own.</summary>
    Length,
    RoadWheel,
}

/// <summary>One part that two setups have otherwise.</summary>
/// <param name="LoopKey">Of the loop; of a road wheel the name of what it turns.</param>
/// <param name="Part">Which.</param>
/// <param name="First">Teeth, mm or links; null of a road wheel.</param>
/// <param name="Second">The same of the second one.</param>
public sealed record SetupDifference(string LoopKey, SetupPart Part, double? First, double? Second)
{
    /// <summary>What a comparison of two setups can't tell apart.</summary>
    public static IReadOnlyList<SetupDifference> Between(Setup first, Setup second)
    {
        List<SetupDifference> found = [];
        foreach (LoopChoice a in first.Loops)
            if (second.Loops.FirstOrDefault(l => l.LoopKey == a.LoopKey) is { } b)
            {
                Add(a.LoopKey, SetupPart.Front, a.FrontSize, b.FrontSize);
                Add(a.LoopKey, SetupPart.Rear, a.RearSize, b.RearSize);
                Add(a.LoopKey, SetupPart.Length, a.Links ?? a.LengthMm, b.Links ?? b.LengthMm);
            }
        foreach (
            string output in first.RoadWheels.Concat(second.RoadWheels).Select(w => w.OutputName).Distinct().Order()
        )
            if (WheelOf(first, output) != WheelOf(second, output))
                found.Add(new(output, SetupPart.RoadWheel, null, null));
        return found;

        void Add(string key, SetupPart part, double? one, double? other)
        {
            if (one != other)
                found.Add(new(key, part, one, other));
        }
    }

    /// <summary>How much shorter the second one is geared than the first; null where road wheels differ too.</summary>
    public static double? ShorterBy(Setup first, Setup second) =>
        Between(first, second).Any(d => d.Part == SetupPart.RoadWheel) ? null : RatioOf(second) / RatioOf(first);

    private static double RatioOf(Setup setup) =>
        setup.Loops.Aggregate(1.0, (ratio, l) => ratio * l.RearSize / l.FrontSize);

    private static RoadWheel? WheelOf(Setup setup, string output) =>
        setup.RoadWheels.FirstOrDefault(w => w.OutputName == output)?.RoadWheel;
}
