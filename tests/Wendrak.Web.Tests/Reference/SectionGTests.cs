using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Loads of chains: engineering.md g.</summary>
public sealed class SectionGTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<JsonNode> LoadsAsync(
        string standard,
        double front,
        double rear,
        double rpm,
        LoadSource source,
        LoopStrength? strength = null,
        double centreMm = 640,
        double? topRpm = null
    )
    {
        Drive drive = DriveOf(null, Chain(standard)) with
        {
            Input = new("in", InputKind.Motor, rpm, topRpm ?? rpm, null),
        };
        return Of(
            server,
            "/api/loads/loop",
            new LoadsInput(
                drive,
                MachineKind.Winch,
                Wheels(front, rear),
                [],
                Apart(centreMm),
                source,
                strength ?? new("final")
            )
        );
    }

    [Fact]
    public async Task G1_chain_loads()
    {
        LoopStrength strength = new(
            "final",
            BreakingLoadN: 35_000,
            MassKgPerM: 1,
            BearingAreaMm2: 70,
            SagMm: 15,
            ShockFactor: 1.4
        );
        // Two wheels alike: the slack run is as long as the centre distance.
        JsonNode result = await LoadsAsync(
            "520",
            16,
            16,
            2_000,
            new("drive", PeakTorqueNm: 180, ContinuousTorqueNm: 180),
            strength,
            620,
            2_000 / 0.6 // the pins' pressure is told at the speed it mostly runs at
        );
        JsonNode point = result["points"]!.AsArray().First(p => (string)p!["point"]!["kind"]! == "hardestPull")!;
        Agrees("g1", 0.1, 8.46667, point["speedMS"]);
        Agrees("g1", 0.1, 4_424.1, point["pullN"]);
        Agrees("g1", 0.1, 71.6844, point["centrifugalN"]);
        JsonNode Margin(string kind) => result["checks"]!.AsArray().First(c => (string)c!["kind"]! == kind)!;
        Agrees("g1", 0.1, 35_000 / 4_424.1, Margin("breakingLoad")["value"]);
        Agrees("g1", 0.1, 5.55822, Margin("breakingLoadWithShock")["value"]);
        Agrees("g1", 0.1, 89.9569, Margin("pinPressure")["value"]);
    }

    [Fact]
    public async Task G2_tooth_loads()
    {
        // 165° of wrap on 17 teeth: the runs lean by 7.5° to either side.
        double pitchRadius = 15.875 / (2 * Math.Sin(Math.PI / 17));
        double rear = 51;
        double rearRadius = 15.875 / (2 * Math.Sin(Math.PI / rear));
        double centre = (rearRadius - pitchRadius) / Math.Sin(7.5 * Math.PI / 180);
        double torque = 3_000 * pitchRadius / 1_000;
        JsonNode result = await LoadsAsync("520", 17, rear, 1_000, new("drive", PeakTorqueNm: torque), null, centre);
        JsonNode teeth = result["points"]!.AsArray().First(p => (string)p!["point"]!["kind"]! == "hardestPull")![
            "teeth"
        ]!;
        Agrees("g2", 0.1, 428.571, teeth["evenShareN"]);
        Agrees("g2", 0.1, 20.5882, teeth["pressureAngleDeg"]);
        Agrees("g2", 0.1, 0.527944, teeth["ratioPerTooth"]);
        Agrees("g2", 0.1, 1_627.04, teeth["firstToothN"]);
        Agrees("g2", 0.2, 34.2955, teeth["afterLastN"]);
    }

    private const double KwPerHp = 0.745699872;

    [Theory]
    [InlineData("g3", "12A", 17, 1_200, 21.575, 22.7719)]
    [InlineData("g4", "08A", 17, 3_000, 14.7164, 4.16501)]
    [InlineData("g5", "08A", 21, 900, 6.25635, 34.8009)]
    public async Task G3_to_g5_rating(
        string row,
        string standard,
        double teeth,
        double rpm,
        double linkPlateHp,
        double rollerBushingHp
    )
    {
        JsonNode result = await LoadsAsync(
            standard,
            teeth,
            45,
            rpm,
            new("drive", PeakTorqueNm: 10, PeakPowerKw: 1),
            new("final", ShockFactor: 1)
        );
        double[] Read(string line) => [.. result["tent"]![line]!.AsArray().Select(p => (double)p!)];
        double[] speeds = Read("rpm");
        // Both lines are powers of the speed: between two points of the curve they are straight in logarithms.
        double At(string name)
        {
            double[] line = Read(name);
            int i = Math.Min(Array.FindLastIndex(speeds, s => s <= rpm), speeds.Length - 2);
            double part = Math.Log(rpm / speeds[i]) / Math.Log(speeds[i + 1] / speeds[i]);
            return line[i] * Math.Pow(line[i + 1] / line[i], part);
        }
        Agrees(row, 0.1, linkPlateHp * KwPerHp, JsonValue.Create(At("linkPlateKw")));
        Agrees(row, 0.1, rollerBushingHp * KwPerHp, JsonValue.Create(At("rollerBushingKw")));
    }

    [Fact]
    public async Task G6_lubrication()
    {
        // 7 m/s on number 60: an oil bath.
        double teeth = 20;
        double rpm = 7 * 60_000 / (teeth * 19.05);
        JsonNode result = await LoadsAsync("12A", teeth, 40, rpm, new("drive", PeakTorqueNm: 10, PeakPowerKw: 5));
        Agrees("g6", 0.1, 7, result["oiling"]!["speedMS"]);
        Assert.Equal("bathOrSlinger", (string)result["oiling"]!["class"]!);
    }

    [Fact]
    public async Task G7_chart_power()
    {
        JsonNode result = await LoadsAsync(
            "12A",
            17,
            34,
            1_000,
            new(
                "drive",
                PeakTorqueNm: 7_500 / (1_000 * Math.PI / 30),
                ContinuousTorqueNm: 7_500 / (1_000 * Math.PI / 30)
            ),
            new("final", ShockFactor: 1.4)
        );
        Agrees("g7", 0.1, 1.12764, result["chart"]!["toothFactor"]);
        Agrees("g7", 0.1, 11.8402, result["chart"]!["isoKw"]);
    }
}
