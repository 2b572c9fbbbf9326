namespace Wendrak.Core.Vocabulary;

/// <summary>An open loop keeps the sense of rotation, a crossed one turns it round.</summary>
public enum BeltArrangement
{
    Open,
    Crossed,
}
