namespace Wendrak.Core.Vocabulary;

/// <summary>From where clockwise is seen.</summary>
public enum WrenchView
{
    Behind,
    Ahead,

    /// <summary>From the side that the adjuster is on.</summary>
    Outside,
}
