using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>What a new loop starts with, or one that becomes another kind, until the owner gives the right figures.</summary>
/// <param name="Standard">Chain, profile or section such a loop usually has.</param>
/// <param name="FrontSize">Teeth, or datum diameter in mm for friction belts.</param>
/// <param name="RearSize">The driven wheel, in the same measure.</param>
/// <param name="SlipFraction">Usual for its kind; 0 where teeth don't slip.</param>
public sealed record StartingLoop(
    DriveElement DriveElement,
    string Standard,
    double FrontSize,
    double RearSize,
    double SlipFraction,
    BeltArrangement Arrangement
)
{
    /// <summary>One for every kind of loop; common practice for each, of no real machine.</summary>
    public static IReadOnlyList<StartingLoop> All { get; } =
    [
        With(DriveElement.Chain, "520", 15, 45),
        With(DriveElement.ToothedBelt, "8M", 28, 84),
        With(DriveElement.VBelt, "A", 100, 250),
        With(DriveElement.FlatBelt, "flat", 100, 250),
        With(DriveElement.RoundBelt, "round", 60, 120),
    ];

    private static StartingLoop With(DriveElement element, string standard, double front, double rear) =>
        new(element, standard, front, rear, Loop.UsualSlip(element), BeltArrangement.Open);
}
