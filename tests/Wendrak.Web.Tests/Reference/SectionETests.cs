using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Lengths of belts: engineering.md e.</summary>
public sealed class SectionETests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<JsonNode> LengthAsync(Loop loop, double front, double rear, double centreMm) =>
        Of(
            server,
            "/api/fit/length-for-centre",
            new LengthForCentreInput(DriveOf(null, loop), new("final", front, rear, null), centreMm, false)
        );

    [Theory]
    [InlineData("e1", BeltArrangement.Open, 2_090.07, 2_089.98, 155.951)]
    [InlineData("e2", BeltArrangement.Crossed, 2_192.34, 2_189.98, 234.559)]
    public async Task E1_e2_belt_length(
        string row,
        BeltArrangement arrangement,
        double exact,
        double handbook,
        double wrapDeg
    )
    {
        Loop flat = LoopOf(DriveElement.FlatBelt, "flat") with { Arrangement = arrangement };
        JsonNode result = await LengthAsync(flat, 150, 400, 600);
        Agrees(row, 0.01, exact, result["neededLength"]);
        Agrees(row, 0.01, handbook, result["handbook"]!["sum"]);
        LoopChoice choice = new("final", 150, 400, null);
        JsonNode fit = await Of(
            server,
            "/api/fit/loop",
            new LoopFitInput(DriveOf(null, flat), choice, choice, Apart(600), null, false, null)
        );
        Agrees(row, 0.01, wrapDeg, fit["path"]!["wheels"]![0]!["wrapDeg"]);
    }

    [Fact]
    public async Task E3_belt_centre()
    {
        LoopChoice choice = new("final", 112, 280, null, 1_600);
        LoopFitInput question = new(
            DriveOf(null, LoopOf(DriveElement.VBelt, "A")),
            choice,
            choice,
            Slot(440, 520),
            null,
            false,
            null
        );
        JsonNode open = await Of(server, "/api/fit/loop", question);
        JsonNode result = await Of(
            server,
            "/api/fit/loop",
            question with
            {
                TravelMm = (double)open["closingTravelMm"]!,
            }
        );
        Agrees("e3", 0.01, 484.829, result["centreMm"]);
        Agrees("e3", 0.01, 477.497, result["path"]!["spans"]![0]!["lengthMm"]);
        Agrees("e3", 0.01, 160.046, result["path"]!["wheels"]![0]!["wrapDeg"]);
    }

    [Fact]
    public async Task E4_toothed_belt()
    {
        JsonNode result = await LengthAsync(LoopOf(DriveElement.ToothedBelt, "8M"), 28, 70, 420);
        JsonNode own = result["nearest"]!.AsArray().First(l => (double)l!["length"]! == 155)!;
        Agrees("e4", 0.01, 420.596, own["centreMm"]);
        Agrees("e4", 0.01, 165.391, own["smallWrapDeg"]);
        Assert.Equal(12, (int)own["teethInMesh"]!);
        JsonNode code = await Of(server, "/api/fit/belt-code", new BeltCodeInput("1240-8M"));
        Assert.Equal(155, (int)code["reading"]!["teeth"]!);
    }

    [Fact]
    public async Task E5_V_belt_length()
    {
        JsonNode result = await LengthAsync(LoopOf(DriveElement.VBelt, "A"), 100, 250, 450);
        Agrees("e5", 0.01, 1_462.31, result["neededLength"]);
        Assert.Equal(1_400, (double)result["nearest"]![0]!["length"]!);
        Agrees("e5", 0.01, 418.37, result["nearest"]![0]!["centreMm"]);
    }

    [Fact]
    public async Task E6_coil()
    {
        JsonNode result = await Of(server, "/api/fit/coil", new CoilInput(380, 120, 26, null));
        Agrees("e6", 0.01, 20_420.3, result["lengthMm"]);
        Agrees("e6", 0.01, 5, result["impliedThicknessMm"]);
    }
}
