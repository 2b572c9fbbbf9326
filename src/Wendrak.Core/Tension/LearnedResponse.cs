using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>
/// How one figure of this machine answers: so much for each mm of axle, and a shift when the nut is tightened. It begins with
/// what geometry and stiffness expect and learns from every round.
/// </summary>
/// <remarks>
/// Linear regression with a normal prior, one round at a time (Kalman filter with a constant state). Source: Bishop, Pattern
/// Recognition and Machine Learning, ch. 3.
/// </remarks>
internal sealed class LearnedResponse
{
    private readonly double _slope;
    private readonly double _slopeSigma;
    private readonly double _shiftSigma;
    private double _slopeVariance;
    private double _shiftVariance;
    private double _covariance;
    private Explained _learned;

    private const string Title = "How this machine answers";
    private const string Source =
        "statics for the first guess; linear regression with a normal prior (Bishop, Pattern Recognition and Machine Learning, ch. 3)";

    private static readonly Formula<Func<double, double>> Supposed = new(
        Title,
        "k",
        ("supposed", ""),
        k_0 => k_0,
        [("expected for each mm of axle", "")],
        Source,
        "Nothing was learned yet."
    );

    private static readonly Formula<Func<double, double, double, double, double>> Update = new(
        Title,
        "k",
        ("learned", ""),
        (k_before, g, Δ, Δ_expected) => k_before + g * (Δ - Δ_expected),
        [
            ("before the newest round", ""),
            ("how much a surprise counts: less, the more is known", ""),
            ("change from the round before", ""),
            ("change that was expected", ""),
        ],
        Source,
        "The nut's share of each change is learned beside it."
    );

    /// <summary>The slope and how the newest round changed it; in the units of the scale.</summary>
    public Working Explain(string unit, double expectedSlope)
    {
        Working working = _learned.Working;
        string[] units = [unit + "/mm", "1/mm", unit, unit];
        return working with
        {
            Values = [.. working.Values.Select((v, i) => v with { Unit = units[i] })],
            Result = working.Result with { Unit = unit + "/mm" },
            Limits = FormattableString.Invariant(
                $"{working.Limits} Known to ±{SlopeSigma:0.##} by now (one standard deviation)."
            ),
            Beside =
            [
                new("k_0", "expected for each mm of axle", expectedSlope, unit + "/mm", true),
                new("rounds", "that taught something", Rounds, ""),
                new("nut", "shift when tightened, as learned", Shift, unit),
            ],
        };
    }

    public LearnedResponse(double slope, double slopeSigma, double shiftSigma)
    {
        (_slope, _slopeSigma, _shiftSigma) = (slope, slopeSigma, shiftSigma);
        Forget();
    }

    /// <summary>Back to what was expected before anything was seen.</summary>
    public void Forget()
    {
        (Slope, Shift, Rounds) = (_slope, 0, 0);
        _learned = Supposed.With(new Given(_slope, IsUsual: true));
        (_slopeVariance, _shiftVariance, _covariance) = (_slopeSigma * _slopeSigma, _shiftSigma * _shiftSigma, 0);
    }

    /// <summary>Change for each mm.</summary>
    public double Slope { get; private set; }

    /// <summary>Change when the nut goes from nipped to its torque.</summary>
    public double Shift { get; private set; }
    public double SlopeSigma => Math.Sqrt(_slopeVariance);

    /// <summary>Rounds that taught something of the slope.</summary>
    public int Rounds { get; private set; }

    /// <param name="movedMm">Way of the axle since the round before.</param>
    /// <param name="tightened">1 where the nut was torqued since, −1 where it was slackened, 0 otherwise.</param>
    /// <param name="change">Of the figure since then.</param>
    /// <param name="sigma">Of that change, from reading it twice.</param>
    public void Learn(double movedMm, int tightened, double change, double sigma)
    {
        if (movedMm == 0 && tightened == 0)
            return;
        double toSlope = _slopeVariance * movedMm + _covariance * tightened;
        double toShift = _covariance * movedMm + _shiftVariance * tightened;
        double expected = Slope * movedMm + Shift * tightened;
        double variance = toSlope * movedMm + toShift * tightened + sigma * sigma;
        double missed = change - expected;
        if (movedMm != 0 && IsStiffer(missed, expected, variance))
        {
            // What was supposed is overruled: only the answer itself counts from here on.
            _slopeVariance = Math.Max(_slopeVariance, missed / movedMm * (missed / movedMm));
            toSlope = _slopeVariance * movedMm + _covariance * tightened;
            variance = toSlope * movedMm + toShift * tightened + sigma * sigma;
        }
        _learned = Update.With(Slope, toSlope / variance, change, expected);
        Slope = _learned.Value;
        Shift += toShift / variance * missed;
        _slopeVariance = Math.Max(0, _slopeVariance - toSlope * toSlope / variance);
        _shiftVariance = Math.Max(0, _shiftVariance - toShift * toShift / variance);
        _covariance -= toSlope * toShift / variance;
        if (movedMm != 0)
            Rounds++;
    }

    /// <summary>Whether an answer goes the expected way and so far beyond it that the drive must be stiffer than supposed.</summary>
    private static bool IsStiffer(double missed, double expected, double variance) =>
        missed * expected > 0 && Math.Abs(missed) > SurpriseLimit * Math.Sqrt(variance);

    private const double SurpriseLimit = 2; // standard deviations

    public double Predict(double movedMm, int tightened) => Slope * movedMm + Shift * tightened;

    /// <summary>Standard deviation of a prediction.</summary>
    public double SigmaOf(double movedMm, int tightened) =>
        Math.Sqrt(
            Math.Max(
                0,
                _slopeVariance * movedMm * movedMm
                    + 2 * _covariance * movedMm * tightened
                    + _shiftVariance * tightened * tightened
            )
        );
}
