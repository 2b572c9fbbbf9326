using System.Text.Json;
using System.Text.Json.Serialization;
using Scalar.AspNetCore;
using Wendrak.Json;

namespace Wendrak.Web;

/// <summary>The description of the API as a page to read and to try calls on, served with the program.</summary>
public static class ApiReference
{
    public const string Path = "/reference";

    /// <summary>Of the description made anew, <c>/openapi/v1.json</c>: only where it is asked for, since it loads much.</summary>
    public static void AddDescription(IServiceCollection services)
    {
        services.AddOpenApi("v1", OpenApiShape.Configure);
        // Only of the framework's converter it is known which words there are.
        services.ConfigureHttpJsonOptions(json =>
        {
            IList<JsonConverter> converters = json.SerializerOptions.Converters;
            converters.Remove(converters.Single(c => c is EnumWords));
            converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        });
    }

    public static void MapDescription(WebApplication app) => app.MapOpenApi();

    public static void MapApiReference(this WebApplication app) =>
        app.MapScalarApiReference(
            Path,
            options =>
                options
                    .WithTitle("Wendrak API")
                    // As kept with the page: to describe all calls anew takes seconds.
                    .WithOpenApiRoutePattern("/openapi.json")
                    // Nothing is fetched from elsewhere and nothing is told to anybody.
                    .DisableDefaultFonts()
                    .DisableTelemetry()
                    .DisableAgent()
                    .DisableMcp()
                    .HideClientButton()
                    .HideDeveloperTools()
        );
}
