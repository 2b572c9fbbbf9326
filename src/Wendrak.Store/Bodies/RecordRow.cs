namespace Wendrak.Store.Bodies;

/// <summary>A record as it stands in its row.</summary>
internal sealed record RecordRow
{
    public required string Kind { get; init; }
    public required long Id { get; init; }
    public required long Version { get; init; }
    public required long Schema { get; init; }
    public required string Body { get; init; }
    public required byte[] Hash { get; init; }

    /// <summary>The body in its newest form.</summary>
    /// <exception cref="DamagedException">It is not what was written.</exception>
    public string Newest(IStoredKind kind)
    {
        CheckHash();
        return kind.Newest((int)Schema, Body);
    }

    /// <exception cref="DamagedException">It is not what was written.</exception>
    public void CheckHash()
    {
        if (!BodyHash.IsOf(Hash, Kind, Id, Version, Schema, Body))
            throw new DamagedException(Kind, Id);
    }
}
