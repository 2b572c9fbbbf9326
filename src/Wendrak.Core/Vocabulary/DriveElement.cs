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

public static class DriveElements
{
    /// <summary>True where wheels are counted in teeth and nothing slips; other pulleys are measured across and drive by friction.</summary>
    public static bool IsToothed(this DriveElement element) =>
        element is DriveElement.Chain or DriveElement.ToothedBelt;
}
