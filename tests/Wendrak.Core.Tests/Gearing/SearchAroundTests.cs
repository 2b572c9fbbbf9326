using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

public sealed class SearchAroundTests
{
    private static readonly Loop Chain = Drives.Chain("final", "in", "axle");

    [Theory]
    [InlineData(15, 45, 13, 17, 40, 50)]
    [InlineData(38, 18, 33, 43, 15, 21)]
    [InlineData(6, 7, 5, 8, 5, 10)]
    public void A_toothed_loop_is_searched_some_teeth_to_either_side(
        double front,
        double rear,
        double frontMin,
        double frontMax,
        double rearMin,
        double rearMax
    )
    {
        LoopSearch search = SearchAround.Fitted(Chain, new("final", front, rear, 112), null);
        Assert.Equal(
            (frontMin, frontMax, rearMin, rearMax),
            (search.FrontMin, search.FrontMax, search.RearMin, search.RearMax)
        );
        Assert.Equal(112, search.Links);
        Assert.False(search.StandardSizesOnly);
    }

    [Fact]
    public void A_friction_loop_is_searched_among_standard_sizes()
    {
        Loop belt = Chain with { DriveElement = DriveElement.VBelt, Standard = "A" };
        LoopSearch search = SearchAround.Fitted(belt, new("final", 100, 250, null), new(1, 2, 3, 4, 5, 6));
        Assert.Equal((60, 140, 150, 350), (search.FrontMin, search.FrontMax, search.RearMin, search.RearMax));
        Assert.True(search.StandardSizesOnly);
        Assert.Equal(new WorkCosts(1, 2, 3, 4, 5, 6), search.Work);
    }

    /// <summary>A search that the page starts with must be one that the core accepts, also at the ends of the sizes.</summary>
    [Theory]
    [InlineData(DriveElement.Chain)]
    [InlineData(DriveElement.ToothedBelt)]
    [InlineData(DriveElement.VBelt)]
    [InlineData(DriveElement.FlatBelt)]
    [InlineData(DriveElement.RoundBelt)]
    public void The_search_it_gives_runs_for_every_kind_of_loop(DriveElement element)
    {
        string standard = element switch
        {
            DriveElement.ToothedBelt => "8M",
            DriveElement.VBelt => "A",
            _ => "520",
        };
        Loop loop = Chain with { DriveElement = element, Standard = standard };
        StartingLoop wheels = StartingLoop.All.Single(w => w.DriveElement == element);
        double smallest = WheelSize.Smallest(element);
        double largest = WheelSize.Largest(element);
        (double, double)[] pairs =
        [
            (wheels.FrontSize, wheels.RearSize),
            (smallest, smallest),
            (largest, largest),
            (smallest, largest),
        ];
        foreach ((double front, double rear) in pairs)
        {
            LoopChoice fitted = new("final", front, rear, null);
            RatioSearchInput input = new(
                Drives.WithStages([loop]),
                [fitted],
                [],
                [SearchAround.Fitted(loop, fitted, null)],
                null,
                [],
                RatioRanking.LeastWork,
                []
            );
            RatioSearchResult result = RatioSearch.Run(input);
            Assert.Contains(result.Others, o => o.Loops[0].FrontSize == front && o.Loops[0].RearSize == rear);
        }
    }
}
