using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class FindEndpoints
{
    public static void MapFind(this IEndpointRouteBuilder app) =>
        app.MapStored("/api", "Find")
            .MapGet("/find", async Task<Ok<FindIndex>> (FindReader names) => TypedResults.Ok(await names.ReadAsync()))
            .WithName("listNames")
            .WithSummary("Names of all that can be found, what was changed last first");
}
