using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>The same loop on both sides of a machine, each with the rounds of its own visit.</summary>
public sealed record SideMatchInput(SetInput This, SetInput Other);

/// <summary>Whether both sides are as tight as each other.</summary>
/// <param name="ThisMiddle">Between its loosest and tightest place: N, or mm of free play of a chain; else the scale both share.</param>
/// <param name="Difference">Of this side against the other: % of the other one, or mm of free play of a chain.</param>
/// <param name="Limit">In the same unit.</param>
/// <param name="ThisIsLooser">Null where there is no difference.</param>
/// <param name="OtherMiddle">The same of the other side.</param>
/// <param name="Matches">True where they are apart by no more than the limit.</param>
public sealed record SideMatchResult(
    TightnessUnit Unit,
    double ThisMiddle,
    double OtherMiddle,
    double Difference,
    double Limit,
    bool Matches,
    bool? ThisIsLooser,
    IReadOnlyList<Working> Workings
);

/// <summary>Left and right drives of one machine should pull alike; else it pulls to one side and one loop carries more.</summary>
public static class SideMatch
{
    // What a reading by hand can tell apart, twice over; common practice, from memory.
    private const double BeltPercent = 10;
    private const double PlayMm = 5;

    /// <exception cref="InvalidInputException">A side is refused, was not read, or both were read in scales that can't be compared.</exception>
    public static SideMatchResult Compare(SideMatchInput input)
    {
        Side mine = Read(input.This, "This");
        Side other = Read(input.Other, "Other");
        if (mine.Unit != other.Unit)
            throw new InvalidInputException(
                "Other.Rounds",
                "other_scale",
                "Read both sides in the same way: one of them can't be turned into the scale of the other."
            );
        bool isPlay = mine.Unit == TightnessUnit.LoopMm;
        string unit = UnitOf(mine.Unit);
        Explained against = (isPlay ? PlayDifference : Difference).With(
            new(mine.Shown, Unit: unit),
            new(other.Shown, Unit: unit)
        );
        double difference = against.Value;
        double limit = isPlay ? PlayMm : BeltPercent;
        return new(
            mine.Unit,
            mine.Shown,
            other.Shown,
            difference,
            limit,
            Math.Abs(difference) <= limit,
            mine.Tightness == other.Tightness ? null : mine.Tightness < other.Tightness,
            [against.Working with { Beside = [new("limit", "either way", limit, isPlay ? "mm" : "%")] }]
        );
    }

    private const string Title = "This side against the other";
    private const string Practice = "common practice, from memory";
    private const string Alike = "Read both with the nut in the same state, and at the same warmth.";
    private static readonly Quantity ThisSide = new("this side, middle of loosest and tightest", "");
    private static readonly Quantity OtherSide = new("the other side", "");

    private static readonly Formula<Func<double, double, double>> PlayDifference = new(
        Title,
        "Δ",
        ("this side against the other", "mm"),
        (s1, s2) => s1 - s2,
        [ThisSide, OtherSide],
        Practice,
        Alike
    );

    private static readonly Formula<Func<double, double, double>> Difference = new(
        Title,
        "Δ",
        ("this side against the other", "%"),
        (T1, T2) => Maths.Percent(T1 / T2 - 1),
        [ThisSide, OtherSide],
        Practice,
        Alike
    );

    private sealed record Side(TightnessUnit Unit, double Tightness, double Shown);

    private static Side Read(SetInput input, string name)
    {
        SetAdvice advice = Refusal.Under(name, () => SetEvaluation.Advise(input, false));
        RoundResult? read = advice.Rounds.LastOrDefault(r => r.Loosest is not null);
        if (read is not { Loosest: double low, Tightest: double high })
            throw new InvalidInputException($"{name}.Rounds", "missing", "Read both sides first.");
        double middle = (low + high) / 2;
        return new(
            advice.Unit,
            middle,
            advice is { Unit: TightnessUnit.LoopMm, Span.SpanMm: double span }
                ? ChainPlay.PlayMm(span, Math.Clamp(-middle, 0, span / 10))
                : middle
        );
    }

    private static string UnitOf(TightnessUnit unit) =>
        unit switch
        {
            TightnessUnit.Newton => "N",
            TightnessUnit.LoopMm or TightnessUnit.AboveRimMm => "mm",
            TightnessUnit.HertzSquared => "Hz²",
            _ => "",
        };
}
