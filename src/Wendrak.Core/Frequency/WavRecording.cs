using NAudio.Wave;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Frequency;

/// <summary>A recording as one channel of samples.</summary>
/// <param name="Samples">−1 to 1, all channels in the middle.</param>
/// <param name="Rate">Samples a second.</param>
public sealed record WavRecording(IReadOnlyList<float> Samples, int Rate)
{
    public const int LongestS = 60;
    private const int LeastRate = 4_000;
    private const int MostRate = 192_000;

    public double LengthS => (double)Samples.Count / Rate;

    /// <summary>Reads a WAV file: PCM of 8 to 32 bit or float, any number of channels.</summary>
    /// <exception cref="InvalidInputException">No WAV file, an unknown encoding, empty, or longer than a minute.</exception>
    public static WavRecording Read(Stream file)
    {
        try
        {
            using WaveFileReader reader = new(file);
            WaveFormat format = reader.WaveFormat;
            new Guard()
                .Between("Rate", format.SampleRate, LeastRate, MostRate, "samples a second")
                .Between("Channels", format.Channels, 1, 16, "channels")
                .Between("BlockAlign", format.BlockAlign, 1, 16 * sizeof(double), "bytes")
                .ThrowIfAny();
            // A header may claim more than is there, as of a recording that was broken off.
            long frames = Math.Min(reader.SampleCount, file.Length / format.BlockAlign);
            new Guard()
                .That(frames > 0, "File", "empty", "The recording is empty: record a pluck.")
                .That(
                    frames <= (long)LongestS * format.SampleRate,
                    "File",
                    "too_long",
                    $"The recording is longer than {LongestS} s: cut out one pluck.",
                    LongestS
                )
                .ThrowIfAny();
            return new(Mono(reader.ToSampleProvider(), (int)frames, format.Channels), format.SampleRate);
        }
        catch (Exception e)
            when (e
                    is FormatException
                        or InvalidDataException
                        or EndOfStreamException
                        or ArgumentException
                        or NotSupportedException
                        or InvalidOperationException
                        or ArithmeticException
                        or IndexOutOfRangeException
            )
        {
            throw new InvalidInputException(
                "File",
                "no_wav",
                "This is no WAV file that can be read: save it as PCM or float."
            );
        }
    }

    private static float[] Mono(ISampleProvider source, int frames, int channels)
    {
        const int block = 16_384;
        float[] mono = new float[frames];
        float[] buffer = new float[block * channels];
        int filled = 0;
        for (int read; filled < frames && (read = source.Read(buffer)) > 0; )
        for (int i = 0; i + channels <= read && filled < frames; i += channels, filled++)
            mono[filled] = Middle(buffer.AsSpan(i, channels));
        return filled == frames ? mono : mono[..filled];
    }

    private static float Middle(ReadOnlySpan<float> frame)
    {
        float sum = 0;
        foreach (float sample in frame)
            sum += float.IsFinite(sample) ? sample : 0;
        return sum / frame.Length;
    }
}
