using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

public sealed class FixedCentreTests
{
    private static readonly Drive Rail = Drives.WithStages([
        Drives.Chain("final", "in", "axle") with
        {
            Standard = "06B",
        },
    ]);

    private static FixedCentreInput Input(double centre, double slack, bool halfLinks = false) =>
        new(Rail, "final", centre, 12, 20, 12, 20, slack, halfLinks);

    /// <summary>Equal sprockets: X = 2C/p + N, so that 22.5 pitches and 17 teeth close at 62 links without slack.</summary>
    [Fact]
    public void A_pair_that_closes_exactly_stands_first()
    {
        FixedCentrePair best = FixedCentre.Pairs(Input(22.5 * 9.525, 1)).Pairs[0];
        Assert.Equal(62, best.Length - (best.Front + best.Rear) / 2 + 17);
        Assert.Equal(0, best.SlackMm, 1e-9);
        Assert.Equal(best.Front, best.Rear);
        Assert.Equal(0, best.CentreMoveMm!.Value, 1e-6);
    }

    /// <summary>Every pair tried one by one with the two-sprocket formula.</summary>
    [Fact]
    public void All_pairs_within_the_slack_are_found_and_no_others()
    {
        const double centre = 211.3;
        List<(int, int, int)> expected = [];
        for (int front = 12; front <= 20; front++)
        for (int rear = 12; rear <= 20; rear++)
        {
            double exact = ChainLength.Links(9.525, front, rear, centre);
            int even = (int)Math.Ceiling(exact / 2) * 2;
            if ((even - exact) * 9.525 <= 2)
                expected.Add((front, rear, even));
        }
        IReadOnlyList<FixedCentrePair> found = FixedCentre.Pairs(Input(centre, 2)).Pairs;
        Assert.NotEmpty(found);
        Assert.Equal(expected.Order(), found.Select(p => (p.Front, p.Rear, p.Length)).Order());
        Assert.Equal(found.Select(p => p.SlackMm).Order(), found.Select(p => p.SlackMm));
    }

    [Fact]
    public void Slack_play_and_the_move_of_an_eccentric_belong_together()
    {
        FixedCentrePair pair = FixedCentre.Pairs(Input(211.3, 3)).Pairs.First(p => p.SlackMm > 0.5);
        double closed = ChainLength.CentreMm(9.525, pair.Front, pair.Rear, pair.Length);
        Assert.Equal(closed - 211.3, pair.CentreMoveMm!.Value, 1e-5);
        Assert.True(pair.FreePlayMm > pair.SlackMm);
    }

    /// <summary>Much slack needs a long way of the eccentric; it must not read as none.</summary>
    [Fact]
    public void The_move_of_an_eccentric_is_right_for_much_slack_too()
    {
        foreach (FixedCentrePair pair in FixedCentre.Pairs(Input(150, 18)).Pairs)
            Assert.Equal(
                ChainLength.CentreMm(9.525, pair.Front, pair.Rear, pair.Length) - 150,
                pair.CentreMoveMm!.Value,
                1e-5
            );
    }

    [Fact]
    public void Without_a_bound_the_usual_slack_is_used_and_told()
    {
        FixedCentreResult usual = FixedCentre.Pairs(Input(211.3, 0) with { MostSlackMm = null });
        Assert.Equal(FixedCentre.UsualSlackMm, usual.MostSlackMm);
        Assert.Equal(FixedCentre.Pairs(Input(211.3, FixedCentre.UsualSlackMm)).Pairs, usual.Pairs);
    }

    [Fact]
    public void Half_links_come_last_and_only_when_asked_for()
    {
        Assert.DoesNotContain(FixedCentre.Pairs(Input(211.3, 4)).Pairs, p => p.IsHalfLink);
        FixedCentrePair[] with = [.. FixedCentre.Pairs(Input(211.3, 4, true)).Pairs];
        Assert.Contains(with, p => p.IsHalfLink);
        Assert.Equal(with.Select(p => p.IsHalfLink).Order(), with.Select(p => p.IsHalfLink));
    }

    [Fact]
    public void Wheels_that_touch_are_left_out_and_wrong_bounds_named()
    {
        Assert.DoesNotContain(FixedCentre.Pairs(Input(50, 100)).Pairs, p => p.Front + p.Rear > 32);
        void Refused(string field, FixedCentreInput input) => Refusals.Names(field, () => FixedCentre.Pairs(input));
        Refused("CentreMm", Input(0, 1));
        Refused("CentreMm", Input(double.NaN, 1));
        Refused("MostSlackMm", Input(200, -1));
        Refused("FrontMax", Input(200, 1) with { FrontMax = 11 });
        Refused("FrontMin", Input(200, 1) with { FrontMin = 0 });
        Refused("RearMax", Input(200, 1) with { FrontMin = 5, FrontMax = 300, RearMin = 5, RearMax = 300 });
        Refused("LoopKey", Input(200, 1) with { LoopKey = "x" });
        Drive smooth = Drives.WithStages([
            Drives.Chain("final", "in", "axle") with
            {
                DriveElement = DriveElement.VBelt,
                Standard = "A",
            },
        ]);
        Refused("LoopKey", Input(200, 1) with { Drive = smooth });
    }
}
