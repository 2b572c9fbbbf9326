namespace Wendrak.Core.Procedures;

/// <summary>What is to be done to a loop.</summary>
public enum ChangeKind
{
    FrontWheel,
    RearWheel,
    BothWheels,

    /// <summary>The chain or belt alone.</summary>
    Loop,

    /// <summary>Both wheels and the chain or belt.</summary>
    WholeSet,
    RoadWheel,
    TensionOnly,
    TrackingOnly,
    BeltToChain,
    ChainToBelt,
}

/// <summary>What a change means for the parts.</summary>
public static class ChangeFacts
{
    /// <summary>Facts that the change alone makes true.</summary>
    /// <param name="atRoadWheel">Whether the driven wheel of the loop sits at a road wheel, which must come out for it.</param>
    /// <param name="isEndless">Whether the loop has no joint, and only comes off with that wheel out.</param>
    public static IReadOnlyList<Fact> Of(ChangeKind change, bool atRoadWheel, bool isEndless)
    {
        Fact[] wheelOut = atRoadWheel ? [Fact.WheelOut] : [];
        return change switch
        {
            ChangeKind.FrontWheel => [Fact.FrontChanges, Fact.LoopComesOff],
            ChangeKind.RearWheel => [Fact.RearChanges, Fact.LoopComesOff, .. wheelOut],
            ChangeKind.BothWheels => [Fact.FrontChanges, Fact.RearChanges, Fact.LoopComesOff, .. wheelOut],
            ChangeKind.Loop => [Fact.LoopChanges, Fact.LoopComesOff, .. isEndless ? wheelOut : []],
            ChangeKind.RoadWheel => [Fact.RoadWheelChanges, Fact.LoopComesOff, .. wheelOut],
            ChangeKind.TensionOnly => [Fact.TensionOnly],
            ChangeKind.TrackingOnly => [Fact.TrackingOnly],
            _ =>
            [
                Fact.FrontChanges,
                Fact.RearChanges,
                Fact.LoopChanges,
                Fact.LoopComesOff,
                .. wheelOut,
                .. change == ChangeKind.BeltToChain ? [Fact.BeltToChain]
                : change == ChangeKind.ChainToBelt ? new[] { Fact.ChainToBelt }
                : [],
            ],
        };
    }
}
