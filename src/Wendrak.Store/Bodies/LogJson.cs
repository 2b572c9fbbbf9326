using System.Text.Json;
using Wendrak.Core.Records;

namespace Wendrak.Store.Bodies;

/// <summary>How lines of a log are written in their rows.</summary>
internal static class LogJson
{
    /// <summary>Number of the newest form of their bodies.</summary>
    public const int Schema = 1;

    public static string Write(LogLine line) => JsonSerializer.Serialize(line, BodyJson.Options);

    /// <exception cref="UnreadableBodyException">It is no line, or a newer program wrote it.</exception>
    public static LogLine Read(long schema, string body)
    {
        if (schema > Schema)
            throw new UnreadableBodyException(
                $"A line of a log was written in form {schema}; this program knows forms up to {Schema}. Update the program."
            );
        try
        {
            return JsonSerializer.Deserialize<LogLine>(body, BodyJson.Options) ?? throw new JsonException("null");
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or NotSupportedException)
        {
            throw new UnreadableBodyException("A stored line of a log can't be read.", e);
        }
    }
}
