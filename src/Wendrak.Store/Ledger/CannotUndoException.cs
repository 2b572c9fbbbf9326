namespace Wendrak.Store.Ledger;

/// <summary>A change can't be undone as asked.</summary>
public sealed class CannotUndoException(string message, Exception? inner = null) : Exception(message, inner);
