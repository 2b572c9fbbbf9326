namespace Wendrak.Core.Gearing;

/// <summary>What the speedometer shows after a change.</summary>
/// <param name="ErrorPercent">Shown over true, less 1; positive shows too much.</param>
/// <param name="CorrectionPercent">What the reading must be changed by to be true; for a corrector or a new pickup disc.</param>
/// <param name="ShowsTooLittle">Never allowed where UN R39 rules: shown speed must not be below true speed.</param>
public sealed record SpeedometerResult(double ErrorPercent, double CorrectionPercent, bool ShowsTooLittle);

public static class Speedometer
{
    /// <param name="oldErrorPercent">What it showed too much before, percent.</param>
    /// <param name="reductionChange">New over old reduction between pickup and wheel.</param>
    /// <param name="circumferenceChange">New over old rolling circumference of the driven wheel.</param>
    /// <returns>Null without a speedometer.</returns>
    /// <remarks>
    /// Gearbox pickup: (1+e)·(i_new/i_old)/(U_new/U_old); on the driven wheel only the tyre counts; on another wheel
    /// nothing does. UN R39 (from memory): shown minus true is 0 to 10 % + 4 km/h. Local law rules.
    /// </remarks>
    public static SpeedometerResult? After(
        SpeedPickup pickup,
        double oldErrorPercent,
        double reductionChange,
        double circumferenceChange
    )
    {
        double? shownOverTrue = pickup switch
        {
            SpeedPickup.GearboxOutput => reductionChange / circumferenceChange,
            SpeedPickup.DrivenWheel => 1 / circumferenceChange,
            SpeedPickup.OtherWheel => 1,
            _ => null,
        };
        if (shownOverTrue is null)
            return null;
        double shown = (1 + oldErrorPercent / 100) * shownOverTrue.Value;
        double error = (shown - 1) * 100;
        // Rounding must not turn an exact reading into a forbidden one.
        return new(error, (1 / shown - 1) * 100, error < -1e-9);
    }
}
