using Wendrak.Core.Records;
using Wendrak.Core.Upkeep;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Why something is due.</summary>
public enum DueKind
{
    /// <summary>Something was seen with which it does not go out.</summary>
    Stop,

    /// <summary>Something happened.</summary>
    Event,

    /// <summary>Other parts are on it.</summary>
    FollowUp,

    /// <summary>Something that was seen may go on until then.</summary>
    Watch,

    /// <summary>Whoever set it said when it is read again.</summary>
    Reading,

    /// <summary>By the record of its wear, a part will have worn to its limit.</summary>
    Forecast,

    /// <summary>The interval is over.</summary>
    Interval,
}

/// <summary>Who says so.</summary>
public enum DueBy
{
    /// <summary>Whoever looked at it or set it.</summary>
    Person,
    Practice,
    Event,

    /// <summary>What was measured.</summary>
    Forecast,

    /// <summary>Geometry of the parts that were changed.</summary>
    Change,
}

/// <summary>How often a look is usual.</summary>
/// <param name="KmLow">The shortest that is usual, km; null where no distance is.</param>
/// <param name="KmHigh">The longest, km; null where no distance is.</param>
/// <param name="Days">At the latest after so many days.</param>
public sealed record DueEvery(double? KmLow, double? KmHigh, int Days);

/// <summary>One thing that is due.</summary>
/// <param name="Key">The same for the same thing, whenever it is asked for.</param>
/// <param name="LoopKey">Key of the loop; null for the whole machine.</param>
/// <param name="What">Of a finding, as it was said; null of anything else.</param>
/// <param name="Event">What happened; null for nothing.</param>
/// <param name="Task">What a change of parts asks for; null for nothing.</param>
/// <param name="Parts">What is looked at; empty for the whole loop.</param>
/// <param name="Why">In a sentence.</param>
/// <param name="By">Who says so.</param>
/// <param name="AtKm">What the machine has run then, km; null for no distance.</param>
/// <param name="AtHours">What its hour counter says then, h; null for no hours.</param>
/// <param name="On">Day; null for none.</param>
/// <param name="Expected">The earliest of the day and the usual days of distance and hours; null where none is known.</param>
/// <param name="IsNow">It waits for nothing: something happened, or the distance is run.</param>
/// <param name="Every">Of a look by its interval; null of anything else.</param>
/// <param name="Order">Of parts that are to be there: whether they are, and until when to order them; null where Stock knows none.</param>
public sealed record DueItem(
    string Key,
    DueKind Kind,
    string? LoopKey,
    string? What,
    UseEvent? Event,
    FollowUpTask? Task,
    IReadOnlyList<InspectedPart> Parts,
    string Why,
    DueBy By,
    double? AtKm,
    double? AtHours,
    DateOnly? On,
    DateOnly? Expected,
    bool IsNow,
    DueEvery? Every,
    OrderInTime? Order = null
);

/// <summary>What of a machine is due, and how far it usually goes.</summary>
/// <param name="Items">What is due first stands first; what has no day stands last.</param>
/// <param name="Usual">Null where the odometer was not said often enough.</param>
/// <param name="UsualHours">Null where the hour counter was not.</param>
public sealed record DueAnswer(IReadOnlyList<DueItem> Items, UsualDistance? Usual, UsualHours? UsualHours);
