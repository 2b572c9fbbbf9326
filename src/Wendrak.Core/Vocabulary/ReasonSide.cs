namespace Wendrak.Core.Vocabulary;

/// <summary>Whether a reason speaks for something or against it.</summary>
public enum ReasonSide
{
    For,
    Against,
}
