using System.Globalization;
using Microsoft.OpenApi;

namespace Wendrak.Web;

/// <summary>
/// Between what a number must lie, for the description of the API. Asked of the core's own guards, and written, by
/// tools/refresh-api; a bound that goes by what else was given is the widest there is.
/// </summary>
internal static class Bounds
{
    private static readonly ILookup<string, string[]> Known = Read().ToLookup(row => row[0]);

    /// <param name="type">Of the API, as in “LoopStrength”.</param>
    public static void Tell(string type, OpenApiSchema schema)
    {
        foreach (
            (string name, IOpenApiSchema property) in schema.Properties ?? new Dictionary<string, IOpenApiSchema>()
        )
            if (property is OpenApiSchema number && Known[$"{type}.{name}"].FirstOrDefault() is [_, var low, var high])
                (number.Minimum, number.Maximum) = (Figure(low), Figure(high));
    }

    private static string? Figure(string text) =>
        text.Length == 0
            ? null
            : double.Parse(text, CultureInfo.InvariantCulture).ToString("0.##########", CultureInfo.InvariantCulture);

    private static IEnumerable<string[]> Read()
    {
        using StreamReader rows = new(typeof(Bounds).Assembly.GetManifestResourceStream("bounds.csv")!);
        while (rows.ReadLine() is { } row)
            yield return row.Split(',');
    }
}
