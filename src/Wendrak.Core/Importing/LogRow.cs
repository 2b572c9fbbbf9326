using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Importing;

/// <summary>One row of a file as a line of a log.</summary>
internal sealed class LogRow(LogColumns columns, string[] cells)
{
    private (LogField? Field, string Why)? _wrong;

    /// <returns>Null where it can't be one: <see cref="Refused"/> says why.</returns>
    public LogLine? Read()
    {
        LogLine? line = Line();
        if (_wrong is not null)
            return null;
        try
        {
            LogRules.Check(line!);
            return line;
        }
        catch (InvalidInputException e)
        {
            _wrong = (null, string.Join(" ", e.Issues.Select(i => i.Message)));
            return null;
        }
    }

    public RefusedRow Refused(int row)
    {
        (LogField? field, string why) = _wrong ?? (null, "");
        LogColumn? column = field is { } f ? columns.Find(f) : null;
        return new(
            row,
            column is null ? null : columns.Heads[column.Index],
            column is null ? string.Join(" ", cells) : CellAt(column),
            why
        );
    }

    private LogLine? Line()
    {
        if (Needed(LogField.On) is not { } day)
            return null;
        if (Cell.Day(day, columns.Days) is not { } on)
        {
            Wrong(LogField.On, "This is no day in that order.");
            return null;
        }
        double? odometer = Number(LogField.Odometer);
        string? words = Text(LogField.Words);
        RunConditions? under = Under();
        return columns.Kind switch
        {
            LogFileKind.Fuel => new FuelFilled(
                on,
                odometer,
                NeededNumber(LogField.Amount),
                IsFull,
                IsMissing,
                Number(LogField.Cost),
                null,
                under,
                words
            ),
            LogFileKind.Charge => new Charged(
                on,
                odometer,
                NeededNumber(LogField.Amount),
                IsFull,
                IsMissing,
                Number(LogField.Cost),
                null,
                under,
                words
            ),
            LogFileKind.Noise => new NoiseRead(
                on,
                odometer,
                NeededNumber(LogField.Level),
                NeededNumber(LogField.Distance),
                Needed(LogField.Method) ?? "",
                null,
                under,
                words
            ),
            LogFileKind.Upkeep => new UpkeepDone(
                on,
                odometer,
                Needed(LogField.What) ?? "",
                Number(LogField.Minutes) ?? 0,
                Number(LogField.Cost),
                null,
                under,
                words
            ),
            LogFileKind.Runs => Run(on, odometer, under, words),
            _ => new OdometerRead(on, NeededNumber(LogField.Odometer), null, under, words),
        };
    }

    private RunTimed Run(DateOnly on, double? odometer, RunConditions? under, string? words)
    {
        double from = NeededNumber(LogField.FromSpeed);
        double to = NeededNumber(LogField.ToSpeed);
        RunStart start =
            to < from ? RunStart.CoastDown
            : from == 0 ? RunStart.Standing
            : RunStart.Rolling;
        double? gear = Number(LogField.Gear);
        return new(
            on,
            odometer,
            NeededNumber(LogField.Seconds),
            from,
            to,
            start,
            RunTiming.Watch,
            gear is double g ? (int)Math.Clamp(g, int.MinValue, int.MaxValue) : null,
            null,
            under,
            words
        );
    }

    private RunConditions? Under()
    {
        RunConditions under = new(
            Text(LogField.Who),
            Number(LogField.Load),
            Text(LogField.Route),
            Text(LogField.Weather)
        );
        return under == new RunConditions() ? null : under;
    }

    private bool IsFull => columns.Find(LogField.IsFull) is null ? columns.AreAllFull : YesOrNo(LogField.IsFull);

    private bool? IsMissing =>
        columns.Find(LogField.IsOneMissing) is not null && YesOrNo(LogField.IsOneMissing) ? true : null;

    private bool YesOrNo(LogField field)
    {
        bool? said = Cell.YesOrNo(Text(field) ?? "");
        if (said is null)
            Wrong(field, "This is neither yes nor no.");
        return said == true;
    }

    private double NeededNumber(LogField field) => Needed(field) is null ? 0 : Number(field) ?? 0;

    private string? Needed(LogField field)
    {
        string? text = Text(field);
        if (text is null)
            Wrong(field, "There is nothing in it.");
        return text;
    }

    /// <summary>In the unit it is kept in; null for an empty cell.</summary>
    private double? Number(LogField field)
    {
        if (columns.Find(field) is not { } column || Text(field) is not { } text)
            return null;
        double? number = Cell.Number(text, columns.Decimals);
        if (number is null)
            Wrong(field, "This is no number with that sign before the tenths.");
        return number * FactorOf(column.Unit);
    }

    private string? Text(LogField field) =>
        columns.Find(field) is { } column && CellAt(column).Trim() is { Length: > 0 } text ? text : null;

    private string CellAt(LogColumn column) => column.Index < cells.Length ? cells[column.Index] : "";

    /// <summary>The first that is wrong is told.</summary>
    private void Wrong(LogField field, string why) => _wrong ??= (field, why);

    private static double FactorOf(LogUnit? unit) =>
        unit switch
        {
            LogUnit.Miles or LogUnit.Mph => UnitFactors.KmPerMile,
            LogUnit.ImperialGallons => UnitFactors.LitresPerImperialGallon,
            LogUnit.UsGallons => UnitFactors.LitresPerUsGallon,
            LogUnit.KWh => 1000,
            LogUnit.Pounds => UnitFactors.KgPerPound,
            LogUnit.Feet => UnitFactors.MmPerInch * 12 / 1000,
            LogUnit.Hours => 60,
            _ => 1,
        };
}
