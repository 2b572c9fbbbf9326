using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Faults;

/// <summary>What a test tells: how much of what is open it takes away, on average over its answers. Source: Shannon's entropy.</summary>
internal sealed class TestGain
{
    private readonly IReadOnlyList<IReadOnlyList<double>> _answers;
    private readonly PosteriorOdds _now;

    public TestGain(FaultTest test, PosteriorOdds now)
    {
        Test = test;
        _now = now;
        _answers = now.Ways.OfAnswers(test);
        Gain = Told.With(
            Open(now.Probabilities),
            Enumerable.Range(0, test.Answers.Count).Sum(a => Of(a) is > 0 and double p ? p * Open(After(a)) : 0),
            test.Minutes
        );
    }

    public FaultTest Test { get; }

    /// <summary>Bits for each minute.</summary>
    public Explained Gain { get; }

    public double Bits => Gain.Value * Test.Minutes;

    /// <summary>That an answer comes.</summary>
    public double Of(int answer) => _now.Probabilities.Select((p, h) => p * _answers[h][answer]).Sum();

    /// <summary>Odds after it.</summary>
    public double[] After(int answer)
    {
        double all = Of(answer);
        return [.. _now.Probabilities.Select((p, h) => p * _answers[h][answer] / all)];
    }

    /// <summary>How much is open, bits.</summary>
    public static double Open(IEnumerable<double> odds) => odds.Sum(p => p > 0 ? -p * Math.Log2(p) : 0);

    private static readonly Formula<Func<double, double, double, double>> Told = new(
        "What the next test tells for its minutes",
        "g",
        ("for each minute", "bit/min"),
        (H, H_after, t) => (H - H_after) / t,
        [("open now", "bit"), ("open after it, on average over its answers", "bit"), ("it takes", "min")],
        "Shannon's entropy; expected information gain (Lindley 1956), from memory",
        "One step ahead: a test that only tells together with another one is not seen."
    );
}
