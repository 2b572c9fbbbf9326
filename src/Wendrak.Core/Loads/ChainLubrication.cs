using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>How the industrial tables want a chain of this speed oiled.</summary>
public enum LubricationClass
{
    /// <summary>By hand or drip.</summary>
    ManualOrDrip,

    /// <summary>Oil bath or slinger.</summary>
    BathOrSlinger,

    /// <summary>Oil stream.</summary>
    OilStream,
}

/// <summary>Lubrication by chain speed. Source: ACA; Machinery's Handbook (limits from memory).</summary>
public static class ChainLubrication
{
    private const double FeetPerMinute = 0.00508; // m/s

    /// <summary>How often a sealed-ring chain on the road is oiled outside, km, and after rain: common practice.</summary>
    public const double SealedFromKm = 500;
    public const double SealedToKm = 1_000;

    // Pitch mm, class A up to, class B up to, ft/min: chains no. 25 to 160, as ANSI B29.1 and the ACA print them (from memory).
    private static readonly (double PitchMm, double ManualFtMin, double BathFtMin)[] Limits =
    [
        (6.35, 480, 3250),
        (9.525, 350, 2650),
        (12.7, 300, 2200),
        (15.875, 250, 1900),
        (19.05, 215, 1750),
        (25.4, 165, 1475),
        (31.75, 145, 1250),
        (38.1, 125, 1170),
        (44.45, 110, 1050),
        (50.8, 100, 1000),
    ];

    /// <summary>Class of a chain by its pitch, the nearest of the table.</summary>
    /// <exception cref="InvalidInputException">The pitch or speed is not physical.</exception>
    public static LubricationClass ClassOf(double pitchMm, double speedMS)
    {
        new Guard()
            .MoreThan(nameof(pitchMm), pitchMm, 0, "mm")
            .AtLeast(nameof(speedMS), speedMS, 0, "m/s")
            .ThrowIfAny();
        (double manual, double bath) = UpTo(pitchMm);
        return speedMS <= manual ? LubricationClass.ManualOrDrip
            : speedMS <= bath ? LubricationClass.BathOrSlinger
            : LubricationClass.OilStream;
    }

    /// <summary>Speeds, m/s, up to which oiling by hand and a bath will do.</summary>
    public static (double ManualMS, double BathMS) UpTo(double pitchMm)
    {
        (_, double manual, double bath) = Limits.MinBy(l => Math.Abs(l.PitchMm - pitchMm));
        return (manual * FeetPerMinute, bath * FeetPerMinute);
    }
}
