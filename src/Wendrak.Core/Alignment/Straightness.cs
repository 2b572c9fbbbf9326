using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Alignment;

/// <summary>A straight-edge along both wheels.</summary>
/// <param name="XMm">Four places: two on the front wheel, two on the rear one.</param>
/// <param name="RimWidthFrontMm">0 for wheels of equal width.</param>
/// <param name="GapMm">Gap to the edge at each of them, mm.</param>
/// <param name="RimWidthRearMm">The same of the rear wheel.</param>
public sealed record StraightEdge(
    IReadOnlyList<double> XMm,
    IReadOnlyList<double> GapMm,
    double RimWidthFrontMm = 0,
    double RimWidthRearMm = 0
);

/// <summary>Distances from a point ahead to the axle on both sides, as marks or a trammel tell.</summary>
/// <param name="LeftMm">From the point ahead to the axle on the left, mm.</param>
/// <param name="RightMm">The same on the right.</param>
public sealed record AxleMarks(double LeftMm, double RightMm);

/// <summary>What was measured of how straight a loop runs; one of the readings, in the way people have it.</summary>
/// <param name="CentreMm">Between both shafts, for limits that go with it.</param>
/// <param name="SpacingMm">Between both adjusters; null where nothing is to be turned.</param>
/// <param name="Setting">How the axle is moved; null where nobody said.</param>
/// <param name="LineOffsetMm">Of chain or belt line alone, front to rear.</param>
/// <param name="AlongString">The rear wheel against a string along the front one.</param>
public sealed record StraightnessInput(
    MachineKind Kind,
    DriveElement DriveElement,
    double CentreMm,
    double? SpacingMm,
    LoopSetting? Setting,
    StraightEdge? Edge = null,
    AxleMarks? Marks = null,
    double? LineOffsetMm = null,
    StringReading? AlongString = null
);

/// <summary>How straight both wheels stand.</summary>
/// <param name="OffsetMm">Null where it was not measured.</param>
/// <param name="OffsetLimitMm">Null where no limit is known.</param>
/// <param name="IsStraight">Null where nothing that was measured has a limit.</param>
/// <param name="Move">Of the right adjuster alone, as a hand can make it, to square the axle; null where it is square or nobody said how it is moved.</param>
/// <param name="SquareMm">Way of the right end that squares the axle exactly; null where nothing tells how far apart both ends are.</param>
/// <param name="ShiftMm">How far the rear wheel must go across, or the front one the other way; null where it need not.</param>
/// <param name="ShiftTo">Where to.</param>
/// <param name="WalksTo">Where a belt goes as it stands.</param>
/// <param name="EdgeLies">False where the straight-edge hardly lay on the front wheel; null without one.</param>
/// <param name="OffsetMmPerM">The offset for each metre between the wheels, as they were measured.</param>
/// <param name="OffsetAngleDeg">The same as an angle.</param>
/// <param name="AngleDeg">Of the rear axle from square; null where it was not measured.</param>
/// <param name="AngleLimitDeg">Null where no limit is known.</param>
/// <param name="Source">Who says so.</param>
public sealed record StraightnessResult(
    double? OffsetMm,
    double? AngleDeg,
    double? OffsetLimitMm,
    double? AngleLimitDeg,
    bool? IsStraight,
    AdjusterMove? Move,
    double? SquareMm,
    double? ShiftMm,
    ShiftTo? ShiftTo,
    Side? WalksTo,
    bool? EdgeLies,
    double? OffsetMmPerM,
    double? OffsetAngleDeg,
    string Source,
    IReadOnlyList<Working> Workings
);

/// <summary>Which way a wheel goes across.</summary>
public enum ShiftTo
{
    /// <summary>Towards the straight-edge.</summary>
    Edge,

    /// <summary>Away from the straight-edge.</summary>
    OffEdge,

    /// <summary>Back to the line of the front wheel.</summary>
    Line,
}

/// <summary>Judges how straight a loop runs, offset and angle apart. Limits: table <c>alignment_limits.csv</c>, common practice.</summary>
public static class Straightness
{
    /// <exception cref="InvalidInputException">Nothing was measured, or a value is not physical.</exception>
    public static StraightnessResult Judge(StraightnessInput input)
    {
        new Guard()
            .OneOf(nameof(input.Kind), input.Kind)
            .OneOf(nameof(input.DriveElement), input.DriveElement)
            .Between(nameof(input.CentreMm), input.CentreMm, 20, 20_000, "mm")
            .BetweenIfGiven(nameof(input.SpacingMm), input.SpacingMm, 10, 3_000, "mm")
            .BetweenIfGiven(nameof(input.LineOffsetMm), input.LineOffsetMm, -200, 200, "mm")
            .That(
                input.Edge is not null
                    || input.Marks is not null
                    || input.LineOffsetMm is not null
                    || input.AlongString is not null,
                nameof(input.Edge),
                "missing",
                "Measure one: gaps at a straight-edge, marks on both arms, the line, or a string."
            )
            .That(
                input.Marks is null || input.SpacingMm is not null,
                nameof(input.SpacingMm),
                "missing",
                "Give how far apart both ends of the axle are."
            )
            .ThrowIfAny();
        StraightedgeReadingResult? edge = input.Edge is { } e
            ? At("Edge.", () => StraightedgeReading.Evaluate(e.XMm, e.GapMm, e.RimWidthFrontMm, e.RimWidthRearMm))
            : null;
        AxleSkewResult? skew = input.Marks is { } m
            ? At("Marks.", () => AxleSkew.Compute(m.LeftMm, m.RightMm, input.SpacingMm!.Value, null))
            : null;
        double? offset = edge?.OffsetMm ?? input.LineOffsetMm;
        Explained? byString = input.AlongString is { } s ? StringLine.Angle(s) : null;
        double? angle = edge?.AngleDeg ?? skew?.SkewDeg ?? byString?.Value;
        AlignmentLimit? limit = LimitOf(input);
        double? offsetLimit = limit?.OffsetLimitMm ?? limit?.OffsetLimitMmPerM * input.CentreMm / 1_000;
        double? backMm = skew is not null
            ? -skew.DifferenceMm
            : -Math.Tan((angle ?? 0) * Math.PI / 180) * input.SpacingMm;
        bool isOff = offset is double off && offsetLimit is double most && Math.Abs(off) > most;
        return new(
            offset,
            angle,
            offsetLimit,
            limit?.AngularLimitDeg,
            Within(offset, offsetLimit, angle, limit?.AngularLimitDeg),
            backMm is double mm && input.Setting is { } setting ? MoveOf(setting, mm) : null,
            backMm,
            isOff ? Math.Abs(offset!.Value) : null,
            !isOff ? null
                : edge is null ? ShiftTo.Line
                : offset > 0 ? ShiftTo.Edge
                : ShiftTo.OffEdge,
            skew?.WalksTo,
            edge?.EdgeLies,
            edge?.OffsetMmPerM ?? offset / input.CentreMm * 1_000,
            edge?.OffsetAngleDeg ?? (offset is double aside ? Math.Atan(aside / input.CentreMm) * 180 / Math.PI : null),
            limit is null ? "no limit known for this kind" : $"{limit.Use}, {limit.Drive}: {limit.Certainty}",
            [.. Explain(input, edge, offsetLimit, byString, limit)]
        );
    }

    /// <summary>A refusal of a part names the part.</summary>
    private static T At<T>(string part, Func<T> measured)
    {
        try
        {
            return measured();
        }
        catch (InvalidInputException refused)
        {
            throw new InvalidInputException([.. refused.Issues.Select(i => i with { Field = part + i.Field })]);
        }
    }

    /// <summary>The nearest a hand can make; null where it would be none.</summary>
    private static AdjusterMove? MoveOf(LoopSetting setting, double backMm)
    {
        double units = Math.Round(backMm / setting.Adjuster.TravelMm / setting.Adjuster.Step) * setting.Adjuster.Step;
        return setting.Adjuster.HasTwoEnds && units != 0
            ? AdjusterMove.From(setting, Side.Right, units, units * setting.Adjuster.TravelMm)
            : null;
    }

    private static bool? Within(double? offset, double? offsetLimit, double? angle, double? angleLimit)
    {
        bool? line = offset is double o && offsetLimit is double most ? Math.Abs(o) <= most : null;
        bool? square = angle is double a && angleLimit is double widest ? Math.Abs(a) <= widest : null;
        return line is null && square is null ? null : line != false && square != false;
    }

    private static readonly AlignmentRow VBelts = new("industrial", "classical or narrow V-belt");

    private static AlignmentLimit? LimitOf(StraightnessInput input)
    {
        AlignmentRow? row = input.DriveElement switch
        {
            DriveElement.Chain => MachineKinds.Get(input.Kind).ChainAlignment,
            DriveElement.ToothedBelt => MachineKinds.Get(input.Kind).BeltAlignment,
            DriveElement.VBelt => VBelts,
            _ => null,
        };
        return row is null ? null : AlignmentLimits.Get(row.Use, row.Drive);
    }

    private static readonly Formula<Func<double, double>> OffTheLine = new(
        "Off the line",
        "o",
        ("rear wheel", "mm"),
        measured => measured,
        [("from the line of the front wheel", "mm")],
        "measured; common practice",
        "The maker's figure wins."
    );

    private static IEnumerable<Working> Explain(
        StraightnessInput input,
        StraightedgeReadingResult? edge,
        double? offsetLimit,
        Explained? byString,
        AlignmentLimit? limit
    )
    {
        foreach (Explained figure in edge?.Explained ?? [])
            yield return figure.Working with
            {
                Beside = Limit(limit, figure.Working.Result.Unit == "°" ? limit?.AngularLimitDeg : offsetLimit, figure),
            };
        if (input is { Marks: { } m, SpacingMm: double spacing })
            yield return AxleSkew.Skew.With(m.LeftMm, m.RightMm, spacing).Working;
        if (byString is { } turned)
            yield return turned.Working with
            {
                Beside = Limit(limit, limit?.AngularLimitDeg, turned),
            };
        if (input.LineOffsetMm is double line)
            yield return OffTheLine.With(line).Working with
            {
                Beside = Limit(limit, offsetLimit, OffTheLine.With(line)),
            };
    }

    private static IReadOnlyList<WorkingValue> Limit(AlignmentLimit? row, double? value, Explained figure) =>
        row is not null && value is double limit
            ? [new("limit", $"{row.Use}, {row.Drive}", limit, figure.Working.Result.Unit)]
            : [];
}
