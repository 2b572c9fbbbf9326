using NAudio.Wave;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Frequency;

/// <summary>The sound of a plucked span, for the practice belt.</summary>
/// <remarks>
/// A string pulled aside at a fifth of its length: harmonics of amplitude sin(k·π/5)/k², each fading faster the higher it is.
/// Source: Fletcher and Rossing, The Physics of Musical Instruments, ch. 2; fading times are chosen to sound like a belt.
/// </remarks>
public static class PluckSound
{
    private const int Rate = 22_050;
    private const double LengthS = 1.6;
    private const double QuietS = 0.15;
    private const double PluckedAt = 0.2;
    private const int Harmonics = 12;
    private const double FadesInS = 0.5;

    /// <returns>A WAV file, 16 bit, one channel.</returns>
    /// <exception cref="InvalidInputException">A fundamental that no belt has.</exception>
    public static byte[] Wav(double hz)
    {
        new Guard()
            .Between(nameof(hz), hz, BeltFrequencyMeter.LowestHz, BeltFrequencyMeter.HighestHz, "Hz")
            .ThrowIfAny();
        float[] samples = new float[(int)(LengthS * Rate)];
        int start = (int)(QuietS * Rate);
        for (int i = start; i < samples.Length; i++)
            samples[i] = (float)(0.6 * At(hz, (double)(i - start) / Rate));
        using MemoryStream file = new();
        using (WaveFileWriter writer = new(file, new WaveFormat(Rate, 16, 1)))
            writer.WriteSamples(samples, 0, samples.Length);
        return file.ToArray();
    }

    private static double At(double hz, double seconds)
    {
        double sum = 0;
        for (int k = 1; k <= Harmonics && k * hz < Rate / 2.0; k++)
            sum +=
                Math.Sin(k * Math.PI * PluckedAt)
                / (k * k)
                * Math.Exp(-seconds * (1 + 0.4 * k) / FadesInS)
                * Math.Cos(2 * Math.PI * k * hz * seconds);
        return sum;
    }
}
