namespace Wendrak.Core.Procedures;

/// <summary>What a step of a procedure may ask of the machine and of the change. There are no others.</summary>
public enum Fact
{
    Engine,
    Motor,

    /// <summary>It stands on wheels that roll away: chock and lift.</summary>
    OnWheels,

    /// <summary>A speedometer or odometer is shown by.</summary>
    Speedometer,

    /// <summary>An axle with an adjuster at either end.</summary>
    TwoAdjusters,

    /// <summary>Cams with clicks at either end.</summary>
    Cams,

    /// <summary>The motor moves on its slide, by a screw or a spring.</summary>
    MotorMoves,

    /// <summary>Nothing moves: both shafts stand where they are.</summary>
    FixedCentres,

    /// <summary>The front wheel of the loop is changed.</summary>
    FrontChanges,

    /// <summary>The rear wheel of the loop is changed.</summary>
    RearChanges,

    /// <summary>The chain or belt is changed.</summary>
    LoopChanges,

    /// <summary>The road wheel comes out.</summary>
    WheelOut,

    /// <summary>Another road wheel or tyre goes in.</summary>
    RoadWheelChanges,

    /// <summary>Chain or belt comes off its wheels.</summary>
    LoopComesOff,

    /// <summary>The change is to set the tension.</summary>
    TensionOnly,

    /// <summary>The change is to set the track.</summary>
    TrackingOnly,

    /// <summary>A belt goes, a chain comes.</summary>
    BeltToChain,

    /// <summary>A chain goes, a belt comes.</summary>
    ChainToBelt,
}
