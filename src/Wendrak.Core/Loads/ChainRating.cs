using Wendrak.Core.Quantities;
using static System.Math;

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

/// <summary>Both lines of a rating over the speed of the small sprocket, with this drive's strands and shock in them.</summary>
/// <param name="CrossingRpm">The top of the tent.</param>
/// <param name="Governs">The line that rates this drive at the power that lasts.</param>
/// <param name="Rpm">Speeds of the small sprocket, rising.</param>
/// <param name="LinkPlateKw">Power that plate fatigue allows at each of them, kW.</param>
/// <param name="RollerBushingKw">Power that roller impact allows at each of them, kW.</param>
/// <param name="RatedKw">The lower of both at each of them, kW.</param>
public sealed record RatingTent(
    double CrossingRpm,
    RatingLine Governs,
    IReadOnlyList<double> Rpm,
    IReadOnlyList<double> LinkPlateKw,
    IReadOnlyList<double> RollerBushingKw,
    IReadOnlyList<double> RatedKw
);

/// <summary>What a chain gives way by, by the equations of its rating.</summary>
public enum RatingLine
{
    /// <summary>Fatigue of the link plates, which a faster drive spreads over more links.</summary>
    LinkPlates,

    /// <summary>Blows of rollers and bushings, which grow with speed.</summary>
    RollersAndBushings,
}

/// <summary>Power rating of a roller chain: the ACA equations.</summary>
/// <remarks>
/// Single strand, service factor 1, 100 pitches, 15 000 h, clean and lubricated as its class demands. Source: Shigley ch. 17,
/// Eq. 17-32, 17-33 and 17-40 (the last from memory). Good for 11 teeth and more, pitches of 1/4 to 3 in, wrap from 120°.
/// An industrial rating, not a motorcycle limit.
/// </remarks>
public static class ChainRating
{
    private const double NewtonPerLbf = UnitFactors.KgPerPound * 9.80665; // pound of 1959 and standard gravity, exact
    private static readonly double[] StrandFactors = [1, 1.7, 2.5, 3.3, 3.9, 4.6];

    /// <summary>K of the plates. Source: Shigley Eq. 17-32.</summary>
    internal static double PlateFactor(bool isLight) => isLight ? 0.0022 : 0.004;

    private static readonly Quantity PitchInch = new("pitch", "in");
    private static readonly Quantity SmallSprocket = new("small sprocket", "teeth");
    private static readonly Quantity ItsSpeed = new("its speed", "rpm");
    private static readonly Quantity OneStrand = new("one strand", "kW");
    private const string Industrial =
        "An industrial rating for 15 000 h, clean and oiled; not a limit of vehicles in short bursts.";

    internal static readonly Formula<Func<double, double, double, double, double>> Plates = new(
        "Rating by fatigue of the plates",
        "H",
        OneStrand,
        (K, N, n, p) => 0.7457 * K * Pow(N, 1.08) * Pow(n, 0.9) * Pow(p, 3 - 0.07 * p),
        [("of the plates: 0.004, 0.0022 for the light chain no. 41", ""), SmallSprocket, ItsSpeed, PitchInch],
        "Shigley Eq. 17-32",
        Industrial
    );

    internal static readonly Formula<Func<double, double, double, double, double>> Rollers = new(
        "Rating by impact of rollers and bushes",
        "H",
        OneStrand,
        (K_r, N, n, p) => 0.7457 * 1000 * K_r * Pow(N, 1.5) * Pow(p, 0.8) / Pow(n, 1.5),
        [("of rollers and bushes: 17, 29 up to 3/8 in, 3.4 for no. 41", ""), SmallSprocket, ItsSpeed, PitchInch],
        "Shigley Eq. 17-33",
        Industrial
    );

    internal static readonly Formula<Func<double, double, double, double>> AllowedPower = new(
        "Power that the rating lets through",
        "P_max",
        ("all strands, shock counted", "kW"),
        (H, s, k) => H * s / k,
        [OneStrand, ("factor of strands side by side", ""), ("service factor", "")],
        "Shigley ch. 17; strands by Table 17-23",
        Industrial
    );

    internal static readonly Formula<Func<double, double, double, double>> GallingLimit = new(
        "Speed at which the pins gall",
        "n_max",
        ("of the small sprocket", "rpm"),
        (p, N, F) =>
            1000 * Pow(82.5 / (Pow(7.95, p) * Pow(1.0278, N) * Pow(1.323, F / 1000)), 1 / (1.59 * Log10(p) + 1.873)),
        [PitchInch, SmallSprocket, ("tight run, one strand", "lbf")],
        "Shigley Eq. 17-40 (constants from memory)",
        "An industrial limit."
    );

    public static readonly Formula<Func<double, double>> ToothFactorIso = new(
        "Tooth factor, ISO 10823",
        "f2",
        ("tooth factor", ""),
        z => Pow(19 / z, 1.08),
        [("teeth of the small sprocket", "")],
        "ISO 10823",
        "The charts are drawn for 19 teeth."
    );

    public static readonly Formula<Func<double, double, double, double>> ChartPowerIso = new(
        "Power for the chart, ISO 10823",
        "P_c",
        ("look up at the speed of the small sprocket", "kW"),
        (P, f1, f2) => P * f1 * f2,
        [("power", "kW"), ("application factor", ""), ("tooth factor", "")],
        "ISO 10823 (f1 from memory)",
        "One strand: divide by the maker's strand factor for more."
    );

    internal static readonly Formula<Func<double, double, double, double>> ChartPowerAca = new(
        "Power for the table, ACA",
        "P_d",
        ("look up at teeth and speed of the small sprocket", "kW"),
        (P, k, s) => P * k / s,
        [("power", "kW"), ("service factor", ""), ("factor of strands side by side", "")],
        "Shigley ch. 17; strands by Table 17-23",
        "For tables that know the teeth: no tooth factor beside them."
    );

    /// <summary>By fatigue of the plates, kW.</summary>
    public static double LinkPlateKw(double pitchMm, int teeth, double rpm, bool isLight = false) =>
        Plates.Value(PlateFactor(isLight), teeth, rpm, pitchMm / UnitFactors.MmPerInch);

    /// <summary>By impact of rollers and bushes, kW.</summary>
    public static double RollerBushingKw(double pitchMm, int teeth, double rpm, bool isLight = false) =>
        Rollers.Value(RollerFactor(pitchMm, isLight), teeth, rpm, pitchMm / UnitFactors.MmPerInch);

    /// <summary>The line that rules at this speed, kW, with its working, and which it is.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    internal static (Explained Kw, RatingLimit Governs) Rated(double pitchMm, int teeth, double rpm, bool isLight)
    {
        (_, RatingLimit governs) = Of(pitchMm, teeth, rpm, isLight);
        double inches = pitchMm / UnitFactors.MmPerInch;
        return governs == RatingLimit.LinkPlate
            ? (Plates.With(PlateFactor(isLight), teeth, rpm, inches), governs)
            : (Rollers.With(RollerFactor(pitchMm, isLight), teeth, rpm, inches), governs);
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
    public static Explained Galling(double pitchMm, int teeth, double tensionN) =>
        GallingLimit.With(pitchMm / UnitFactors.MmPerInch, teeth, tensionN / NewtonPerLbf);

    /// <summary>Speed where both lines cross, rpm: the top of the tent.</summary>
    public static double CrossingRpm(double pitchMm, int teeth, bool isLight = false)
    {
        // H1 goes with n^0.9 and H2 with n^−1.5: at 1 rpm they give the crossing.
        double ratio = RollerBushingKw(pitchMm, teeth, 1, isLight) / LinkPlateKw(pitchMm, teeth, 1, isLight);
        return Pow(ratio, 1 / 2.4);
    }

    /// <param name="factor">On both lines: strands over service factor.</param>
    /// <param name="leastMaxRpm">Speeds that the picture must reach.</param>
    internal static RatingTent Tent(
        double pitchMm,
        int teeth,
        bool isLight,
        double factor,
        double leastMaxRpm,
        double lastingRpm
    )
    {
        const int steps = 16;
        double top = CrossingRpm(pitchMm, teeth, isLight);
        double most = Max(2 * top, 1.1 * leastMaxRpm);
        double[] speeds = [.. Enumerable.Range(1, steps).Select(i => most * i / steps).Append(top).Order()];
        double[] plates = [.. speeds.Select(rpm => factor * LinkPlateKw(pitchMm, teeth, rpm, isLight))];
        double[] rollers = [.. speeds.Select(rpm => factor * RollerBushingKw(pitchMm, teeth, rpm, isLight))];
        return new(
            top,
            lastingRpm <= top ? RatingLine.LinkPlates : RatingLine.RollersAndBushings,
            speeds,
            plates,
            rollers,
            [.. plates.Zip(rollers, Min)]
        );
    }

    /// <summary>Factor of strands side by side. Source: Shigley Table 17-23.</summary>
    /// <exception cref="InvalidInputException">Not 1 to 6 strands.</exception>
    public static double StrandFactor(int strands)
    {
        new Guard().Between(nameof(strands), strands, 1, StrandFactors.Length, "strands").ThrowIfAny();
        return StrandFactors[strands - 1];
    }
}
