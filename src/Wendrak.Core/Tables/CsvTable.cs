using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace Wendrak.Core.Tables;

/// <summary>Reads a reference table that is built into this assembly, so that no file is touched.</summary>
internal static class CsvTable
{
    private static readonly CsvConfiguration Configuration = new(CultureInfo.InvariantCulture)
    {
        // snake_case column heads, PascalCase properties.
        PrepareHeaderForMatch = args => args.Header.Replace("_", "", StringComparison.Ordinal).ToLowerInvariant(),
        MissingFieldFound = null,
        HeaderValidated = null,
    };

    public static IReadOnlyList<T> Read<T>(string name)
    {
        string resource = $"Wendrak.Core.Tables.{name}.csv";
        using Stream stream =
            typeof(CsvTable).Assembly.GetManifestResourceStream(resource)
            ?? throw new InvalidOperationException($"The table {resource} was not built in.");
        using StreamReader reader = new(stream);
        using CsvReader csv = new(reader, Configuration);
        return [.. csv.GetRecords<T>()];
    }
}
