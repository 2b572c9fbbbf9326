using System.IO.Hashing;
using Wendrak.Core.Gearing;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>Every answer says of which build it is, so that a page of an older one can ask to be loaded again.</summary>
public sealed class BuildId(RequestDelegate next)
{
    public const string Header = "X-Wendrak-Build";

    /// <summary>The same for the same source, server and page together.</summary>
    public static string Value { get; } = Compute(FrontEnd.Root);

    public Task InvokeAsync(HttpContext context)
    {
        // Set as the answer starts: a refusal throws away what stood there before.
        context.Response.OnStarting(() =>
        {
            context.Response.Headers[Header] = Value;
            return Task.CompletedTask;
        });
        return next(context);
    }

    private static string Compute(string frontEnd)
    {
        string page = Path.Combine(frontEnd, "index.html");
        IEnumerable<byte> parts = new[] { typeof(BuildId), typeof(Database), typeof(RatioSearch) }
            .SelectMany(t => t.Module.ModuleVersionId.ToByteArray())
            .Concat(File.Exists(page) ? File.ReadAllBytes(page) : []);
        return Convert.ToHexStringLower(XxHash128.Hash([.. parts]).AsSpan(0, 6));
    }
}
