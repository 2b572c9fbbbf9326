using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loops;

internal static class DriveLoops
{
    /// <summary>A loop of a checked drive.</summary>
    /// <param name="field">Where the key stands in the input, for the refusal.</param>
    /// <exception cref="InvalidInputException">The drive is refused, or has no such loop.</exception>
    public static Loop Find(Drive drive, string key, string field)
    {
        DriveRules.Require(drive);
        return drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == key)
            ?? throw new InvalidInputException(field, "unknown", "Give a loop of this drive.");
    }
}
