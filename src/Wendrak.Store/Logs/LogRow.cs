using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Logs;

/// <summary>A row of view <c>log</c>.</summary>
internal sealed record LogRow
{
    /// <summary>Name under which the hash of a line is made.</summary>
    public const string HashKind = "log_line";

    public required long Id { get; init; }
    public required long LotId { get; init; }
    public required long Number { get; init; }
    public required long Schema { get; init; }
    public required string Body { get; init; }
    public required byte[] Hash { get; init; }
    public required string? File { get; init; }
    public required long IsStruck { get; init; }

    /// <exception cref="DamagedException">It is not what was written.</exception>
    public LogEntry ToEntry() =>
        BodyHash.IsOf(Hash, HashKind, LotId, Number, Schema, Body)
            ? new(LotId, (int)Number, File, IsStruck != 0, LogJson.Read(Schema, Body))
            : throw new DamagedException(HashKind, LotId);
}
