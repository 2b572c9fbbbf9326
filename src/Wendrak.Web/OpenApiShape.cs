using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Wendrak.Web;

/// <summary>How the served API description is shaped.</summary>
public static class OpenApiShape
{
    public static void Configure(OpenApiOptions options)
    {
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
