namespace Wendrak.Core.Loops;

/// <summary>The arm that carries the driven axle.</summary>
/// <param name="Pivot">Where it swings, in the side view.</param>
/// <param name="DroopMm">How far the axle hangs down from where it is on the stand, mm.</param>
/// <param name="BumpMm">How far it can come up from there, mm.</param>
public sealed record SwingArm(Point Pivot, double DroopMm, double BumpMm);
