using System.Numerics;
using MathNet.Numerics.IntegralTransforms;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Frequency;

/// <summary>Measures the frequency of a plucked span in a recording.</summary>
/// <remarks>
/// The ringing part after the strongest onset; what sounded before it (hum, noise) is taken off its power spectrum; the
/// autocorrelation of the rest tells the period (Wiener and Khinchin; choice of its peak after McLeod and Wyvill, A smarter way to
/// find pitch, 2005). An octave is only told when the spectrum bears it out: where lines lie between the harmonics of a candidate
/// the true fundamental is lower.
/// </remarks>
public static class BeltFrequencyMeter
{
    public const double LowestHz = 10;
    public const double HighestHz = 400;
    private const double SilentPeak = 1e-4;
    private const double ClearEnough = 0.75;
    private const double PeakShare = 0.85; // of the highest peak: the first one as high is the period
    private const double NoiseShare = 2; // over-subtraction, since noise scatters about its mean
    private const double HalvesAgree = 0.02;

    // Power between the harmonics over that on them: from here on the octave below is true, down to there it is in doubt.
    private const double LowerTrue = 0.01;
    private const double LowerDoubt = 0.002;
    private const int PicturePoints = 300;

    /// <param name="expected">Decides between two octaves in doubt; a reading outside it is told all the same.</param>
    /// <exception cref="InvalidInputException">The recording is too short to hear anything.</exception>
    public static FrequencyReading Measure(WavRecording recording, ExpectedHz? expected = null)
    {
        new Guard()
            .That(
                recording.LengthS >= 0.1,
                "File",
                "too_short",
                "The recording is shorter than 0.1 s: record a whole pluck.",
                0.1
            )
            .ThrowIfAny();
        (double[] samples, double rate) = Downsampling.Of(recording);
        double peak = samples.Max(Math.Abs);
        if (peak < SilentPeak)
            return Nothing(FrequencyReadingQuality.Silence);
        PluckSegment? segment = PluckSegment.Find(samples, rate);
        if (segment is null)
            return Nothing(FrequencyReadingQuality.NoPluck);
        FundamentalFrequency whole = FundamentalOf(samples, segment, rate);
        double[] wave = Thinned(samples.AsSpan(segment.Start, segment.Length), peak);
        if (whole.Hz is not double hz)
            return Nothing(FrequencyReadingQuality.NotSure) with
            {
                Waveform = wave,
                Spectrum = whole.Picture,
                SpectrumStepHz = FundamentalFrequency.StepHz,
            };
        (hz, bool octaveSure) = Octave(whole, hz, expected);
        bool isSure =
            octaveSure
            && whole.Clarity >= ClearEnough
            && whole.Harmonic(hz)
            && whole.HasItsLines(hz)
            && HalvesSay(samples, segment, rate, hz);
        return new(
            isSure ? FrequencyReadingQuality.Clear : FrequencyReadingQuality.NotSure,
            isSure ? hz : null,
            hz,
            whole.Clarity,
            expected is null ? null : hz >= expected.Low && hz <= expected.High,
            wave,
            whole.Picture,
            FundamentalFrequency.StepHz
        );
    }

    private static FrequencyReading Nothing(FrequencyReadingQuality quality) =>
        new(quality, null, null, 0, null, [], [], 0);

    /// <summary>What the lines between the harmonics say: an octave lower, or doubt.</summary>
    private static (double Hz, bool IsSure) Octave(FundamentalFrequency fundamental, double hz, ExpectedHz? expected)
    {
        bool sure = true;
        while (hz / 2 >= LowestHz)
        {
            double share = fundamental.BetweenHarmonics(hz);
            if (share < LowerDoubt)
                break;
            if (share >= LowerTrue)
            {
                hz /= 2;
                continue;
            }
            bool isLower = expected is not null && Inside(expected, hz / 2) && !Inside(expected, hz);
            bool isThis = expected is not null && Inside(expected, hz) && !Inside(expected, hz / 2);
            if (isLower)
                hz /= 2;
            sure = isLower || isThis;
            break;
        }
        return (hz, sure);
    }

    private static bool Inside(ExpectedHz range, double hz) => hz >= range.Low && hz <= range.High;

    /// <summary>Both halves of the ringing part must tell the same, as far as they are long enough to tell anything.</summary>
    private static bool HalvesSay(double[] samples, PluckSegment segment, double rate, double hz)
    {
        int half = segment.Length / 2;
        if (half < 6 * rate / hz)
            return segment.Length >= 4 * rate / hz;
        double? first = FundamentalOf(samples, segment with { Length = half }, rate).Near(hz);
        return first is double f && Math.Abs(f / hz - 1) < HalvesAgree;
    }

    private static double[] Thinned(ReadOnlySpan<double> wave, double peak)
    {
        int points = Math.Min(PicturePoints, wave.Length);
        double[] thin = new double[points];
        for (int i = 0; i < points; i++)
            thin[i] = Math.Round(wave[(int)((long)i * wave.Length / points)] / peak, 3);
        return thin;
    }

    private static FundamentalFrequency FundamentalOf(double[] samples, PluckSegment segment, double rate)
    {
        int size = 2;
        while (size < 2 * segment.Length)
            size *= 2;
        size = Math.Max(size, 8_192);
        double[] power = PowerSpectrum(samples.AsSpan(segment.Start, segment.Length), size);
        if (segment.NoiseLength > 0)
        {
            int length = Math.Min(segment.NoiseLength, segment.Length);
            ReadOnlySpan<double> quiet = samples.AsSpan(segment.NoiseStart + segment.NoiseLength - length, length);
            double[] noise = PowerSpectrum(quiet, size);
            // A steady tone grows with the square of the time it is listened to.
            double scale = NoiseShare * Math.Pow((double)segment.Length / length, 2);
            for (int i = 0; i < power.Length; i++)
                power[i] = Math.Max(0, power[i] - scale * Widest(noise, i));
        }
        for (int i = 0; i < power.Length && i * rate / size < LowestHz * 0.8; i++)
            power[i] = 0; // handling and wind
        return new FundamentalFrequency(power, rate, size, segment.Length, PeakShare);
    }

    /// <summary>The stronger of the neighbours: a line must not leave its edges standing.</summary>
    private static double Widest(double[] noise, int i)
    {
        double widest = noise[i];
        for (int k = Math.Max(0, i - 2); k <= Math.Min(noise.Length - 1, i + 2); k++)
            widest = Math.Max(widest, noise[k]);
        return widest;
    }

    private static double[] PowerSpectrum(ReadOnlySpan<double> part, int size)
    {
        Complex[] buffer = new Complex[size];
        for (int i = 0; i < part.Length; i++)
            buffer[i] = part[i] * (0.5 - 0.5 * Math.Cos(2 * Math.PI * (i + 0.5) / part.Length));
        Fourier.Forward(buffer, FourierOptions.NoScaling);
        double[] power = new double[size / 2 + 1];
        for (int i = 0; i < power.Length; i++)
            power[i] = buffer[i].Real * buffer[i].Real + buffer[i].Imaginary * buffer[i].Imaginary;
        return power;
    }
}
