using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Wendrak.Json;

namespace Wendrak.Store.Bodies;

/// <summary>JSON as earlier versions wrote it, in files and bodies: what they left out has its default. The demo data is of that form.</summary>
internal static class EarlierJson
{
    private static readonly IJsonTypeInfoResolver Types = JsonTypeInfoResolver.Combine(
        CoreTypes.Default,
        new DefaultJsonTypeInfoResolver()
    );

    /// <summary>Anew for whoever asks: what is worked out of the types is shared while it is used, and not kept after.</summary>
    public static JsonSerializerOptions Json =>
        new(JsonSerializerDefaults.Web)
        {
            Converters = { new EnumWords() },
            AllowOutOfOrderMetadataProperties = true,
            TypeInfoResolver = Types,
        };

    public static string ToJson<T>(T value) => JsonSerializer.Serialize(value, Json);

    public static T FromJson<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Json)
        ?? throw new InvalidOperationException("A stored JSON value is null.");
}
