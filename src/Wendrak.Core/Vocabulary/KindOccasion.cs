namespace Wendrak.Core.Vocabulary;

/// <summary>What makes a question about another kind of drive worth asking.</summary>
public enum KindOccasion
{
    /// <summary>What is oiled now would run dry.</summary>
    GoesDry,

    /// <summary>What is dry now would be oiled.</summary>
    GoesWet,

    /// <summary>A belt where there is a case round the loop: between engine and gearbox.</summary>
    BeltInCase,

    /// <summary>It comes without a joint, and what is there has one.</summary>
    Endless,

    /// <summary>It suffers from stones, and runs in the open.</summary>
    CatchesStones,

    /// <summary>The driven part turns the other way.</summary>
    TurnsOther,
}
