using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Tension and how it is read: engineering.md i.</summary>
public sealed class SectionITests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<JsonNode> AdviceAsync(DriveElement element, LoopSetting setting, params SetRound[] rounds)
    {
        string standard = element == DriveElement.Chain ? "520" : "8M";
        return Of(
            server,
            "/api/set/advice",
            new SetInput(
                DriveOf(null, LoopOf(element, standard)),
                MachineKind.Moped,
                Wheels(28, 80),
                [],
                null,
                null,
                new(
                    "final",
                    WidthMm: 20,
                    MassKgPerM: setting.MassKgPerM,
                    ForceAt1PercentN: element == DriveElement.Chain ? null : 1_000
                ),
                setting,
                rounds
            )
        );
    }

    private static SetRound Read(ReadingMethod method, double? force, params double[] values) =>
        new(0, 0, LockState.Nipped, [.. values.Select((v, i) => new Reading(method, v, i, force))]);

    [Fact]
    public async Task I1_tension_of_a_frequency()
    {
        JsonNode result = await AdviceAsync(
            DriveElement.ToothedBelt,
            new("final", new(AdjusterKind.TwoEnds), SpanMm: 440, MassKgPerM: 0.25),
            Read(ReadingMethod.Pluck, null, 55)
        );
        Agrees("i1", 0.1, 585.64, result["rounds"]![0]!["loosest"]);
    }

    [Fact]
    public async Task I2_frequency_of_a_tension()
    {
        // A window of 320 N and more, by what the shaft carries, told in Hz.
        JsonNode result = await AdviceAsync(
            DriveElement.ToothedBelt,
            new(
                "final",
                new(AdjusterKind.TwoEnds),
                SpanMm: 600,
                MassKgPerM: 0.12,
                MakerMethod: ReadingMethod.Pluck,
                MakerLow: 30,
                MakerHigh: 60,
                MostShaftLoadN: 640
            ),
            Read(ReadingMethod.Pluck, null, 40)
        );
        Agrees("i2", 0.1, 320, result["window"]!["high"]);
        Agrees("i2", 0.1, 43.0331, result["windowTightReading"]);
    }

    [Fact]
    public async Task I3_deflection_by_force()
    {
        // Without stiffness the simple form: 25 N push 400 N on 480 mm by 7.5 mm.
        JsonNode result = await AdviceAsync(
            DriveElement.ToothedBelt,
            new("final", new(AdjusterKind.TwoEnds), SpanMm: 480, MassKgPerM: 0.12),
            Read(ReadingMethod.Push, 25, 7.5)
        );
        Agrees("i3", 0.1, 400, result["rounds"]![0]!["loosest"]);
    }

    [Fact]
    public async Task I4_chain_slack()
    {
        JsonNode result = await AdviceAsync(
            DriveElement.Chain,
            new("final", new(AdjusterKind.TwoEnds), SpanMm: 600, Suspension: RearSuspension.SwingArm),
            Read(ReadingMethod.FreePlay, null, 45)
        );
        Agrees("i4", 0.1, -1.68513, result["rounds"]![0]!["tightest"]);
    }

    /// <summary>
    /// The row draws a line through two readings; the advisor weighs the same two against what it expected of such a machine, so
    /// that one bad reading does not mislead it. After one round both still agree.
    /// </summary>
    [Fact]
    public async Task I5_turns_from_two_readings()
    {
        SetRound after = Read(ReadingMethod.Pluck, null, 46) with { LeftUnits = 1.5, RightUnits = 1.5 };
        JsonNode result = await AdviceAsync(
            DriveElement.ToothedBelt,
            new("final", new(AdjusterKind.TwoEnds, MmPerUnit: 1)),
            Read(ReadingMethod.Pluck, null, 38),
            after
        );
        double hz2PerTurn = Result(result, "How this machine answers").GetValue<double>();
        Agrees("i5", 2, 2.02902, JsonValue.Create((55 * 55 - 46 * 46) / hz2PerTurn));
    }

    /// <summary>150 teeth of 10 mm over 20 and 81: as long, and as steep to the line of centres, as the row says.</summary>
    [Fact]
    public async Task I6_turns_from_stiffness()
    {
        SetInput question = new(
            DriveOf(null, LoopOf(DriveElement.ToothedBelt, "T10")),
            MachineKind.Moped,
            Wheels(20, 81, 150),
            [],
            Slot(450, 530),
            null,
            new("final", WidthMm: 20, ForceAt1PercentN: 1_000),
            new("final", new(AdjusterKind.TwoEnds, MmPerUnit: 1), MassKgPerM: 0.14),
            []
        );
        JsonNode result = await Of(server, "/api/set/advice", question);
        double stiffness = Result(result, "How this machine answers").GetValue<double>();
        Agrees("i6", 0.1, 130.667, JsonValue.Create(stiffness));
        Agrees("i6", 0.1, 1.91326, JsonValue.Create((600 - 350) / stiffness));
    }

    [Fact]
    public async Task I7_readings_round_the_wheel()
    {
        JsonNode result = await AdviceAsync(
            DriveElement.Chain,
            new("final", new(AdjusterKind.TwoEnds), SpanMm: 600, Suspension: RearSuspension.SwingArm),
            Read(ReadingMethod.FreePlay, null, 34, 31, 27, 30)
        );
        JsonNode round = result["rounds"]![0]!;
        Assert.Equal(
            (7, 2, 27),
            ((double)round["spreadReading"]!, (int)round["tightestAt"]!, (double)round["tightestReading"]!)
        );
        Agrees("i7", 0.1, 25, result["windowTightReading"]);
        Agrees("i7", 0.1, 35, result["windowLooseReading"]);
        Assert.True((bool)round["isInside"]!);
    }

    /// <summary>The row's curve is the product's own for rubber; one of the belt's own readings gives it back.</summary>
    [Fact]
    public async Task I8_relaxation()
    {
        JsonNode result = await Of(server, "/api/set/running-in", new RunningInInput(CordKind.Rubber, 0, 24, 100));
        Agrees("i8", 0.1, 65.1154, result["leftPercent"]);
        Agrees("i8", 0.1, 0.446454, Put(result, "Part that is left by now", "β"));
        Agrees("i8", 0.1, 23.6885, Put(result, "Part that is left by now", "τ"));
        JsonNode own = await Of(
            server,
            "/api/set/running-in",
            new RunningInInput(CordKind.Rubber, 0, 24, 100, Own: new(false, 1_000, 4, 800, 168, 500))
        );
        Agrees("i8", 0.1, 65.1154, own["leftPercent"]);
    }

    [Fact]
    public async Task I9_swing_arm()
    {
        Point pivot = new(78, -12);
        Point Axle(double deg) =>
            pivot + new Point(570 * Math.Cos(deg * Math.PI / 180), 570 * Math.Sin(deg * Math.PI / 180));
        double Height(double deg) => Axle(deg).YMm - Axle(-16).YMm;
        LoopLayout layout = new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            Axle(-16),
            [],
            null,
            new(pivot, -Height(-20), Height(3))
        );
        JsonNode result = await Of(
            server,
            "/api/fit/suspension",
            new SuspensionPlayInput(DriveOf(null, Chain("520")), new("final", 15, 45, null), layout, null, 40, 15)
        );
        Agrees("i9", 0.1, 648.363, result["onStand"]!["centreMm"]);
        Agrees("i9", 0.1, 648.918, result["tightest"]!["centreMm"]);
        Agrees("i9", 1, 0.13868, result["tightest"]!["excessMm"]);
    }

    [Fact]
    public async Task I10_warmth()
    {
        JsonNode result = await Of(
            server,
            "/api/set/warmth",
            new ThermalTensionInput(CaseMetal.Aluminium, 600, 95, 20, 0.985, 1_600, 100_000)
        );
        Agrees("i10", 0.1, 1.035, result["centreGrowthMm"]);
        Agrees("i10", 0.1, 2.03895, result["netStretchMm"]);
        Agrees("i10", 0.1, 127.434, result["tensionRiseN"]);
    }

    [Fact]
    public async Task I11_a_sprung_arm()
    {
        JsonNode result = await Of(server, "/api/set/sprung-arm", new SprungArmInput(209.579, 40, 70, 80, 45));
        Agrees("i11", 0.1, 200, result["tensionN"]);
        Agrees("i11", 0.1, 136.808, result["idlerForceN"]);
        Agrees("i11", 0.1, 9.43107, result["armMomentNm"]);
    }
}
