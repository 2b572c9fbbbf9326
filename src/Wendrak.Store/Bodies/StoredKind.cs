using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Quantities;
using Wendrak.Core.Stock;

namespace Wendrak.Store.Bodies;

/// <summary>What the store must know of a kind of record, without knowing its type.</summary>
public interface IStoredKind
{
    /// <summary>Stands in every row; never renamed.</summary>
    string Name { get; }

    /// <summary>What people call it.</summary>
    string Word { get; }

    /// <summary>Number of the newest form of its bodies.</summary>
    int Schema { get; }

    /// <summary>A body of any form, in the newest one; the same content gives the same text.</summary>
    /// <exception cref="UnreadableBodyException">It is no body of this kind, or a newer program wrote it.</exception>
    string Newest(int schema, string body);

    /// <summary>What people call the one with this body: its name, or its kind where it has none.</summary>
    string NameIn(string body);

    /// <summary>The record in a few words, for a sentence: “aim “Dyke road””.</summary>
    string Called(string body);

    /// <summary>What a record refers to.</summary>
    IReadOnlyList<Reference> ReferencesOf(string body);

    /// <summary>
    /// Takes a change of a counted record back where only its count was changed since, or only the count by that change: three that
    /// went and one that came are two that went, in whatever order it is taken back.
    /// </summary>
    /// <returns>The body as it is then; null where more was changed, or fewer than none would be left.</returns>
    string? TakeBackBesideCount(string before, string after, string current);
}

/// <summary>One kind of record: the only place where the store learns of it.</summary>
/// <typeparam name="T">The record with its rules.</typeparam>
public sealed class StoredKind<T> : IStoredKind
    where T : StoredRecord
{
    public required string Name { get; init; }
    public required string Word { get; init; }

    /// <summary>What a person calls one of them; null where it has no name.</summary>
    public Func<T, string?> NameOf { get; init; } = _ => null;

    public Func<T, IEnumerable<Reference>> References { get; init; } = _ => [];

    /// <summary>The first brings a body of form 1 to form 2, and so on. They are never changed again.</summary>
    public IReadOnlyList<Func<JsonObject, JsonObject>> Upcasters { get; init; } = [];

    internal JsonSerializerOptions Json { get; init; } = BodyJson.Options;

    public int Schema => Upcasters.Count + 1;

    /// <summary>The body of a record, without its number and version.</summary>
    public string Write(T value) => JsonSerializer.Serialize(value, Json);

    /// <exception cref="UnreadableBodyException">It is no body of this kind, or a newer program wrote it.</exception>
    public T Read(int schema, string body)
    {
        if (schema > Schema)
            throw new UnreadableBodyException(
                $"A {Word} was written in form {schema}; this program knows forms up to {Schema}. Update the program."
            );
        try
        {
            T? value =
                schema == Schema
                    ? JsonSerializer.Deserialize<T>(body, Json)
                    : Upcast(schema, body).Deserialize<T>(Json);
            return value ?? throw new JsonException("null");
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or NotSupportedException)
        {
            throw new UnreadableBodyException($"A stored {Word} can't be read.", e);
        }
    }

    public string Newest(int schema, string body) => Write(Read(schema, body));

    public string NameIn(string body) => NameOf(Read(Schema, body)) ?? Word;

    public string Called(string body) => NameOf(Read(Schema, body)) is { } name ? $"{Word} “{name}”" : Word;

    public IReadOnlyList<Reference> ReferencesOf(string body) => ReferencesOf(Read(Schema, body));

    public string? TakeBackBesideCount(string before, string after, string current)
    {
        if (
            Read(Schema, before) is not StockRecord b
            || Read(Schema, after) is not StockRecord a
            || Read(Schema, current) is not StockRecord c
        )
            return null;
        int left = c.Pieces() + b.Pieces() - a.Pieces();
        StockRecord? back =
            c.WithPieces(a.Pieces()) == a ? b.WithPieces(left)
            : b.WithPieces(a.Pieces()) == a ? c.WithPieces(left)
            : null;
        return back is null || left < 0 ? null : Write((T)(StoredRecord)back);
    }

    internal IReadOnlyList<Reference> ReferencesOf(T value) => [.. References(value).Distinct()];

    private JsonObject Upcast(int schema, string body)
    {
        JsonObject node = JsonNode.Parse(body)!.AsObject();
        foreach (Func<JsonObject, JsonObject> upcaster in Upcasters.Skip(schema - 1))
            node = upcaster(node);
        return node;
    }
}

/// <summary>A body can't be read as what it is stored as.</summary>
public sealed class UnreadableBodyException(string message, Exception? inner = null) : Exception(message, inner);
