using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Store;

namespace Wendrak.Web;

/// <param name="Status">“ok” when the data file answers.</param>
public sealed record Health(string Status);

public static class HealthEndpoints
{
    public static void MapHealth(this IEndpointRouteBuilder app) =>
        app.MapGet(
                "/health",
                Ok<Health> (Database database) =>
                {
                    using var connection = database.Open();
                    return TypedResults.Ok(new Health("ok"));
                }
            )
            .WithName("health")
            .WithTags("Health");
}
