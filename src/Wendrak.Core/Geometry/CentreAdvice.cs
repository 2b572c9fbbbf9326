using Wendrak.Core.Quantities;

namespace Wendrak.Core.Geometry;

/// <summary>Where the centre distance of two sprockets should lie, mm.</summary>
/// <param name="LeastForWrapMm">The small sprocket is wrapped 120° from here on.</param>
/// <param name="LeastWithoutTouchMm">The tips touch below this.</param>
/// <param name="UpperLimitMm">Longer runs want a guide.</param>
public sealed record CentreAdviceResult(
    double LeastForWrapMm,
    double LeastWithoutTouchMm,
    double RecommendedLeastMm,
    double RecommendedMostMm,
    double UpperLimitMm
);

/// <summary>Good centre distances of a chain drive.</summary>
/// <remarks>30 to 50 pitches, at most 80 without a guide; 120° on the small sprocket. Source: Shigley ch. 17; ACA.</remarks>
public static class CentreAdvice
{
    /// <summary>Vehicles are often outside 30 to 50 pitches; below this many it is worth a word. Common practice.</summary>
    public const double FewestPitches = 20;

    /// <summary>Longer runs want a guide. Source: Shigley ch. 17; ACA.</summary>
    public const double MostPitches = 80;

    /// <summary>Less lets the chain climb. Source: Shigley ch. 17; ACA.</summary>
    public const double LeastWrapDeg = 120;

    public static CentreAdviceResult Of(double pitchMm, double teeth1, double teeth2)
    {
        ChainLength.Check(pitchMm, teeth1, teeth2).ThrowIfAny();
        double across =
            2 * Math.Abs(ChainLength.PitchRadiusMm(pitchMm, teeth2) - ChainLength.PitchRadiusMm(pitchMm, teeth1));
        return new(
            across,
            (WheelOutline.ChainOutsideRadiusMm(pitchMm, teeth1) + WheelOutline.ChainOutsideRadiusMm(pitchMm, teeth2)),
            30 * pitchMm,
            50 * pitchMm,
            MostPitches * pitchMm
        );
    }
}
