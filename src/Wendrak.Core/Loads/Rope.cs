namespace Wendrak.Core.Loads;

/// <summary>What a round belt is, and what it lies in.</summary>
public enum RopeKind
{
    /// <summary>A cord of polyurethane or leather.</summary>
    Cord,

    /// <summary>Hemp, cotton or man-made fibre in a V groove.</summary>
    FibreRope,

    /// <summary>Wire rope on a sheave lined with wood, leather or rubber.</summary>
    WireLinedSheave,

    /// <summary>Wire rope in a bare round groove.</summary>
    WireRoundGroove,

    /// <summary>Wire rope in a bare V groove.</summary>
    WireVGroove,
}

/// <summary>Usual figures of ropes and cords that pull by friction.</summary>
/// <param name="Friction">Between rope and sheave, the groove not counted in.</param>
/// <param name="GrooveDeg">Included angle of its usual groove; null where it does not wedge.</param>
/// <param name="FormFactor">On the friction: 4/π where it lies in a round groove that fits it.</param>
internal sealed record Rope(
    double Friction,
    double? GrooveDeg,
    double FormFactor,
    (double From, double To) SpeedMS,
    (double Near, double Far) DistanceM
)
{
    public const string Source =
        "friction and grooves: Machinery's Handbook and common practice; speeds and distances: common practice, from memory";

    public static Rope Get(RopeKind kind) =>
        kind switch
        {
            RopeKind.FibreRope => new(0.2, 45, 1, (10, 30), (5, 60)),
            RopeKind.WireLinedSheave => new(0.22, null, 1, (8, 30), (20, 150)),
            RopeKind.WireRoundGroove => new(0.1, null, 4 / Math.PI, (8, 30), (20, 150)),
            RopeKind.WireVGroove => new(0.1, 45, 1, (8, 30), (20, 150)),
            _ => new(0.3, null, 1, (3, 20), (0.1, 5)),
        };
}
