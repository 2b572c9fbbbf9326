using Wendrak.Core.Alignment;

namespace Wendrak.Core.Tension;

/// <summary>What to do at one adjuster.</summary>
/// <param name="Side">Null where there is only one.</param>
/// <param name="Units">Turns, clicks or shims, always above 0.</param>
/// <param name="Clockwise">Seen from where the wrench stands; null for clicks and shims.</param>
/// <param name="Mm">Way of that end of the axle.</param>
/// <param name="Flats">Of a hexagon; null where nothing is turned.</param>
/// <param name="ClockHours">As the hand of a clock goes; null where nothing is turned.</param>
public sealed record AdjusterMove(
    Side? Side,
    double Units,
    bool Tightens,
    bool? Clockwise,
    double Mm,
    double? Flats,
    double? ClockHours
)
{
    /// <param name="units">Positive tightens.</param>
    internal static AdjusterMove Of(LoopSetting setting, Side? side, double units)
    {
        bool turns = setting.Kind is not (AdjusterKind.Cam or AdjusterKind.Shims);
        bool clockwiseTightens =
            side == Alignment.Side.Right ? setting.RightClockwiseTightens : setting.LeftClockwiseTightens;
        double amount = Math.Abs(units);
        return new(
            side,
            amount,
            units > 0,
            turns ? clockwiseTightens == units > 0 : null,
            units * setting.MmPerUnit,
            turns ? amount * 6 : null,
            turns ? amount * 12 : null
        );
    }
}
