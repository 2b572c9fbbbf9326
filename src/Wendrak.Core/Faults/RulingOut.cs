using Wendrak.Core.Tables;

namespace Wendrak.Core.Faults;

/// <summary>What took the other ways out: the answer that speaks most against each, beside the way that is left.</summary>
internal static class RulingOut
{
    /// <summary>Odds before any test from which a way is worth a word. Judgement.</summary>
    private const double Least = 0.02;

    /// <summary>Part of those odds below which it is out.</summary>
    private const double Fallen = 0.5;

    private const int Most = 8;

    /// <param name="now">Odds with all answers.</param>
    /// <param name="first">The way that is left.</param>
    public static IReadOnlyList<RuledOut> Find(PosteriorOdds now, int first, FaultQuestion question)
    {
        (FaultTest Test, int Answer)[] answers = [.. PosteriorOdds.Told(now.Ways, question)];
        if (answers.Length == 0)
            return [];
        PosteriorOdds before = new(now.Ways, question with { Answers = [] });
        return
        [
            .. Enumerable
                .Range(0, now.Probabilities.Count)
                .Where(i =>
                    i != first
                    && now.Ways.All[i].Causes.Count == 1
                    && before.Probabilities[i] >= Least
                    && now.Probabilities[i] < before.Probabilities[i] * Fallen
                )
                .OrderByDescending(i => before.Probabilities[i])
                .Take(Most)
                .Select(By),
        ];

        RuledOut By(int way)
        {
            (FaultTest test, int answer) = answers.MinBy(a =>
                now.Ways.OfAnswers(a.Test)[way][a.Answer] / now.Ways.OfAnswers(a.Test)[first][a.Answer]
            );
            return new(
                now.Ways.All[way].What,
                test.Key,
                test.Ask,
                FaultAnswerWords.Of(test.Key, test.Answers[answer]).What
            );
        }
    }
}
