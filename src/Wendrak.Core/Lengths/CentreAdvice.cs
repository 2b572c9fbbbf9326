using Wendrak.Core.Wheels;

namespace Wendrak.Core.Lengths;

/// <summary>Where the centre distance of two sprockets should lie, mm.</summary>
/// <param name="LeastForWrapMm">The small sprocket is wrapped <paramref name="LeastWrapDeg"/> from here on.</param>
/// <param name="LeastWithoutTouchMm">The tips touch below this.</param>
/// <param name="LeastWrapDeg">Wrap that the small sprocket should have.</param>
/// <param name="UpperLimitMm">Longer runs want a guide.</param>
/// <param name="RecommendedLeastMm">Good centres begin here.</param>
/// <param name="RecommendedMostMm">Good centres end here.</param>
public sealed record CentreAdviceResult(
    double LeastForWrapMm,
    double LeastWithoutTouchMm,
    double RecommendedLeastMm,
    double RecommendedMostMm,
    double UpperLimitMm,
    double LeastWrapDeg
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

    /// <param name="links1">Links that lie once round the front sprocket: its teeth, half of its gaps under a double pitch chain.</param>
    /// <param name="links2">Those round the rear one.</param>
    public static CentreAdviceResult Advise(double pitchMm, double links1, double links2, int gapsPerLink = 1)
    {
        ChainLength.Check(pitchMm, links1, links2).ThrowIfAny();
        double across =
            2 * Math.Abs(SprocketSize.PitchRadiusMm(pitchMm, links2) - SprocketSize.PitchRadiusMm(pitchMm, links1));
        return new(
            across,
            WheelOutline.ChainOutsideRadiusMm(pitchMm, links1, gapsPerLink)
                + WheelOutline.ChainOutsideRadiusMm(pitchMm, links2, gapsPerLink),
            30 * pitchMm,
            50 * pitchMm,
            MostPitches * pitchMm,
            LeastWrapDeg
        );
    }
}
