using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Shafts;

/// <summary>A filled shaft to be explained.</summary>
/// <param name="Drive">The drive the shaft belongs to.</param>
/// <param name="GapsMm">Spacers left of the first sprocket, between them, right of the last.</param>
/// <param name="Turned">Which sprockets sit the other way round.</param>
public sealed record SpacerWorkingsInput(
    Drive Drive,
    ShaftWidths Shaft,
    IReadOnlyList<IReadOnlyList<double>> GapsMm,
    IReadOnlyList<bool> Turned
);

/// <summary>How the place of every sprocket on a shaft came about, from the pieces that lie there.</summary>
public static class SpacerWorkings
{
    private const int MostPieces = 200;

    /// <exception cref="InvalidInputException">The shaft is refused, or the pieces are not those of its gaps.</exception>
    public static IReadOnlyList<Working> Of(SpacerWorkingsInput input)
    {
        Check(input);
        ShaftWidths shaft = input.Shaft;
        return
        [
            .. shaft.Sprockets.Select((_, i) => LineError(shaft, i, input.GapsMm, input.Turned[i])),
            Float(shaft, input.GapsMm),
        ];
    }

    private static Working LineError(
        ShaftWidths shaft,
        int at,
        IReadOnlyList<IReadOnlyList<double>> gaps,
        bool isTurned
    )
    {
        SprocketOnShaft sprocket = shaft.Sprockets[at];
        double pieces = gaps.Take(at + 1).Sum(g => g.Sum());
        double hubs = shaft.Sprockets.Take(at).Sum(s => s.HubWidthMm);
        double plane = isTurned ? sprocket.HubWidthMm - sprocket.PlaneMm : sprocket.PlaneMm;
        return new(
            $"Line error of {sprocket.Side.ToString().ToLowerInvariant()} of {sprocket.LoopKey}",
            "e = Σ pieces + Σ hubs before it + a − l",
            [
                new("Σ pieces", "spacers left of it", pieces, "mm"),
                new("Σ hubs", "hubs left of it", hubs, "mm"),
                new("a", "hub's left face to the middle of its teeth", plane, "mm"),
                new("l", "line, from the left shoulder", sprocket.LineMm, "mm"),
            ],
            new("e", "right of its line when positive", pieces + hubs + plane - sprocket.LineMm, "mm"),
            "sum of widths; 0.5 mm for belts and 1 mm for chains: common practice",
            "Everything pushed to the left shoulder; the float lets the lot move right by as much."
        );
    }

    private static Working Float(ShaftWidths shaft, IReadOnlyList<IReadOnlyList<double>> gaps)
    {
        double hubs = shaft.Sprockets.Sum(s => s.HubWidthMm);
        double pieces = gaps.Sum(g => g.Sum());
        return new(
            "Float along the shaft",
            "f = S − Σ hubs − Σ pieces",
            [
                new("S", "usable length of the shaft", shaft.LengthMm, "mm"),
                new("Σ hubs", "all hubs", hubs, "mm"),
                new("Σ pieces", "all spacers", pieces, "mm"),
            ],
            new("f", "left free", shaft.LengthMm - hubs - pieces, "mm"),
            "sum of widths",
            "Measured widths: paint, burrs and bent washers are not in it."
        );
    }

    private static void Check(SpacerWorkingsInput input)
    {
        DriveRules.Require(input.Drive);
        int sprockets = input.Shaft.Sprockets.Count;
        Guard guard = new();
        guard
            .Include(new Guard("Shaft.").Include(ShaftWidths.Check(input.Shaft, input.Drive)))
            .Count(nameof(input.GapsMm), input.GapsMm.Count, sprockets + 1, sprockets + 1, "gaps")
            .Count(nameof(input.Turned), input.Turned.Count, sprockets, sprockets, "sprockets");
        for (int i = 0; i < input.GapsMm.Count; i++)
        {
            IReadOnlyList<double> pieces = input.GapsMm[i];
            guard.Count($"{nameof(input.GapsMm)}[{i}]", pieces.Count, 0, MostPieces, "pieces");
            for (int k = 0; k < pieces.Count; k++)
                guard.Between($"{nameof(input.GapsMm)}[{i}][{k}]", pieces[k], 0.05, 1_000, "mm");
        }
        guard.ThrowIfAny();
    }
}
