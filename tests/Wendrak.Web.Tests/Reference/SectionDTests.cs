using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Lengths and places of chains: engineering.md d.</summary>
public sealed class SectionDTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Theory]
    [InlineData("d1", "08A", 17, 51, 500, 113.485, 113.484, 114, 503.301)]
    [InlineData("d2", "520", 15, 45, 640, 111.196, 111.195, 112, 646.426)]
    public async Task D1_d2_length_for_a_centre(
        string row,
        string standard,
        double front,
        double rear,
        double centreMm,
        double exact,
        double handbook,
        double even,
        double centreAtEvenMm
    )
    {
        JsonNode result = await Of(
            server,
            "/api/fit/length-for-centre",
            new LengthForCentreInput(DriveOf(null, Chain(standard)), new("final", front, rear, null), centreMm, false)
        );
        Agrees(row, 0.01, exact, result["neededLength"]);
        Agrees(row, 0.01, handbook, result["handbook"]!["sum"]);
        JsonNode nearest = result["nearest"]![0]!;
        Assert.Equal(even, (double)nearest["length"]!);
        Agrees(row, 0.01, centreAtEvenMm, nearest["centreMm"]);
    }

    private Task<JsonNode> FitAsync(string standard, LoopChoice choice, LoopLayout layout, double? travel = null) =>
        Of(
            server,
            "/api/fit/loop",
            new LoopFitInput(DriveOf(null, Chain(standard)), choice, choice, layout, travel, false, 2)
        );

    [Fact]
    public async Task D3_centre_from_links()
    {
        // 44.45 mm is the pitch of ANSI 140.
        JsonNode result = await FitAsync("28A", new("final", 17, 34, 76), Slot(1_000, 1_200));
        JsonNode own = result["lengths"]!.AsArray().First(l => (double)l!["length"]! == 76)!;
        Agrees("d3", 0.01, 1_115.88, own["centreMm"]);
        JsonNode closed = await FitAsync(
            "28A",
            new("final", 17, 34, 76),
            Slot(1_000, 1_200),
            (double)result["closingTravelMm"]!
        );
        Agrees("d3", 0.01, 167.661, closed["path"]!["wheels"]![0]!["wrapDeg"]);
        Agrees("d3", 0.01, 1_109.41, closed["path"]!["spans"]![0]!["lengthMm"]);
    }

    [Fact]
    public async Task D4_centre_limits()
    {
        JsonNode advice = (await FitAsync("12A", new("final", 19, 76, null), Apart(700)))["centreAdvice"]!;
        Agrees("d4", 0.01, 345.241, advice["leastForWrapMm"]);
        Agrees("d4", 0.01, 298.803, advice["leastWithoutTouchMm"]);
        Agrees("d4", 0.01, 571.5, advice["recommendedLeastMm"]);
        Agrees("d4", 0.01, 952.5, advice["recommendedMostMm"]);
        Agrees("d4", 0.01, 1_524, advice["upperLimitMm"]);
    }

    [Fact]
    public async Task D5_axle_slot()
    {
        JsonNode result = await FitAsync("520", new("final", 15, 44, 112), Slot(640, 675));
        JsonNode own = result["lengths"]!.AsArray().First(l => (double)l!["length"]! == 112)!;
        Agrees("d5", 0.01, 650.714, own["centreMm"]);
        Agrees("d5", 0.01, 30.612, own["travelUsedPercent"]);
        Agrees("d5", 0.01, 2.71506, own["reservePercent"]);
        Assert.True((bool)own["fits"]!);
    }

    /// <summary>A hundredth longer, the same chain closes as much further back: to first order, as the row is.</summary>
    [Fact]
    public async Task D6_elongation()
    {
        JsonNode result = await FitAsync("520", new("final", 15, 44, 112), Slot(640, 675));
        double reservePercent = (double)result["reserve"]!["elongationPercent"]!;
        double leftMm = (double)result["reserve"]!["leftMm"]!;
        Agrees("d6", 0.2, 8.94674, JsonValue.Create(leftMm / reservePercent));
    }
}
