using System.Collections.Concurrent;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Faults;

/// <summary>One way in which it can be: a cause, two that come together, or something that is not listed here.</summary>
/// <param name="Causes">One or two; none for what is not listed.</param>
/// <param name="Weight">Before anything is known, against the others.</param>
internal sealed record Hypothesis(IReadOnlyList<FaultCause> Causes, double Weight)
{
    public const string Unlisted = "notListed";

    /// <summary>In words.</summary>
    public string What =>
        Causes.Count == 0 ? "Something that is not listed here" : string.Join("; and: ", Causes.Select(c => c.What));

    public string Key => Causes.Count == 0 ? Unlisted : string.Join('+', Causes.Select(c => c.Key));
}

/// <summary>All ways in which such a loop can be at fault, and how each shows itself.</summary>
/// <remarks>
/// A pair shows a sign where either of its causes does: 1 − (1 − a)(1 − b), the noisy or of belief networks (Pearl, Probabilistic
/// Reasoning in Intelligent Systems, from memory).
/// </remarks>
internal sealed class Hypotheses
{
    private readonly Dictionary<(string Cause, string Sign), double> _signs = FaultSigns.OfCauses.ToDictionary(
        s => (s.Cause, s.Sign),
        s => FaultWeights.Of(s.Weight)
    );
    private readonly Dictionary<(string Cause, string Circumstance), double> _circumstances =
        FaultSigns.CircumstancesOfCauses.ToDictionary(c => (c.Cause, c.Circumstance), c => FaultWeights.Of(c.Bears));
    private readonly ILookup<(string Cause, string Test), AnswerOfCause> _answers = FaultTests.OfCauses.ToLookup(a =>
        (a.Cause, a.Test)
    );

    private static readonly ConcurrentDictionary<(FaultKind Kind, int At), Hypotheses> Known = [];
    private readonly Dictionary<string, double[][]> _given = [];

    /// <summary>They go by the tables alone: worked out once for each kind of loop and what is at it.</summary>
    public static Hypotheses For(FaultKind kind, IReadOnlyList<FaultSetting> at) =>
        Known.GetOrAdd((kind, at.Distinct().Sum(s => 1 << (int)s)), static (key, at) => new(key.Kind, at), at);

    private Hypotheses(FaultKind kind, IReadOnlyList<FaultSetting> at)
    {
        Tests = [.. FaultTests.For(kind, at)];
        Signs = [.. FaultSigns.For(kind, at).Select(s => s.Key)];
        Dictionary<string, FaultCause> causes = FaultCauses.For(kind, at).ToDictionary(c => c.Key);
        List<Hypothesis> all = [.. causes.Values.Select(c => new Hypothesis([c], FaultWeights.Of(c.Usual)))];
        foreach (FaultPair pair in FaultCauses.Pairs)
            if (
                causes.TryGetValue(pair.First, out FaultCause? one)
                && causes.TryGetValue(pair.Second, out FaultCause? two)
            )
                all.Add(new([one, two], FaultWeights.Of(pair.Usual) * FaultWeights.Pair));
        double listed = all.Sum(h => h.Weight);
        all.Add(new([], listed * FaultWeights.PartUnlisted / (1 - FaultWeights.PartUnlisted)));
        All = all;
        foreach (FaultTest test in Tests)
            _given[test.Key] = [.. all.Select(h => Answers(h, test))];
    }

    /// <summary>Keys of those that such a loop can show.</summary>
    public IReadOnlyCollection<string> Signs { get; }

    /// <summary>Keys of all.</summary>
    public static IReadOnlyCollection<string> Circumstances { get; } = [.. FaultSigns.Circumstances.Select(c => c.Key)];

    /// <summary>In the order of the file.</summary>
    public IReadOnlyList<FaultTest> Tests { get; }

    public IReadOnlyList<Hypothesis> All { get; }

    /// <summary>How surely it shows itself by that sign.</summary>
    public double OfSign(Hypothesis way, string sign) =>
        way.Causes.Count == 0
            ? FaultWeights.Unlisted
            : 1
                - way.Causes.Aggregate(
                    1.0,
                    (not, c) => not * (1 - _signs.GetValueOrDefault((c.Key, sign), FaultWeights.Unrelated))
                );

    /// <summary>What that circumstance makes of its odds: of two causes the one counts that it bears on more.</summary>
    public double OfCircumstance(Hypothesis way, string circumstance) =>
        way.Causes.Count == 0
            ? 1
            : way
                .Causes.Select(c => _circumstances.GetValueOrDefault((c.Key, circumstance), 1))
                .MaxBy(f => Math.Abs(Math.Log(f)));

    /// <summary>How surely each answer of a test comes, by each way, in the order of the test; of one way together 1.</summary>
    public IReadOnlyList<IReadOnlyList<double>> OfAnswers(FaultTest test) => _given[test.Key];

    private double[] Answers(Hypothesis way, FaultTest test)
    {
        double[] beside = [.. test.Answers.Select(a => a == test.Otherwise ? 0 : OfAnswer(way, test, a))];
        double usual = Math.Max(FaultWeights.Slip, 1 - beside.Sum());
        double[] all = [.. test.Answers.Select((a, i) => a == test.Otherwise ? usual : beside[i])];
        double sum = all.Sum();
        return [.. all.Select(p => p / sum)];
    }

    private double OfAnswer(Hypothesis way, FaultTest test, string answer)
    {
        double slip = test.IsStopLook ? FaultWeights.SlipOfStopLook : FaultWeights.Slip;
        if (way.Causes.Count == 0)
            return FaultWeights.UnlistedAnswer / (test.Answers.Count - 1);
        double not = 1;
        foreach (FaultCause cause in way.Causes)
            not *=
                1
                - Math.Max(
                    slip,
                    _answers[(cause.Key, test.Key)]
                        .Where(a => a.Answer == answer)
                        .Select(a => FaultWeights.Of(a.Weight))
                        .FirstOrDefault()
                );
        return 1 - not;
    }
}
