namespace Wendrak.Core.Vocabulary;

public enum Side
{
    Left,
    Right,
}
