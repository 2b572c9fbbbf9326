using System.Text.Json.Nodes;
using Wendrak.Core.Lengths;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Variable-ratio belts: engineering.md n.</summary>
public sealed class SectionNTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<JsonNode> AskAsync(SheaveShimsInput input) => Of(server, "/api/fit/sheave-shims", input);

    [Fact]
    public async Task N1_how_far_a_belt_rides_up_for_a_gap()
    {
        JsonNode result = await AskAsync(new(28, 4, ShimSense.BetweenHalves, 0, 0, 0, 0));
        Agrees("n1", 0.1, 8.02156, result["perShimMm"]);
    }

    [Fact]
    public async Task N2_the_ratio_when_a_driver_closes_by_6_mm()
    {
        // One shim of 6 mm under an opening bolt closes it by that: it rides 12.9944 mm higher, at 44.9944.
        JsonNode result = await AskAsync(
            new(26, 6, ShimSense.UnderOpeningBolts, -12.9944, 0, 0, 1, 32, 270, 850, IsDriver: true)
        );
        Agrees("n2", 0.1, 12.9944, result["perShimMm"]);
        Agrees("n2", 0.1, 1.19114, result["ratioThen"]);
        Assert.Equal(1, (int)result["in"]!);
    }
}
