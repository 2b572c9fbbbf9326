namespace Wendrak.Store.Records;

/// <summary>A change can't be undone as asked.</summary>
public sealed class CannotUndoException(string message, Exception? inner = null) : Exception(message, inner);
