using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>What can turn an outcome.</summary>
public enum TurnedBy
{
    Wish,
    Price,
    Life,
    Failures,
    Must,
    Answer,
}

/// <summary>A change that puts something else first.</summary>
/// <param name="By">What changes.</param>
/// <param name="Option">Whose price or life it is; null where it is nobody’s.</param>
/// <param name="Wish">Which wish; null where it is none.</param>
/// <param name="Must">Which must; null where it is none.</param>
/// <param name="Question">Key of the question that is answered otherwise; null where it is none.</param>
/// <param name="From">What it is now: a weight, a price, a life; 1 for yes or wanted, 0 for no.</param>
/// <param name="To">From where on another one comes first.</param>
/// <param name="First">What comes first then.</param>
public sealed record TurnOver(
    TurnedBy By,
    string? Option,
    DriveWish? Wish,
    DriveMust? Must,
    string? Question,
    double From,
    double To,
    string First
)
{
    /// <summary>A price or life is followed so far up and down.</summary>
    private const double Farthest = 20;

    /// <summary>To a ten-thousandth: prices and lives are told to three digits.</summary>
    private const int Halvings = 16;

    /// <summary>The weighing as it is with the change.</summary>
    public LoopWeighing On(LoopWeighing weighing) => At(weighing, To);

    /// <summary>Everything that puts something else first, changed by itself, the nearest of each kind.</summary>
    /// <param name="weighing">As it is.</param>
    /// <param name="decide">What a weighing comes to.</param>
    /// <param name="options">Keys of what is compared.</param>
    /// <param name="questions">Keys of the questions that are asked of them.</param>
    public static IReadOnlyList<TurnOver> Find(
        LoopWeighing weighing,
        Func<LoopWeighing, Decision> decide,
        IReadOnlyList<string> options,
        IReadOnlyList<string> questions
    )
    {
        Decision outcome = decide(weighing);
        string? now = outcome.First;
        string? Turned(LoopWeighing other) => decide(other).First is { } first && first != now ? first : null;
        List<TurnOver> all = [];
        foreach (DriveWish wish in Enum.GetValues<DriveWish>())
        {
            int weight = weighing.WeightOf(wish);
            foreach (int to in Enumerable.Range(0, WishWeight.Most + 1).OrderBy(w => Math.Abs(w - weight)))
                if (to != weight && Turned(weighing.With(new WishWeight(wish, to))) is { } first)
                {
                    all.Add(new(TurnedBy.Wish, null, wish, null, null, weight, to, first));
                    break;
                }
        }
        foreach (string option in options)
        foreach (TurnedBy by in (ReadOnlySpan<TurnedBy>)[TurnedBy.Price, TurnedBy.Life, TurnedBy.Failures])
            if (Counts(by, outcome))
                all.AddRange(OfFigure(weighing, by, option, Turned));
        foreach (DriveMust must in Enum.GetValues<DriveMust>())
        {
            bool isSet = weighing.Musts.Contains(must);
            TurnOver turn = new(TurnedBy.Must, null, null, must, null, isSet ? 1 : 0, isSet ? 0 : 1, "");
            if (Turned(turn.On(weighing)) is { } first)
                all.Add(turn with { First = first });
        }
        foreach (string question in questions)
        foreach (bool isYes in (ReadOnlySpan<bool>)[true, false])
        {
            if (weighing.AnswerTo(question) == isYes)
                continue;
            TurnOver turn = new(TurnedBy.Answer, null, null, null, question, isYes ? 0 : 1, isYes ? 1 : 0, "");
            if (Turned(turn.On(weighing)) is { } first)
                all.Add(turn with { First = first });
        }
        return all;
    }

    /// <summary>The nearest above and the nearest below at which another one comes first.</summary>
    private static IEnumerable<TurnOver> OfFigure(
        LoopWeighing weighing,
        TurnedBy by,
        string option,
        Func<LoopWeighing, string?> turned
    )
    {
        if (Now(weighing.FiguresOf(option), by) is not (> 0 and double now))
            yield break;
        TurnOver at = new(by, option, null, null, null, now, now, "");
        foreach (double way in (double[])[Farthest, 1 / Farthest])
        {
            // Each part of the best falls or rises all the way with a figure: what is not lost at its far end is not lost before.
            (double before, double after) = (now, now * way);
            if (turned(at.At(weighing, after)) is not { } first)
                continue;
            for (int half = 0; half < Halvings; half++)
            {
                double middle = Math.Sqrt(before * after);
                if (turned(at.At(weighing, middle)) is { } here)
                    (after, first) = (middle, here);
                else
                    before = middle;
            }
            yield return at with
            {
                To = after,
                First = first,
            };
        }
    }

    /// <summary>A price counts where cost is weighed, a life there and where it is wished for; else no trial of it could turn anything.</summary>
    private static bool Counts(TurnedBy by, Decision outcome) =>
        outcome.Weighed.Contains(DriveWish.LowCost)
        || (by == TurnedBy.Life && outcome.Weighed.Contains(DriveWish.LongLife));

    private static double? Now(OptionFigures figures, TurnedBy by) =>
        by switch
        {
            TurnedBy.Price => figures.Price,
            TurnedBy.Life => figures.LifeLow,
            _ => figures.Failures,
        };

    private LoopWeighing At(LoopWeighing weighing, double value)
    {
        OptionFigures Figures() => weighing.FiguresOf(Option!);
        return By switch
        {
            TurnedBy.Wish => weighing.With(new WishWeight(Wish!.Value, (int)value)),
            TurnedBy.Price => weighing.With(Figures() with { Price = value }),
            TurnedBy.Life => weighing.With(
                Figures() with
                {
                    LifeLow = value,
                    LifeHigh = Figures() is { LifeLow: double low, LifeHigh: double high } ? value * high / low : null,
                }
            ),
            TurnedBy.Failures => weighing.With(Figures() with { Failures = value }),
            TurnedBy.Must => weighing with
            {
                Musts = value > 0 ? [.. weighing.Musts, Must!.Value] : [.. weighing.Musts.Where(m => m != Must)],
            },
            _ => weighing with
            {
                Answers = [.. weighing.Answers.Where(a => a.Question != Question), new(Question!, value > 0)],
            },
        };
    }
}
