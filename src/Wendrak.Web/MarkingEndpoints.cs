using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Markings;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>A marking as it is stamped, moulded or printed.</summary>
/// <param name="Text">As it stands there.</param>
/// <param name="On">On what it stands; null where nobody knows.</param>
public sealed record MarkingText(string Text, MarkedThing? On = null);

public static class MarkingEndpoints
{
    public static void MapMarkings(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder markings = app.MapStored("/api/markings", "Markings");
        markings
            .MapPost("/read", ReadAsync)
            .WithName("readMarking")
            .WithSummary("What a marking is, what else it could be, and what it goes with in this yard");
        markings
            .MapPost("/measured", MeasuredAsync)
            .WithName("findMeasured")
            .WithSummary("What something without a marking can be, by its pitch and its widths");
    }

    private static async Task<Ok<MarkingFound>> ReadAsync(MarkingText sent, MachineReader machines) =>
        TypedResults.Ok(MarkingFound.Of(Marking.Read(sent.Text, sent.On), await machines.WorkshopAndYardAsync()));

    private static async Task<Ok<MarkingFound>> MeasuredAsync(MeasuredMarking sent, MachineReader machines) =>
        TypedResults.Ok(MarkingFound.Of(new(null, sent.Find()), await machines.WorkshopAndYardAsync()));
}
