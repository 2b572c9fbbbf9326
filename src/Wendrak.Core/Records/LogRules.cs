using System.Reflection;
using System.Text.Json.Serialization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What may stand in a log.</summary>
public static class LogRules
{
    /// <summary>Every kind of line, as it stands in one.</summary>
    public static IReadOnlyList<string> Kinds { get; } =
    [.. typeof(LogLine).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => (string)a.TypeDiscriminator!)];

    /// <summary>How many lines may be sent at once by hand; a file may have more.</summary>
    public const int MostAtOnce = 100;

    /// <summary>A file with more is to be cut: judgement, a line each minute for a year.</summary>
    public const int MostOfAFile = 500_000;

    // Bounds that catch a figure in another unit: judgement.
    private const double MostLitres = 10_000;
    private const double MostWh = 10_000_000;
    private const double MostUsed = 10_000;
    private const double LongestRunS = 3_600;
    private const double FastestKmh = 500;
    private const double LoudestDb = 160;
    private const double FarthestM = 1_000;
    private const double HeaviestKg = 100_000;
    private const double StrongestWindKmh = 200;
    private const double SteepestPercent = 100;
    private const int MostGears = 30;

    /// <exception cref="InvalidInputException">Every field that can't be, by its path in the line.</exception>
    public static void Check(LogLine line) => Issues(line).ThrowIfAny();

    /// <exception cref="InvalidInputException">Every field that can't be, by its path in the list.</exception>
    public static void Check(IReadOnlyList<LogLine> lines)
    {
        Guard guard = new Guard().Count("Lines", lines.Count, 1, MostAtOnce, "lines");
        for (int i = 0; i < Math.Min(lines.Count, MostAtOnce); i++)
            guard.Include(new Guard($"Lines[{i}].").Include(Issues(lines[i])));
        guard.ThrowIfAny();
    }

    /// <summary>What a machine has run by then: a line that was written late does not turn its odometer back.</summary>
    public static Machine MachineAfter(Machine machine, double? highestKm) =>
        highestKm is double km && (machine.OdometerKm is not double known || km > known)
            ? machine with
            {
                OdometerKm = km,
            }
            : machine;

    private static Guard Issues(LogLine line)
    {
        Guard guard = new Guard()
            .BetweenIfGiven(nameof(line.OdometerKm), line.OdometerKm, 0, MachineRules.FarthestKm, "km")
            .Note(nameof(line.Words), line.Words);
        if (line.Under is { } under)
            guard.Include(new Guard($"{nameof(line.Under)}.").Include(Issues(under)));
        return line switch
        {
            FuelFilled l => guard
                .MoreThan(nameof(l.Litres), l.Litres, 0, "L")
                .AtMost(nameof(l.Litres), l.Litres, MostLitres, "L")
                .Money(nameof(l.Cost), l.Cost),
            Charged l => guard
                .MoreThan(nameof(l.EnergyWh), l.EnergyWh, 0, "Wh")
                .AtMost(nameof(l.EnergyWh), l.EnergyWh, MostWh, "Wh")
                .Money(nameof(l.Cost), l.Cost),
            MeanTold l => guard
                .OneOf(nameof(l.Of), l.Of)
                .MoreThan(nameof(l.Value), l.Value, 0, "")
                .AtMost(nameof(l.Value), l.Value, MostUsed, "")
                .Note(nameof(l.Whose), l.Whose),
            RunTimed l => Issues(guard, l),
            NoiseRead l => guard
                .Between(nameof(l.Db), l.Db, 0, LoudestDb, "dB")
                .MoreThan(nameof(l.DistanceM), l.DistanceM, 0, "m")
                .AtMost(nameof(l.DistanceM), l.DistanceM, FarthestM, "m")
                .Named(nameof(l.Method), l.Method),
            PartPaid l => guard
                .Named(nameof(l.What), l.What)
                .Between(nameof(l.Cost), l.Cost, 0, StockWheel.MostMoney, "")
                .BetweenIfGiven(nameof(l.ExpectedKm), l.ExpectedKm, 1, MachineRules.FarthestKm, "km"),
            UpkeepDone l => guard
                .Named(nameof(l.What), l.What)
                .Between(nameof(l.Minutes), l.Minutes, 0, JobRules.MostMinutes, "min")
                .Money(nameof(l.Cost), l.Cost),
            OdometerRead l => guard.That(
                l.OdometerKm is not null,
                nameof(l.OdometerKm),
                "missing",
                "Give what the odometer says."
            ),
            ScoreGiven l => guard.Between(nameof(l.Score), l.Score, 1, JobRules.BestScore, ""),
            _ => guard,
        };
    }

    private static Guard Issues(Guard guard, RunTimed run)
    {
        bool isDown = run.Start == RunStart.CoastDown;
        return guard
            .MoreThan(nameof(run.Seconds), run.Seconds, 0, "s")
            .AtMost(nameof(run.Seconds), run.Seconds, LongestRunS, "s")
            .Between(nameof(run.FromKmh), run.FromKmh, 0, FastestKmh, "km/h")
            .Between(nameof(run.ToKmh), run.ToKmh, 0, FastestKmh, "km/h")
            .That(
                isDown ? run.ToKmh < run.FromKmh : run.ToKmh > run.FromKmh,
                nameof(run.ToKmh),
                isDown ? "not_slower" : "not_faster",
                isDown ? "Give less than the first speed: it runs out." : "Give more than the first speed.",
                run.FromKmh
            )
            .That(
                run.Start is not (RunStart.Standing or RunStart.StandingFromSignal) || run.FromKmh == 0,
                nameof(run.FromKmh),
                "not_zero",
                "From rest the first speed is 0.",
                0
            )
            .That(
                run.Start != RunStart.Rolling || run.FromKmh > 0,
                nameof(run.FromKmh),
                "at_rest",
                "A rolling run begins above 0: say that it is from rest.",
                0
            )
            .BetweenIfGiven(nameof(run.Gear), run.Gear, 1, MostGears, "")
            .OneOf(nameof(run.Start), run.Start)
            .OneOf(nameof(run.Timing), run.Timing);
    }

    private static Guard Issues(RunConditions under) =>
        new Guard()
            .Short(nameof(under.Who), under.Who)
            .Short(nameof(under.Route), under.Route)
            .Short(nameof(under.Weather), under.Weather)
            .Short(nameof(under.Surface), under.Surface)
            .BetweenIfGiven(nameof(under.LoadKg), under.LoadKg, 0, HeaviestKg, "kg")
            .BetweenIfGiven(nameof(under.WindKmh), under.WindKmh, -StrongestWindKmh, StrongestWindKmh, "km/h")
            .BetweenIfGiven(nameof(under.SlopePercent), under.SlopePercent, -SteepestPercent, SteepestPercent, "%");

    private static Guard Money(this Guard guard, string field, double? cost) =>
        guard.BetweenIfGiven(field, cost, 0, StockWheel.MostMoney, "");

    private static Guard Short(this Guard guard, string field, string? text) =>
        text is null ? guard : guard.Named(field, text);
}
