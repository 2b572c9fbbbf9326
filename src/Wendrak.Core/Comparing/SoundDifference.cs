using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Comparing;

/// <summary>How much louder one thing is than another, of two levels read at one distance in one way.</summary>
/// <param name="Db">Second less first, dB.</param>
/// <param name="PressureRatio">Of the sound pressures.</param>
/// <param name="LoudnessRatio">As it is heard, about.</param>
public sealed record SoundDifference(double Db, double PressureRatio, double LoudnessRatio)
{
    /// <remarks>Source: ISO 80000-8, level 20·lg(p/p₀); twice as loud for 10 dB more: sone scale of ISO 532, from memory.</remarks>
    /// <exception cref="InvalidInputException">No level that is heard.</exception>
    public static SoundDifference Between(double firstDb, double secondDb)
    {
        new Guard()
            .Between(nameof(firstDb), firstDb, 0, 160, "dB")
            .Between(nameof(secondDb), secondDb, 0, 160, "dB")
            .ThrowIfAny();
        double db = secondDb - firstDb;
        return new(db, Pow(10, db / 20), Pow(2, db / 10));
    }
}
