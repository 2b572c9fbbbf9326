using System.Diagnostics.CodeAnalysis;
using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Extensions.FileProviders;
using Microsoft.Net.Http.Headers;

namespace Wendrak.Web;

/// <summary>Files of the page that the build packed beside themselves, “.br” and “.gz”: sent so to whoever can read it.</summary>
internal static class PackedFiles
{
    private static readonly (string Ending, string Encoding)[] Kinds = [(".br", "br"), (".gz", "gzip")];

    public static void UsePackedFiles(this IApplicationBuilder app, IFileProvider files) =>
        app.Use(
            (context, next) =>
            {
                if (!context.Request.Path.StartsWithSegments("/assets"))
                    return next(context);
                string accepted = context.Request.Headers.AcceptEncoding.ToString();
                foreach ((string ending, string encoding) in Kinds)
                    if (
                        accepted.Contains(encoding, StringComparison.OrdinalIgnoreCase)
                        && files.GetFileInfo(context.Request.Path + ending).Exists
                    )
                    {
                        context.Request.Path += ending;
                        context.Response.Headers.ContentEncoding = encoding;
                        break;
                    }
                context.Response.Headers.Append(HeaderNames.Vary, HeaderNames.AcceptEncoding);
                return next(context);
            }
        );

    /// <summary>The type of what is packed, not of the packing.</summary>
    public sealed class ContentTypes : IContentTypeProvider
    {
        private readonly FileExtensionContentTypeProvider _known = new();

        public bool TryGetContentType(string subpath, [MaybeNullWhen(false)] out string contentType)
        {
            foreach ((string ending, _) in Kinds)
                if (subpath.EndsWith(ending, StringComparison.Ordinal))
                    subpath = subpath[..^ending.Length];
            return _known.TryGetContentType(subpath, out contentType);
        }
    }
}
