namespace Wendrak.Core.Records;

/// <summary>What an entry of the history is of a round at Set.</summary>
public enum RoundEntry
{
    /// <summary>Something read, discarded or noted on the way.</summary>
    Reading,

    /// <summary>It was kept, or given up.</summary>
    End,
}
