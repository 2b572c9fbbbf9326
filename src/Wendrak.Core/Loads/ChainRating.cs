using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>What ends the life of an industrial chain drive at its rated power.</summary>
public enum RatingLimit
{
    /// <summary>Fatigue of the plates: slow.</summary>
    LinkPlate,

    /// <summary>Impact of rollers and bushes: fast.</summary>
    RollerBushing,

    /// <summary>Galling of the pins: no lubrication helps above it.</summary>
    Galling,
}

/// <summary>One speed of the tent curve.</summary>
public sealed record RatingPoint(double Rpm, double LinkPlateKw, double RollerBushingKw)
{
    /// <summary>The lower of both.</summary>
    public double RatedKw => Math.Min(LinkPlateKw, RollerBushingKw);
}

/// <summary>Both lines of a rating over the speed of the small sprocket, with this drive's strands and shock in them.</summary>
/// <param name="CrossingRpm">The top of the tent.</param>
public sealed record RatingTent(double CrossingRpm, IReadOnlyList<RatingPoint> Points);

/// <summary>Power rating of a roller chain: the ACA equations.</summary>
/// <remarks>
/// Single strand, service factor 1, 100 pitches, 15 000 h, clean and lubricated as its class demands. Source: Shigley ch. 17,
/// Eq. 17-32, 17-33 and 17-40 (the last from memory). Good for 11 teeth and more, pitches of 1/4 to 3 in, wrap from 120°.
/// An industrial rating, not a motorcycle limit.
/// </remarks>
public static class ChainRating
{
    public const double KwPerHp = 0.745700;
    internal const double MmPerInch = 25.4;
    internal const double NewtonPerLbf = 4.448222;
    private static readonly double[] StrandFactors = [1, 1.7, 2.5, 3.3, 3.9, 4.6];

    /// <summary>K of the plates. Source: Shigley Eq. 17-32.</summary>
    internal static double PlateFactor(bool isLight) => isLight ? 0.0022 : 0.004;

    /// <summary>H1 = K·N^1.08·n^0.9·p^(3 − 0.07·p), kW; K = 0.004, 0.0022 for the light chain no. 41.</summary>
    public static double LinkPlateKw(double pitchMm, int teeth, double rpm, bool isLight = false)
    {
        double p = pitchMm / MmPerInch;
        double hp = PlateFactor(isLight) * Math.Pow(teeth, 1.08) * Math.Pow(rpm, 0.9) * Math.Pow(p, 3 - 0.07 * p);
        return hp * KwPerHp;
    }

    /// <summary>H2 = 1000·Kr·N^1.5·p^0.8/n^1.5, kW; Kr = 29 up to 3/8 in, 3.4 for no. 41, 17 above.</summary>
    public static double RollerBushingKw(double pitchMm, int teeth, double rpm, bool isLight = false)
    {
        double p = pitchMm / MmPerInch;
        double kr = RollerFactor(pitchMm, isLight);
        double hp = 1_000 * kr * Math.Pow(teeth, 1.5) * Math.Pow(p, 0.8) / Math.Pow(rpm, 1.5);
        return hp * KwPerHp;
    }

    /// <summary>Kr of rollers and bushes. Source: Shigley Eq. 17-33.</summary>
    internal static double RollerFactor(double pitchMm, bool isLight)
    {
        const double bushChainsUpToMm = 10; // no. 25 and 35 have no rollers
        return isLight ? 3.4
            : pitchMm < bushChainsUpToMm ? 29
            : 17;
    }

    /// <summary>The lower of the two, kW, and which it is.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static (double Kw, RatingLimit Governs) Of(double pitchMm, int teeth, double rpm, bool isLight = false)
    {
        new Guard()
            .MoreThan(nameof(pitchMm), pitchMm, 0, "mm")
            .AtLeast(nameof(teeth), teeth, 5, "teeth")
            .MoreThan(nameof(rpm), rpm, 0, "rpm")
            .ThrowIfAny();
        double plate = LinkPlateKw(pitchMm, teeth, rpm, isLight);
        double roller = RollerBushingKw(pitchMm, teeth, rpm, isLight);
        return plate <= roller ? (plate, RatingLimit.LinkPlate) : (roller, RatingLimit.RollerBushing);
    }

    /// <summary>Speed of the small sprocket, rpm, above which the pins gall under a chain tension.</summary>
    public static double GallingRpm(double pitchMm, int teeth, double tensionN)
    {
        double p = pitchMm / MmPerInch;
        double lbf = tensionN / NewtonPerLbf;
        double inside = 82.5 / (Math.Pow(7.95, p) * Math.Pow(1.0278, teeth) * Math.Pow(1.323, lbf / 1_000));
        return 1_000 * Math.Pow(inside, 1 / (1.59 * Math.Log10(p) + 1.873));
    }

    /// <summary>Speed where both lines cross, rpm: the top of the tent.</summary>
    public static double CrossingRpm(double pitchMm, int teeth, bool isLight = false)
    {
        // H1 goes with n^0.9 and H2 with n^−1.5: at 1 rpm they give the crossing.
        double ratio = RollerBushingKw(pitchMm, teeth, 1, isLight) / LinkPlateKw(pitchMm, teeth, 1, isLight);
        return Math.Pow(ratio, 1 / 2.4);
    }

    /// <param name="factor">On both lines: strands over service factor.</param>
    /// <param name="leastMaxRpm">Speeds that the picture must reach.</param>
    internal static RatingTent Tent(double pitchMm, int teeth, bool isLight, double factor, double leastMaxRpm)
    {
        const int steps = 16;
        double top = CrossingRpm(pitchMm, teeth, isLight);
        double most = Math.Max(2 * top, 1.1 * leastMaxRpm);
        IEnumerable<double> speeds = Enumerable.Range(1, steps).Select(i => most * i / steps).Append(top).Order();
        return new(
            top,
            [
                .. speeds.Select(rpm => new RatingPoint(
                    rpm,
                    factor * LinkPlateKw(pitchMm, teeth, rpm, isLight),
                    factor * RollerBushingKw(pitchMm, teeth, rpm, isLight)
                )),
            ]
        );
    }

    /// <summary>Factor of strands side by side. Source: Shigley Table 17-23.</summary>
    /// <exception cref="InvalidInputException">Not 1 to 6 strands.</exception>
    public static double StrandFactor(int strands)
    {
        new Guard().Between(nameof(strands), strands, 1, StrandFactors.Length, "strands").ThrowIfAny();
        return StrandFactors[strands - 1];
    }

    /// <summary>Corrected power P·f1·(19/z)^1.08, kW, to enter maker's charts with. Source: ISO 10823.</summary>
    public static double CorrectedKw(double powerKw, double applicationFactor, double teeth) =>
        powerKw * applicationFactor * ToothFactor(teeth);

    /// <summary>f2 = (19/z)^1.08. Source: ISO 10823.</summary>
    public static double ToothFactor(double teeth) => Math.Pow(19.0 / teeth, 1.08);
}
