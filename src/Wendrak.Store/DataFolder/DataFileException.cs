namespace Wendrak.Store;

/// <summary>The data can't be used; the message is one line for the person who started the program.</summary>
public sealed class DataFileException(string message, Exception? inner = null) : Exception(message, inner);
