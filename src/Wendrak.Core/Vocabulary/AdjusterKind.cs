namespace Wendrak.Core.Vocabulary;

/// <summary>What a loop is tensioned by.</summary>
public enum AdjusterKind
{
    /// <summary>A screw at either end of the axle; they set tension and skew together.</summary>
    TwoEnds,

    /// <summary>One screw that moves motor, idler or axle.</summary>
    OneScrew,

    /// <summary>A motor that a screw moves on its slide.</summary>
    SlidingMotor,

    /// <summary>An eccentric that is turned.</summary>
    Eccentric,

    /// <summary>A snail cam with clicks, one on either side.</summary>
    Cam,

    /// <summary>Shims or plates.</summary>
    Shims,

    /// <summary>A spring holds an idler on an arm; a screw sets the spring.</summary>
    SprungArm,

    /// <summary>A spring pushes the motor along its slide: the clamp is loosened, it is let go, and the clamp nipped again.</summary>
    SpringSlide,

    /// <summary>Nothing: both shafts stand where they are.</summary>
    FixedCentres,

    /// <summary>Shims at a sheave that opens and closes: its belt stands higher or lower by them, no wheel moves.</summary>
    SheaveShims,
}
