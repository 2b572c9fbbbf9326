namespace Wendrak.Core.Vocabulary;

/// <summary>Of the machine, seen in the direction of travel.</summary>
public enum Side
{
    Left,
    Right,
}
