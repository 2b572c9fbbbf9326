using System.Text.RegularExpressions;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Importing;

/// <summary>What a file of lines looks like, before anything of it is taken.</summary>
/// <param name="Form">How it is written.</param>
/// <param name="Rows">Its first rows, without the head.</param>
/// <param name="Guess">How it may be read, by the words of its heads and the numbers below; or as the last one with the same head was.</param>
/// <param name="IsDayOrderSure">Its days can be read in one order only.</param>
/// <param name="IsRemembered">A file with the same head was read before.</param>
/// <param name="Choices">What the columns of each kind of file may be.</param>
public sealed partial record LogFileLook(
    SheetForm Form,
    IReadOnlyList<IReadOnlyList<string>> Rows,
    LogColumns Guess,
    bool IsDayOrderSure,
    bool IsRemembered,
    IReadOnlyList<LogFileChoice> Choices
)
{
    private const int RowsShown = 5;
    private const int RowsLooked = 200;
    private const int MonthsOfYear = 12;

    /// <param name="stream">Can be read from its beginning.</param>
    /// <param name="earlier">How files were read before, the newest first.</param>
    /// <exception cref="InvalidInputException">It is no table.</exception>
    public static LogFileLook Of(Stream stream, IEnumerable<LogColumns> earlier)
    {
        using SheetText sheet = new(stream);
        List<string[]> rows = [];
        while (rows.Count <= RowsLooked && sheet.Read() is { } row)
            rows.Add(row);
        new Guard()
            .That(rows.Count > 0, "file", "empty", "There is no row in this file.")
            .That(
                rows.Count == 0 || rows[0].Length <= LogColumns.MostColumns,
                "file",
                "too_many",
                $"Give a table of {LogColumns.MostColumns} columns or fewer.",
                LogColumns.MostColumns
            )
            .ThrowIfAny();
        bool hasHead = !rows[0].Any(IsDayOrNumber);
        string[] heads = hasHead ? [.. rows[0].Select(h => h.Trim())] : [.. rows[0].Select((_, i) => $"{i + 1}")];
        string[][] body = [.. rows.Skip(hasHead ? 1 : 0)];
        LogColumns? known = hasHead ? earlier.FirstOrDefault(c => c.Heads.SequenceEqual(heads)) : null;
        Guesser guesser = new(heads, body, hasHead);
        return new(
            sheet.Form,
            [.. body.Take(RowsShown)],
            known ?? guesser.Columns,
            known is not null || guesser.IsDayOrderSure,
            known is not null,
            LogFileChoice.All
        );
    }

    private static bool IsDayOrNumber(string cell) =>
        Cell.Number(cell, DecimalMark.Point) is not null
        || Cell.Number(cell, DecimalMark.Comma) is not null
        || Cell.Day(cell, DayOrder.DayMonthYear) is not null
        || Cell.Day(cell, DayOrder.MonthDayYear) is not null;

    private sealed class Guesser
    {
        private readonly string[][] _body;

        public Guesser(string[] heads, string[][] body, bool hasHead)
        {
            _body = body;
            (IReadOnlyList<string> Fields, IReadOnlyList<string> Units)[] meant = [.. heads.Select(Meant)];
            LogFileKind kind = KindOf(heads);
            List<LogColumn> columns = [];
            for (int i = 0; i < heads.Length; i++)
            {
                LogField? field = meant[i]
                    .Fields.Select(f => Enum.Parse<LogField>(f, ignoreCase: true))
                    .Where(f => columns.All(c => c.Field != f) && LogFileChoice.Has(kind, f))
                    .Select(f => (LogField?)f)
                    .FirstOrDefault();
                if (field is { } found)
                    columns.Add(new(i, found, UnitOf(kind, found, meant[i].Units)));
            }
            DayOrder days = DaysIn(columns.Find(c => c.Field == LogField.On)?.Index);
            Columns = new(kind, heads, columns, days, DecimalsIn(columns), false, hasHead);
        }

        public LogColumns Columns { get; }

        public bool IsDayOrderSure { get; private set; }

        private static (IReadOnlyList<string>, IReadOnlyList<string>) Meant(string head)
        {
            string[] words = [.. Words().Matches(head.ToLowerInvariant()).Select(m => m.Value)];
            return (LogHeads.FieldsIn(words), LogHeads.UnitsIn(words));
        }

        /// <summary>By the most telling head; what is none of the others is a fill of fuel.</summary>
        private static LogFileKind KindOf(string[] heads)
        {
            HashSet<string> fields = [.. heads.SelectMany(h => Meant(h).Item1)];
            HashSet<string> units = [.. heads.SelectMany(h => Meant(h).Item2)];
            return units.Overlaps(["wh", "kWh"]) ? LogFileKind.Charge
                : fields.Contains("level") ? LogFileKind.Noise
                : fields.IsSupersetOf(["seconds", "fromSpeed", "toSpeed"]) ? LogFileKind.Runs
                : fields.Contains("amount") ? LogFileKind.Fuel
                : fields.Contains("what") ? LogFileKind.Upkeep
                : fields.Contains("odometer") ? LogFileKind.Odometer
                : LogFileKind.Fuel;
        }

        /// <summary>The one its head names; else the usual one, which is shown and may be changed.</summary>
        private static LogUnit? UnitOf(LogFileKind kind, LogField field, IReadOnlyList<string> named)
        {
            IReadOnlyList<LogUnit> may = LogColumns.UnitsOf(kind, field);
            foreach (string name in named)
                if (Enum.Parse<LogUnit>(name, ignoreCase: true) is var unit && may.Contains(unit))
                    return unit;
            return may.Count == 0 ? null : may[0];
        }

        /// <summary>The order in which the most can be read: a few may be slips of the hand.</summary>
        private DayOrder DaysIn(int? column)
        {
            string[] cells = column is int c ? [.. CellsOf(c)] : [];
            int Read(DayOrder order) => cells.Count(cell => Cell.Day(cell, order) is not null);
            bool isYearFirst = cells.Count(cell => cell.Length > 3 && cell[..4].All(char.IsDigit)) * 2 > cells.Length;
            (int dayFirst, int monthFirst) = (Read(DayOrder.DayMonthYear), Read(DayOrder.MonthDayYear));
            IsDayOrderSure = isYearFirst || dayFirst != monthFirst;
            return isYearFirst || cells.Length == 0 ? DayOrder.YearMonthDay
                : dayFirst >= monthFirst ? DayOrder.DayMonthYear
                : DayOrder.MonthDayYear;
        }

        private DecimalMark DecimalsIn(IReadOnlyList<LogColumn> columns)
        {
            string[] cells = [.. columns.Where(c => c.Unit is not null).SelectMany(c => CellsOf(c.Index))];
            int Read(DecimalMark mark) => cells.Count(c => Cell.Number(c, mark) is not null);
            return Read(DecimalMark.Comma) > Read(DecimalMark.Point) ? DecimalMark.Comma : DecimalMark.Point;
        }

        private IEnumerable<string> CellsOf(int column) =>
            _body.Where(r => r.Length > column).Select(r => r[column].Trim()).Where(c => c.Length > 0);
    }

    [GeneratedRegex(@"km-stand|km/h|[\p{L}]+")]
    private static partial Regex Words();
}
