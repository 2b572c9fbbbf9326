using Wendrak.Core.Tables;

namespace Wendrak.Web;

public static class GlossaryEndpoints
{
    public static void MapGlossary(this IEndpointRouteBuilder app) =>
        app.MapComputing("/api/glossary", "Glossary")
            .MapGet("", () => TypedResults.Ok(Glossary.All))
            .WithName("listGlossary")
            .WithSummary("Words of the trade, explained");
}
