using Wendrak.Core.Lengths;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What to do at one adjuster.</summary>
/// <param name="Side">Null where there is only one.</param>
/// <param name="Units">Turns, clicks or shims, always above 0.</param>
/// <param name="Clockwise">Seen from where the wrench stands; null for clicks and shims.</param>
/// <param name="Mm">Way of that end of the axle.</param>
/// <param name="Flats">Of a hexagon; null where no nut or screw is turned.</param>
/// <param name="ClockHours">As the hand of a clock goes; null where no nut or screw is turned.</param>
/// <param name="Degrees">Of an eccentric; null for anything else.</param>
/// <param name="PutsIn">Of shims at a sheave: true where they are put in, false where taken out; null elsewhere.</param>
/// <param name="Tightens">True where it makes the loop tighter.</param>
public sealed record AdjusterMove(
    Side? Side,
    double Units,
    bool Tightens,
    bool? Clockwise,
    double Mm,
    double? Flats,
    double? ClockHours,
    double? Degrees,
    bool? PutsIn = null
)
{
    private const double Flat = 6; // of a hexagon, in a turn
    private const double Hours = 12;
    private const double DegreesInATurn = 360;

    /// <summary>What is turned at one end in all, positive tightens; a single adjuster counts as the left one.</summary>
    internal static double UnitsOf(IReadOnlyList<AdjusterMove> moves, bool isRight) =>
        moves.Where(m => m.Side == Vocabulary.Side.Right == isRight).Sum(m => m.Tightens ? m.Units : -m.Units);

    /// <param name="units">Positive tightens.</param>
    /// <param name="mm">Way of that end.</param>
    internal static AdjusterMove From(LoopSetting setting, Side? side, double units, double mm)
    {
        bool isEccentric = setting.Adjuster.IsEccentric;
        bool clockwiseTightens =
            side == Vocabulary.Side.Right
                ? setting.Adjuster.RightClockwiseTightens
                : setting.Adjuster.LeftClockwiseTightens;
        double amount = Math.Abs(units);
        return new(
            side,
            amount,
            units > 0,
            setting.Adjuster.Turns ? clockwiseTightens == units > 0 : null,
            mm,
            setting.Adjuster.Turns && !isEccentric ? amount * Flat : null,
            setting.Adjuster.Turns && !isEccentric ? amount * Hours : null,
            isEccentric ? amount * DegreesInATurn : null,
            setting is { Adjuster.IsOfSheave: true, Shims.Sense: ShimSense sense }
                ? SheaveShims.PutsIn(sense, raises: units > 0)
                : null
        );
    }
}
