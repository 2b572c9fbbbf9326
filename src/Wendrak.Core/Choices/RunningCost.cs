using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>What 1 000 km, or 1 000 hours, cost with one of the things that are weighed: a range, in the money that was typed.</summary>
/// <param name="Low">Where it lasts as long as it may.</param>
/// <param name="High">Where it lasts only as long as it does at least.</param>
/// <param name="Parts">Parts and their fitting, in the middle between both.</param>
/// <param name="Upkeep">Work of upkeep, and oil.</param>
/// <param name="Fuel">Fuel or charge.</param>
/// <param name="Failure">Failures that are expected.</param>
/// <param name="SaidBy">Of the least sure of its figures.</param>
/// <remarks>Source: definition, common practice; check row p1.</remarks>
public sealed record RunningCost(
    double Low,
    double High,
    double Parts,
    double Upkeep,
    double Fuel,
    double Failure,
    SaidBy SaidBy
)
{
    private const double PerThousand = 1000;
    private const double MinutesPerHour = 60;

    /// <summary>Half way between both ends.</summary>
    public double Middle => (Low + High) / 2;

    /// <param name="figures">Of what is weighed.</param>
    /// <param name="ratePerHour">What an hour of work is worth; null for nothing.</param>
    /// <param name="fuelPrice">Of a litre or a kWh; null where fuel is not counted.</param>
    /// <returns>Null where nobody typed its price and how long it lasts.</returns>
    public static RunningCost? Of(OptionFigures figures, double? ratePerHour, double? fuelPrice)
    {
        if (figures is not { Price: double price, LifeLow: double shortest })
            return null;
        double longest = figures.LifeHigh ?? shortest;
        double Over(double life) =>
            Per1000.Value(
                price,
                figures.FitMinutes ?? 0,
                ratePerHour ?? 0,
                life,
                figures.OilCost ?? 0,
                figures.OilEvery ?? PerThousand,
                figures.UpkeepMinutes ?? 0,
                figures.UpkeepEvery ?? PerThousand,
                figures.FuelPer100 ?? 0,
                fuelPrice ?? 0,
                figures.Failures ?? 0,
                figures.FailureCost ?? 0
            );
        double rate = (ratePerHour ?? 0) / MinutesPerHour;
        double each = price + (figures.FitMinutes ?? 0) * rate;
        return new(
            Over(longest),
            Over(shortest),
            PerThousand * each * (1 / shortest + 1 / longest) / 2,
            PerThousand
                * (
                    (figures.OilCost ?? 0) / (figures.OilEvery ?? PerThousand)
                    + (figures.UpkeepMinutes ?? 0) * rate / (figures.UpkeepEvery ?? PerThousand)
                ),
            PerThousand * (figures.FuelPer100 ?? 0) / 100 * (fuelPrice ?? 0),
            PerThousand * (figures.Failures ?? 0) / 10_000 * (figures.FailureCost ?? 0),
            Least(figures)
        );
    }

    /// <summary>How both ends of it came about, the high one first; one where they are the same.</summary>
    /// <param name="unit">What the machine counts in.</param>
    /// <inheritdoc cref="Of"/>
    public static IReadOnlyList<Working> Explain(
        OptionFigures figures,
        double? ratePerHour,
        double? fuelPrice,
        RunUnit unit
    )
    {
        if (figures is not { Price: double price, LifeLow: double shortest })
            return [];
        string counted = unit == RunUnit.Km ? "km" : "h";
        Working Over(double life) =>
            Per1000
                .With(
                    price,
                    new(figures.FitMinutes ?? 0, IsUsual: figures.FitMinutes is null),
                    new(ratePerHour ?? 0, IsUsual: ratePerHour is null),
                    new(life, Unit: counted),
                    new(figures.OilCost ?? 0, IsUsual: figures.OilCost is null),
                    new(figures.OilEvery ?? PerThousand, figures.OilEvery is null, Unit: counted),
                    new(figures.UpkeepMinutes ?? 0, IsUsual: figures.UpkeepMinutes is null),
                    new(figures.UpkeepEvery ?? PerThousand, figures.UpkeepEvery is null, Unit: counted),
                    new(figures.FuelPer100 ?? 0, figures.FuelPer100 is null, Unit: $"/100 {counted}"),
                    new(fuelPrice ?? 0, IsUsual: fuelPrice is null),
                    new(figures.Failures ?? 0, figures.Failures is null, Unit: $"/10 000 {counted}"),
                    new(figures.FailureCost ?? 0, IsUsual: figures.FailureCost is null)
                )
                .Working;
        Working high = Over(shortest);
        return figures.LifeHigh is not double longest || longest == shortest
            ? [high]
            :
            [
                high with
                {
                    Title = $"{high.Title}, where they last the least",
                },
                Over(longest) with
                {
                    Title = $"{high.Title}, where they last the most",
                },
            ];
    }

    /// <summary>Distance after which what has to be spent once has come back.</summary>
    /// <param name="first">What is left.</param>
    /// <param name="second">What is gone over to.</param>
    /// <param name="once">What has to be spent once.</param>
    /// <returns>Null where the second is no cheaper to run.</returns>
    public static Explained? PaidBack(double first, double second, double once) =>
        second < first ? Payback.With(once, first, second) : null;

    private static SaidBy Least(OptionFigures figures)
    {
        SaidBy life = figures.LifeBy ?? SaidBy.OnePersonsWord;
        SaidBy upkeep = figures.UpkeepMinutes is null ? SaidBy.MeasuredHere : figures.UpkeepBy ?? SaidBy.MeasuredHere;
        return (SaidBy)Math.Max((int)life, (int)upkeep);
    }

    private static readonly Formula<
        Func<double, double, double, double, double, double, double, double, double, double, double, double, double>
    > Per1000 = new(
        "Cost of 1 000",
        "c",
        ("parts, upkeep, fuel and failures", "/1 000"),
        (P, t, r, L, O, s_o, u, s_u, B, p, n, K) =>
            1000 * ((P + t / 60 * r) / L + O / s_o + u / 60 * r / s_u + B / 100 * p + n / 10_000 * K),
        [
            ("parts", ""),
            ("fitting them", "min"),
            ("what an hour is worth", "/h"),
            ("how long they last", "km"),
            ("oil each time", ""),
            ("how often it is oiled", "km"),
            ("upkeep each time", "min"),
            ("how often it is looked after", "km"),
            ("fuel or charge", "/100 km"),
            ("its price", ""),
            ("failures expected", "/10 000 km"),
            ("cost of one failure", ""),
        ],
        "definition; common practice",
        "What was not typed counts nothing. Once-only cost of a change is not in it. Sprockets usually go with the chain, pulleys with every second belt: common practice, to be put into the price."
    );

    /// <summary>Minutes in 1 000 km or hours.</summary>
    public static readonly Formula<Func<double, double, double>> UpkeepTime = new(
        "Upkeep in 1 000",
        "t",
        ("working time", "min/1 000"),
        (u, s_u) => 1000 * u / s_u,
        [("upkeep each time", "min"), ("how often it is looked after", "")],
        "definition",
        "Km or hours, as the machine counts."
    );

    private static readonly Formula<Func<double, double, double, double>> Payback = new(
        "Paid back after",
        "s",
        ("distance or hours", ""),
        (E, c_1, c_2) => 1000 * E / (c_1 - c_2),
        [("spent once", ""), ("cost of what is left", "/1 000"), ("cost of what is gone over to", "/1 000")],
        "definition",
        "By the middle of both ranges; never where the second costs as much."
    );
}
