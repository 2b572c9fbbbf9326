using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wendrak.Store;

/// <summary>JSON of files that come with the program and of bodies that earlier versions wrote.</summary>
internal static class Rows
{
    public static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web)
        {
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
            AllowOutOfOrderMetadataProperties = true,
        };

    public static string ToJson<T>(T value) => JsonSerializer.Serialize(value, Json);

    public static T FromJson<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Json)
        ?? throw new InvalidOperationException("A stored JSON value is null.");
}
