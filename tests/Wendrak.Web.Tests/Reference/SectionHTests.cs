using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Loads of belts: engineering.md h.</summary>
public sealed class SectionHTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    /// <summary>Two pulleys so far apart that the small one is wrapped as much as asked.</summary>
    private static double CentreFor(double wrapDeg, double d, double big) =>
        (big - d) / 2 / Math.Sin((180 - wrapDeg) / 2 * Math.PI / 180);

    private Task<JsonNode> LoadsAsync(
        Loop loop,
        double front,
        double rear,
        double centreMm,
        double rpm,
        LoadSource source,
        LoopStrength strength
    )
    {
        Drive drive = DriveOf(null, loop) with { Input = new("in", InputKind.Motor, rpm, rpm, null) };
        return Of(
            server,
            "/api/loads/loop",
            new LoadsInput(drive, MachineKind.Winch, Wheels(front, rear), [], Apart(centreMm), source, strength)
        );
    }

    private static JsonNode CheckOf(JsonNode result, string kind) =>
        result["checks"]!.AsArray().First(c => (string)c!["kind"]! == kind)!;

    private static JsonNode Hardest(JsonNode result) =>
        result["points"]!.AsArray().First(p => (string)p!["point"]!["kind"]! == "hardestPull")!;

    /// <summary>Ratio and centrifugal part as the row has them; what a belt could carry at its best speed by h3.</summary>
    [Theory]
    [InlineData("h1", DriveElement.VBelt, "A", 0.19, 14.2055, 76)]
    [InlineData("h2", DriveElement.FlatBelt, "flat", 0.5, 2.37249, 200)]
    public async Task H1_h2_friction(
        string row,
        DriveElement element,
        string standard,
        double mass,
        double ratio,
        double centrifugal
    )
    {
        double rpm = 20 * 60_000 / (Math.PI * 100);
        JsonNode result = await LoadsAsync(
            LoopOf(element, standard),
            100,
            200,
            CentreFor(165, 100, 200),
            rpm,
            new("drive", PeakTorqueNm: 10),
            new("final", Friction: 0.3, GrooveAngleDeg: 38, MassKgPerM: mass, InstalledTensionN: 350)
        );
        Agrees(row, 0.1, ratio, result["friction"]!["runs"]!["ratioAtSlip"]);
        Agrees(row, 0.1, centrifugal, Hardest(result)["centrifugalN"]);
    }

    [Fact]
    public async Task H3_best_speed()
    {
        // Set so that the tight run has the row's 700 N: T + F/2 and what goes round.
        double speed = 10;
        double rpm = speed * 60_000 / (Math.PI * 100);
        double centrifugal = 0.19 * speed * speed;
        double pull = 200;
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.VBelt, "A"),
            100,
            200,
            CentreFor(165, 100, 200),
            rpm,
            new("drive", PeakTorqueNm: pull * 0.05),
            new(
                "final",
                Friction: 0.3,
                GrooveAngleDeg: 38,
                MassKgPerM: 0.19,
                InstalledTensionN: 700 - centrifugal - pull / 2
            )
        );
        Agrees("h3", 0.1, 700, result["friction"]!["tightN"]);
        Agrees("h3", 0.1, 35.0438, result["friction"]!["bestSpeedMS"]);
        // A third of the tension is centrifugal there, and the rest pulls until it slips.
        double best = (700 - 700 / 3.0) * (1 - 1 / 14.2055) * 35.0438 / 1_000;
        Agrees("h3", 0.1, best, result["friction"]!["greatestPowerKw"]);
    }

    [Fact]
    public async Task H4_shaft_load()
    {
        // At rest nothing goes round: slow enough that its mass is no matter.
        double pull = 550;
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.VBelt, "A"),
            100,
            200,
            CentreFor(160, 100, 200),
            10,
            new("drive", PeakTorqueNm: pull * 0.05),
            new("final", Friction: 0.3, GrooveAngleDeg: 38, InstalledTensionN: 425)
        );
        JsonNode point = Hardest(result);
        Agrees("h4", 0.1, 700, point["tightN"]);
        Agrees("h4", 0.1, 150, point["slackN"]);
        Agrees("h4", 0.1, 842.517, point["frontShaft"]!["loadN"]);
        Agrees("h4", 0.1, 3.49105, point["frontShaft"]!["fromTightRunDeg"]);
    }

    [Fact]
    public async Task H5_slip_margin()
    {
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.VBelt, "A"),
            100,
            200,
            CentreFor(165, 100, 200),
            1_000,
            new("drive", PeakTorqueNm: 450 * 0.05),
            new("final", Friction: 0.3, GrooveAngleDeg: 38, InstalledTensionN: 350)
        );
        Agrees("h5", 0.1, 1.35095, CheckOf(result, "slip")["value"]);
    }

    [Fact]
    public async Task H6_belts_needed()
    {
        // The row's wrap factor of 0.96 belongs to some wrap; its rating and length factor are typed.
        double wrap = 163.5;
        for (int i = 0; i < 40; i++)
            wrap -= (0.143543 + 0.007468 * wrap - 0.000015052 * wrap * wrap - 0.96) / 0.0025;
        double torque = 11_000 / (1_000 * Math.PI / 30);
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.VBelt, "B"),
            150,
            300,
            CentreFor(wrap, 150, 300),
            1_000,
            new("drive", PeakTorqueNm: torque, ContinuousTorqueNm: torque),
            new("final", RatingPerBeltKw: 4.2, LengthFactor: 0.98, ShockFactor: 1.3)
        );
        Agrees("h6", 0.1, 4, CheckOf(result, "beltCount")["limit"]);
    }

    [Fact]
    public async Task H7_rating_of_a_toothed_belt()
    {
        double rpm = 1_450;
        double torque = 5_500 / (rpm * Math.PI / 30);
        // So near a large wheel that five of its twenty teeth are in mesh: 90° of wrap and a little.
        double pitchDiameter = 20 * 12.7 / Math.PI;
        double rear = 80 * 12.7 / Math.PI;
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.ToothedBelt, "H"),
            20,
            80,
            CentreFor(95, pitchDiameter, rear),
            rpm,
            new("drive", PeakTorqueNm: torque, ContinuousTorqueNm: torque),
            new("final", WidthMm: 50.8, InstalledTensionN: 800, ShockFactor: 1)
        );
        JsonNode rating = CheckOf(result, "beltPull");
        Agrees("h7", 0.1, 6.13833, Hardest(result)["speedMS"]);
        Agrees("h7", 0.1, 896.009, Hardest(result)["pullN"]);
        Agrees("h7", 0.2, 1_047.37, rating["limit"]);
        Agrees("h7", 0.2, 1.16893, rating["margin"]);
    }

    /// <summary>T10 has the row's flank of 25°.</summary>
    [Fact]
    public async Task H8_tooth_jump()
    {
        double mmPerTooth = 10 / Math.PI;
        JsonNode result = await LoadsAsync(
            LoopOf(DriveElement.ToothedBelt, "T10"),
            28,
            70,
            CentreFor(150, 28 * mmPerTooth, 70 * mmPerTooth),
            1_000,
            new("drive", PeakTorqueNm: 900 * 28 * mmPerTooth / 2_000),
            new("final", WidthMm: 50, InstalledTensionN: 800, Friction: 0.3)
        );
        Agrees("h8", 0.2, 1.5995, CheckOf(result, "toothJump")["value"]);
    }
}
