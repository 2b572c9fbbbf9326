using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What the lines of a file are.</summary>
public enum LogFileKind
{
    Fuel,
    Charge,
    Noise,
    Upkeep,
    Odometer,
    Runs,
}

/// <summary>What a column of a file says.</summary>
public enum LogField
{
    On,
    Odometer,

    /// <summary>Fuel or energy, by what the file is of.</summary>
    Amount,
    IsFull,
    IsOneMissing,
    Cost,
    Minutes,
    Level,
    Distance,
    Method,
    Seconds,
    FromSpeed,
    ToSpeed,
    Gear,
    What,
    Who,
    Load,
    Route,
    Weather,
    Words,
}

/// <summary>Unit of the numbers of a column.</summary>
public enum LogUnit
{
    Km,
    Miles,
    Litres,
    ImperialGallons,
    UsGallons,
    Wh,
    KWh,
    Kg,
    Pounds,
    Kmh,
    Mph,
    Metres,
    Feet,
    Minutes,
    Hours,
}

/// <summary>In which order a day is written.</summary>
public enum DayOrder
{
    YearMonthDay,
    DayMonthYear,
    MonthDayYear,
}

/// <summary>What stands before the tenths.</summary>
public enum DecimalMark
{
    Point,
    Comma,
}

/// <summary>One column that is taken.</summary>
/// <param name="Index">Which, from 0.</param>
/// <param name="Field">What it says.</param>
/// <param name="Unit">Of its numbers; null of what has none.</param>
public sealed record LogColumn(int Index, LogField Field, LogUnit? Unit = null);

/// <summary>How a file of lines is read. It is kept with what was read: the next one with the same head is read so.</summary>
/// <param name="Kind">What its lines are.</param>
/// <param name="Heads">Heads of all its columns, in their order.</param>
/// <param name="Columns">Those that are taken.</param>
/// <param name="Days">In which order a day is written.</param>
/// <param name="Decimals">What stands before the tenths.</param>
/// <param name="AreAllFull">Where no column says it: whether each fill was a full one.</param>
/// <param name="HasHead">Whether the first row says what its columns are.</param>
public sealed record LogColumns(
    LogFileKind Kind,
    IReadOnlyList<string> Heads,
    IReadOnlyList<LogColumn> Columns,
    DayOrder Days,
    DecimalMark Decimals,
    bool AreAllFull,
    bool HasHead
)
{
    /// <summary>A table with more is no log. Judgement.</summary>
    public const int MostColumns = 200;

    /// <summary>What a line of each kind can't be without.</summary>
    public static IReadOnlyList<LogField> NeededFor(LogFileKind kind) =>
        kind switch
        {
            LogFileKind.Fuel or LogFileKind.Charge => [LogField.On, LogField.Amount],
            LogFileKind.Noise => [LogField.On, LogField.Level, LogField.Distance, LogField.Method],
            LogFileKind.Upkeep => [LogField.On, LogField.What],
            LogFileKind.Runs => [LogField.On, LogField.Seconds, LogField.FromSpeed, LogField.ToSpeed],
            _ => [LogField.On, LogField.Odometer],
        };

    /// <summary>In which units the numbers of a column may be, the usual one first; empty of what has none.</summary>
    public static IReadOnlyList<LogUnit> UnitsOf(LogFileKind kind, LogField field) =>
        field switch
        {
            LogField.Odometer => [LogUnit.Km, LogUnit.Miles],
            LogField.Amount when kind == LogFileKind.Charge => [LogUnit.KWh, LogUnit.Wh],
            LogField.Amount => [LogUnit.Litres, LogUnit.ImperialGallons, LogUnit.UsGallons],
            LogField.Load => [LogUnit.Kg, LogUnit.Pounds],
            LogField.FromSpeed or LogField.ToSpeed => [LogUnit.Kmh, LogUnit.Mph],
            LogField.Distance => [LogUnit.Metres, LogUnit.Feet],
            LogField.Minutes => [LogUnit.Minutes, LogUnit.Hours],
            _ => [],
        };

    /// <summary>Of one column; null for none.</summary>
    public LogColumn? Find(LogField field) => Columns.FirstOrDefault(c => c.Field == field);

    /// <exception cref="InvalidInputException">A column is not there or taken twice, or one that is needed is missing.</exception>
    public void Check()
    {
        Guard guard = new Guard()
            .OneOf(nameof(Kind), Kind)
            .OneOf(nameof(Days), Days)
            .OneOf(nameof(Decimals), Decimals)
            .Count(nameof(Heads), Heads.Count, 1, MostColumns, "columns")
            .Count(nameof(Columns), Columns.Count, 1, MostColumns, "columns");
        for (int i = 0; i < Columns.Count; i++)
        {
            LogColumn column = Columns[i];
            string at = $"{nameof(Columns)}[{i}].";
            IReadOnlyList<LogUnit> units = UnitsOf(Kind, column.Field);
            guard
                .Between(at + nameof(column.Index), column.Index, 0, Math.Max(0, Heads.Count - 1), "")
                .OneOf(at + nameof(column.Field), column.Field)
                .That(
                    Columns.Take(i).All(c => c.Field != column.Field),
                    at + nameof(column.Field),
                    "twice",
                    "Give each column another meaning."
                )
                .That(
                    units.Count == 0 ? column.Unit is null : column.Unit is { } unit && units.Contains(unit),
                    at + nameof(column.Unit),
                    "unknown",
                    units.Count == 0 ? "This has no unit." : $"Give one of: {string.Join(", ", units)}."
                );
        }
        foreach (LogField needed in NeededFor(Kind).Where(f => Find(f) is null))
            guard.That(false, nameof(Columns), "missing", $"Say which column is: {needed}.");
        guard.ThrowIfAny();
    }
}
