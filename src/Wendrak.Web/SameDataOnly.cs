using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>
/// Every answer says of which data it is. A page that shows what was there before a restore stores nothing over what came
/// back: it is told to reload.
/// </summary>
public sealed class SameDataOnly(RequestDelegate next, Database database)
{
    public const string Header = "X-Wendrak-Data";

    public Task InvokeAsync(HttpContext context)
    {
        context.Response.OnStarting(() =>
        {
            context.Response.Headers[Header] = database.DataId;
            return Task.CompletedTask;
        });
        string known = context.Request.Headers[Header].ToString();
        if (known.Length == 0 || known == database.DataId || HttpMethods.IsGet(context.Request.Method))
            return next(context);
        ConflictProblem problem = new()
        {
            Status = StatusCodes.Status409Conflict,
            Title = "Other data",
            Detail = "A backup was restored since this page was opened. Reload it.",
            Thing = "data",
        };
        return Results
            .Json(problem, statusCode: problem.Status, contentType: "application/problem+json")
            .ExecuteAsync(context);
    }
}
