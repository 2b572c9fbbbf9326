using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Faults;

/// <summary>From what a loop does to its cause, by the test that tells most for its minutes.</summary>
public static class FaultFinder
{
    /// <summary>From here on one way is taken as found. Judgement.</summary>
    private const double Found = 0.92;

    /// <summary>A test that takes away less tells nothing any more. Judgement.</summary>
    private const double LeastBits = 0.02;
    private const double Likely = 0.5;

    private const double Possible = 0.1;

    /// <summary>Ways that are at least so likely as this part of the first one are alike where nothing tells them apart.</summary>
    private const double AlikePart = 0.4;

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static FaultResult Evaluate(FaultQuestion question)
    {
        question.Check();
        PosteriorOdds now = new(Hypotheses.For(question.Kind, question.At), question);
        FaultOdds[] odds = [.. now.Ways.All.Select((h, i) => ToOdds(h, now.Probabilities[i]))];
        int[] order = [.. Enumerable.Range(0, odds.Length).OrderByDescending(i => odds[i].Probability)];
        TestGain[] left =
        [
            .. now.Ways.Tests.Where(t => question.Answers.All(a => a.Test != t.Key)).Select(t => new TestGain(t, now)),
        ];
        double best = left.Select(g => g.Gain.Value).DefaultIfEmpty(0).Max();
        FaultOdds first = odds[order[0]];
        bool isFound = first.Probability >= Found && first.Causes.Count > 0;
        TestGain[] canDo = [.. left.Where(g => CanBeDone(g.Test, question))];
        // What stops a machine comes before any odds.
        TestGain? next =
            canDo.FirstOrDefault(g => g.Test.IsStopLook)
            ?? left.FirstOrDefault(g => g.Test.Key == question.Asked)
            ?? (isFound ? null : canDo.Where(g => g.Bits >= LeastBits).MaxBy(g => g.Gain.Value));
        string[] alike =
            next is not null || isFound
                ? []
                :
                [
                    .. order
                        .Select(i => odds[i])
                        .Where(o => o.Probability >= first.Probability * AlikePart)
                        .Select(o => o.Key),
                ];
        return new(
            IsStop(question, odds),
            [.. now.Ways.Tests.Where(t => t.IsStopLook && !IsSeen(t, question)).Select(t => t.Key)],
            isFound && next is not { Test.IsStopLook: true },
            [.. order.Select(i => odds[i])],
            TestGain.Open(now.Probabilities),
            next is null ? null : new(ToLeft(next), [.. next.Test.Answers.Select((a, i) => ToOutcome(a, i, next))]),
            [.. left.OrderByDescending(g => g.Gain.Value).Select(ToLeft)],
            alike,
            alike.Length == 0
                ? []
                : [.. left.Where(g => g.Bits >= LeastBits && !CanBeDone(g.Test, question)).Select(ToLeft)],
            RulingOut.Find(now, order[0], question),
            next is null ? [now.WorkingOf(order[0])] : [now.WorkingOf(order[0]), next.Gain.Working]
        );

        TestLeft ToLeft(TestGain gain) =>
            new(
                gain.Test.Key,
                gain.Test.Ask,
                gain.Test.How,
                gain.Test.Minutes,
                gain.Test.Caution,
                gain.Test.Tool,
                gain.Test.People,
                CanBeDone(gain.Test, question),
                HasTool(gain.Test, question) ? null : FaultTests.Tools.First(t => t.Tool == gain.Test.Tool).WhoHasIt,
                gain.Test.IsStopLook,
                gain.Bits,
                gain.Bits < LeastBits ? TellsMuch.Little
                    : gain.Gain.Value >= best / 2 ? TellsMuch.Much
                    : TellsMuch.Some
            );

        FaultOutcome ToOutcome(string answer, int at, TestGain gain)
        {
            double[] after = gain.After(at);
            return new(
                answer,
                FaultAnswerWords.Of(gain.Test.Key, answer).What,
                gain.Of(at),
                [.. order.Select(i => new OddsThen(odds[i].Key, WordOf(after[i])))]
            );
        }
    }

    /// <summary>A stop look that said yes, whatever the odds; or what stops it is likelier than not, once something was tested.</summary>
    private static bool IsStop(FaultQuestion question, FaultOdds[] odds)
    {
        FaultTest[] said =
        [
            .. FaultTests.All.Where(t => question.Answers.Any(a => a.Test == t.Key && t.Answers.Contains(a.Answer))),
        ];
        return said.Any(t => t.IsStopLook && question.Answers.First(a => a.Test == t.Key).Answer != t.Otherwise)
            || (said.Length > 0 && odds.Where(o => o.IsStop).Sum(o => o.Probability) >= Likely);
    }

    /// <summary>It was answered, or it still can be.</summary>
    private static bool IsSeen(FaultTest look, FaultQuestion question) =>
        question.Answers.FirstOrDefault(a => a.Test == look.Key) is { } said
            ? look.Answers.Contains(said.Answer)
            : CanBeDone(look, question);

    private static bool CanBeDone(FaultTest test, FaultQuestion question) =>
        test.People <= question.People && HasTool(test, question);

    private static bool HasTool(FaultTest test, FaultQuestion question) =>
        test.Tool is null || question.Tools is null || question.Tools.Contains(test.Tool);

    private static FaultOdds ToOdds(Hypothesis way, double probability) =>
        way.Causes.Count == 0
            ? new(way.Key, [], way.What, probability, WordOf(probability), null, false, false)
            : new(
                way.Key,
                [.. way.Causes.Select(c => c.Key)],
                way.What,
                probability,
                WordOf(probability),
                string.Join(" ", way.Causes.Select(c => c.Cure)),
                way.Causes.Any(c => c.IsStop),
                way.Causes.All(c => c.IsNormal)
            );

    private static OddsWord WordOf(double probability) =>
        probability >= Likely ? OddsWord.Likely
        : probability >= Possible ? OddsWord.Possible
        : OddsWord.Unlikely;
}
