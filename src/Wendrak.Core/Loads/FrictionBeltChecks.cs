using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
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
    private const double BestUpToMS = 25;

    public static IEnumerable<LoadCheck> Of(LoadedLoop loop)
    {
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
            yield return Slips(loop, hardest);
        if (loop.Loop.Medium == LoopMedium.VBelt)
            yield return Count(loop, Lasting(loop));
        OperatingPoint fastest = loop.Points.MaxBy(loop.SpeedMS)!;
        yield return LoadCheck.AtMost(
            BeltSpeed,
            fastest.Kind,
            loop.SpeedMS(fastest),
            BestUpToMS,
            0.5,
            "5 to 25 m/s, Shigley ch. 17; teaching texts allow 50, cast iron pulleys 30 to 35: common practice"
        );
        if (VSections.Find(loop.Standard) is { } section)
            yield return LoadCheck.AtLeast(
                SmallPulley,
                fastest.Kind,
                loop.SmallerSize,
                section.MinDatumDiameterMm,
                0.8,
                "ISO 4183, least datum diameter: a smaller one bends the belt to death sooner"
            );
    }

    /// <summary>Friction with the groove in it, of the wheel that slips first.</summary>
    public static double EffectiveFriction(LoadedLoop loop) => BeltFriction.Effective(Friction(loop), GrooveDeg(loop));

    public static double Friction(LoadedLoop loop) =>
        loop.Strength.Friction ?? (loop.Loop.Medium == LoopMedium.VBelt ? VBeltFriction : FlatFriction);

    public static double? GrooveDeg(LoadedLoop loop) =>
        loop.Loop.Medium == LoopMedium.VBelt ? loop.Strength.GrooveAngleDeg ?? UsualGrooveDeg : null;

    /// <summary>A rating is for all day: the greatest power that is more than a moment's pull, where one is known.</summary>
    private static OperatingPoint Lasting(LoadedLoop loop) =>
        loop.Points.Where(p => p.Kind is OperatingPointKind.Cruise or OperatingPointKind.TopSpeed).MaxBy(p => p.PowerKw)
        ?? loop.Points[0];

    private static LoadCheck Count(LoadedLoop loop, OperatingPoint point)
    {
        const string source = "⌈P·Ks/(P_tab·K1)⌉, Shigley ch. 17; K1 by Table 17-13";
        if (loop.Strength.RatingPerBeltKw is not double rating)
            return LoadCheck.Unknown(BeltCount, point.Kind, source, "Strength.RatingPerBeltKw");
        double wrap = loop.LeastWrapDeg;
        int needed = BeltFriction.BeltsNeeded(
            point.PowerKw,
            loop.ShockFactor,
            rating,
            BeltFriction.VBeltWrapFactor(wrap),
            1
        );
        return LoadCheck.AtLeast(BeltCount, point.Kind, loop.Strength.Strands, needed, 0.5, source);
    }

    private static LoadCheck Slips(LoadedLoop loop, OperatingPoint point)
    {
        const string source = "Euler-Eytelwein, Shigley ch. 17; 1.3 to 1.5: common practice";
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(Slip, point.Kind, source, "Strength.InstalledTensionN");
        SlipMargin slip = BeltFriction.Margin(EffectiveFriction(loop), loop.LeastWrapDeg, tension, loop.PullN(point));
        return LoadCheck.AtLeast(Slip, point.Kind, slip.Margin, LeastSlipMargin, 1 / LeastSlipMargin, source);
    }
}
