namespace Wendrak.Core.Choices;

/// <summary>What a machine counts how long it runs in.</summary>
public enum RunUnit
{
    Km,
    Hours,
}
