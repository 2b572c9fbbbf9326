using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>How something can be had.</summary>
public enum HowToBeHad
{
    AnyShop,
    ToOrder,

    /// <summary>Used, from another country, made singly.</summary>
    HardToFind,
    NotToBeHad,
}

/// <summary>What somebody typed of one of the things that are weighed; null for what nobody knows yet.</summary>
/// <remarks>Distances are in km, on a machine that counts hours in hours: <see cref="RunUnit"/>.</remarks>
/// <param name="Option">Key of the kind of drive, or of the part.</param>
/// <param name="Price">Of its parts, with the wheels that are changed with it.</param>
/// <param name="FitMinutes">Work each time they are changed.</param>
/// <param name="LifeLow">How long they last at least.</param>
/// <param name="LifeHigh">How long they last at most; null for the same.</param>
/// <param name="LifeBy">Who says how long they last; null for nobody in particular: one person’s word.</param>
/// <param name="OilCost">What is used up each time it is oiled.</param>
/// <param name="OilEvery">How often it is oiled.</param>
/// <param name="UpkeepMinutes">Work each time it is looked after.</param>
/// <param name="UpkeepEvery">How often it is looked after.</param>
/// <param name="UpkeepBy">Who says how often, and how long it takes; null for measured here.</param>
/// <param name="FuelPer100">Litres or kWh for 100.</param>
/// <param name="Failures">Failures expected in 10 000.</param>
/// <param name="FailureCost">What one of them costs.</param>
/// <param name="Conversion">What has to be spent once to have it.</param>
/// <param name="LevelDb">How loud it is, by the method that is named with the weighing.</param>
/// <param name="MassKg">Weighed, with its wheels.</param>
/// <param name="ToBeHad">Whether it can be bought.</param>
/// <param name="AskedOn">Day on which that was asked.</param>
public sealed record OptionFigures(
    string Option,
    double? Price = null,
    double? FitMinutes = null,
    double? LifeLow = null,
    double? LifeHigh = null,
    SaidBy? LifeBy = null,
    double? OilCost = null,
    double? OilEvery = null,
    double? UpkeepMinutes = null,
    double? UpkeepEvery = null,
    SaidBy? UpkeepBy = null,
    double? FuelPer100 = null,
    double? Failures = null,
    double? FailureCost = null,
    double? Conversion = null,
    double? LevelDb = null,
    double? MassKg = null,
    HowToBeHad? ToBeHad = null,
    DateOnly? AskedOn = null
)
{
    private const double MostMoney = 1_000_000;
    private const double Farthest = 10_000_000;
    private const double LongestMinutes = 10_000;

    internal Guard Check()
    {
        Guard guard = new Guard()
            .BetweenIfGiven(nameof(Price), Price, 0, MostMoney, "")
            .BetweenIfGiven(nameof(FitMinutes), FitMinutes, 0, LongestMinutes, "min")
            .BetweenIfGiven(nameof(LifeLow), LifeLow, 1, Farthest, "")
            .BetweenIfGiven(nameof(LifeHigh), LifeHigh, 1, Farthest, "")
            .BetweenIfGiven(nameof(OilCost), OilCost, 0, MostMoney, "")
            .BetweenIfGiven(nameof(OilEvery), OilEvery, 1, Farthest, "")
            .BetweenIfGiven(nameof(UpkeepMinutes), UpkeepMinutes, 0, LongestMinutes, "min")
            .BetweenIfGiven(nameof(UpkeepEvery), UpkeepEvery, 1, Farthest, "")
            .BetweenIfGiven(nameof(FuelPer100), FuelPer100, 0, 1_000, "")
            .BetweenIfGiven(nameof(Failures), Failures, 0, 1_000, "")
            .BetweenIfGiven(nameof(FailureCost), FailureCost, 0, MostMoney, "")
            .BetweenIfGiven(nameof(Conversion), Conversion, 0, MostMoney, "")
            .BetweenIfGiven(nameof(LevelDb), LevelDb, 0, 160, "dB")
            .BetweenIfGiven(nameof(MassKg), MassKg, 0.001, 1_000, "kg");
        if (LifeLow is double low && LifeHigh is double high)
            guard.Ordered(nameof(LifeLow), low, nameof(LifeHigh), high, "");
        if (LifeBy is SaidBy life)
            guard.OneOf(nameof(LifeBy), life);
        if (UpkeepBy is SaidBy upkeep)
            guard.OneOf(nameof(UpkeepBy), upkeep);
        if (ToBeHad is HowToBeHad had)
            guard.OneOf(nameof(ToBeHad), had);
        return guard
            .That(
                (OilCost is null) == (OilEvery is null),
                OilCost is null ? nameof(OilCost) : nameof(OilEvery),
                "one_of_two",
                "Say both: what oil costs each time, and how often it is oiled."
            )
            .That(
                (UpkeepMinutes is null) == (UpkeepEvery is null),
                UpkeepMinutes is null ? nameof(UpkeepMinutes) : nameof(UpkeepEvery),
                "one_of_two",
                "Say both: how long it takes to look after it, and how often that is."
            )
            .That(
                (Failures is null) == (FailureCost is null),
                Failures is null ? nameof(Failures) : nameof(FailureCost),
                "one_of_two",
                "Say both: how many failures are expected, and what one of them costs."
            )
            .That(
                ToBeHad is null || AskedOn is not null,
                nameof(AskedOn),
                "missing",
                "Say on which day that was asked: what can be had changes."
            );
    }
}
