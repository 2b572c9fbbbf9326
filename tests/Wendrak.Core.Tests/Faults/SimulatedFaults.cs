using Wendrak.Core.Faults;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Faults;

/// <summary>How a search ended.</summary>
/// <param name="First">Key of the way that stood first.</param>
/// <param name="Minutes">That all tests took.</param>
/// <param name="IsStop">Whether the machine was said not to go out.</param>
public sealed record SearchEnd(string First, double Minutes, bool IsStop);

/// <summary>How often a cause was found first.</summary>
/// <param name="Cause">Key.</param>
/// <param name="First">Cases in which it stood first at the end, alone or in a pair.</param>
/// <param name="Minutes">Of all cases, by the test that tells most.</param>
/// <param name="MinutesInOrder">Of all cases, by the tests in the order of the file.</param>
public sealed record CauseFound(string Cause, int First, double Minutes, double MinutesInOrder);

/// <summary>
/// Loops with a known fault, as people meet them: signs and answers are drawn by lot with weights that differ from those of the
/// tables by a factor of up to two, and now and then somebody misreads.
/// </summary>
public sealed class SimulatedFaults(FaultKind kind, FaultCause cause, Random random)
{
    /// <summary>All that can be at a loop: then it has most causes.</summary>
    public static readonly FaultSetting[] Everywhere = Enum.GetValues<FaultSetting>();

    /// <summary>Part of all answers that are misread, whatever is there.</summary>
    private const double Misread = 0.02;
    private readonly FaultTest[] _tests = [.. FaultTests.For(kind, Everywhere)];
    private readonly Dictionary<string, double> _chances = [];

    /// <summary>Every cause of such a loop.</summary>
    /// <param name="cases">Of each.</param>
    /// <param name="inOrder">Whether the tests are also asked in the order of the file.</param>
    public static IEnumerable<CauseFound> Found(FaultKind kind, int cases, bool inOrder = false)
    {
        foreach (FaultCause cause in FaultCauses.For(kind, Everywhere))
        {
            CauseFound found = new(cause.Key, 0, 0, 0);
            for (int seed = 0; seed < cases; seed++)
            {
                SimulatedFaults fault = new(kind, cause, new Random(seed));
                FaultQuestion question = fault.Draw();
                SearchEnd end = fault.Search(question);
                found = new(
                    cause.Key,
                    found.First + (end.First.Split('+').Contains(cause.Key) ? 1 : 0),
                    found.Minutes + end.Minutes,
                    found.MinutesInOrder + (inOrder ? fault.SearchInOrder(question).Minutes : 0)
                );
            }
            yield return found;
        }
    }

    /// <summary>Signs of it, one at least; now and then one that has nothing to do with it.</summary>
    public FaultQuestion Draw()
    {
        SignOfCause[] own = [.. FaultSigns.OfCauses.Where(s => s.Cause == cause.Key)];
        List<string> signs = [.. own.Where(s => random.NextDouble() < Chance(s.Weight)).Select(s => s.Sign)];
        if (signs.Count == 0)
            signs.Add(own.MinBy(s => s.Weight)!.Sign);
        if (random.NextDouble() < 0.1 && FaultSigns.For(kind, Everywhere).ToArray() is { Length: > 0 } all)
            signs.Add(all[random.Next(all.Length)].Key);
        string[] circumstances =
        [
            .. FaultSigns
                .CircumstancesOfCauses.Where(c =>
                    c.Cause == cause.Key
                    && c.Bears is BearsOn.MuchMore or BearsOn.More
                    && random.NextDouble() < (c.Bears == BearsOn.MuchMore ? 0.6 : 0.4)
                )
                .Select(c => c.Circumstance),
        ];
        return new(kind, Everywhere, [.. signs.Distinct()], circumstances, null, [], null);
    }

    /// <summary>What the test would show.</summary>
    public FaultAnswer Answer(FaultTest test)
    {
        if (random.NextDouble() < Misread)
            return new(test.Key, test.Answers[random.Next(test.Answers.Count)]);
        foreach (AnswerOfCause a in FaultTests.OfCauses.Where(a => (a.Cause, a.Test) == (cause.Key, test.Key)))
            if (random.NextDouble() < ChanceOf($"{test.Key} {a.Answer}", a.Weight))
                return new(test.Key, a.Answer);
        return new(test.Key, test.Otherwise);
    }

    /// <summary>By the test that tells most for its minutes, until one is found or nothing tells more.</summary>
    public SearchEnd Search(FaultQuestion question)
    {
        double minutes = 0;
        while (true)
        {
            FaultResult result = FaultFinder.Evaluate(question);
            if (result.Next is not { } next || result.IsStop)
                return new(result.Odds[0].Key, minutes, result.IsStop);
            question = With(question, next.Test.Key, ref minutes);
        }
    }

    /// <summary>By the tests in the order of the file, until the same is reached.</summary>
    public SearchEnd SearchInOrder(FaultQuestion question)
    {
        double minutes = 0;
        foreach (FaultTest test in _tests)
        {
            FaultResult result = FaultFinder.Evaluate(question);
            if (result.Next is null || result.IsStop)
                break;
            question = With(question, test.Key, ref minutes);
        }
        FaultResult end = FaultFinder.Evaluate(question);
        return new(end.Odds[0].Key, minutes, end.IsStop);
    }

    private FaultQuestion With(FaultQuestion question, string test, ref double minutes)
    {
        FaultTest done = _tests.First(t => t.Key == test);
        minutes += done.Minutes;
        return question with { Answers = [.. question.Answers, Answer(done)] };
    }

    /// <summary>Of one case the same each time: it differs from the table's by a factor of up to two, either way.</summary>
    private double ChanceOf(string what, ShowsItself weight)
    {
        if (!_chances.TryGetValue(what, out double chance))
            _chances[what] = chance = Chance(weight);
        return chance;
    }

    /// <summary>Up to twice or half of what the table's word weighs; nothing is ever sure.</summary>
    private double Chance(ShowsItself weight)
    {
        double told = weight switch
        {
            ShowsItself.Mostly => 0.9,
            ShowsItself.Often => 0.6,
            ShowsItself.Sometimes => 0.3,
            _ => 0.08,
        };
        return Math.Min(0.98, told * Math.Pow(2, (2 * random.NextDouble()) - 1));
    }
}
