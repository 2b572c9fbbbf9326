using System.Globalization;

namespace Wendrak.Core.Tables;

/// <summary>One row of a table, its cells by the head of their column. A column that the table has not is an error.</summary>
internal readonly struct CsvRow(IReadOnlyDictionary<string, int> columns, string[] cells)
{
    public string Text(string column) => cells[columns[column]];

    public double Number(string column) => double.Parse(Text(column), CultureInfo.InvariantCulture);

    public int Whole(string column) => int.Parse(Text(column), CultureInfo.InvariantCulture);

    /// <summary>Null where the cell is empty: the table is silent.</summary>
    public double? NumberOrNull(string column) => Text(column).Length == 0 ? null : Number(column);

    /// <inheritdoc cref="NumberOrNull"/>
    public int? WholeOrNull(string column) => Text(column).Length == 0 ? null : Whole(column);

    /// <summary>Null where the cell is empty.</summary>
    public string? TextOrNull(string column) => Text(column) is { Length: > 0 } text ? text : null;

    /// <summary>One word of a list of known ones.</summary>
    public T Word<T>(string column)
        where T : struct, Enum => Enum.Parse<T>(Text(column), ignoreCase: true);

    /// <summary>Words with a space between.</summary>
    public IReadOnlyList<T> Words<T>(string column)
        where T : struct, Enum => [.. Text(column).Split(' ').Select(w => Enum.Parse<T>(w, ignoreCase: true))];
}
