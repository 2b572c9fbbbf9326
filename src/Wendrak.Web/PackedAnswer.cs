using System.IO.Compression;
using Microsoft.Net.Http.Headers;

namespace Wendrak.Web;

/// <summary>A JSON answer, packed where it is long: a changed tooth is under eight kilobytes on a workshop's wireless.</summary>
/// <remarks>Not for every answer: what packs one takes more memory than a short one saves.</remarks>
internal static class PackedAnswer
{
    private const int MostUnpacked = 7_000; // with its question under 8 kB
    private const string Gzip = "gzip";

    public static IResult For(HttpContext context, byte[] json)
    {
        if (json.Length > MostUnpacked && Takes(context.Request, Gzip))
        {
            json = Packed(json);
            context.Response.Headers.ContentEncoding = Gzip;
            context.Response.Headers.Vary = HeaderNames.AcceptEncoding;
        }
        return TypedResults.Bytes(json, "application/json; charset=utf-8");
    }

    private static bool Takes(HttpRequest request, string encoding) =>
        request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == encoding && e.Quality != 0);

    private static byte[] Packed(byte[] json)
    {
        using MemoryStream packed = new(json.Length / 2);
        using (GZipStream packing = new(packed, CompressionLevel.Fastest))
            packing.Write(json);
        return packed.ToArray();
    }
}
