namespace Wendrak.Core.Loads;

public enum LoadCheckKind
{
    /// <summary>Breaking load over pull.</summary>
    BreakingLoad,

    /// <summary>Breaking load over pull with shock, centrifugal and sag tension.</summary>
    BreakingLoadWithShock,

    /// <summary>Pressure of pin in bush, N/mm², at the long-lasting load.</summary>
    PinPressure,

    /// <summary>Tension the slack run must hold so that the chain does not climb, against what it has, N.</summary>
    Climbing,

    /// <summary>Chain speed, m/s.</summary>
    ChainSpeed,

    /// <summary>Speed ripple either way of the mean, percent.</summary>
    Ripple,

    /// <summary>Turns until the same gap of the smaller wheel of a double pitch chain is used again.</summary>
    OddTeeth,

    /// <summary>Wrap of the worse of both wheels, degrees.</summary>
    Wrap,

    /// <summary>Power over the industrial rating by plate fatigue or roller impact.</summary>
    Rating,

    /// <summary>Speed of the small sprocket against galling, rpm.</summary>
    Galling,

    /// <summary>Greatest pull by friction over the pull.</summary>
    Slip,

    /// <summary>Belts side by side against those needed.</summary>
    BeltCount,

    /// <summary>Belt speed, m/s.</summary>
    BeltSpeed,

    /// <summary>Smaller pulley against the least of its section or profile: datum diameter mm, or teeth.</summary>
    SmallPulley,

    /// <summary>Pull against what profile and width allow, N.</summary>
    BeltPull,

    /// <summary>Teeth of a belt in mesh.</summary>
    TeethInMesh,

    /// <summary>Installed tension over the tension at which teeth would jump.</summary>
    ToothJump,
}

public enum Verdict
{
    Fine,
    Watch,
    Stop,

    /// <summary>Something that it needs is not known, or it means nothing here.</summary>
    NotApplicable,
}

/// <summary>One margin of a loop.</summary>
/// <param name="Point">The state it is judged at.</param>
/// <param name="Value">In the unit of its kind; null where it can't be told.</param>
/// <param name="Limit">Least or greatest value that is fine.</param>
/// <param name="Margin">Over 1 on the good side of the limit, whichever that is.</param>
/// <param name="IsAdvisory">A rule of another trade, told but not counted in the smallest margin.</param>
/// <param name="Missing">Field that would tell it, as the input names it.</param>
public sealed record LoadCheck(
    LoadCheckKind Kind,
    OperatingPointKind Point,
    double? Value,
    double? Limit,
    double? Margin,
    Verdict Verdict,
    bool IsAdvisory,
    string Source,
    string? Missing
)
{
    /// <summary>Told as the margin of what is not asked for at all.</summary>
    public const double MostMargin = 1e6;

    /// <summary>A value that must not fall under its limit.</summary>
    /// <param name="stopBelow">Margin under which it is no matter of watching any more.</param>
    internal static LoadCheck AtLeast(
        LoadCheckKind kind,
        OperatingPointKind point,
        double value,
        double limit,
        double stopBelow,
        string source,
        bool isAdvisory = false
    ) => Judged(kind, point, value, limit, value / limit, stopBelow, source, isAdvisory);

    /// <summary>A value that must not go over its limit.</summary>
    internal static LoadCheck AtMost(
        LoadCheckKind kind,
        OperatingPointKind point,
        double value,
        double limit,
        double stopBelow,
        string source,
        bool isAdvisory = false
    ) =>
        Judged(
            kind,
            point,
            value,
            limit,
            value > 0 ? Math.Min(limit / value, MostMargin) : MostMargin,
            stopBelow,
            source,
            isAdvisory
        );

    internal static LoadCheck Unknown(LoadCheckKind kind, OperatingPointKind point, string source, string missing) =>
        new(kind, point, null, null, null, Verdict.NotApplicable, false, source, missing);

    private static LoadCheck Judged(
        LoadCheckKind kind,
        OperatingPointKind point,
        double value,
        double limit,
        double margin,
        double stopBelow,
        string source,
        bool isAdvisory
    )
    {
        Verdict verdict =
            margin >= 1 ? Verdict.Fine
            : margin >= stopBelow || isAdvisory ? Verdict.Watch
            : Verdict.Stop;
        return new(kind, point, value, limit, margin, verdict, isAdvisory, source, null);
    }
}
