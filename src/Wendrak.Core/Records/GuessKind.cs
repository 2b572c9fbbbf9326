namespace Wendrak.Core.Records;

/// <summary>What of a machine its figures can rest on before somebody measured or typed it.</summary>
public enum GuessKind
{
    /// <summary>Size or roll-out of what rolls.</summary>
    Tyre,

    /// <summary>Ratios of gearbox or hub.</summary>
    Gearbox,

    /// <summary>Primary pair, planetary and the like.</summary>
    Reductions,

    /// <summary>From which to which speed it pulls.</summary>
    Speeds,
    Front,
    Rear,

    /// <summary>Links, teeth or length that are on.</summary>
    Length,

    /// <summary>How far apart its shafts stand, and how far they move.</summary>
    Centre,

    /// <summary>How its driven axle is carried.</summary>
    Suspension,
    BeltWidth,

    /// <summary>Torque of the motor, or a measured pull.</summary>
    Pull,

    /// <summary>Of vehicle, rider and load.</summary>
    Mass,

    /// <summary>Whether it hoists, carries persons up or flies.</summary>
    Lifts,
}
