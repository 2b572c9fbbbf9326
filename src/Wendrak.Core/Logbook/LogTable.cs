using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>A log as a table of text (RFC 4180, UTF-8). No cell of it is run as a formula by a spreadsheet.</summary>
public static class LogTable
{
    private static readonly string[] Heads =
    [
        "date",
        "kind",
        "odometer_km",
        "value",
        "unit",
        "full",
        "fill_before_missing",
        "cost",
        "minutes",
        "what",
        "rider",
        "load_kg",
        "route",
        "weather",
        "notes",
        "struck_out",
    ];

    /// <param name="entries">In the order in which they are to stand.</param>
    public static void Write(TextWriter to, IEnumerable<LogEntry> entries)
    {
        CsvConfiguration form = new(CultureInfo.InvariantCulture)
        {
            InjectionOptions = InjectionOptions.Escape,
            NewLine = "\r\n",
        };
        using CsvWriter csv = new(to, form, leaveOpen: true);
        foreach (string head in Heads)
            csv.WriteField(head);
        csv.NextRecord();
        foreach (LogEntry entry in entries)
        {
            foreach (object? cell in CellsOf(entry))
                csv.WriteField(cell);
            csv.NextRecord();
        }
    }

    private static IEnumerable<object?> CellsOf(LogEntry entry)
    {
        LogLine line = entry.Line;
        (string kind, double? value, string? unit, string? what) = Said(line);
        (bool? isFull, bool? isMissing, double? cost) = line switch
        {
            FuelFilled l => (l.IsFull, l.IsOneMissing, l.Cost),
            Charged l => (l.IsFull, l.IsOneMissing, l.Cost),
            PartPaid l => ((bool?)null, (bool?)null, (double?)l.Cost),
            UpkeepDone l => (null, null, l.Cost),
            _ => (null, null, null),
        };
        return
        [
            line.On.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            kind,
            line.OdometerKm,
            value,
            unit,
            YesOrNo(isFull),
            YesOrNo(isMissing),
            cost,
            (line as UpkeepDone)?.Minutes,
            what,
            line.Under?.Who,
            line.Under?.LoadKg,
            line.Under?.Route,
            line.Under?.Weather,
            line.Words,
            YesOrNo(entry.IsStruck),
        ];
    }

    private static (string Kind, double? Value, string? Unit, string? What) Said(LogLine line) =>
        line switch
        {
            FuelFilled l => ("fuel", l.Litres, "L", null),
            Charged l => ("charge", l.EnergyWh, "Wh", null),
            MeanTold l => ("told mean", l.Value, UnitOf(l.Of), l.Whose),
            RunTimed l => (
                "timed run",
                l.Seconds,
                "s",
                string.Create(CultureInfo.InvariantCulture, $"{l.FromKmh} to {l.ToKmh} km/h")
            ),
            NoiseRead l => (
                "noise",
                l.Db,
                "dB(A)",
                string.Create(CultureInfo.InvariantCulture, $"at {l.DistanceM} m, {l.Method}")
            ),
            PartPaid l => ("part", null, null, l.What),
            UpkeepDone l => ("upkeep", null, null, l.What),
            ScoreGiven l => ("score", l.Score, "of 5", null),
            _ => ("odometer", null, null, null),
        };

    private static string UnitOf(ToldMean told) =>
        told switch
        {
            ToldMean.KmPerLitre => "km/L",
            ToldMean.MilesPerImperialGallon => "mpg imperial",
            ToldMean.MilesPerUsGallon => "mpg US",
            ToldMean.WhPerKm => "Wh/km",
            _ => "L/100 km",
        };

    private static string? YesOrNo(bool? said) =>
        said switch
        {
            true => "yes",
            false => "no",
            _ => null,
        };
}
