using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>What has to be looked at again after a change.</summary>
public enum FollowUpKind
{
    /// <summary>Speeds and the aim.</summary>
    Ratio,
    Speedometer,

    /// <summary>Whether the chain or belt still closes.</summary>
    Length,

    /// <summary>Where the axle ends up, and what is left of the adjuster.</summary>
    Slot,
    Clearances,

    /// <summary>Free play through the suspension travel.</summary>
    SuspensionPlay,

    /// <summary>Both wheels of the loop in one plane.</summary>
    Alignment,

    /// <summary>The tension, measured again.</summary>
    Reading,
}

/// <summary>What was changed.</summary>
public enum ChangedPart
{
    FrontWheel,
    RearWheel,

    /// <summary>Links, teeth or length of the chain or belt.</summary>
    LoopLength,

    /// <summary>Another kind or size of chain or belt, or a loop that was not there.</summary>
    LoopKind,

    /// <summary>Where a wheel, a pivot or an adjuster of the loop stands.</summary>
    Place,

    /// <summary>An edge that the loop must clear.</summary>
    Edge,

    /// <summary>A road wheel or its tyre.</summary>
    RoadWheel,

    /// <summary>A pair, gearbox or gear hub beside the loops.</summary>
    Gearing,
}

/// <summary>One thing to do again.</summary>
/// <param name="LoopKey">The loop it is about; null for the whole drive.</param>
/// <param name="DriveKey">Key of the drive it is about.</param>
public sealed record FollowUpTask(
    FollowUpKind Task,
    string DriveKey,
    string? LoopKey,
    IReadOnlyList<ChangedPart> Because
)
{
    /// <summary>
    /// Whether a visit did it that is closed: tension or tracking were read in its last round, with everything tight. A gap at the
    /// flange that was read is what tells whether a belt's wheels are in one plane. Source: common practice.
    /// </summary>
    public bool IsDoneBy(SetJob visit) =>
        LoopKey == visit.LoopKey
        && visit is { Closing: not null, Rounds: [.., { Lock: LockState.Torqued } last] }
        && Task switch
        {
            FollowUpKind.Reading => last.Readings.Count > 0,
            FollowUpKind.Alignment => last.GapMm is not null,
            _ => false,
        };

    /// <summary>The same thing to do, whatever made it necessary.</summary>
    public bool IsSameAs(FollowUpTask other) =>
        (Task, DriveKey, LoopKey) == (other.Task, other.DriveKey, other.LoopKey);

    /// <summary>Where it is done.</summary>
    public Station Station =>
        Task switch
        {
            FollowUpKind.Ratio or FollowUpKind.Speedometer => Station.Ratio,
            FollowUpKind.Alignment or FollowUpKind.Reading => Station.Set,
            _ => Station.Fit,
        };
}
