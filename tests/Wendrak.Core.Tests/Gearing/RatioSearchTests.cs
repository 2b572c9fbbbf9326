using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Gearing.Searches;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RatioSearchTests
{
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
        Assert.Equal(ChangedSprockets.RearOnly, hit.ChangedSprockets);
        Assert.Equal(["6"], hit.BandGears);
        Assert.Equal(SpeedRipple.Percent.Value(15), hit.Loops[0].RipplePercent);
        Assert.Equal(Hunting.Count(15, 43, 112), hit.Loops[0].Hunting);
        Assert.Equal(["1", "2", "3", "4", "5", "6"], result.Gears.Select(g => g.Label));
        Assert.Equal(hit.OverallRatio, hit.FinalRatio * result.Gears[5].RestReduction);
        Published.Agrees(7.1739, result.Gears[0].RestReduction, 0.0001, "76/28 · 2.643 by hand");
    }

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
            DriveElement = DriveElement.VBelt,
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
}
