namespace Wendrak.Core.Vocabulary;

/// <summary>What runs over the wheels of a loop.</summary>
public enum LoopMedium
{
    Chain,
    ToothedBelt,
    VBelt,
    FlatBelt,
    RoundBelt,
}
