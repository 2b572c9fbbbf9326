using Wendrak.Core.Quantities;

namespace Wendrak.Core.Geometry;

/// <summary>How the place of every sprocket on a shaft came about.</summary>
internal static class SpacerWorkings
{
    public static IReadOnlyList<Working> Of(ShaftWidths shaft, FilledShaft way) =>
        [
            .. way.Sprockets.Select(
                (seated, i) =>
                    new Working(
                        $"Line error of {seated.Side.ToString().ToLowerInvariant()} of {seated.LoopKey}",
                        "e = Σ pieces + Σ hubs before it + a − l",
                        [
                            new(
                                "Σ pieces",
                                "spacers left of it",
                                way.Gaps.Take(i + 1).Sum(s => s.PiecesMm.Sum()),
                                "mm"
                            ),
                            new("Σ hubs", "hubs left of it", way.Sprockets.Take(i).Sum(s => s.HubWidthMm), "mm"),
                            new(
                                "a",
                                "hub's left face to the middle of its teeth",
                                seated.PlaneMm - seated.LeftFaceMm,
                                "mm"
                            ),
                            new("l", "line, from the left shoulder", shaft.Sprockets[i].LineMm, "mm"),
                        ],
                        new("e", "right of its line when positive", seated.ErrorMm, "mm"),
                        "sum of widths; 0.5 mm for belts and 1 mm for chains: common practice",
                        "Everything pushed to the left shoulder; the float lets the lot move right by as much."
                    )
            ),
            new(
                "Float along the shaft",
                "f = S − Σ hubs − Σ pieces",
                [
                    new("S", "usable length of the shaft", shaft.LengthMm, "mm"),
                    new("Σ hubs", "all hubs", shaft.Sprockets.Sum(s => s.HubWidthMm), "mm"),
                    new("Σ pieces", "all spacers", way.Gaps.Sum(s => s.PiecesMm.Sum()), "mm"),
                ],
                new("f", "left free", way.FloatMm, "mm"),
                "sum of widths",
                "Measured widths: paint, burrs and bent washers are not in it."
            ),
        ];
}
