using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>What a toothed belt of a width may pull.</summary>
/// <param name="MeshFactor">1 from 6 teeth in mesh on.</param>
/// <param name="AllowedPullN">Of this width, teeth in mesh counted, before the centrifugal part is taken off.</param>
/// <param name="Margin">Rated over asked power; infinite at no power.</param>
public sealed record SynchronousRating(
    double MeshFactor,
    double WidthFactor,
    double SpeedMS,
    double AllowedPullN,
    double RatedKw,
    double PullN,
    double Margin
);

/// <summary>Whether the teeth of a belt stay in their pulley.</summary>
/// <param name="SlackTensionN">What the slack run keeps; below 0 it hangs loose.</param>
/// <param name="Margin">Installed over needed tension.</param>
public sealed record ToothJump(double SlackTensionN, double NeededTensionN, double Margin);

/// <summary>Toothed belts. Source: ISO 5295; tooth jump: an engineering estimate from statics, not a standard.</summary>
public static class SynchronousLoads
{
    private const int FullMesh = 6;

    /// <summary>P = (k_z·k_w·T_a − (b/b0)·m·v²)·v, k_w = (b/b0)^1.14.</summary>
    /// <param name="allowedTensionN">T_a of the profile at its base width.</param>
    /// <param name="massKgPerM">At the base width.</param>
    /// <exception cref="InvalidInputException">A value is not physical; fewer than 2 teeth in mesh carry nothing.</exception>
    public static SynchronousRating Rating(
        int teethInMesh,
        double widthMm,
        double baseWidthMm,
        double allowedTensionN,
        double massKgPerM,
        double speedMS,
        double powerKw
    )
    {
        new Guard()
            .AtLeast(nameof(teethInMesh), teethInMesh, 2, "teeth")
            .MoreThan(nameof(widthMm), widthMm, 0, "mm")
            .MoreThan(nameof(baseWidthMm), baseWidthMm, 0, "mm")
            .MoreThan(nameof(allowedTensionN), allowedTensionN, 0, "N")
            .MoreThan(nameof(massKgPerM), massKgPerM, 0, "kg/m")
            .MoreThan(nameof(speedMS), speedMS, 0, "m/s")
            .AtLeast(nameof(powerKw), powerKw, 0, "kW")
            .ThrowIfAny();
        double mesh = MeshFactor(teethInMesh);
        double width = WidthFactor(widthMm, baseWidthMm);
        double allowed = mesh * width * allowedTensionN;
        double rated = (allowed - widthMm / baseWidthMm * massKgPerM * speedMS * speedMS) * speedMS / 1_000;
        double pull = powerKw * 1_000 / speedMS;
        return new(mesh, width, speedMS, allowed, rated, pull, rated / powerKw);
    }

    /// <summary>1 − 0.2·(6 − z), never below 0.2. Source: ISO 5295.</summary>
    public static double MeshFactor(int teethInMesh) =>
        teethInMesh >= FullMesh ? 1 : Math.Max(0.2, 1 - 0.2 * (FullMesh - teethInMesh));

    /// <summary>(b/b0)^1.14. Source: ISO 5295.</summary>
    public static double WidthFactor(double widthMm, double baseWidthMm) => Math.Pow(widthMm / baseWidthMm, 1.14);

    /// <summary>T_need = F·(1/2 + tan(γ − atan μ)/θ).</summary>
    /// <param name="installedTensionN">Of one run at rest.</param>
    /// <param name="flankAngleDeg">Of the tooth, from the radius.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ToothJump Jump(
        double installedTensionN,
        double pullN,
        double flankAngleDeg,
        double friction,
        double wrapDeg
    )
    {
        new Guard()
            .AtLeast(nameof(installedTensionN), installedTensionN, 0, "N")
            .MoreThan(nameof(pullN), pullN, 0, "N")
            .Between(nameof(flankAngleDeg), flankAngleDeg, 0, 60, "°")
            .Between(nameof(friction), friction, 0, 2, "")
            .Between(nameof(wrapDeg), wrapDeg, 1, 360, "°")
            .ThrowIfAny();
        // A flank steeper than friction holds by itself: then the slack run must only not go loose.
        double lift = Math.Max(0, Math.Tan(flankAngleDeg * Math.PI / 180 - Math.Atan(friction)));
        double needed = pullN * (0.5 + lift / (wrapDeg * Math.PI / 180));
        return new(installedTensionN - pullN / 2, needed, installedTensionN / needed);
    }
}
