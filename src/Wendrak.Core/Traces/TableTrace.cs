using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Importing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Traces;

/// <summary>A trace as a table of text, read row by row.</summary>
internal sealed partial class TableTrace : TraceReader, IDisposable
{
    private const int RowsLooked = 50;
    private const double MsPerS = 1000;
    private const double KmhPerMs = 3.6;
    private readonly SheetText _sheet;
    private readonly List<string[]> _looked = [];
    private readonly int _expected;

    /// <param name="columns">How it is read; null to tell by its heads.</param>
    /// <exception cref="InvalidInputException">It is no table, or has no column for what is needed.</exception>
    public TableTrace(Stream stream, TraceColumns? columns)
    {
        _sheet = new(stream);
        string[] heads =
            _sheet.Read() ?? throw new InvalidInputException("file", "empty", "There is no row in this file.");
        while (_looked.Count < RowsLooked && _sheet.Read() is { } row)
            _looked.Add(row);
        _expected = heads.Length;
        Columns = columns ?? Guess([.. heads.Select(h => h.Trim())], _looked);
        Columns.Check();
    }

    public TraceColumns Columns { get; }

    protected override bool HasDay => Columns.Find(TraceField.Time)?.Unit == TraceUnit.Moment;

    public void Dispose() => _sheet.Dispose();

    protected override IEnumerable<TracePoint> Read()
    {
        string[]? last = null;
        foreach (string[] cells in Rows())
        {
            last = cells;
            if (TimeIn(cells) is not double time)
                WithoutTime++;
            else if (PointAt(time, cells) is { } point)
                yield return point;
            else
                Unreadable++;
        }
        IsCut = last is not null && last.Length < _expected;
    }

    private IEnumerable<string[]> Rows()
    {
        foreach (string[] row in _looked)
            yield return row;
        while (_sheet.Read() is { } row)
            yield return row;
    }

    private TracePoint? PointAt(double time, string[] cells)
    {
        TracePoint point = new(
            time,
            SpeedIn(cells),
            Number(cells, TraceField.Latitude),
            Number(cells, TraceField.Longitude),
            Number(cells, TraceField.ShaftSpeed)
        );
        return point.SpeedKmh is null && (point.LatitudeDeg is null || point.LongitudeDeg is null) ? null : point;
    }

    private double? TimeIn(string[] cells)
    {
        if (Columns.Find(TraceField.Time) is not { } column || column.Index >= cells.Length)
            return null;
        string cell = cells[column.Index];
        return column.Unit switch
        {
            TraceUnit.Moment => MomentIn(cell),
            TraceUnit.Milliseconds => Cell.Number(cell, Columns.Decimals) / MsPerS,
            _ => Cell.Number(cell, Columns.Decimals),
        };
    }

    private static double? MomentIn(string cell) =>
        DateTimeOffset.TryParse(
            cell.Trim(),
            CultureInfo.InvariantCulture,
            DateTimeStyles.AssumeUniversal,
            out DateTimeOffset at
        )
            ? at.UtcTicks / (double)TimeSpan.TicksPerSecond
            : null;

    private double? SpeedIn(string[] cells) =>
        Number(cells, TraceField.Speed)
        * Columns.Find(TraceField.Speed)?.Unit switch
        {
            TraceUnit.Mph => UnitFactors.KmPerMile,
            TraceUnit.Ms => KmhPerMs,
            _ => 1,
        };

    private double? Number(string[] cells, TraceField field) =>
        Columns.Find(field) is { } column && column.Index < cells.Length
            ? Cell.Number(cells[column.Index], Columns.Decimals)
            : null;

    /// <summary>By the words of the heads; a time that is no number is a moment.</summary>
    private static TraceColumns Guess(string[] heads, IReadOnlyList<string[]> rows)
    {
        List<TraceColumn> columns = [];
        for (int i = 0; i < heads.Length; i++)
        {
            string head = heads[i].ToLowerInvariant();
            if (FieldIn(head) is { } field && columns.All(c => c.Field != field))
                columns.Add(new(i, field, UnitIn(head, field, rows, i)));
        }
        IEnumerable<string> cells = rows.SelectMany(r =>
            columns.Where(c => c.Unit != TraceUnit.Moment && c.Index < r.Length).Select(c => r[c.Index])
        );
        (int point, int comma) = (0, 0);
        foreach (string cell in cells)
        {
            point += Cell.Number(cell, DecimalMark.Point) is null ? 0 : 1;
            comma += Cell.Number(cell, DecimalMark.Comma) is null ? 0 : 1;
        }
        return new(heads, columns, comma > point ? DecimalMark.Comma : DecimalMark.Point);
    }

    private static TraceField? FieldIn(string head) =>
        Rpm().IsMatch(head) ? TraceField.ShaftSpeed
        : Speed().IsMatch(head) ? TraceField.Speed
        : head.StartsWith("lat", StringComparison.Ordinal) ? TraceField.Latitude
        : head.StartsWith("lon", StringComparison.Ordinal) || head.StartsWith("lng", StringComparison.Ordinal)
            ? TraceField.Longitude
        : Time().IsMatch(head) ? TraceField.Time
        : null;

    private static TraceUnit UnitIn(string head, TraceField field, IReadOnlyList<string[]> rows, int column) =>
        field switch
        {
            TraceField.Speed when head.Contains("mph", StringComparison.Ordinal) => TraceUnit.Mph,
            TraceField.Speed when MetresASecond().IsMatch(head) => TraceUnit.Ms,
            TraceField.Time when Milliseconds().IsMatch(head) => TraceUnit.Milliseconds,
            TraceField.Time
                when rows.Any(r => r.Length > column)
                    && rows.Where(r => r.Length > column)
                        .All(r =>
                            Cell.Number(r[column], DecimalMark.Point) is null
                            && Cell.Number(r[column], DecimalMark.Comma) is null
                        ) => TraceUnit.Moment,
            _ => TraceColumns.UnitsOf(field)[0],
        };

    [GeneratedRegex(@"\brpm\b|engine|motor speed|drehzahl")]
    private static partial Regex Rpm();

    [GeneratedRegex(@"speed|velocity|km/?h|mph|geschwindigkeit")]
    private static partial Regex Speed();

    [GeneratedRegex(@"time|zeit|\bt\b|seconds|timestamp")]
    private static partial Regex Time();

    [GeneratedRegex(@"m/s|\bms-1\b")]
    private static partial Regex MetresASecond();

    [GeneratedRegex(@"\bms\b|milli")]
    private static partial Regex Milliseconds();
}
