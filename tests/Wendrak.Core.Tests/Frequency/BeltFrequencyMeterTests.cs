using Wendrak.Core.Frequency;
using Xunit.Abstractions;

namespace Wendrak.Core.Tests.Frequency;

public sealed class BeltFrequencyMeterTests(ITestOutputHelper output)
{
    private const string Usual = "-r 48000 -b 16 -c 1";
    private static readonly double[] Pitches = [28, 31, 35, 47, 58, 65, 74, 82, 110, 147, 196, 247, 330];

    /// <summary>0.2 s of quiet, then a pluck that rings.</summary>
    private static string Pluck(double hz, string effects = "") =>
        FormattableString.Invariant($"synth 2.5 pluck {hz} gain -6 pad 0.3 {effects}");

    public static TheoryData<double, string, string, string> Recordings()
    {
        TheoryData<double, string, string, string> data = [];
        foreach (double hz in Pitches)
            data.Add(hz, "plain", Usual, "");
        foreach (
            (string name, string format) in new[]
            {
                ("8 kHz", "-r 8000 -b 16 -c 1"),
                ("22 kHz", "-r 22050 -b 16 -c 1"),
                ("44 kHz stereo", "-r 44100 -b 16 -c 2"),
                ("96 kHz, 24 bit", "-r 96000 -b 24 -c 1"),
                ("8 bit", "-r 44100 -b 8 -e unsigned-integer -c 1"),
                ("32 bit", "-r 48000 -b 32 -c 2"),
                ("float", "-r 48000 -b 32 -e floating-point -c 1"),
            }
        )
        foreach (double hz in new[] { 35.0, 65, 147 })
            data.Add(hz, name, format, "");
        foreach (
            (string name, string effect) in new[]
            {
                ("clipped", "gain 30"),
                ("low level", "gain -40"),
                ("short", "trim 0 0.9"),
                ("a sharp attack and a long quiet", "pad 2"),
                ("thin: fundamental taken away by a small microphone", "highpass 180"),
            }
        )
        foreach (double hz in new[] { 35.0, 47, 65, 110, 196 })
            data.Add(hz, name, Usual, effect);
        return data;
    }

    /// <summary>Within 0.5 Hz or 1 %, whichever is more.</summary>
    [Theory]
    [MemberData(nameof(Recordings))]
    public void A_pluck_is_heard(double hz, string name, string format, string effects) =>
        Heard(hz, BeltFrequencyMeter.Measure(Sox.Make(format, Pluck(hz, effects))), name);

    public static TheoryData<double, string, string> Disturbed()
    {
        TheoryData<double, string, string> data = [];
        foreach (double hz in new[] { 35.0, 47, 65, 82, 110, 196 })
        {
            data.Add(hz, "white noise", "synth 2.8 whitenoise gain -32");
            data.Add(hz, "pink noise of a workshop", "synth 2.8 pinknoise gain -26");
            data.Add(hz, "hum of the mains", "synth 2.8 sine 50 sine 150 gain -20 remix -");
            data.Add(hz, "second pluck", FormattableString.Invariant($"synth 1.2 pluck {hz} gain -9 pad 1.6"));
        }
        return data;
    }

    [Theory]
    [MemberData(nameof(Disturbed))]
    public void A_pluck_is_heard_among_other_sounds(double hz, string name, string other) =>
        Heard(hz, BeltFrequencyMeter.Measure(Sox.Mix(Usual, Pluck(hz), other)), name);

    /// <summary>Lower than sox plucks: struck strings laid together from sines.</summary>
    [Theory]
    [InlineData(11)]
    [InlineData(14)]
    [InlineData(18)]
    [InlineData(23)]
    public void A_long_slack_span_is_heard(double hz)
    {
        string Line(int k) =>
            FormattableString.Invariant($"synth 2 sine {k * hz} fade l 0 2 1.95 gain {-8 - 3 * k} pad 0.3");
        Heard(hz, BeltFrequencyMeter.Measure(Sox.Mix(Usual, [.. Enumerable.Range(1, 6).Select(Line)])), "low");
    }

    /// <summary>Harmonics far louder than the fundamental: the right octave or “not sure”, never a wrong one.</summary>
    [Theory]
    [InlineData(40, 0)]
    [InlineData(40, -12)]
    [InlineData(65, -6)]
    [InlineData(65, -20)]
    [InlineData(65, -40)]
    [InlineData(90, -12)]
    [InlineData(90, -30)]
    public void A_wrong_octave_is_never_told(double hz, double fundamentalDb)
    {
        string Tone(int k, double db) =>
            FormattableString.Invariant($"synth 1.5 sine {k * hz} fade l 0 1.5 1.4 gain {db - 10} pad 0.3");
        FrequencyReading reading = BeltFrequencyMeter.Measure(
            Sox.Mix(Usual, Tone(1, fundamentalDb), Tone(2, 0), Tone(3, -14), Tone(4, -6))
        );
        output.WriteLine($"{reading.Quality} {reading.Hz} guess {reading.GuessHz}");
        if (reading.Hz is double result)
            Assert.InRange(result, hz - Math.Max(0.5, 0.01 * hz), hz + Math.Max(0.5, 0.01 * hz));
    }

    private void Heard(double hz, FrequencyReading reading, string name)
    {
        output.WriteLine(
            $"{hz} {name}: {reading.Quality} {reading.Hz} guess {reading.GuessHz} clarity {reading.Clarity:0.00}"
        );
        Assert.Equal(FrequencyReadingQuality.Clear, reading.Quality);
        double allowed = Math.Max(0.5, 0.01 * hz);
        Assert.InRange(reading.Hz!.Value, hz - allowed, hz + allowed);
    }

    [Theory]
    [InlineData("synth 2 sine 0 gain -100", FrequencyReadingQuality.Silence)]
    [InlineData("synth 2 sine 50 gain -6", FrequencyReadingQuality.NoPluck)]
    [InlineData("synth 2 whitenoise gain -6", FrequencyReadingQuality.NoPluck)]
    public void What_was_not_plucked_is_told(string synth, FrequencyReadingQuality quality) =>
        Assert.Equal(quality, BeltFrequencyMeter.Measure(Sox.Make(Usual, synth)).Quality);

    [Theory]
    [InlineData("synth 2 pluck C3 pluck E3 pluck G3 remix - gain -6 pad 0.3")]
    [InlineData("synth 2 pluck 61 pluck 97 pluck 143 remix - gain -6 pad 0.3")]
    [InlineData("synth 0.4 whitenoise fade l 0 0.4 0.35 gain -6 pad 0.3")]
    public void Music_and_knocks_have_no_pitch_of_their_own(string synth)
    {
        FrequencyReading reading = BeltFrequencyMeter.Measure(Sox.Make("-r 48000 -b 16", synth));
        output.WriteLine($"{reading.Quality} {reading.Hz} guess {reading.GuessHz} clarity {reading.Clarity:0.00}");
        Assert.Null(reading.Hz);
    }

    [Fact]
    public void A_reading_outside_what_is_expected_is_told_all_the_same()
    {
        FrequencyReading reading = BeltFrequencyMeter.Measure(Sox.Make(Usual, Pluck(65)), new(20, 30));
        Assert.Equal((FrequencyReadingQuality.Clear, false), (reading.Quality, reading.IsAsExpected));
        Assert.True(BeltFrequencyMeter.Measure(Sox.Make(Usual, Pluck(65)), new(60, 70)).IsAsExpected);
        Assert.InRange(reading.Waveform.Max(Math.Abs), 0.1, 1);
        Assert.Equal(1, reading.Spectrum.Max());
    }

    /// <summary>The practice belt sounds at the pitch it should.</summary>
    [Theory]
    [InlineData(22)]
    [InlineData(58.2)]
    [InlineData(140)]
    public void The_practice_belt_is_heard_at_its_pitch(double hz)
    {
        using MemoryStream file = new(PluckSound.Wav(hz));
        Heard(hz, BeltFrequencyMeter.Measure(WavRecording.Read(file)), "practice");
    }

    [Fact]
    public void What_is_no_recording_is_refused_in_a_sentence()
    {
        void Read(byte[] bytes) => WavRecording.Read(new MemoryStream(bytes));
        Refusals.Names("File", () => Read([]));
        Refusals.Names("File", () => Read([.. "This is a letter, not a sound at all, however long it goes on."u8]));
        Refusals.Names("File", () => Sox.Make("-r 8000 -b 8 -c 1", "synth 61 sine 50"));
        Refusals.Names("File", () => BeltFrequencyMeter.Measure(Sox.Make(Usual, "synth 0.05 sine 50")));
    }

    /// <summary>A header that promises two hours is refused by the header: nothing of it is read.</summary>
    [Fact]
    public void Two_hours_are_refused_by_their_header()
    {
        byte[] head = new byte[44];
        using BinaryWriter w = new(new MemoryStream(head));
        const int bytes = 2 * 3_600 * 48_000 * 2;
        w.Write("RIFF"u8);
        w.Write(bytes + 36);
        w.Write("WAVEfmt "u8);
        w.Write(16);
        w.Write((short)1);
        w.Write((short)1);
        w.Write(48_000);
        w.Write(96_000);
        w.Write((short)2);
        w.Write((short)16);
        w.Write("data"u8);
        w.Write(bytes);
        Refusals.Names("File", () => WavRecording.Read(new MemoryStream(head)));
    }
}
