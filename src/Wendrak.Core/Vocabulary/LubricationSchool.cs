namespace Wendrak.Core.Vocabulary;

/// <summary>Which practice a chain is oiled by.</summary>
public enum LubricationSchool
{
    /// <summary>Grease sealed in the joint; oil outside for rollers, rings and against rust.</summary>
    SealedRing,

    /// <summary>Fresh oil in the joint, by the class of its speed.</summary>
    Industrial,
}
