using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Faults;

/// <summary>A test that is answered by what was measured, and where this machine draws its lines.</summary>
/// <param name="Test">Key of the test.</param>
/// <param name="What">What is measured, in a few words.</param>
/// <param name="Unit">Of the values: “mm”, “Hz”, “N”, “%”.</param>
/// <param name="Count">How many values it takes.</param>
/// <param name="Low">Below this a value is out; null for no bound.</param>
/// <param name="High">Above this one.</param>
/// <param name="Source">Where the lines come from.</param>
/// <param name="TightIsLess">A lower value is a tighter loop, as of play or of what a push gives; else a higher one.</param>
public sealed record FaultMeasure(
    string Test,
    string What,
    string Unit,
    int Count,
    double? Low,
    double? High,
    string Source,
    bool TightIsLess = false
)
{
    /// <summary>More than any of these can be.</summary>
    private const double Most = 100_000;

    /// <summary>The answer that what was measured gives.</summary>
    /// <param name="values">As many as <see cref="Count"/>, in its unit.</param>
    /// <returns>One of the test’s answers.</returns>
    /// <exception cref="InvalidInputException">Another number of values, or one that can’t be.</exception>
    public string AnswerOf(IReadOnlyList<double> values)
    {
        Guard guard = new Guard().Count("Values", values.Count, Count, Count, "values");
        for (int i = 0; i < values.Count; i++)
            guard.Between(FormattableString.Invariant($"Values[{i}]"), values[i], 0, Most, Unit);
        guard.ThrowIfAny();
        bool low = values.Any(v => v < Low);
        bool high = values.Any(v => v > High);
        return Test switch
        {
            Elongation => values.Any(v => v >= High) ? "atLimit" : "below",
            PlayAtFour => values.All(v => v > High) ? "slackAll"
            : values.All(v => v < Low) ? "tightAll"
            : low || high || values.Max() - values.Min() > High - Low ? "uneven"
            : "even",
            Width => low ? "narrower"
            : high ? "wider"
            : "asNew",
            _ => low ? Below
            : high ? Above
            : FaultTests.All.First(t => t.Key == Test).Otherwise,
        };
    }

    public const string Elongation = "elongation";
    public const string PlayAtFour = "playFour";
    public const string BeltReading = "beltReading";
    public const string Width = "caliperWidth";

    private string Below => TightIsLess ? "tight" : "slack";
    private string Above => TightIsLess ? "slack" : "tight";
}
