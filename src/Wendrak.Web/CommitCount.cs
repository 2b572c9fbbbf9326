using System.Globalization;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>
/// Every answer says how often something had been stored when it was asked for, so that a page knows whether it read before or
/// after what it is told of (<see cref="OpenPages"/>).
/// </summary>
public sealed class CommitCount(RequestDelegate next, Database database)
{
    public const string Header = "X-Wendrak-Commits";

    public Task InvokeAsync(HttpContext context)
    {
        string count = database.Commits.ToString(CultureInfo.InvariantCulture);
        context.Response.OnStarting(() =>
        {
            context.Response.Headers[Header] = count;
            return Task.CompletedTask;
        });
        return next(context);
    }
}
