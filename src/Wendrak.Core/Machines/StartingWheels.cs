using Wendrak.Core.Gearing;

namespace Wendrak.Core.Machines;

/// <summary>Wheels that a new loop starts with until the owner gives the right ones.</summary>
/// <param name="FrontSize">Teeth, or datum diameter in mm for friction belts.</param>
public sealed record StartingWheels(LoopMedium Medium, double FrontSize, double RearSize)
{
    /// <summary>One for every kind of loop; common practice for each, of no real machine.</summary>
    public static IReadOnlyList<StartingWheels> All { get; } =
    [
        new(LoopMedium.Chain, 15, 45),
        new(LoopMedium.ToothedBelt, 28, 84),
        new(LoopMedium.VBelt, 100, 250),
        new(LoopMedium.FlatBelt, 100, 250),
        new(LoopMedium.RoundBelt, 60, 120),
    ];
}
