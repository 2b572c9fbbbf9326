using BenchmarkDotNet.Attributes;
using Wendrak.Core.Frequency;

namespace Wendrak.Bench;

/// <summary>FrequencyReadingQuality one pluck of 1.6 s.</summary>
[MemoryDiagnoser]
public class SetBench
{
    private WavRecording _pluck = null!;

    [GlobalSetup]
    public void Setup()
    {
        using MemoryStream file = new(PluckSound.Wav(58.2));
        _pluck = WavRecording.Read(file);
    }

    [Benchmark(Description = "a pluck is heard")]
    public FrequencyReading Hear() => BeltFrequencyMeter.Measure(_pluck);
}
