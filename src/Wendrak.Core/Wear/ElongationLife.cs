using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Wear;

/// <summary>How long a chain lasts until it has grown to its limit: a wide range, and honestly so.</summary>
/// <remarks>
/// Wear goes with pressure (Archard): at the guide pressure of ISO 10823 a clean, well oiled chain grows by 3 % in 15 000 h, so
/// h = 15 000·(p_allowed/p)·(limit/3 %) there, half to one and a half times that. In the open on a vehicle dirt and rain take 8
/// to 30 times as much: fitted to the 15 000 to 40 000 km that people report of sealed-ring chains (common practice). An
/// engineering estimate, no standard.
/// </remarks>
/// <param name="LimitPercent">Elongation at which it is replaced; the maker's figure wins.</param>
/// <param name="LowKm">At the cruise speed; null where nothing rolls.</param>
/// <param name="LowHours">At least, h.</param>
/// <param name="HighHours">At most, h.</param>
/// <param name="HighKm">The same at the other end.</param>
public sealed record ElongationLife(
    double LimitPercent,
    double LowHours,
    double HighHours,
    double? LowKm,
    double? HighKm
)
{
    // Least and most part of the rated life.
    private static readonly (double Low, double High) Indoors = (0.5, 1.5);
    private static readonly (double Low, double High) OnTheRoad = (1 / 30.0, 1 / 8.0);

    /// <param name="pressureMpa">In the pins, cruising.</param>
    /// <param name="allowedMpa">For 15 000 h, clean and oiled.</param>
    /// <param name="limitPercent">Elongation at which it is replaced.</param>
    /// <param name="isVehicle">In the open, on the road.</param>
    /// <param name="kmh">At the cruise; null where nothing rolls.</param>
    internal static ElongationLife Estimate(
        double pressureMpa,
        double allowedMpa,
        double limitPercent,
        bool isVehicle,
        double? kmh
    )
    {
        (double low, double high) = isVehicle ? OnTheRoad : Indoors;
        Explained best = Life.With(pressureMpa, allowedMpa, limitPercent, high);
        Explained worst = Life.With(pressureMpa, allowedMpa, limitPercent, low);
        return new(limitPercent, worst.Value, best.Value, worst.Value * kmh, best.Value * kmh)
        {
            Figures = [best, worst],
        };
    }

    private IReadOnlyList<Explained> Figures { get; init; } = [];

    internal IEnumerable<Working> Workings()
    {
        if (Figures is not [{ } best, { } worst])
            yield break;
        yield return best.Working with
        {
            Beside = [new("from", "with dirt and neglect", worst.Value, "h")],
        };
    }

    private static readonly Formula<Func<double, double, double, double, double>> Life = new(
        "Life until the chain has grown to its limit",
        "h",
        ("with care", "h"),
        (p, p_allowed, limit, share) => 15_000 * p_allowed / p * Part(limit) / Part(3) * share,
        [
            ("pressure in the pins, cruising", "N/mm²"),
            ("for 15 000 h and 3 %, clean and oiled", "N/mm²"),
            ("elongation at which it is replaced", "%"),
            ("part of that life that is reached", ""),
        ],
        "Archard's law of wear on the guide of ISO 10823 (from memory); 1/8 to 1/30 on the road: common practice",
        "An engineering estimate. What is measured at Check says more after a few thousand kilometres."
    );
}
