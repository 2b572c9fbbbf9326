using Wendrak.Core.Records;
using Wendrak.Core.Tests.Logbook;

namespace Wendrak.Core.Tests.Records;

/// <summary>What may stand in a log.</summary>
public sealed class LogRulesTests
{
    private static readonly DateOnly Day = Logs.Start;
    private static readonly RunTimed Run = new(Day, null, 4, 60, 100, RunStart.Rolling, RunTiming.Watch);

    public static TheoryData<string, LogLine> Wrong =>
        new()
        {
            { "OdometerKm", new OdometerRead(Day, -1) },
            { "OdometerKm", new OdometerRead(Day, null) },
            { "OdometerKm", new OdometerRead(Day, 10_000_001) },
            { "Words", new OdometerRead(Day, 1, Words: new('x', 2_001)) },
            { "Litres", new FuelFilled(Day, 1, 0, true) },
            { "Litres", new FuelFilled(Day, 1, 10_001, true) },
            { "Cost", new FuelFilled(Day, 1, 1, true, Cost: -1) },
            { "EnergyWh", new Charged(Day, 1, 0, true) },
            { "EnergyWh", new Charged(Day, 1, 10_000_001, true) },
            { "Cost", new Charged(Day, 1, 1, true, Cost: -1) },
            { "Value", new MeanTold(Day, null, ToldMean.LitresPer100Km, 0) },
            { "Value", new MeanTold(Day, null, ToldMean.LitresPer100Km, 10_001) },
            { "Of", new MeanTold(Day, null, (ToldMean)9, 1) },
            { "Seconds", Run with { Seconds = 0 } },
            { "Seconds", Run with { Seconds = 3_601 } },
            { "FromKmh", Run with { FromKmh = -1 } },
            { "FromKmh", Run with { FromKmh = 0 } },
            { "FromKmh", Run with { Start = RunStart.Standing } },
            { "FromKmh", Run with { Start = RunStart.StandingFromSignal } },
            { "ToKmh", Run with { ToKmh = 60 } },
            { "ToKmh", Run with { ToKmh = 501 } },
            { "ToKmh", Run with { Start = RunStart.CoastDown } },
            { "Gear", Run with { Gear = 0 } },
            { "Gear", Run with { Gear = 31 } },
            { "Start", Run with { Start = (RunStart)9 } },
            { "Timing", Run with { Timing = (RunTiming)9 } },
            { "Db", new NoiseRead(Day, null, 161, 1, "phone") },
            { "DistanceM", new NoiseRead(Day, null, 80, 0, "phone") },
            { "DistanceM", new NoiseRead(Day, null, 80, 1_001, "phone") },
            { "Method", new NoiseRead(Day, null, 80, 1, " ") },
            { "What", new PartPaid(Day, 1, "", 1) },
            { "Cost", new PartPaid(Day, 1, "chain", -1) },
            { "ExpectedKm", new PartPaid(Day, 1, "chain", 1, 0) },
            { "What", new UpkeepDone(Day, 1, "", 1) },
            { "Minutes", new UpkeepDone(Day, 1, "oil", 1_441) },
            { "Score", new ScoreGiven(Day, null, 6) },
            { "Score", new ScoreGiven(Day, null, 0) },
            { "Under.LoadKg", Run with { Under = new(LoadKg: -1) } },
            { "Under.LoadKg", Run with { Under = new(LoadKg: 100_001) } },
            { "Under.WindKmh", Run with { Under = new(WindKmh: 201) } },
            { "Under.SlopePercent", Run with { Under = new(SlopePercent: -101) } },
            { "Under.Who", Run with { Under = new(Who: "") } },
            { "Under.Route", Run with { Under = new(Route: new('x', 81)) } },
            { "Under.Weather", Run with { Under = new(Weather: "") } },
            { "Under.Surface", Run with { Under = new(Surface: "") } },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_can_t_be_is_refused_at_its_field(string field, LogLine line)
    {
        Refusals.Names(field, () => LogRules.Check(line));
        Refusals.Names($"Lines[1].{field}", () => LogRules.Check([new OdometerRead(Day, 1), line]));
    }

    [Fact]
    public void What_can_be_is_taken()
    {
        LogRules.Check(Run with { Under = new("Ann", 80, "town", "dry", -10, 2, "tar", false) });
        LogRules.Check(Run with { FromKmh = 0, Start = RunStart.Standing });
        LogRules.Check(Run with { FromKmh = 100, ToKmh = 60, Start = RunStart.CoastDown });
        Refusals.Names("Lines", () => LogRules.Check([]));
        Refusals.Names("Lines", () => LogRules.Check([.. Enumerable.Repeat(Run, 101)]));
    }

    [Fact]
    public void Every_kind_of_line_is_known_by_its_word()
    {
        Assert.Equal(9, LogRules.Kinds.Count);
        Assert.Contains("fuelFilled", LogRules.Kinds);
    }

    [Fact]
    public void A_late_line_does_not_turn_the_odometer_back()
    {
        Machine machine = Evaluation.Benches.Motorcycle().Machine with { OdometerKm = 500 };
        Assert.Equal(600, LogRules.MachineAfter(machine, 600).OdometerKm);
        Assert.Equal(500, LogRules.MachineAfter(machine, 400).OdometerKm);
        Assert.Equal(500, LogRules.MachineAfter(machine, null).OdometerKm);
        Assert.Equal(10, LogRules.MachineAfter(machine with { OdometerKm = null }, 10).OdometerKm);
    }
}
