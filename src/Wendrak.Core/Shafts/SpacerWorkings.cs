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
    public static IReadOnlyList<Working> Explain(SpacerWorkingsInput input)
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
        return OffLine.With(pieces, hubs, plane, sprocket.LineMm).Working with
        {
            Title = $"Line error of {sprocket.Side.ToString().ToLowerInvariant()} of {sprocket.LoopKey}",
        };
    }

    private static Working Float(ShaftWidths shaft, IReadOnlyList<IReadOnlyList<double>> gaps) =>
        LeftFree.With(shaft.LengthMm, shaft.Sprockets.Sum(s => s.HubWidthMm), gaps.Sum(g => g.Sum())).Working;

    private static readonly Formula<Func<double, double, double, double, double>> OffLine = new(
        "Line error",
        "e",
        ("right of its line when positive", "mm"),
        (pieces, hubs, a, l) => pieces + hubs + a - l,
        [
            ("all spacers left of it", "mm"),
            ("all hubs left of it", "mm"),
            ("hub's left face to the middle of its teeth", "mm"),
            ("line, from the left shoulder", "mm"),
        ],
        "sum of widths; 0.5 mm for belts and 1 mm for chains: common practice",
        "Everything pushed to the left shoulder; the float lets the lot move right by as much."
    );

    private static readonly Formula<Func<double, double, double, double>> LeftFree = new(
        "Float along the shaft",
        "f",
        ("left free", "mm"),
        (S, hubs, pieces) => S - hubs - pieces,
        [("usable length of the shaft", "mm"), ("all hubs", "mm"), ("all spacers", "mm")],
        "sum of widths",
        "Measured widths: paint, burrs and bent washers are not in it."
    );

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
