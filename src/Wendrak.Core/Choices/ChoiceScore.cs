using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>How what something comes to in a weighing came about.</summary>
public static class ChoiceScore
{
    /// <param name="name">Of what is weighed.</param>
    /// <param name="outcome">That it is part of.</param>
    /// <param name="facts">Its own.</param>
    /// <param name="middlesOf">Of a wish: the figures of all that are left.</param>
    public static Working Working(
        string name,
        Decision outcome,
        LoopWeighing weighing,
        IReadOnlyList<WishFact> facts,
        Func<DriveWish, IReadOnlyList<double>> middlesOf
    )
    {
        List<WorkingValue> values = [];
        double sum = 0;
        double weights = 0;
        foreach (DriveWish wish in outcome.Weighed)
        {
            int weight = weighing.WeightOf(wish);
            double part = WishMeasure.PartOfBest(
                wish,
                facts.First(f => f.Wish == wish && f.IsFirm).Middle,
                middlesOf(wish)
            );
            values.Add(new($"w_{values.Count / 2 + 1}", $"weight of {Words(wish)}", weight, ""));
            values.Add(new($"q_{values.Count / 2 + 1}", $"part of the best, {Words(wish)}", part, ""));
            sum += weight * part;
            weights += weight;
        }
        return new(
            $"Weighed: {name}",
            "S = Σ w·q/Σ w",
            values,
            new("S", "what it comes to", sum / weights, ""),
            "judgement: parts of the best, weighed by what each is worth to the owner",
            "Only wishes of which all that are left have a figure that was measured or is by a maker or standard. Nearer than 0.03 they are equal.",
            []
        );
    }

    private static string Words(DriveWish wish) =>
        wish switch
        {
            DriveWish.LittleUpkeep => "little upkeep",
            DriveWish.Quiet => "quiet",
            DriveWish.LowCost => "cheap to run",
            DriveWish.TakesDirt => "takes dirt and stones",
            DriveWish.RatioChanges => "ratio changed often",
            DriveWish.LittleLoss => "goes far",
            DriveWish.LowMass => "light",
            _ => "lasts long",
        };
}
