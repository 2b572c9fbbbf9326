namespace Wendrak.Core.Tables;

/// <summary>Words by which a head of a column is known. Source: common practice; what is guessed is shown and may be changed.</summary>
public static class LogHeads
{
    private static readonly Lazy<IReadOnlyDictionary<string, string[]>> Fields = new(() => Read("log_heads", "field"));
    private static readonly Lazy<IReadOnlyDictionary<string, string[]>> Units = new(() => Read("log_units", "unit"));

    /// <summary>Names of what the words of a head may mean, those that stand first in the table first.</summary>
    public static IReadOnlyList<string> FieldsIn(IReadOnlyCollection<string> words) => Having(Fields.Value, words);

    /// <summary>The same of units.</summary>
    public static IReadOnlyList<string> UnitsIn(IReadOnlyCollection<string> words) => Having(Units.Value, words);

    private static string[] Having(IReadOnlyDictionary<string, string[]> table, IReadOnlyCollection<string> words) =>
        [.. table.Where(row => row.Value.Any(words.Contains)).Select(row => row.Key)];

    private static Dictionary<string, string[]> Read(string table, string column) =>
        CsvTable
            .Read(table, row => (Name: row.Text(column), Words: row.Text("words").Split(' ')))
            .ToDictionary(row => row.Name, row => row.Words);
}
