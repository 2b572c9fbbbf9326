using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Xunit.Abstractions;

namespace Wendrak.Core.Tests.Tension;

/// <summary>
/// Numbers of judgement of the advisor and of the drives to practise on: change one and something here fails. What the advisor
/// makes of simulated drives is kept to the last digit; whoever changes a number on purpose sees what it does, and writes it down.
/// </summary>
public sealed class JudgementNumbersTests(ITestOutputHelper output)
{
    private const int Drives = 40;

    private static SetInput Loop(string kind) =>
        kind switch
        {
            "belt" => SetCases.Belt(),
            "chain" => SetCases.Chain(),
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    /// <summary>With each instrument: rounds, those that end right, what was turned, and how far it went past the window.</summary>
    [Theory]
    [InlineData("play, Both", 51, 40, 20.75, 0)]
    [InlineData("play, TensionOnly", 42, 40, 20, 0)]
    [InlineData("play, TrackingOnly", 32, 40, 3.125, 0)]
    [InlineData("pluck, Both", 83, 39, 58.0625, 0)]
    [InlineData("pluck, TensionOnly", 75, 40, 57.5, 0)]
    [InlineData("pluck, TrackingOnly", 35, 39, 2.75, 0)]
    [InlineData("push, Both", 80, 39, 51.8125, 0)]
    [InlineData("push, TensionOnly", 71, 40, 51.25, 0)]
    [InlineData("push, TrackingOnly", 35, 39, 2.75, 0)]
    [InlineData("gauge, Both", 222, 39, 185.4375, 0)]
    [InlineData("gauge, TensionOnly", 213, 39, 182.125, 0)]
    [InlineData("gauge, TrackingOnly", 28, 40, 2.1875, 0)]
    [InlineData("feel, Both", 457, 39, 55.1875, 0)]
    [InlineData("feel, TensionOnly", 399, 40, 49.875, 0)]
    [InlineData("feel, TrackingOnly", 35, 39, 2.75, 0)]
    [InlineData("feel of a chain, Both", 61, 40, 6.75, 0)]
    [InlineData("feel of a chain, TensionOnly", 32, 40, 4, 0)]
    [InlineData("feel of a chain, TrackingOnly", 32, 40, 3.125, 0)]
    public void The_advisor_sets_simulated_drives_as_it_did(
        string name,
        int rounds,
        int inside,
        double turned,
        double over
    )
    {
        (_, SetInput loop, PracticeInstrument instrument) = InstrumentCases.All.Single(c => c.Name == name);
        PracticeRun[] runs = [.. Enumerable.Range(0, Drives).Select(s => PracticeRuns.Run(s, loop, instrument))];
        (int, int, double, double) result = (
            runs.Sum(r => r.Tally.Rounds),
            runs.Count(r => r.Tally.IsInside),
            Math.Round(runs.Sum(r => r.Tally.TurnedUnits), 4),
            Math.Round(runs.Sum(r => r.Tally.OverByUnits), 4)
        );
        output.WriteLine($"{name} {result}");
        Assert.Equal((rounds, inside, turned, over), result);
    }

    /// <summary>All numbers of its answers about drives as found and after a turn: what it expects, how sure it is, what it moves.</summary>
    [Theory]
    [InlineData("belt", 3963101.640125414, 4166422.7013839385)]
    [InlineData("chain", 213314.04567026848, 216586.51082305203)]
    public void The_advisor_says_what_it_said(string kind, double found, double turned)
    {
        (double First, double Second) sum = (0, 0);
        for (int seed = 0; seed < Drives; seed++)
        {
            SetInput loop = Loop(kind) with { Rounds = [new(0, 0, LockState.Nipped, [])] };
            PracticeReading read = PracticeDrive.Read(new(seed, loop, LockState.Nipped));
            SetRound first = loop.Rounds[0] with { Readings = read.Readings, GapMm = read.GapMm };
            sum.First += Numbers(SetEvaluation.Advise(loop with { Rounds = [first] }));
            SetRound next = new(0.5, 0.25, LockState.Nipped, []);
            read = PracticeDrive.Read(new(seed, loop with { Rounds = [first, next] }, LockState.Nipped));
            next = next with { Readings = read.Readings, GapMm = read.GapMm };
            sum.Second += Numbers(SetEvaluation.Advise(loop with { Rounds = [first, next] }));
        }
        output.WriteLine($"{kind} {sum.First:R} {sum.Second:R}");
        Assert.Equal(found, sum.First, 1e-6 * Math.Abs(found));
        Assert.Equal(turned, sum.Second, 1e-6 * Math.Abs(turned));
    }

    private static double Numbers(SetAdvice advice) => Numbers(JsonSerializer.SerializeToNode(advice)!);

    private static double Numbers(JsonNode? node) =>
        node switch
        {
            JsonObject thing => thing.Sum(p => Numbers(p.Value)),
            JsonArray list => list.Select((n, i) => (i + 1) * Numbers(n)).Sum(),
            JsonValue value when value.GetValueKind() == JsonValueKind.Number => value.GetValue<double>(),
            _ => 0,
        };

    /// <summary>Invented drives: what they read is theirs alone, and stays so for whoever practised on one.</summary>
    [Theory]
    [InlineData("belt", 54753.8, 575.6)]
    [InlineData("chain", 21655, 0)]
    public void A_drive_to_practise_on_reads_as_it_did(string kind, double readings, double gaps)
    {
        SetInput loop = Loop(kind);
        SetRound[] turned = [new(0, 0, LockState.Nipped, []), new(0.5, 0.25, LockState.Nipped, [])];
        double sum = 0;
        double gap = 0;
        for (int seed = 0; seed < Drives; seed++)
            foreach (LockState locked in new[] { LockState.Nipped, LockState.Torqued })
            {
                PracticeReading read = PracticeDrive.Read(new(seed, loop with { Rounds = turned }, locked));
                sum += read.Readings.Select((r, i) => r.Value * (i + 1)).Sum();
                gap += read.GapMm ?? 0;
            }
        output.WriteLine($"{kind} {sum:R} {gap:R}");
        Assert.Equal((readings, gaps), (Math.Round(sum, 6), Math.Round(gap, 6)));
    }

    /// <summary>ISO 4183 on the R20 series of ISO 3, from memory: each is about a twentieth of a decade from the next.</summary>
    [Fact]
    public void Pulleys_are_made_in_preferred_diameters()
    {
        double[] series = [50, 56, 63, 71, 80, 90, 100, 112, 125, 140, 160, 180, 200, 224, 250, 280];
        double[] larger = [315, 355, 400, 450, 500, 560, 630, 710, 800, 900, 1000];
        double[] between = [75, 85, 95, 106, 118, 132, 150];
        Assert.Equal(series.Concat(larger).Concat(between).Order(), VSections.PreferredDatumDiametersMm);
        foreach ((double one, double next) in series.Concat(larger).Zip(series.Concat(larger).Skip(1)))
            Assert.Equal(Math.Pow(10, 1 / 20.0), next / one, 0.03);
    }

    /// <summary>200/N percent. Source: Machinery's Handbook, ACA.</summary>
    [Fact]
    public void A_large_sprocket_takes_less_elongation()
    {
        Assert.Equal(0.5, WearLimits.RidesUpPercent(400));
        Assert.Equal(0.25, WearLimits.RidesUpPercent(800));
    }

    /// <summary>Common practice: a fifth lost in the first hours, about half in a week.</summary>
    [Fact]
    public void Rubber_runs_in_as_the_trade_says()
    {
        Assert.Equal(0.8, Relaxation.Rubber.FractionAfter(4), 1e-9);
        Assert.Equal(0.5, Relaxation.Rubber.FractionAfter(168), 1e-9);
        RunningInResult result = RunningIn.Predict(new(CordKind.Rubber, 24));
        Assert.Equal(7 * 24, result.UntilHours);
        Assert.Equal(41, result.Curve.Count);
        double day = result.LevelFromHours;
        Relaxation rubber = Relaxation.Rubber;
        Assert.Equal(0.99, rubber.FractionAfter(day + 24) / rubber.FractionAfter(day), 1e-6);
        Refusals.Names("Hours", () => RunningIn.Predict(new(CordKind.Rubber, 87_601)));
        RunningIn.Predict(new(CordKind.Rubber, 87_600)); // ten years
    }

    /// <summary>Common practice: ten degrees or five kilograms make two rounds hard to compare.</summary>
    [Theory]
    [InlineData(9.9, 4.9, false, false)]
    [InlineData(10.0, 5.0, true, true)]
    public void Other_warmth_and_another_load_are_noticed(double warmer, double heavier, bool isWarm, bool isHeavy)
    {
        SetRound before = new(0, 0, LockState.Nipped, [], TemperatureC: 20, LoadKg: 80);
        SetRound after = before with { TemperatureC = 20 + warmer, LoadKg = 80 + heavier };
        SetInput loop = SetCases.Chain();
        Reading[] read = [new(ReadingMethod.FreePlay, 50)];
        SetAdvice advice = SetEvaluation.Advise(
            loop with
            {
                Rounds = [before with { Readings = read }, after with { Readings = read }],
            }
        );
        Assert.Equal(isWarm, advice.Conditions.Contains(RoundCondition.OtherWarmth));
        Assert.Equal(isHeavy, advice.Conditions.Contains(RoundCondition.OtherLoad));
    }

    /// <summary>The belt stays off the flange: common practice.</summary>
    [Fact]
    public void A_gap_is_half_a_millimetre_to_two()
    {
        LoopSetting setting = new("final", new(AdjusterKind.TwoEnds));
        Assert.Equal((0.5, 2), (setting.GapLow, setting.GapHigh));
        Assert.Throws<Wendrak.Core.Quantities.InvalidInputException>(() => RoundTheWheel.Analyze(new double[37]));
        Assert.Equal(0, RoundTheWheel.Analyze(new double[36]).HighestAt);
    }
}
