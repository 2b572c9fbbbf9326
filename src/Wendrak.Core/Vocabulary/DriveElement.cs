namespace Wendrak.Core.Vocabulary;

/// <summary>What runs over the wheels of a loop.</summary>
public enum DriveElement
{
    Chain,
    ToothedBelt,
    VBelt,
    FlatBelt,
    RoundBelt,
}
