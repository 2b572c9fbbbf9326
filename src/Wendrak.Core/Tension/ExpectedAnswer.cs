using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What a drive is expected to answer before it has shown it, and how sure that is.</summary>
internal static class ExpectedAnswer
{
    /// <summary>A nut moves what it holds: part of the window's tightness either way. Common practice, from memory.</summary>
    public const double NutShare = 0.06;

    /// <summary>The same for the gap, mm.</summary>
    public const double NutGapMm = 0.3;

    // A sixteenth of a turn moves a motorcycle's belt 1 to 1.5 mm: common practice, on a thread of 1.5 mm.
    private const double GapMmPerSkewMm = 1.25 / (1.5 / 16);
    private const double GapShare = 0.5;
    private const double UsualAxialStiffnessN = 60_000; // order of magnitude, from memory; the first round corrects it
    private const double StiffnessShare = 0.6;
    private const double ChainShare = 0.15;
    private const double WedgeShare = 0.05; // thickness by calliper, angle to a degree; judgement
    private const double SpringShare = 0.3; // an arm and spring measured by hand; judgement

    // Nothing known: a turn of a sixteenth is taken to change it by a tenth.
    private const double UnknownPerTurn = 1.6;
    private const double UnknownShare = 0.8;

    /// <summary>Tightness for each mm of axle, the part of it that one standard deviation is, and whether it is more than a guess.</summary>
    public static (double Slope, double Share, bool IsKnown) OfTension(
        TightnessScale scale,
        LoopSetting setting,
        double? tightness
    )
    {
        SpanFacts span = scale.Span;
        if (scale.Unit == TightnessUnit.AboveRimMm)
            return (1, WedgeShare, true); // a shim is counted by how far it lets the belt rise
        if (setting.Adjuster.Kind == AdjusterKind.SprungArm)
            return setting.Arm is { RateNPerMm: double rate } arm && scale.Unit == TightnessUnit.Newton
                ? (rate * SprungArm.PerSpringN(arm), SpringShare, true)
                : Unknown(setting, tightness);
        if (scale.Unit == TightnessUnit.LoopMm)
            return (2 * span.CosRun, ChainShare, true); // both runs grow by as much
        if (scale.Unit == TightnessUnit.Newton && span.LoopLengthMm is double length)
            return (
                TensionStiffness.NPerMm(span.AxialStiffnessN ?? UsualAxialStiffnessN, span.CosRun, length),
                StiffnessShare,
                true
            );
        return Unknown(setting, tightness);
    }

    private static (double Slope, double Share, bool IsKnown) Unknown(LoopSetting setting, double? tightness) =>
        (UnknownPerTurn * Math.Max(Math.Abs(tightness ?? 1), 1e-6) / setting.Adjuster.TravelMm, UnknownShare, false);

    /// <summary>Gap in mm for each mm that the right end is further back.</summary>
    /// <remarks>Right end back: the shafts are closer on the left and the belt walks left: a gap on the left narrows.</remarks>
    public static (double Slope, double Share) OfGap(LoopSetting setting) =>
        (setting.GapSide == Side.Left ? -GapMmPerSkewMm : GapMmPerSkewMm, GapShare);
}
