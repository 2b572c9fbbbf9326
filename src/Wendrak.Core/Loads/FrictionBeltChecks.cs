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
    public const double LeastSlipMargin = 1.3;

    public static IEnumerable<LoadCheck> Of(LoadedLoop loop)
    {
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
            yield return Slips(loop, hardest);
        if (loop.Loop.Medium == DriveElement.VBelt)
            yield return Count(loop, loop.Lasting);
        OperatingPoint fastest = loop.Points.MaxBy(loop.SpeedMS)!;
        BeltSpeedRange speeds = BeltSpeedRange.Of(loop);
        yield return LoadCheck.AtMost(
            BeltSpeed,
            fastest.Kind,
            loop.SpeedMS(fastest),
            speeds.ToMS,
            0.5,
            speeds.Source + "; rims of cast iron pulleys 30 to 35 m/s: common practice"
        );
        OperatingPoint lasting = loop.Lasting;
        yield return LoadCheck.AtLeast(
            LowBeltSpeed,
            lasting.Kind,
            loop.SpeedMS(lasting),
            speeds.FromMS,
            0,
            speeds.Source + "; slower, the same power needs more pull and more belts"
        );
        foreach (LoadCheck distance in Distances(loop))
            yield return distance;
        if (loop.Loop.Medium == DriveElement.RoundBelt)
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
        yield return LoadCheck.AtMost(LongDistance, point, distance, far, 0, DistanceSource);
        // A short rope is laid for nothing: its own weight gives it its grip.
        if (loop.Strength.Rope is { } rope && rope != RopeKind.Cord)
            yield return LoadCheck.AtLeast(ShortDistance, point, distance, near, 0, DistanceSource);
    }

    private const string DistanceSource = "distances that such drives are used for: common practice, from memory";

    /// <summary>Centre distances that such a drive is used for, m.</summary>
    public static (double NearM, double FarM) DistanceM(LoadedLoop loop) =>
        loop.Loop.Medium switch
        {
            DriveElement.VBelt => (0.3, 5.0),
            DriveElement.FlatBelt => (0.5, 15.0),
            _ => RopeOf(loop)!.DistanceM,
        };

    private static LoadCheck Small(LoadedLoop loop, OperatingPoint fastest)
    {
        const string source = "ISO 4183, least datum diameter: a smaller one bends the belt to death sooner";
        return VSections.Find(loop.Standard) is { } section && loop.Loop.Medium == DriveElement.VBelt
            ? LoadCheck.AtLeast(SmallPulley, fastest.Kind, loop.SmallerSize, section.MinDatumDiameterMm, 0.8, source)
            : LoadCheck.Untold(
                SmallPulley,
                fastest.Kind,
                loop.SmallerSize,
                "no table of least pulleys for this kind: ask the belt's maker",
                Unjudged.TableSilent
            );
    }

    /// <summary>Friction with the groove in it, of the wheel that slips first.</summary>
    public static double EffectiveFriction(LoadedLoop loop) =>
        BeltFriction.Effective(Friction(loop), GrooveDeg(loop)) * (RopeOf(loop)?.FormFactor ?? 1);

    public static double Friction(LoadedLoop loop) =>
        loop.Strength.Friction
        ?? loop.Loop.Medium switch
        {
            DriveElement.VBelt => VBeltFriction,
            DriveElement.RoundBelt => RopeOf(loop)!.Friction,
            _ => FlatFriction,
        };

    public static double? GrooveDeg(LoadedLoop loop) =>
        loop.Loop.Medium switch
        {
            DriveElement.VBelt => loop.Strength.GrooveAngleDeg ?? UsualGrooveDeg,
            DriveElement.RoundBelt => loop.Strength.GrooveAngleDeg ?? RopeOf(loop)!.GrooveDeg,
            _ => null,
        };

    /// <summary>Null for anything but round belts.</summary>
    public static Rope? RopeOf(LoadedLoop loop) =>
        loop.Loop.Medium == DriveElement.RoundBelt ? Rope.Of(loop.Strength.Rope ?? RopeKind.Cord) : null;

    /// <summary>K2: as given, by the table, or 1 where that is silent.</summary>
    public static double LengthFactor(LoadedLoop loop) =>
        loop.Strength.LengthFactor ?? VLengthFactors.Find(loop.Standard, loop.Path.LengthMm) ?? 1;

    private static LoadCheck Breaking(LoadedLoop loop)
    {
        const string source = "a fifth of its breaking load for ropes that run: common practice of hoists";
        OperatingPoint hardest = loop.PointOf(OperatingPointKind.HardestPull) ?? loop.Points[0];
        if (loop.Strength.BreakingLoadN is not double load)
            return LoadCheck.Unknown(LoadCheckKind.BreakingLoad, hardest.Kind, source, "Strength.BreakingLoadN");
        double all = load * loop.Strength.Strands;
        double tight = RunTensions.Of(loop, hardest).TightN;
        return LoadCheck.AtLeast(
            LoadCheckKind.BreakingLoad,
            hardest.Kind,
            all / tight,
            Rope.LeastBreaking,
            0.6,
            source
        );
    }

    private static LoadCheck Count(LoadedLoop loop, OperatingPoint point)
    {
        const string source = "⌈P·Ks/(P_tab·K1·K2)⌉, Shigley ch. 17; K1 by Table 17-13, K2 by Table 17-14";
        if (loop.Strength.RatingPerBeltKw is not double rating)
            return LoadCheck.Unknown(BeltCount, point.Kind, source, "Strength.RatingPerBeltKw");
        double wrap = loop.LeastWrapDeg;
        int needed = BeltFriction.BeltsNeeded(
            point.PowerKw,
            loop.ShockFactor,
            rating,
            BeltFriction.VBeltWrapFactor(wrap),
            LengthFactor(loop)
        );
        return LoadCheck.AtLeast(BeltCount, point.Kind, loop.Strength.Strands, needed, 0.5, source);
    }

    private static LoadCheck Slips(LoadedLoop loop, OperatingPoint point)
    {
        const string source = "Euler-Eytelwein, Shigley ch. 17; 1.3 to 1.5: common practice";
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(Slip, point.Kind, source, "Strength.InstalledTensionN");
        SlipMargin slip = BeltFriction.Margin(
            EffectiveFriction(loop),
            loop.GrippingWrapDeg,
            tension,
            loop.PullN(point)
        );
        return LoadCheck.AtLeast(Slip, point.Kind, slip.Margin, LeastSlipMargin, 1 / LeastSlipMargin, source);
    }
}
