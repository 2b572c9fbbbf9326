using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>What people want of another gearing, before they think of ratios.</summary>
public enum Better
{
    /// <summary>Fewer turns of the motor at the speed it mostly runs.</summary>
    CalmerCruise,

    /// <summary>Quicker away.</summary>
    HarderPull,

    /// <summary>Up hills, or with a load.</summary>
    Climb,
    Quieter,
    LastsLonger,
}

/// <summary>An aim that such a wish begins with.</summary>
/// <param name="Target">Around what is fitted.</param>
/// <param name="Wishes">What it is worth to the owner.</param>
public sealed record BetterAim(AimTarget Target, Wishes Wishes)
{
    // One tooth in front of a usual sprocket is 6 to 8 %, and is felt; a hill asks for two. Common practice.
    private static (double From, double To) PartOf(Better better) =>
        better switch
        {
            Better.CalmerCruise => (0.91, 0.965),
            Better.HarderPull => (1.035, 1.10),
            Better.Climb => (1.10, 1.20),
            _ => (0.97, 1.03),
        };

    /// <param name="finalRatio">Of the loops in view, as fitted.</param>
    /// <param name="better">What is wanted.</param>
    /// <exception cref="InvalidInputException">No such wish.</exception>
    public static BetterAim For(double finalRatio, Better better)
    {
        new Guard().OneOf("Better", better).ThrowIfAny();
        (double from, double to) = PartOf(better);
        return new(
            new FinalRatio(Math.Round(finalRatio * from, 3), Math.Round(finalRatio * to, 3)),
            better switch
            {
                Better.CalmerCruise => new(0, 2, 2, 0, 0, 0),
                Better.HarderPull => new(0, 0, 0, 0, 3, 0),
                Better.Climb => new(0, 0, 0, 3, 0, 0),
                Better.Quieter => new(0, 3, 0, 0, 0, 0),
                _ => new(3, 0, 0, 0, 0, 2),
            }
        );
    }
}
