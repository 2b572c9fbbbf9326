using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

public sealed class LoopCombinationsTests
{
    private static readonly Drive Bicycle = Drives.WithStages([
        Drives.Chain("final", "in", "hub") with
        {
            DriveElement = DriveElement.ToothedBelt,
            Standard = "BIKE11",
        },
    ]) with
    {
        Input = new("in", InputKind.Rider, 40, 100, 170),
    };

    private static LoopCombinationsInput Input(IReadOnlyList<int> lengths) =>
        new(Bicycle, new("final", 46, 24, 118), Fits.Slot(446, 464), [42, 46, 50], [22, 24, 26, 28], lengths, []);

    [Fact]
    public void Mounting_price_and_the_hubs_limit_are_known_as_in_the_search_for_a_ratio()
    {
        Stage[] stages =
        [
            .. Bicycle.Stages.OfType<Loop>().Select(l => l with { FrontMounting = "5-arm", LargestRear = 26 }),
            new HubGear("hub", "hub", "hub", "wheel", "three", [0.75, 1, 1.333], 1.8),
        ];
        Drive geared = Bicycle with { Stages = stages, Outputs = [new("rear wheel", "wheel", true, null)] };
        StockWheel front = new("BIKE11", WheelSide.Front, 42, "5-arm", 0, 40, true);
        LoopCombinationsResult found = LoopCombinations.Find(
            Input([]) with
            {
                Drive = geared,
                Stock = [front, front with { Size = 50, Mounting = "4-arm", Count = 1 }],
            }
        );
        LoopCombination Of(int f, int r) => found.Combinations.First(c => (c.Front, c.Rear) == (f, r));
        Assert.Equal((Availability.ToBuy, 40.0), (Of(42, 24).FrontSupply.Availability, Of(42, 24).Money!.Value));
        Assert.Equal(Availability.OtherMounting, Of(50, 24).FrontSupply.Availability);
        Assert.Null(Of(50, 24).Money);
        Assert.Equal([ConstraintBreak.HubPrimaryTooLow], Of(42, 24).Breaks);
        Assert.Contains(ConstraintBreak.RearTooLarge, Of(42, 28).Breaks);
        Assert.Empty(Of(46, 24).Breaks);
    }

    /// <summary>Every pair and length tried one by one with the two-pulley formula.</summary>
    [Fact]
    public void All_that_close_on_the_adjuster_are_found_and_no_others()
    {
        List<(int, int, int)> expected = [];
        foreach (int front in new[] { 42, 46, 50 })
        foreach (int rear in new[] { 22, 24, 26, 28 })
            for (int teeth = 80; teeth < 160; teeth++)
            {
                double centre = BeltLength.CentreMm(
                    BeltArrangement.Open,
                    front * 11 / Math.PI,
                    rear * 11 / Math.PI,
                    teeth * 11.0
                );
                if (centre is >= 446 and <= 464)
                    expected.Add((front, rear, teeth));
            }
        LoopCombinationsResult found = LoopCombinations.Find(Input([]));
        Assert.NotEmpty(expected);
        Assert.Equal(expected.Order(), found.Combinations.Select(c => (c.Front, c.Rear, c.Length)).Order());
        Assert.Equal(expected.Count, found.Count);
        Assert.All(
            found.Combinations,
            c =>
            {
                Assert.Equal(c.CentreMm, 446 + c.TravelMm, 1e-6);
                Assert.Equal(18, c.TravelMm + c.LeftMm, 1e-6);
                Assert.True(c.TeethInMesh < c.Rear / 2.0);
            }
        );
    }

    [Fact]
    public void Only_the_lengths_that_can_be_had_are_tried()
    {
        LoopCombinationsResult found = LoopCombinations.Find(Input([118, 120, 300]));
        Assert.NotEmpty(found.Combinations);
        Assert.All(found.Combinations, c => Assert.True(c.Length is 118 or 120));
    }

    [Fact]
    public void Without_tooth_counts_those_that_can_be_had_are_tried()
    {
        StockWheel Rear(int teeth, string? mounting = null, bool obtainable = true, string standard = "BIKE11") =>
            new(standard, WheelSide.Rear, teeth, mounting, 0, null, obtainable);
        Drive lugged = Bicycle with
        {
            Stages = [.. Bicycle.Stages.OfType<Loop>().Select(l => l with { RearMounting = "9 lugs" })],
        };
        LoopCombinationsInput input = Input([]) with
        {
            Drive = lugged,
            Rears = [],
            Stock =
            [
                Rear(26),
                Rear(22, "9 lugs"),
                Rear(20, "other"),
                Rear(30, null, false),
                Rear(28, null, true, "8M"),
            ],
        };
        Assert.Equal([22, 24, 26], LoopCombinations.Find(input).Rears);
        LoopSearch around = SearchAround.Fitted(Bicycle.Stages.OfType<Loop>().First(), input.Fitted, null);
        IReadOnlyList<int> unlisted = LoopCombinations.Find(input with { Stock = [] }).Rears;
        Assert.Equal((around.RearMin, around.RearMax), (unlisted[0], unlisted[^1]));
    }

    [Fact]
    public void A_belt_on_a_bicycle_comes_with_what_it_asks_of_the_frame()
    {
        Assert.Contains(LoopCombinations.Find(Input([])).Conditions, c => c.Name == "Snubber");
        Drive motor = Bicycle with { Input = Bicycle.Input with { Kind = InputKind.Motor } };
        Assert.Empty(LoopCombinations.Find(Input([]) with { Drive = motor }).Conditions);
    }

    [Fact]
    public void Wrong_questions_are_refused()
    {
        void Refused(string field, LoopCombinationsInput input) =>
            Refusals.Names(field, () => LoopCombinations.Find(input));
        Refused(
            "Rears",
            Input([]) with
            {
                Fronts = [.. Enumerable.Range(30, 60)],
                Rears = [.. Enumerable.Range(12, 40)],
            }
        );
        Refused("Rears[0]", Input([]) with { Rears = [2] });
        Refused("Fronts[0]", Input([]) with { Fronts = [9999] });
        Refused("Lengths[0]", Input([0]));
        Refused("Layout.Moving", Input([]) with { Layout = Fits.Slot(446, 464) with { Moving = null } });
    }
}
