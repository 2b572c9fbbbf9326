using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class NearestAimTests
{
    private static readonly Wishes None = new(0, 0, 0, 0, 0, 0);
    private static readonly Conditions Road = new("asphalt", "dry", "empty");

    private static AimOutcome Outcome(int score, string day) =>
        new(
            DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture),
            7,
            $"setup {score}",
            Drives.Pair(14, 45),
            Road,
            score,
            null
        );

    private static NearestAimInput Input(AimTarget target, params RememberedAim[] remembered) =>
        new(Drives.Motorcycle(), Drives.Pair(15, 45), [], "final", target, Road, None, remembered);

    [Fact]
    public void The_same_aim_is_nearest_with_no_distance()
    {
        RememberedAim same = new(1, "same", new FinalRatio(2.8, 3), Road, None, []);
        RememberedAim shorter = new(2, "shorter", new FinalRatio(3.2, 3.4), Road, None, []);
        AimMatch[] matches = [.. NearestAim.Find(Input(new FinalRatio(2.8, 3), shorter, same)).Matches];
        Assert.Equal(["same", "shorter"], matches.Select(m => m.Name));
        Assert.Equal(0, matches[0].Distance);
    }

    [Fact]
    public void Aims_said_in_different_ways_are_compared_by_the_ratio_they_ask_for()
    {
        RememberedAim cruise = new(1, "cruise", new CruiseSpeed(90, 5, 5020, 5330), Road, None, []);
        AimMatch match = NearestAim.Find(Input(new FinalRatio(2.7618, 2.9324), cruise)).Matches.Single();
        Assert.Equal(0, match.RatioApartPercent, 2);
    }

    [Fact]
    public void Other_conditions_push_an_aim_away_unless_they_are_not_stated()
    {
        RememberedAim gravel = new(1, "gravel", new FinalRatio(2.8, 3), new("gravel", "wet", null), None, []);
        RememberedAim unsaid = new(2, "unsaid", new FinalRatio(2.8, 3), new(null, null, null), None, []);
        AimMatch[] matches = [.. NearestAim.Find(Input(new FinalRatio(2.8, 3), gravel, unsaid)).Matches];
        Assert.Equal(["unsaid", "gravel"], matches.Select(m => m.Name));
        Assert.Equal(2, matches[1].ConditionsApart);
    }

    [Fact]
    public void The_best_outcome_is_offered_the_newer_of_equals()
    {
        RememberedAim aim = new(
            1,
            "tried",
            new FinalRatio(2.8, 3),
            Road,
            None,
            [Outcome(2, "2026-01-01"), Outcome(4, "2025-01-01"), Outcome(4, "2026-03-01")]
        );
        AimOutcome best = NearestAim.Find(Input(new FinalRatio(2.8, 3), aim)).Matches.Single().Best!;
        Assert.Equal((4, new DateOnly(2026, 3, 1)), (best.Score, best.On));
    }

    [Fact]
    public void An_aim_for_a_gear_that_is_gone_is_passed_over()
    {
        RememberedAim seventh = new(1, "seventh", new CruiseSpeed(90, 6, 5000, 5300), Road, None, []);
        RememberedAim lostLoop = new(
            2,
            "lost",
            new MatchSetup(1, "x", [new("gone", 15, 45, null)], [], 2),
            Road,
            None,
            []
        );
        Assert.Empty(NearestAim.Find(Input(new FinalRatio(2.8, 3), seventh, lostLoop)).Matches);
    }
}
