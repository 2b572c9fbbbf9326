using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Wendrak.Core.Quantities;
using Wendrak.Json;

namespace Wendrak.Store.Bodies;

/// <summary>
/// How bodies are written and read: strictly. An unknown member is refused, and so is a missing one, unless leaving it out
/// means “not said”. What a record works out from the rest is not written; its number and version stand in the row.
/// </summary>
internal static class BodyJson
{
    public static JsonSerializerOptions Options { get; } = With(isNumbered: false);

    /// <summary>For files: as in rows, but numbers and versions are written, since they tie the parts of a file together.</summary>
    public static JsonSerializerOptions Numbered { get; } = With(isNumbered: true);

    /// <param name="isNumbered">Whether records write their number and version.</param>
    /// <param name="converters">For what one kind writes in a way of its own.</param>
    public static JsonSerializerOptions With(bool isNumbered, params JsonConverter[] converters)
    {
        JsonSerializerOptions options = new(JsonSerializerDefaults.Web)
        {
            NumberHandling = JsonNumberHandling.Strict,
            UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
            RespectNullableAnnotations = true,
            RespectRequiredConstructorParameters = true,
            AllowOutOfOrderMetadataProperties = true,
            IgnoreReadOnlyProperties = true,
            TypeInfoResolver = JsonTypeInfoResolver
                .Combine(CoreTypes.Default, new DefaultJsonTypeInfoResolver())
                .WithAddedModifier(type => Strictly(type, isNumbered)),
        };
        foreach (JsonConverter converter in converters)
            options.Converters.Add(converter);
        options.Converters.Add(new EnumWords());
        return options;
    }

    private static void Strictly(JsonTypeInfo type, bool isNumbered)
    {
        bool isStored = !isNumbered && typeof(StoredRecord).IsAssignableFrom(type.Type);
        foreach (JsonPropertyInfo property in type.Properties)
        {
            if (isStored && property.Name is "id" or "version")
            {
                property.ShouldSerialize = static (_, _) => false;
                property.IsRequired = false;
            }
            else if (property.AssociatedParameter is { } parameter)
                property.IsRequired = !(parameter.HasDefaultValue && parameter.DefaultValue is null);
        }
    }
}
