using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of belts that pull by friction.</summary>
internal static class FrictionBeltChecks
{
    // Shigley: an effective coefficient of 0.5123 for common V-belts is f = 0.17 in a groove of 38°.
    private const double VBeltFriction = 0.17;
    private const double FlatFriction = 0.3;
    private const double UsualGrooveDeg = 38;

    public static IEnumerable<LoadCheck> Check(LoadedLoop loop)
    {
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
            yield return Slips(loop, hardest);
        if (loop.Loop.DriveElement == DriveElement.VBelt)
            yield return Count(loop, loop.Lasting);
        OperatingPoint fastest = loop.Points.MaxBy(loop.SpeedMS)!;
        BeltSpeedRange speeds = BeltSpeedRange.For(loop);
        yield return LoadCheck.AtMost(
            BeltSpeed,
            fastest.Kind,
            loop.Speed(fastest),
            speeds.ToMS,
            LoadLimits.Get("belt speed", Kind).StopShare!.Value,
            speeds.Source + "; rims of cast iron pulleys 30 to 35 m/s: common practice"
        );
        OperatingPoint lasting = loop.Lasting;
        yield return LoadCheck.AtLeast(
            LowBeltSpeed,
            lasting.Kind,
            loop.Speed(lasting),
            speeds.FromMS,
            LoadLimits.Get("low belt speed", Kind).StopShare!.Value,
            speeds.Source + "; slower, the same power needs more pull and more belts"
        );
        foreach (LoadCheck distance in Distances(loop))
            yield return distance;
        if (loop.Loop.DriveElement == DriveElement.RoundBelt)
            yield return Breaking(loop);
        yield return Small(loop, fastest);
        if (loop.Loop.SmallestFront is double own)
            yield return LoadChecks.OwnSmallestFront(loop, loop.Points[0], own);
    }

    private static IEnumerable<LoadCheck> Distances(LoadedLoop loop)
    {
        (double near, double far) = DistanceM(loop);
        double distance = loop.Front.Centre.DistanceTo(loop.Rear.Centre) / 1_000;
        OperatingPointKind point = loop.Points[0].Kind;
        yield return LoadCheck.AtMost(
            LongDistance,
            point,
            distance,
            far,
            DistanceRow.StopShare!.Value,
            DistanceRow.Source
        );
        // A short rope is laid for nothing: its own weight gives it its grip.
        if (loop.Strength.Rope is { } rope && rope != RopeKind.Cord)
            yield return LoadCheck.AtLeast(
                ShortDistance,
                point,
                distance,
                near,
                DistanceRow.StopShare!.Value,
                DistanceRow.Source
            );
    }

    private const string Kind = "friction belt";
    private static readonly LoadLimit DistanceRow = LoadLimits.Get("distance", Kind);

    /// <summary>Centre distances that such a drive is used for, m.</summary>
    public static (double NearM, double FarM) DistanceM(LoadedLoop loop) =>
        loop.Loop.DriveElement switch
        {
            DriveElement.VBelt => (0.3, 5.0),
            DriveElement.FlatBelt => (0.5, 15.0),
            _ => RopeOf(loop)!.DistanceM,
        };

    private static LoadCheck Small(LoadedLoop loop, OperatingPoint fastest)
    {
        LoadLimit row = LoadLimits.Get("small pulley", "V-belt");
        return VSections.Find(loop.Standard) is { } section && loop.Loop.DriveElement == DriveElement.VBelt
            ? LoadCheck.AtLeast(
                SmallPulley,
                fastest.Kind,
                loop.SmallerSize,
                section.MinDatumDiameterMm,
                row.StopShare!.Value,
                row.Source
            )
            : LoadCheck.Untold(
                SmallPulley,
                fastest.Kind,
                loop.SmallerSize,
                "no table of least pulleys for this kind: ask the belt's maker",
                Unjudged.TableSilent
            );
    }

    /// <summary>Friction with the groove in it, of the wheel that slips first.</summary>
    public static double EffectiveFriction(LoadedLoop loop) => InGroove(loop)?.Value ?? Friction(loop);

    /// <returns>Null for a flat belt, which has no groove.</returns>
    private static Explained? InGroove(LoadedLoop loop)
    {
        Given friction = new(Friction(loop), IsUsual: loop.Strength.Friction is null);
        if (GrooveDeg(loop) is double groove)
            return BeltFriction.InGroove.With(friction, new(groove, IsUsual: loop.Strength.GrooveAngleDeg is null));
        return RopeOf(loop) is { } rope ? BeltFriction.InRoundGroove.With(friction, rope.FormFactor) : null;
    }

    private static readonly Formula<Func<double, double, double>> OverTightRun = new(
        "Breaking load over the tight run",
        "S",
        ("margin", ""),
        (F_B, T1) => F_B / T1,
        [("breaking load of all strands", "N"), ("tight run", "N")],
        "common practice of hoists",
        "The maker's figure wins."
    );

    public static double Friction(LoadedLoop loop) =>
        loop.Strength.Friction
        ?? loop.Loop.DriveElement switch
        {
            DriveElement.VBelt => VBeltFriction,
            DriveElement.RoundBelt => RopeOf(loop)!.Friction,
            _ => FlatFriction,
        };

    public static double? GrooveDeg(LoadedLoop loop) =>
        loop.Loop.DriveElement switch
        {
            DriveElement.VBelt => loop.Strength.GrooveAngleDeg ?? UsualGrooveDeg,
            DriveElement.RoundBelt => loop.Strength.GrooveAngleDeg ?? RopeOf(loop)!.GrooveDeg,
            _ => null,
        };

    /// <summary>Null for anything but round belts.</summary>
    public static Rope? RopeOf(LoadedLoop loop) =>
        loop.Loop.DriveElement == DriveElement.RoundBelt ? Rope.Get(loop.Strength.Rope ?? RopeKind.Cord) : null;

    /// <summary>K2: as given, by the table, or 1 where that is silent.</summary>
    public static double LengthFactor(LoadedLoop loop) =>
        loop.Strength.LengthFactor ?? VLengthFactors.Find(loop.Standard, loop.Path.LengthMm) ?? 1;

    private static LoadCheck Breaking(LoadedLoop loop)
    {
        LoadLimit row = LoadLimits.Get("breaking load", "rope");
        OperatingPoint hardest = loop.PointOf(OperatingPointKind.HardestPull) ?? loop.Points[0];
        if (loop.Strength.BreakingLoadN is not double load)
            return LoadCheck.Unknown(LoadCheckKind.BreakingLoad, hardest.Kind, row.Source, "Strength.BreakingLoadN");
        double all = load * loop.Strength.Strands;
        double tight = RunTensions.Compute(loop, hardest).TightN;
        return LoadCheck.AtLeast(LoadCheckKind.BreakingLoad, hardest.Kind, OverTightRun.With(all, tight), row);
    }

    private static LoadCheck Count(LoadedLoop loop, OperatingPoint point)
    {
        LoadLimit row = LoadLimits.Get("belt count", "V-belt");
        return VBeltRating.Compute(loop, point) is { } rating
            ? LoadCheck
                .AtLeast(BeltCount, point.Kind, loop.Strength.Strands, rating.Needed, row.StopShare!.Value, row.Source)
                .By([.. rating.Figures])
            : LoadCheck.Unknown(BeltCount, point.Kind, row.Source, "Strength.RatingPerBeltKw");
    }

    private static LoadCheck Slips(LoadedLoop loop, OperatingPoint point)
    {
        LoadLimit row = LoadLimits.Get("slip", Kind);
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(Slip, point.Kind, row.Source, "Strength.InstalledTensionN");
        Explained letsGo = BeltFriction.LetsGo.With(EffectiveFriction(loop), loop.GrippingWrapDeg);
        Explained slip = BeltFriction.SlipMargin.With(tension, letsGo.Value, loop.PullN(point));
        return LoadCheck
            .AtLeast(Slip, point.Kind, slip, row)
            .By([letsGo, .. InGroove(loop) is { } friction ? [friction] : Array.Empty<Explained>()]);
    }
}
