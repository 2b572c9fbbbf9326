namespace Wendrak.Store.Records;

/// <summary>It can't go: something else can't be without it.</summary>
public sealed class StillUsedException(string message) : Exception(message);
