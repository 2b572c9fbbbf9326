using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Traces;

/// <summary>What a column of a trace says.</summary>
public enum TraceField
{
    /// <summary>s, ms, or a moment.</summary>
    Time,
    Speed,
    Latitude,
    Longitude,
    ShaftSpeed,
}

/// <summary>Unit of a column of a trace.</summary>
public enum TraceUnit
{
    Seconds,
    Milliseconds,

    /// <summary>A day with a time, or a time.</summary>
    Moment,
    Kmh,
    Mph,
    Ms,
    Degrees,
    Rpm,
}

/// <summary>One column that is taken.</summary>
/// <param name="Index">Which, from 0.</param>
/// <param name="Field">What it says.</param>
/// <param name="Unit">Of its numbers.</param>
public sealed record TraceColumn(int Index, TraceField Field, TraceUnit Unit);

/// <summary>What a column may be.</summary>
/// <param name="Field">What it says.</param>
/// <param name="Units">In which its numbers may be, the usual one first.</param>
public sealed record TraceFieldChoice(TraceField Field, IReadOnlyList<TraceUnit> Units)
{
    /// <summary>One for each.</summary>
    public static IReadOnlyList<TraceFieldChoice> All { get; } =
    [.. Enum.GetValues<TraceField>().Select(f => new TraceFieldChoice(f, TraceColumns.UnitsOf(f)))];
}

/// <summary>How a table of a trace is read.</summary>
/// <param name="Heads">Of all its columns.</param>
/// <param name="Columns">Those that are taken: a time, and speeds or places.</param>
/// <param name="Decimals">What stands before the tenths.</param>
public sealed record TraceColumns(IReadOnlyList<string> Heads, IReadOnlyList<TraceColumn> Columns, DecimalMark Decimals)
{
    /// <summary>Of one column; null for none.</summary>
    public TraceColumn? Find(TraceField field) => Columns.FirstOrDefault(c => c.Field == field);

    /// <summary>In which units a column may be, the usual one first.</summary>
    public static IReadOnlyList<TraceUnit> UnitsOf(TraceField field) =>
        field switch
        {
            TraceField.Time => [TraceUnit.Seconds, TraceUnit.Milliseconds, TraceUnit.Moment],
            TraceField.Speed => [TraceUnit.Kmh, TraceUnit.Mph, TraceUnit.Ms],
            TraceField.ShaftSpeed => [TraceUnit.Rpm],
            _ => [TraceUnit.Degrees],
        };

    /// <exception cref="InvalidInputException">A column is not there or taken twice, or one that is needed is missing.</exception>
    public void Check()
    {
        Guard guard = new Guard()
            .OneOf(nameof(Decimals), Decimals)
            .Count(nameof(Columns), Columns.Count, 1, LogColumns.MostColumns, "columns");
        for (int i = 0; i < Columns.Count; i++)
        {
            TraceColumn column = Columns[i];
            string at = $"{nameof(Columns)}[{i}].";
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
                    UnitsOf(column.Field).Contains(column.Unit),
                    at + nameof(column.Unit),
                    "unknown",
                    $"Give one of: {string.Join(", ", UnitsOf(column.Field))}."
                );
        }
        guard
            .That(Find(TraceField.Time) is not null, nameof(Columns), "missing", "Say which column is the time.")
            .That(
                Find(TraceField.Speed) is not null
                    || (Find(TraceField.Latitude) is not null && Find(TraceField.Longitude) is not null),
                nameof(Columns),
                "missing",
                "Say which column is the speed, or which are latitude and longitude."
            )
            .ThrowIfAny();
    }
}
