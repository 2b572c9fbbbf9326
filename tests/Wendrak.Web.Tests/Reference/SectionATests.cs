using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Ratios, speeds and road wheels: engineering.md a.</summary>
public sealed class SectionATests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<JsonNode> OutputAsync(Drive drive, LoopChoice[] wheels) =>
        (await Of(server, "/api/ratio/drives", new MachineDrivesInput([drive], wheels, [], 6_000)))["drives"]![0]![
            "gears"
        ]![0]!["outputs"]![0]!;

    private Task<JsonNode> CompareAsync(Drive drive, LoopChoice[] fitted, LoopChoice[] other, AimTarget? aim = null) =>
        Of(
            server,
            "/api/ratio/compare",
            new SetupComparisonInput(
                drive,
                ["final"],
                new("as fitted", fitted, []),
                [new("other", other, [])],
                aim,
                [],
                new("as delivered", fitted, [])
            )
        );

    [Fact]
    public async Task A1_overall_ratio()
    {
        Drive drive = DriveOf(
            1_950,
            Pair("primary", "in", "a", 23, 73),
            Pair("second", "a", "b", 22, 31),
            Chain("520", "b", "out")
        );
        JsonNode output = await OutputAsync(drive, Wheels(15, 45));
        Agrees("a1", 0.01, 13.417, output["reduction"]);
        // Sense +1: two pairs of external gears turn round twice.
        Assert.False((bool)output["againstInput"]!);
    }

    [Theory]
    [InlineData(PlanetaryMember.Ring, 4.0, false)]
    [InlineData(PlanetaryMember.Carrier, 3.0, true)]
    public async Task A2_a3_planetary(PlanetaryMember held, double reduction, bool turnsRound)
    {
        PlanetaryStage set = new("planetary", "planetary", "in", "out", 24, 72, held, PlanetaryMember.Sun);
        JsonNode output = await OutputAsync(DriveOf(null, set), []);
        Agrees("a2, a3", 0.01, reduction, output["reduction"]);
        Assert.Equal(turnsRound, (bool)output["againstInput"]!);
    }

    [Fact]
    public async Task A4_road_speed()
    {
        Drive drive = DriveOf(1_950, Pair("reduction", "in", "out", 10, 62));
        Agrees("a4", 0.01, 113.226, (await OutputAsync(drive, []))["speedKmh"]);
    }

    [Fact]
    public async Task A5_bicycle_gear()
    {
        Drive ridden = DriveOf(2_105, Chain("08B")) with { Input = new("in", InputKind.Rider, 60, 100, 170) };
        JsonNode result = await CompareAsync(
            ridden,
            Wheels(50, 17),
            Wheels(50, 17),
            new SpeedAtCadence(30, 0, 80, 100)
        );
        JsonNode gear = result["setups"]![0]!["gears"]![0]!;
        Agrees("a5", 0.01, 2.94118, gear["bicycle"]!["turnsOutPerTurnIn"]);
        Agrees("a5", 0.01, 6.19118, gear["bicycle"]!["developmentM"]);
        Agrees("a5", 0.01, 77.5871, gear["bicycle"]!["gearInches"]);
        Agrees("a5", 0.01, 5.79621, gear["bicycle"]!["gainRatio"]);
        Agrees("a5", 0.01, 33.4323, gear["speedAtCadenceKmh"]); // the middle of 80 to 100
    }

    /// <summary>Free and rolling sizes; the reference's own factors stand beside the product's, which are told.</summary>
    [Theory]
    [InlineData("180/55ZR17", 629.8)]
    [InlineData("47-622", 716.0)]
    [InlineData("3.25-19", 647.7)]
    [InlineData("26x2.10", 665.68)]
    public async Task A6_to_a9_tyres(string size, double freeDiameterMm)
    {
        JsonNode result = await Of(server, "/api/ratio/road-wheel", new RoadWheel(size, null));
        Agrees("a6 to a9", 0.1, freeDiameterMm, result["diameterMm"]);
        if (size == "180/55ZR17")
            Agrees("a6", 0.1, 1_921.2, result["circumferenceMm"]);
    }

    [Fact]
    public async Task A10_tooth_equivalent()
    {
        JsonNode result = await CompareAsync(DriveOf(1_950, Chain("520")), Wheels(15, 45), Wheels(14, 45));
        JsonNode other = result["setups"]![1]!;
        Agrees("a10", 0.01, 3.21429, other["rearTeethLike"]);
        Agrees("a10", 0.01, 7.14286, other["changePercent"]);
    }

    [Fact]
    public async Task A11_feel_gear()
    {
        Gearbox box = new("box", "box", "in", "mid", new(0, 0, "six", [2.8, 2.0, 1.55, 1.28, 1.1, 0.96], true, null));
        Drive drive = DriveOf(1_950, box, Chain("520", "mid"));
        JsonNode result = await CompareAsync(drive, Wheels(20, 60), Wheels(20, 66));
        Agrees("a11", 0.01, 10, result["setups"]![1]!["changePercent"]);
        Agrees("a11", 0.01, 4.3711, result["setups"]![1]!["gears"]![4]!["feelsLike"]!["gear"]);
    }

    [Fact]
    public async Task A12_speedometer()
    {
        Drive drive = DriveOf(1_980, Chain("520")) with
        {
            SpeedPickup = SpeedPickup.GearboxOutput,
            SpeedometerErrorPercent = 5,
        };
        JsonNode result = await CompareAsync(drive, Wheels(20, 60), Wheels(20, 64));
        Agrees("a12", 0.01, 12, result["setups"]![1]!["speedometer"]!["errorPercent"]);
    }
}
