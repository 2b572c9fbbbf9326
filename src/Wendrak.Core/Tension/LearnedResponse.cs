namespace Wendrak.Core.Tension;

/// <summary>
/// How one figure of this machine answers: so much for each mm of axle, and a shift when the nut is tightened. It begins with
/// what geometry and stiffness expect and learns from every round.
/// </summary>
/// <remarks>
/// Linear regression with a normal prior, one round at a time (Kalman filter with a constant state). Source: Bishop, Pattern
/// Recognition and Machine Learning, ch. 3.
/// </remarks>
internal sealed class LearnedResponse(double slope, double slopeSigma, double shiftSigma)
{
    private double _slopeVariance = slopeSigma * slopeSigma;
    private double _shiftVariance = shiftSigma * shiftSigma;
    private double _covariance;

    /// <summary>Change for each mm.</summary>
    public double Slope { get; private set; } = slope;

    /// <summary>Change when the nut goes from nipped to its torque.</summary>
    public double Shift { get; private set; }
    public double SlopeSigma => Math.Sqrt(_slopeVariance);

    /// <summary>Rounds that taught something of the slope.</summary>
    public int Rounds { get; private set; }

    /// <summary>How far the last answer lay from what was expected, in standard deviations of that; 0 before any.</summary>
    public double LastSurprise { get; private set; }

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
        LastSurprise = Math.Abs(missed) / Math.Sqrt(variance);
        Slope += toSlope / variance * missed;
        Shift += toShift / variance * missed;
        _slopeVariance = Math.Max(0, _slopeVariance - toSlope * toSlope / variance);
        _shiftVariance = Math.Max(0, _shiftVariance - toShift * toShift / variance);
        _covariance -= toSlope * toShift / variance;
        if (movedMm != 0)
            Rounds++;
    }

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
