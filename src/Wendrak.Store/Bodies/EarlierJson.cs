using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Wendrak.Json;

namespace Wendrak.Store.Bodies;

/// <summary>JSON as earlier versions wrote it, in files and bodies: what they left out has its default. The demo data is of that form.</summary>
internal static class EarlierJson
{
    public static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web)
        {
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
            AllowOutOfOrderMetadataProperties = true,
            TypeInfoResolver = JsonTypeInfoResolver.Combine(CoreTypes.Default, new DefaultJsonTypeInfoResolver()),
        };

    public static string ToJson<T>(T value) => JsonSerializer.Serialize(value, Json);

    public static T FromJson<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Json)
        ?? throw new InvalidOperationException("A stored JSON value is null.");
}
