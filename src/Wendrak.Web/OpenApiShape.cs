using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;

namespace Wendrak.Web;

/// <summary>How the served API description is shaped.</summary>
public static class OpenApiShape
{
    private const string Discriminator = "kind";

    public static void Configure(OpenApiOptions options)
    {
        // The word that tells one kind of stage or aim from another is always there; the generator calls it optional.
        options.AddSchemaTransformer(
            (schema, _, _) =>
            {
                if (schema.Properties?.ContainsKey(Discriminator) == true)
                    (schema.Required ??= new HashSet<string>()).Add(Discriminator);
                return Task.CompletedTask;
            }
        );
        // What the core works out from the rest of a record is in every answer; the generator calls it optional.
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                foreach (JsonPropertyInfo property in context.JsonTypeInfo.Properties)
                    if (property is { Set: null, AssociatedParameter: null, Get: not null })
                        (schema.Required ??= new HashSet<string>()).Add(property.Name);
                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info = new() { Title = "Wendrak", Version = "1" };
                // The port differs from start to start; the description must not.
                document.Servers = [];
                return Task.CompletedTask;
            }
        );
    }
}
