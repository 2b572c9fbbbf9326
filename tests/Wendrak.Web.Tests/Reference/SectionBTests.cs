using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Pairs, how teeth meet links, and ripple: engineering.md b.</summary>
public sealed class SectionBTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<JsonNode[]> PicksAsync(LoopSearch search, AimTarget? aim = null, string standard = "520")
    {
        RatioSearchInput question = new(
            DriveOf(1_950, Chain(standard)),
            Wheels(search.FrontMin, search.RearMin),
            [],
            [search],
            aim,
            [],
            RatioRanking.Closeness,
            []
        );
        JsonNode result = await Of(server, "/api/ratio/search", question);
        return [.. result["hits"]!.AsArray().Concat(result["others"]!.AsArray()).Select(c => c!)];
    }

    private static LoopSearch Search(double f0, double f1, double r0, double r1, int? links = null) =>
        new("final", f0, f1, r0, r1, false, false, null, links, null, []);

    [Fact]
    public async Task B1_combinations()
    {
        // The row's rears are even ones: of the hits within 2 % those are asked for.
        JsonNode[] hits =
        [
            .. (await PicksAsync(Search(13, 16, 38, 48), new FinalRatio(2.94, 3.06)))
                .Where(c => c["rank"] is not null)
                .Where(c => (double)c["loops"]![0]!["rearSize"]! % 2 == 0),
        ];
        Assert.Equal(
            ["14/42", "16/48"],
            hits.Select(c => $"{c["loops"]![0]!["frontSize"]}/{c["loops"]![0]!["rearSize"]}").Order()
        );
        Assert.All(hits, c => Assert.Equal(3, (double)c["finalRatio"]!, 1e-12));
    }

    [Theory]
    [InlineData("b2", 16, 44, 112, 1, 11, 11, 7, 28, false, false)]
    [InlineData("b3", 15, 43, 110, 3, 43, 129, 22, 110, false, true)]
    public async Task B2_b3_hunting(
        string row,
        double front,
        double rear,
        int links,
        int frontTurns,
        int rearTurns,
        int allTurns,
        int metByFront,
        int metByRear,
        bool frontHunts,
        bool rearHunts
    )
    {
        JsonNode hunting = (await PicksAsync(Search(front, front, rear, rear, links)))[0]["loops"]![0]!["hunting"]!;
        Assert.Equal(
            (row, frontTurns, rearTurns, allTurns, metByFront, metByRear, frontHunts, rearHunts),
            (
                row,
                (int)hunting["frontLoopTurns"]!,
                (int)hunting["rearLoopTurns"]!,
                (int)hunting["allLoopTurns"]!,
                (int)hunting["linksMetByFrontTooth"]!,
                (int)hunting["linksMetByRearTooth"]!,
                (bool)hunting["frontHunts"]!,
                (bool)hunting["rearHunts"]!
            )
        );
    }

    [Theory]
    [InlineData("b4", 11, 4.1063)]
    [InlineData("b5", 17, 1.71242)]
    public async Task B4_b5_ripple(string row, double teeth, double percent)
    {
        JsonNode[] picks = await PicksAsync(Search(teeth, teeth, 45, 45));
        Agrees(row, 0.01, percent, picks[0]["loops"]![0]!["ripplePercent"]);
    }

    /// <summary>21 gaps of half the pitch of 25.4 mm: ten and a half links lie round it, and a tooth meets the same link after two.</summary>
    [Fact]
    public async Task B6_double_pitch()
    {
        JsonNode result = await Of(server, "/api/fit/sprocket", new SprocketInput("208A", 21));
        Agrees("b6", 0.01, 86.1732, result["pitchDiameterMm"]);
    }
}
