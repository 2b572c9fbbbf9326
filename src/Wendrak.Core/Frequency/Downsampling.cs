namespace Wendrak.Core.Frequency;

/// <summary>Brings a recording to the few thousand samples a second that a belt's sound needs.</summary>
internal static class Downsampling
{
    private const int WantedRate = 4_000;
    private const int TapsEachSide = 4; // of the sinc, in samples of the result

    /// <summary>Filtered by a windowed sinc (Hann), then thinned. Source: textbook decimation, Oppenheim and Schafer.</summary>
    public static (double[] Samples, double Rate) Of(WavRecording recording)
    {
        int factor = Math.Max(1, recording.Rate / WantedRate);
        IReadOnlyList<float> from = recording.Samples;
        double mean = from.Average();
        double[] taps = Taps(factor);
        int middle = taps.Length / 2;
        double[] samples = new double[from.Count / factor];
        for (int k = 0; k < samples.Length; k++)
        {
            double sum = 0;
            int at = k * factor - middle;
            for (int t = Math.Max(0, -at); t < taps.Length && at + t < from.Count; t++)
                sum += taps[t] * (from[at + t] - mean);
            samples[k] = sum;
        }
        return (samples, (double)recording.Rate / factor);
    }

    private static double[] Taps(int factor)
    {
        int half = TapsEachSide * factor;
        double[] taps = new double[2 * half + 1];
        for (int i = -half; i <= half; i++)
        {
            double x = Math.PI * i / factor * 0.9;
            double sinc = i == 0 ? 1 : Math.Sin(x) / x;
            taps[i + half] = sinc * (0.5 + 0.5 * Math.Cos(Math.PI * i / (half + 1)));
        }
        double sum = taps.Sum();
        return [.. taps.Select(t => t / sum)];
    }
}
