using System.Text.Json;
using Wendrak.Core.Records;

namespace Wendrak.Store.Bodies;

/// <summary>How events are written in their rows.</summary>
internal static class EventJson
{
    /// <summary>Number of the newest form of their bodies.</summary>
    public const int Schema = 11;

    public static string Write(JobEvent e) => JsonSerializer.Serialize(e, BodyJson.Options);

    /// <exception cref="UnreadableBodyException">It is no event, or a newer program wrote it.</exception>
    public static JobEvent Read(long schema, string body)
    {
        if (schema > Schema)
            throw new UnreadableBodyException(
                $"An event of a visit was written in form {schema}; this program knows forms up to {Schema}. Update the program."
            );
        try
        {
            return JsonSerializer.Deserialize<JobEvent>(body, BodyJson.Options) ?? throw new JsonException("null");
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or NotSupportedException)
        {
            throw new UnreadableBodyException("A stored event of a visit can't be read.", e);
        }
    }

    /// <summary>“readingTaken”, as it stands in the body.</summary>
    public static string KindOf(string body)
    {
        using JsonDocument document = JsonDocument.Parse(body);
        return document.RootElement.GetProperty("kind").GetString()!;
    }
}
