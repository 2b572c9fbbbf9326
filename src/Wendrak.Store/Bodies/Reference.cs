namespace Wendrak.Store.Bodies;

/// <summary>How one record holds another.</summary>
public enum Hold
{
    /// <summary>It is a part of the other: removed with it, brought back with it.</summary>
    BelongsTo,

    /// <summary>It can't be without the other, which can't be removed while this is there.</summary>
    Needs,

    /// <summary>It names the other, which may go: it has what it needs of it.</summary>
    Mentions,
}

/// <summary>From a record to another one.</summary>
public sealed record Reference(Hold Hold, string ToKind, long ToId);
