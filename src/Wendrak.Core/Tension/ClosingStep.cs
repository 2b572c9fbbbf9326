namespace Wendrak.Core.Tension;

/// <summary>What is done before a drive is left, in this order.</summary>
public enum ClosingStep
{
    /// <summary>Axle nut or clamp at its torque.</summary>
    FinalTorque,

    /// <summary>Adjuster locks and lock nuts fast.</summary>
    AdjusterLocks,

    /// <summary>Split pins, caps and screws in.</summary>
    PinsAndCaps,

    /// <summary>Guards back on.</summary>
    Guards,

    /// <summary>Wheel turned by hand: free, nothing rubs, brake works.</summary>
    TurnsFreely,
}
