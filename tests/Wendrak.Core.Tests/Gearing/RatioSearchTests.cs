using CsCheck;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RatioSearchTests
{
    private static LoopSearch Range(double frontMin, double frontMax, double rearMin, double rearMax) =>
        new("final", frontMin, frontMax, rearMin, rearMax, false, false, null, 112, null, []);

    private static RatioSearchInput Search(AimTarget? aim, LoopSearch? search = null) =>
        new(
            Drives.Motorcycle(),
            Drives.Pair(15, 45),
            [],
            [search ?? Range(13, 17, 40, 48)],
            aim,
            [],
            RatioRanking.LeastWork,
            []
        );

    private static string[] Pairs(IEnumerable<RatioCandidate> candidates) =>
        [.. candidates.Select(c => FormattableString.Invariant($"{c.Loops[0].FrontSize}/{c.Loops[0].RearSize}"))];

    [Fact]
    public void Combinations_agree_with_the_check_row()
    {
        // engineering.md b1: fronts 13 to 16, rears 38 to 48 even, target 3.0 within 2 %: 16/48 and 14/42, both exact.
        RatioSearchInput input = Search(new FinalRatio(2.94, 3.06), Range(13, 16, 38, 48)) with
        {
            Ranking = RatioRanking.Closeness,
            Fitted = Drives.Pair(16, 48),
        };
        RatioSearchResult result = RatioSearch.Run(input);
        string[] even = Pairs(result.Hits.Where(h => h.Loops[0].RearSize % 2 == 0));
        Assert.Equal(["16/48", "14/42"], even);
        Assert.Equal(["13/39", "15/45"], Pairs(result.Hits).Except(even).Order());
    }

    [Fact]
    public void Every_pair_is_either_a_hit_or_told_among_the_others() =>
        Gen.Select(
                Gen.Int[5, 25],
                Gen.Int[1, 12],
                Gen.Int[20, 70],
                Gen.Int[1, 20],
                Gen.Double[1.5, 4],
                Gen.Double[1.001, 1.3]
            )
            .Sample(
                (front, fronts, rear, rears, low, factor) =>
                {
                    LoopSearch range = Range(front, front + fronts, rear, rear + rears);
                    RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(low, low * factor), range));
                    HashSet<string> expected = [];
                    foreach (int f in Enumerable.Range(front, fronts + 1).Append(15))
                    foreach (int r in Enumerable.Range(rear, rears + 1).Append(45))
                        if ((double)r / f >= low && (double)r / f <= low * factor)
                            expected.Add($"{f}/{r}");
                    Assert.Equal(expected.Order(), Pairs(result.Hits).Order());
                    Assert.All(result.Others, o => Assert.False(o.FinalRatio >= low && o.FinalRatio <= low * factor));
                },
                iter: 200
            );

    [Fact]
    public void Each_hit_carries_what_was_asked_for()
    {
        RatioSearchResult result = RatioSearch.Run(Search(new CruiseSpeed(90, 5, 5020, 5330)));
        RatioCandidate hit = result.Hits.Single(h => Pairs([h])[0] == "15/43");
        Published.Agrees(-4.444, hit.ChangePercent, 0.001, "(43/45 − 1) · 100 by hand");
        Assert.Equal(RatioDirection.Taller, hit.Direction);
        Published.Agrees(5210.6, hit.AimShaftSpeedRpm!.Value, 0.1, "791.557 · 76/28 · 0.846 · 43/15 by hand");
        Assert.Equal(Moves.RearOnly, hit.Moves);
        Assert.Equal(["6"], hit.BandGears);
        Assert.Equal(SpeedRipple.Percent(15), hit.Loops[0].RipplePercent);
        Assert.Equal(Hunting.Of(15, 43, 112), hit.Loops[0].Hunting);
        Assert.Equal(6, hit.OverallRatios.Count);
        Assert.Equal(hit.OverallRatio, hit.OverallRatios[5]);
    }

    [Fact]
    public void Least_work_is_front_before_rear_before_both()
    {
        RatioSearchResult result = RatioSearch.Run(Search(new CruiseSpeed(90, 5, 5020, 5330)));
        Assert.Equal(result.Hits.Select(h => h.WorkMinutes).Order(), result.Hits.Select(h => h.WorkMinutes));
        Assert.Equal((Moves.FrontOnly, 25), (result.Hits[0].Moves, result.Hits[0].WorkMinutes));
        Assert.Equal(RankTerm.First, result.Hits[0].DecidedBy);
        Assert.Equal(RankTerm.Minutes, result.Hits[1].DecidedBy);
        Assert.True(result.UsesDefaultWork);
    }

    [Fact]
    public void A_split_rear_sprocket_may_be_the_easy_one()
    {
        Drive drive = Drives.Motorcycle();
        Stage[] stages = [.. drive.Stages.Select(s => s is Loop l ? l with { RearIsSplit = true } : s)];
        RatioSearchInput input = Search(new CruiseSpeed(90, 5, 5020, 5330)) with
        {
            Drive = drive with { Stages = stages },
        };
        Assert.Equal(Moves.RearOnly, RatioSearch.Run(input).Hits[0].Moves);
    }

    [Fact]
    public void A_machine_s_own_work_figures_replace_the_defaults()
    {
        LoopSearch own = Range(13, 17, 40, 48) with { Work = new(90, 1, 20, 2, 95, 3) };
        RatioSearchInput input = Search(new CruiseSpeed(90, 5, 5020, 5330), own) with
        {
            Stock = [Wheel(WheelSide.Rear, 43, 1, 40, true, "any")],
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.Equal((Moves.RearOnly, 20, 2), (result.Hits[0].Moves, result.Hits[0].WorkMinutes, result.Hits[0].Money));
        Assert.False(result.UsesDefaultWork);
    }

    [Theory]
    [InlineData(RatioRanking.Closeness)]
    [InlineData(RatioRanking.Wear)]
    [InlineData(RatioRanking.Price)]
    [InlineData(RatioRanking.LeastWork)]
    public void Every_order_lists_the_same_hits_with_ranks_from_one(RatioRanking ranking)
    {
        RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(2.7, 3.1)) with { Ranking = ranking });
        Assert.Equal(Enumerable.Range(1, result.HitCount), result.Hits.Select(h => h.Rank!.Value));
        Assert.Equal(Pairs(RatioSearch.Run(Search(new FinalRatio(2.7, 3.1))).Hits).Order(), Pairs(result.Hits).Order());
    }

    [Fact]
    public void Closest_first_sorts_by_distance_from_the_middle()
    {
        RatioSearchResult result = RatioSearch.Run(
            Search(new FinalRatio(2.7, 3.1)) with
            {
                Ranking = RatioRanking.Closeness,
            }
        );
        double[] off = [.. result.Hits.Select(h => Math.Round(Math.Abs(h.OffTargetPercent!.Value), 4))];
        Assert.Equal(off.Order(), off);
    }

    [Fact]
    public void Even_wear_puts_hunting_teeth_before_repeating_ones()
    {
        RatioSearchResult result = RatioSearch.Run(
            Search(new FinalRatio(2.7, 3.1)) with
            {
                Ranking = RatioRanking.Wear,
            }
        );
        HuntingResult first = result.Hits[0].Loops[0].Hunting!;
        HuntingResult last = result.Hits[^1].Loops[0].Hunting!;
        Assert.True(first.FrontHunts && first.RearHunts);
        Assert.False(last.FrontHunts || last.RearHunts);
    }

    private static StockWheel Wheel(
        WheelSide side,
        double size,
        int count,
        double? price,
        bool obtainable,
        string mounting
    ) => new("520", side, size, mounting, count, price, obtainable);

    [Fact]
    public void Stock_says_on_the_shelf_to_buy_other_mounting_or_not_obtainable()
    {
        Drive drive = Drives.Motorcycle();
        Stage[] stages = [.. drive.Stages.Select(s => s is Loop l ? l with { RearMounting = "6-hole" } : s)];
        RatioSearchInput input = Search(new FinalRatio(2.5, 3.2)) with
        {
            Drive = drive with { Stages = stages },
            Stock =
            [
                Wheel(WheelSide.Rear, 43, 1, 40, true, "6-hole"),
                Wheel(WheelSide.Rear, 44, 0, 47, true, "6-hole"),
                Wheel(WheelSide.Rear, 42, 3, 20, true, "4-hole"),
                Wheel(WheelSide.Rear, 41, 0, null, false, "6-hole"),
                Wheel(WheelSide.Front, 43, 9, 1, true, "6-hole"),
            ],
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Dictionary<string, RatioCandidate> by = result.Hits.ToDictionary(h => Pairs([h])[0]);
        Assert.Equal(Availability.OnShelf, by["15/43"].Loops[0].Rear.Availability);
        Assert.Equal((Availability.ToBuy, 47), (by["15/44"].Loops[0].Rear.Availability, by["15/44"].Money));
        Assert.Equal(Availability.OtherMounting, by["15/42"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.NotObtainable, by["15/41"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.NotListed, by["15/46"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.Fitted, by["15/45"].Loops[0].Rear.Availability);
        Assert.Null(by["15/46"].Money);
        // What can't be had stands behind everything that can.
        Assert.True(by["15/42"].Rank > by["16/44"].Rank);
        Assert.Contains(result.Hits, h => h.DecidedBy == RankTerm.Obtainable);
    }

    [Fact]
    public void The_shelf_alone_tries_what_lies_there_and_what_is_fitted()
    {
        RatioSearchInput input = Search(null, Range(13, 17, 40, 48) with { OnShelfOnly = true }) with
        {
            Stock = [Wheel(WheelSide.Front, 14, 1, 1, true, "x"), Wheel(WheelSide.Rear, 43, 0, 1, true, "x")],
        };
        Assert.Equal(["14/45", "15/45"], Pairs(RatioSearch.Run(input).Others).Order());
    }

    [Fact]
    public void Limits_of_the_machine_are_named_and_kept_off_the_list()
    {
        Drive drive = Drives.Motorcycle();
        Stage[] stages =
        [
            .. drive.Stages.Select(s => s is Loop l ? l with { LargestRear = 44, SmallestFront = 15 } : s),
        ];
        RatioSearchInput input = Search(new FinalRatio(2.5, 4)) with { Drive = drive with { Stages = stages } };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.All(result.Hits, h => Assert.True(h.Loops[0] is { RearSize: <= 44, FrontSize: >= 15 }));
        RatioCandidate broken = result.Others.Single(o => Pairs([o])[0] == "14/45");
        Assert.Equal([ConstraintBreak.RearTooLarge, ConstraintBreak.FrontTooSmall], broken.Loops[0].Breaks);
    }

    [Fact]
    public void A_hub_s_smallest_primary_ratio_rules_small_fronts_out()
    {
        Drive drive = Drives.WithStages([
            Drives.Chain("final", "in", "hub"),
            new HubGear("hub", "hub", "hub", "wheel", "five", [1], 1.9),
        ]);
        RatioSearchInput input = Search(new FinalRatio(0.4, 0.7), Range(36, 44, 18, 24)) with
        {
            Drive = drive,
            Fitted = Drives.Pair(42, 20, 100),
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.All(result.Hits, h => Assert.True(h.Loops[0].FrontSize / h.Loops[0].RearSize >= 1.9));
        Assert.Contains(result.Others, o => o.Loops[0].Breaks.Contains(ConstraintBreak.HubPrimaryTooLow));
    }

    [Fact]
    public void Few_teeth_are_computed_and_marked_not_refused()
    {
        RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(5, 9), Range(5, 8, 40, 48)));
        Assert.Contains(result.Hits, h => h.Loops[0] is { FrontSize: 6, SmallWheel: SmallWheelAdvice.BelowAdvised });
    }

    [Fact]
    public void A_typed_pair_joins_whatever_the_range_says()
    {
        LoopSearch typed = Range(13, 14, 40, 41) with { Typed = [new(19, 55), new(13, 40)] };
        RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(2.8, 3.2), typed));
        Assert.Contains(result.Hits, h => h.Loops[0] is { FrontSize: 19, RearSize: 55, IsTyped: true });
        Assert.Single(
            result.Hits.Concat(result.Others),
            c => c.Loops[0] is { FrontSize: 13, RearSize: 40, IsTyped: true }
        );
    }

    [Fact]
    public void Nothing_in_the_band_names_the_nearest_two_outside()
    {
        RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(3.21, 3.213), Range(15, 15, 40, 48)));
        Assert.Empty(result.Hits);
        Assert.Equal(["15/48", "15/47"], Pairs(result.Nearest));
    }

    [Fact]
    public void A_friction_loop_tries_the_preferred_datum_diameters()
    {
        Loop belt = Drives.Chain("final", "in", "drum") with
        {
            Medium = LoopMedium.VBelt,
            Standard = "A",
            SlipFraction = 0.01,
        };
        RatioSearchInput input = Search(
            null,
            Range(75, 100, 200, 260) with
            {
                StandardSizesOnly = true,
                Links = null,
            }
        ) with
        {
            Drive = Drives.WithStages([belt]),
            Fitted = Drives.Pair(90, 250, null),
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.Equal([75, 80, 85, 90, 95, 100], result.Others.Select(o => o.Loops[0].FrontSize).Distinct().Order());
        Assert.All(result.Others, o => Assert.Null(o.Loops[0].RipplePercent));
        RatioCandidate one = result.Others.Single(o => o.Loops[0] is { FrontSize: 75, RearSize: 224 });
        Assert.Equal(224 / 75.0 / 0.99, one.FinalRatio, 12);
    }

    private static RatioSearchInput TwoLoops(double low, double high, double? largest = null)
    {
        Drive drive = Drives.WithStages([Drives.Chain("first", "in", "jack"), Drives.Chain("final", "jack", "axle")]);
        LoopSearch first = new("first", 12, 16, 30, 40, false, false, largest, null, null, []);
        return new(
            drive,
            [new("first", 14, 36, null), new("final", 15, 45, null)],
            [],
            [first, Range(13, 17, 40, 48)],
            new FinalRatio(low, high),
            [],
            RatioRanking.Closeness,
            []
        );
    }

    [Fact]
    public void Two_loops_in_series_give_every_product_in_the_band()
    {
        RatioSearchResult result = RatioSearch.Run(TwoLoops(8.0, 8.05));
        int expected = 0;
        for (int a = 12; a <= 16; a++)
        for (int b = 30; b <= 40; b++)
        for (int c = 13; c <= 17; c++)
        for (int d = 40; d <= 48; d++)
            expected += (double)b / a * d / c is >= 8.0 and <= 8.05 ? 1 : 0;
        Assert.Equal(expected, result.HitCount);
        Assert.All(result.Hits, h => Assert.Equal(h.FinalRatio, h.Loops[0].Ratio * h.Loops[1].Ratio, 12));
    }

    [Fact]
    public void No_loop_of_two_passes_its_largest_ratio() =>
        Assert.All(RatioSearch.Run(TwoLoops(7, 9, 2.5)).Hits, h => Assert.True(h.Loops[0].Ratio <= 2.5));

    [Fact]
    public void A_wide_band_of_two_loops_lists_the_best_and_counts_all()
    {
        RatioSearchResult result = RatioSearch.Run(TwoLoops(5, 12));
        Assert.Equal(RatioSearch.MostTwoLoopHits, result.Hits.Count);
        Assert.True(result.HitCount > 2000);
        double[] off = [.. result.Hits.Select(h => Math.Round(Math.Abs(h.OffTargetPercent!.Value), 4))];
        Assert.Equal(off.Order(), off);
    }

    [Fact]
    public void Two_loops_that_miss_the_band_name_the_nearest() =>
        Assert.Equal(2, RatioSearch.Run(TwoLoops(30, 31)).Nearest.Count);

    [Fact]
    public void Loops_beside_each_other_cannot_be_chosen_together()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("a", "in", "left"), Drives.Chain("b", "in", "right")],
            new DriveOutput("left", "left", true, null),
            new DriveOutput("right", "right", true, null)
        );
        RatioSearchInput input = Search(null) with
        {
            Drive = drive,
            Fitted = [new("a", 15, 45, null), new("b", 15, 45, null)],
            Search = [Range(13, 17, 40, 48) with { LoopKey = "a" }, Range(13, 17, 40, 48) with { LoopKey = "b" }],
        };
        Refusals.Names("Search[1].LoopKey", () => RatioSearch.Run(input));
    }

    public static TheoryData<LoopSearch, string> Impossible =>
        new()
        {
            { Range(0, 17, 40, 48), "Search[0].FrontMin" },
            { Range(-4, 17, 40, 48), "Search[0].FrontMin" },
            { Range(13, 1e9, 40, 48), "Search[0].FrontMax" },
            { Range(17, 13, 40, 48), "Search[0].FrontMax" },
            { Range(13, 17, 48, 40), "Search[0].RearMax" },
            { Range(13, 17, double.NaN, 48), "Search[0].RearMin" },
            { Range(13, 17, 40, double.PositiveInfinity), "Search[0].RearMax" },
            { Range(5, 500, 5, 500), "Search[0].RearMax" },
            { Range(13, 17, 40, 48) with { LoopKey = "nowhere" }, "Search[0].LoopKey" },
            { Range(13, 17, 40, 48) with { Links = 0 }, "Search[0].Links" },
            { Range(13, 17, 40, 48) with { LargestRatio = 0 }, "Search[0].LargestRatio" },
            { Range(13, 17, 40, 48) with { Typed = [new(0, 45)] }, "Search[0].Typed[0].FrontSize" },
            { Range(13, 17, 40, 48) with { Work = new(-1, 0, 0, 0, 0, 0) }, "Search[0].Work.FrontMinutes" },
        };

    [Theory, MemberData(nameof(Impossible))]
    public void An_impossible_search_is_refused_at_its_field(LoopSearch search, string field) =>
        Refusals.Names(field, () => RatioSearch.Run(Search(new FinalRatio(2, 3), search)));

    [Fact]
    public void A_search_without_a_loop_is_refused() =>
        Refusals.Names("Search", () => RatioSearch.Run(Search(null) with { Search = [] }));

    [Fact]
    public void Shaft_speed_is_told_in_the_gear_that_meets_the_aim()
    {
        RatioSearchInput input = Search(new CruiseSpeed(90, 5, 5020, 5330), Range(16, 16, 40, 40)) with
        {
            Drive = Drives.Motorcycle(interchangeable: true),
            Gears = [4],
        };
        RatioCandidate fifth = RatioSearch.Run(input).Hits.Single(h => Pairs([h])[0] == "16/40");
        Assert.Equal(["5"], fifth.BandGears);
        Assert.InRange(fifth.AimShaftSpeedRpm!.Value, 5020, 5330);
    }
}
