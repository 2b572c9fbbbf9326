namespace Wendrak.Core.Vocabulary;

/// <summary>By what people tell how straight a loop runs.</summary>
public enum StraightnessMethod
{
    /// <summary>Both arms, from a point ahead to each end of the axle: marks or a trammel.</summary>
    BothArms,

    /// <summary>A straight-edge along both wheels.</summary>
    StraightEdge,

    /// <summary>Of chain or belt line alone.</summary>
    Line,

    /// <summary>A string along the front wheel.</summary>
    TautString,
}
