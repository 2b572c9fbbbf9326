namespace Wendrak.Store.Records;

/// <summary>Somebody else changed the same thing since it was read; both are there to choose from.</summary>
/// <param name="thing">Kind of thing, e.g. “aim”.</param>
/// <param name="current">What is stored now; null when it is gone.</param>
public sealed class ChangedMeanwhileException(string thing, object? current)
    : Exception($"The {thing} was changed in another window.")
{
    public string Thing { get; } = thing;
    public object? Current { get; } = current;
}
