using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Faults;

/// <summary>Odds of all ways by what is known: Bayes' rule, each sign, circumstance and answer for itself.</summary>
/// <remarks>
/// Worked out anew each time and in the order of the tables, so that in whatever order answers come, and are taken back, the odds
/// are the same to the last digit.
/// </remarks>
internal sealed class PosteriorOdds
{
    private readonly Explained[] _weights;

    public PosteriorOdds(Hypotheses ways, FaultQuestion question)
    {
        Ways = ways;
        string[] signs = [.. question.Signs.Order(StringComparer.Ordinal)];
        (FaultTest Test, int Answer)[] answers = [.. Told(ways, question)];
        _weights =
        [
            .. ways.All.Select(
                (h, i) =>
                    Weight.With(
                        h.Weight,
                        signs.Aggregate(1.0, (p, s) => p * ways.OfSign(h, s)),
                        Circumstances(ways, h, question),
                        answers.Aggregate(1.0, (p, a) => p * ways.OfAnswers(a.Test)[i][a.Answer])
                    )
            ),
        ];
        double sum = _weights.Sum(w => w.Value);
        Probabilities = [.. _weights.Select(w => w.Value / sum)];
    }

    /// <summary>Tests that told something, in the order of the file, each with the number of its answer.</summary>
    public static IEnumerable<(FaultTest Test, int Answer)> Told(Hypotheses ways, FaultQuestion question) =>
        ways
            .Tests.Select(t => (Test: t, Said: question.Answers.FirstOrDefault(a => a.Test == t.Key)?.Answer))
            .Where(t => t.Said is not null && t.Test.Answers.Contains(t.Said))
            .Select(t => (t.Test, t.Test.Answers.Index().First(a => a.Item == t.Said).Index));

    public Hypotheses Ways { get; }

    /// <summary>In the order of the ways; together 1.</summary>
    public IReadOnlyList<double> Probabilities { get; }

    /// <summary>Of one way, against all of them.</summary>
    public Working WorkingOf(int way) =>
        _weights[way].Working with
        {
            Beside =
            [
                new("Σ", "of all ways together", _weights.Sum(w => w.Value), ""),
                new("p", "odds of this one, 0 to 1", Probabilities[way], ""),
            ],
        };

    private static double Circumstances(Hypotheses ways, Hypothesis way, FaultQuestion question)
    {
        double all = 1;
        foreach (FaultCircumstance c in FaultSigns.Circumstances.Where(c => question.Circumstances.Contains(c.Key)))
        {
            double power =
                question.Control is not { } control || !c.IsShared ? 1
                : control.Circumstances.Contains(c.Key) ? FaultWeights.SharedPower
                : FaultWeights.DifferingPower;
            all *= Math.Pow(ways.OfCircumstance(way, c.Key), power);
        }
        return all;
    }

    private static readonly Formula<Func<double, double, double, double, double>> Weight = new(
        "How likely it is",
        "w",
        ("weight against the other ways", ""),
        (u, s, c, a) => u * s * c * a,
        [
            ("how usual it is", ""),
            ("how surely it shows itself by these signs", ""),
            ("what came before makes of it", ""),
            ("how surely it gives these answers", ""),
        ],
        "Bayes' rule; weights are judgement, common practice",
        "As if each sign and answer came for itself. Words and numbers of the weights stand in the tables fault_*.csv, each with why."
    );
}
