using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Choices;

/// <summary>What a pair of gears, a planetary set, a shaft or nothing at all would be in the place of a loop.</summary>
internal static class NoLoopKinds
{
    /// <summary>A ratio this near to 1 is none: judgement.</summary>
    private const double NearOne = 0.02;

    /// <param name="ratio">Of the loop: turns of the driving shaft for one of the driven one.</param>
    /// <param name="centreMm">Between its shafts; null where nobody said.</param>
    public static KindAtPlace Of(ChoiceKind kind, double ratio, double? centreMm)
    {
        double step = Math.Max(ratio, 1 / ratio);
        bool isRatio =
            step <= kind.MostRatio * (1 + NearOne)
            && (kind.LeastRatio is not double least || step >= least * (1 - NearOne));
        KindAtPlace Is(KindHolds holds, string figure, params Working[] workings) =>
            new(kind, false, holds, null, false, 0, null, null, null, null, null, null, null, null, figure, workings);
        if (!isRatio)
            return Is(
                KindHolds.NotThisRatio,
                kind.LeastRatio is double from && step < from
                    ? FormattableString.Invariant(
                        $"{step:0.##} to 1 is less than one stage of it gives: from {from:0.##}"
                    )
                    : FormattableString.Invariant(
                        $"{step:0.##} to 1 is more than one stage of it gives: up to {kind.MostRatio:0.##}"
                    )
            );
        switch (kind.Key)
        {
            case "gearPair" when centreMm is double centre:
                Explained small = SmallGear.With(centre, step);
                Explained large = LargeGear.With(centre, step);
                return Is(
                    KindHolds.NotJudgedHere,
                    FormattableString.Invariant(
                        $"wheels of {small.Value:0} and {large.Value:0} mm reach from shaft to shaft; the other sense of turning"
                    ),
                    small.Working,
                    large.Working
                );
            case "gearPair":
                return Is(KindHolds.NotJudgedHere, "shafts close together; the other sense of turning");
            case "direct":
                return Is(KindHolds.NotJudgedHere, "the motor on the driven shaft itself: both in line");
            case "planetary":
                Explained ring = Ring.With(step);
                return Is(
                    KindHolds.NotJudgedHere,
                    FormattableString.Invariant(
                        $"both shafts in line; a ring with {ring.Value:0.##} times the teeth of the sun, ring held"
                    ),
                    ring.Working
                );
            default:
                return Is(KindHolds.NotJudgedHere, "bevel gears and a shaft in the frame: another machine");
        }
    }

    private static readonly Formula<Func<double, double, double>> SmallGear = new(
        "Smaller of two gears that reach",
        "d_1",
        ("pitch diameter", "mm"),
        (C, i) => 2 * C / (1 + i),
        [("distance of the shafts", "mm"), ("ratio, at least 1", "")],
        "Machinery's Handbook, spur gears: centre distance is half the sum of the pitch diameters",
        "Two gears, outside each other."
    );

    private static readonly Formula<Func<double, double, double>> LargeGear = new(
        "Larger of two gears that reach",
        "d_2",
        ("pitch diameter", "mm"),
        (C, i) => 2 * C * i / (1 + i),
        [("distance of the shafts", "mm"), ("ratio, at least 1", "")],
        "Machinery's Handbook, spur gears: centre distance is half the sum of the pitch diameters",
        "Two gears, outside each other."
    );

    private static readonly Formula<Func<double, double>> Ring = new(
        "Ring of a planetary set",
        "N_r/N_s",
        ("teeth of the ring over those of the sun", ""),
        i => i - 1,
        [("ratio, sun drives, ring held", "")],
        "planetary gears: i = 1 + ring/sun",
        "Sun drives, planets are driven, the ring is held."
    );
}
