namespace Wendrak.Core.Loops;

/// <summary>What an adjuster is counted in.</summary>
public enum AdjusterStepKind
{
    /// <summary>A whole turn of the adjuster's screw.</summary>
    Turn,

    /// <summary>A click of a cam or a toothed plate.</summary>
    Click,

    /// <summary>A shim put in or taken out.</summary>
    Shim,
}

/// <summary>What a person does at the adjuster, and how far that moves the wheel.</summary>
/// <param name="TravelMm">Along the track: the pitch of the screw, the way of one click, the thickness of a shim.</param>
public sealed record AdjusterStep(AdjusterStepKind Kind, double TravelMm);
