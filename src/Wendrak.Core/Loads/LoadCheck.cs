using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Loads;

/// <summary>What a load is held against.</summary>
public enum LoadCheckKind
{
    /// <summary>Breaking load over pull.</summary>
    BreakingLoad,

    /// <summary>Breaking load over pull with shock, centrifugal and sag tension.</summary>
    BreakingLoadWithShock,

    /// <summary>Pressure of pin in bush, N/mm², at the long-lasting load.</summary>
    PinPressure,

    /// <summary>Tension the slack run must hold so that the chain does not climb, against what it has, N.</summary>
    ToothJumping,

    /// <summary>Chain speed, m/s.</summary>
    ChainSpeed,

    /// <summary>Speed ripple, peak to peak over mean, percent.</summary>
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

    /// <summary>Belt or rope speed, m/s, against the most that suits it.</summary>
    BeltSpeed,

    /// <summary>The same at the long-lasting load, against the least that suits it: slower it needs more pull and more belts.</summary>
    LowBeltSpeed,

    /// <summary>Centre distance of a friction drive, m, against the longest it is used for.</summary>
    LongDistance,

    /// <summary>The same against the shortest that a rope is used for.</summary>
    ShortDistance,

    /// <summary>Driving wheel against the smallest that this machine accepts, teeth or mm.</summary>
    SmallestFront,

    /// <summary>Smaller pulley against the least of its section or profile: datum diameter mm, or teeth.</summary>
    SmallPulley,

    /// <summary>Pull against what profile and width allow, N.</summary>
    BeltPull,

    /// <summary>Teeth of a belt in mesh.</summary>
    TeethInMesh,

    /// <summary>Installed tension over the tension at which teeth would jump.</summary>
    ToothJump,
}

/// <summary>What a check comes to.</summary>
public enum Verdict
{
    Fine,
    Watch,
    Stop,

    /// <summary>Outside a rule of another trade: told, and no limit here.</summary>
    Advice,

    /// <summary>No verdict; <see cref="LoadCheck.Unjudged"/> says why.</summary>
    NotApplicable,
}

/// <summary>Why a check has no verdict.</summary>
public enum Unjudged
{
    /// <summary>A field of the input would tell; <see cref="LoadCheck.Missing"/> names it.</summary>
    InputMissing,

    /// <summary>The tables have no value for this chain or belt at this speed.</summary>
    TableSilent,

    /// <summary>The rule does not hold for this kind of chain.</summary>
    RuleDoesNotHold,

    /// <summary>It hoists, lifts people or flies: this program does not decide that.</summary>
    NotDecidedHere,
}

/// <summary>Which side of its limit a value must keep to.</summary>
public enum LimitSide
{
    AtLeast,
    AtMost,
}

/// <summary>One check of a loop.</summary>
/// <param name="Point">The state it is judged at.</param>
/// <param name="Value">In the unit of its kind; null where it can't be told.</param>
/// <param name="Limit">Least or greatest value that is fine.</param>
/// <param name="Side">Whether the limit is a least or a most.</param>
/// <param name="Margin">Over 1 on the good side of the limit, whichever that is.</param>
/// <param name="IsAdvisory">A rule of another trade, told but not counted in the verdict.</param>
/// <param name="Missing">Field that would tell it, as the input names it.</param>
/// <param name="Unjudged">Null where there is a verdict.</param>
/// <param name="Source">Who says so.</param>
public sealed record LoadCheck(
    LoadCheckKind Kind,
    OperatingPointKind Point,
    double? Value,
    double? Limit,
    LimitSide Side,
    double? Margin,
    Verdict Verdict,
    bool IsAdvisory,
    string Source,
    string? Missing,
    Unjudged? Unjudged
)
{
    /// <summary>Told as the margin of what is not asked for at all.</summary>
    public const double MostMargin = 1e6;

    /// <summary>Whether its margin is one of strength or grip: twice the limit is twice as safe. Counts, angles and speeds are not.</summary>
    internal bool IsMarginOfStrength =>
        Margin is not null
        && !IsAdvisory
        && Kind
            is LoadCheckKind.BreakingLoad
                or LoadCheckKind.BreakingLoadWithShock
                or LoadCheckKind.PinPressure
                or LoadCheckKind.ToothJumping
                or LoadCheckKind.Rating
                or LoadCheckKind.Slip
                or LoadCheckKind.BeltPull
                or LoadCheckKind.ToothJump;

    /// <summary>Worst first: what stops, what is to be watched, what could not be told, then the rest.</summary>
    internal int Rank =>
        Verdict switch
        {
            Verdict.Stop => 0,
            Verdict.Watch => 1,
            Verdict.NotApplicable => 2,
            Verdict.Advice => 3,
            _ => 4,
        };

    /// <summary>How its value came about; null where it is counted or read off.</summary>
    internal Explained? ValueBy { get; private init; }

    /// <summary>Figures on the way to its value or limit, the limit's own among them.</summary>
    internal IReadOnlyList<Explained> Steps { get; private init; } = [];

    /// <inheritdoc cref="AtLeast(LoadCheckKind, OperatingPointKind, double, double, double, string, bool)"/>
    /// <param name="limit">Where the table leaves it to the loop.</param>
    internal static LoadCheck AtLeast(
        LoadCheckKind kind,
        OperatingPointKind point,
        Explained value,
        LoadLimit row,
        double? limit = null,
        bool isAdvisory = false
    ) => AtLeast(kind, point, value, limit ?? row.Limit!.Value, row.StopShare!.Value, row.Source, isAdvisory);

    /// <inheritdoc cref="AtMost(LoadCheckKind, OperatingPointKind, double, double, double, string, bool)"/>
    /// <param name="limit">Where the table leaves it to the loop.</param>
    internal static LoadCheck AtMost(
        LoadCheckKind kind,
        OperatingPointKind point,
        Explained value,
        LoadLimit row,
        double? limit = null
    ) => AtMost(kind, point, value, limit ?? row.Limit!.Value, row.StopShare!.Value, row.Source);

    /// <summary>The check with the figures on the way to it.</summary>
    internal LoadCheck By(params ReadOnlySpan<Explained> steps) => this with { Steps = [.. steps] };

    /// <inheritdoc cref="AtLeast(LoadCheckKind, OperatingPointKind, double, double, double, string, bool)"/>
    internal static LoadCheck AtLeast(
        LoadCheckKind kind,
        OperatingPointKind point,
        Explained value,
        double limit,
        double stopBelow,
        string source,
        bool isAdvisory = false
    ) => AtLeast(kind, point, value.Value, limit, stopBelow, source, isAdvisory) with { ValueBy = value };

    /// <inheritdoc cref="AtMost(LoadCheckKind, OperatingPointKind, double, double, double, string, bool)"/>
    internal static LoadCheck AtMost(
        LoadCheckKind kind,
        OperatingPointKind point,
        Explained value,
        double limit,
        double stopBelow,
        string source,
        bool isAdvisory = false
    ) => AtMost(kind, point, value.Value, limit, stopBelow, source, isAdvisory) with { ValueBy = value };

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
    ) => Judged(kind, point, value, limit, LimitSide.AtLeast, value / limit, stopBelow, source, isAdvisory);

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
            LimitSide.AtMost,
            value > 0 ? Math.Min(limit / value, MostMargin) : MostMargin,
            stopBelow,
            source,
            isAdvisory
        );

    /// <summary>A check that a field of the input would tell.</summary>
    internal static LoadCheck Unknown(LoadCheckKind kind, OperatingPointKind point, string source, string missing) =>
        new(
            kind,
            point,
            null,
            null,
            LimitSide.AtLeast,
            null,
            Verdict.NotApplicable,
            false,
            source,
            missing,
            Loads.Unjudged.InputMissing
        );

    /// <summary>A check that nothing anybody could type would tell.</summary>
    internal static LoadCheck Untold(
        LoadCheckKind kind,
        OperatingPointKind point,
        double? value,
        string source,
        Unjudged why
    ) => new(kind, point, value, null, LimitSide.AtLeast, null, Verdict.NotApplicable, false, source, null, why);

    /// <summary>The same figures without a verdict.</summary>
    internal LoadCheck NotDecided() =>
        this with
        {
            Verdict = Verdict.NotApplicable,
            Unjudged = Unjudged ?? Loads.Unjudged.NotDecidedHere,
        };

    private static LoadCheck Judged(
        LoadCheckKind kind,
        OperatingPointKind point,
        double value,
        double limit,
        LimitSide side,
        double margin,
        double stopBelow,
        string source,
        bool isAdvisory
    )
    {
        Verdict verdict =
            margin >= 1 ? Verdict.Fine
            : isAdvisory ? Verdict.Advice
            : margin >= stopBelow ? Verdict.Watch
            : Verdict.Stop;
        return new(kind, point, value, limit, side, margin, verdict, isAdvisory, source, null, null);
    }
}
