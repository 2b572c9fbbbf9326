using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>What holds a vehicle back, and what its tyre can push. Source: Gillespie; Cossalter, Motorcycle Dynamics.</summary>
public static class RoadLoad
{
    private const double AirKgM3 = 1.2;

    /// <summary>Rolling and air resistance on the level, N.</summary>
    public static double ResistanceN(double massKg, double crr, double cdaM2, double speedMS) =>
        crr * massKg * ChainPull.GravityMS2 + 0.5 * AirKgM3 * cdaM2 * speedMS * speedMS;

    /// <summary>Greatest push of wheels that carry a mass however it pushes, N: μ·m·g.</summary>
    public static double GripN(double drivenMassKg, double friction) => friction * drivenMassKg * ChainPull.GravityMS2;

    /// <summary>Greatest push of a vehicle driven by its rear wheels, seen from the side, N: where the tyre slips or the front lifts.</summary>
    /// <param name="cgAheadOfRearMm">Centre of gravity before the rear axle.</param>
    /// <returns>The lower of μ·m·g·(L − b)/(L − μ·h) and m·g·b/h.</returns>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static (double PushN, bool TyreSlips) RearDrivenPush(
        double massKg,
        double wheelbaseMm,
        double cgAheadOfRearMm,
        double cgHeightMm,
        double friction
    )
    {
        new Guard()
            .MoreThan(nameof(massKg), massKg, 0, "kg")
            .MoreThan(nameof(wheelbaseMm), wheelbaseMm, 0, "mm")
            .Between(nameof(cgAheadOfRearMm), cgAheadOfRearMm, 0, wheelbaseMm, "mm")
            .MoreThan(nameof(cgHeightMm), cgHeightMm, 0, "mm")
            .Between(nameof(friction), friction, 0.01, 3, "")
            .ThrowIfAny();
        double weight = massKg * ChainPull.GravityMS2;
        double lifts = weight * cgAheadOfRearMm / cgHeightMm;
        double under = wheelbaseMm - friction * cgHeightMm;
        double slips =
            under > 0 ? friction * weight * (wheelbaseMm - cgAheadOfRearMm) / under : double.PositiveInfinity;
        return slips <= lifts ? (slips, true) : (lifts, false);
    }
}
