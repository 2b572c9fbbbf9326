namespace Wendrak.Core.Frequency;

/// <summary>How far a frequency can be relied on.</summary>
public enum FrequencyReadingQuality
{
    /// <summary>One fundamental, without doubt about its octave.</summary>
    Clear,

    /// <summary>Something was plucked, but its fundamental is in doubt: pluck again.</summary>
    NotSure,
    Silence,

    /// <summary>A sound that was there all the time, as hum or music without a beginning.</summary>
    NoPluck,
}

/// <param name="Hz">Null unless clear.</param>
/// <param name="GuessHz">What it would be if one had to guess; null where nothing rings.</param>
/// <param name="Clarity">Part of the sound that repeats itself, 0 to 1.</param>
/// <param name="IsAsExpected">Whether it lies in the range expected of the drive; null without one. It is told either way.</param>
/// <param name="Waveform">Of the ringing part, −1 to 1, for a picture.</param>
/// <param name="Spectrum">Loudness, 0 to 1, from 0 Hz on in equal steps.</param>
/// <param name="SpectrumStepHz">From one value of the spectrum to the next, Hz.</param>
public sealed record FrequencyReading(
    FrequencyReadingQuality Quality,
    double? Hz,
    double? GuessHz,
    double Clarity,
    bool? IsAsExpected,
    IReadOnlyList<double> Waveform,
    IReadOnlyList<double> Spectrum,
    double SpectrumStepHz
);

/// <summary>Range in which a drive is expected to sound, Hz.</summary>
/// <param name="Low">From here, Hz.</param>
/// <param name="High">To here, Hz.</param>
public sealed record ExpectedHz(double Low, double High);
