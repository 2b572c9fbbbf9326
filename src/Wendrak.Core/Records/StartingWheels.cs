using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>Wheels that a new loop starts with until the owner gives the right ones.</summary>
/// <param name="Standard">Chain, profile or section such a loop usually has.</param>
/// <param name="FrontSize">Teeth, or datum diameter in mm for friction belts.</param>
public sealed record StartingWheels(DriveElement Medium, string Standard, double FrontSize, double RearSize)
{
    /// <summary>One for every kind of loop; common practice for each, of no real machine.</summary>
    public static IReadOnlyList<StartingWheels> All { get; } =
    [
        new(DriveElement.Chain, "520", 15, 45),
        new(DriveElement.ToothedBelt, "8M", 28, 84),
        new(DriveElement.VBelt, "A", 100, 250),
        new(DriveElement.FlatBelt, "flat", 100, 250),
        new(DriveElement.RoundBelt, "round", 60, 120),
    ];
}
