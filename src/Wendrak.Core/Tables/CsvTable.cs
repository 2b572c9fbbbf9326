using System.Globalization;
using CsvHelper;

namespace Wendrak.Core.Tables;

/// <summary>Reads a reference table that is built into this assembly, so that no file is touched.</summary>
internal static class CsvTable
{
    /// <param name="name">File name without its ending.</param>
    /// <param name="read">What a row says. Named cell by cell: found out by reflection it weighed megabytes (decision 54).</param>
    public static IReadOnlyList<T> Read<T>(string name, Func<CsvRow, T> read)
    {
        string resource = $"Wendrak.Core.Tables.{name}.csv";
        using Stream stream =
            typeof(CsvTable).Assembly.GetManifestResourceStream(resource)
            ?? throw new InvalidOperationException($"The table {resource} was not built in.");
        using StreamReader reader = new(stream);
        using CsvParser csv = new(reader, CultureInfo.InvariantCulture);
        csv.Read();
        Dictionary<string, int> columns = csv.Record!.Index().ToDictionary(c => c.Item, c => c.Index);
        List<T> rows = [];
        while (csv.Read())
            rows.Add(read(new CsvRow(columns, csv.Record!)));
        return rows;
    }
}
