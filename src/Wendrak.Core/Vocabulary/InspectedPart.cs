namespace Wendrak.Core.Vocabulary;

/// <summary>What is looked at on a drive, one thing at a time.</summary>
public enum InspectedPart
{
    Guard,
    Rust,
    Rings,
    StiffLinks,
    Plates,
    Joint,

    /// <summary>How much longer a chain is than new.</summary>
    Elongation,

    /// <summary>Teeth or groove of the driving wheel.</summary>
    FrontTeeth,

    /// <summary>Teeth or groove of the driven wheel.</summary>
    RearTeeth,

    /// <summary>How much play or tension differs round the wheel.</summary>
    Spread,
    Spacers,

    /// <summary>Bearing blocks on a rail.</summary>
    Blocks,

    /// <summary>Teeth of a belt.</summary>
    Teeth,
    Back,
    Edges,
    Gap,
    Oil,
    Tension,

    /// <summary>How high a belt rides in its groove or sheave.</summary>
    Height,
    Width,

    /// <summary>Whether a variable belt stands still at idle.</summary>
    Idle,
    Shims,
    Fasteners,
    Adjuster,

    /// <summary>Whatever has no name in this list.</summary>
    Other,
}

/// <summary>Where on a drive something is looked at.</summary>
public enum InspectedPlace
{
    /// <summary>All along the chain or belt.</summary>
    Loop,
    Joint,
    FrontWheel,
    RearWheel,

    /// <summary>Between both wheels and their shafts.</summary>
    Wheels,
    Guard,
    Fasteners,
    Adjuster,
}
