using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Records;

/// <summary>Which readings belong to a setup that was on the machine once. The days and readings are made up.</summary>
public sealed class FittingAgainTests
{
    private static DateTimeOffset At(int day, int hour = 12) => new(2026, 5, day, hour, 0, 0, TimeSpan.Zero);

    private static Setup Setup(long id, int? fitted, DateTimeOffset? off = null, DateTimeOffset? on = null) =>
        Benches.Setup(id, SetupStatus.Former, []) with
        {
            FittedOn = fitted is int day ? new(2026, 5, day) : null,
            AsLeft = off is { } at ? new(on, at, null, null, null) : null,
        };

    private static SetJob Visit(DateTimeOffset? read, double play, int closedOn, bool isClosed = true) =>
        new(
            1,
            1,
            1,
            "final",
            new(2026, 5, 1),
            null,
            SetGoal.Both,
            [
                new(
                    0,
                    0,
                    LockState.Torqued,
                    [new(ReadingMethod.FreePlay, play), new(ReadingMethod.FreePlay, play + 4, 2)],
                    At: read
                ),
            ],
            [],
            isClosed ? new(new(2026, 5, closedOn), null, null, [], null, null) : null
        );

    private static IReadOnlyList<ReadingToReach> Reach(Setup of, Setup[] all, params SetJob[] visits) =>
        FittingAgain.Describe(of, [of, .. all], [], visits).ToReach;

    [Fact]
    public void The_last_one_closed_between_going_on_and_coming_off_counts()
    {
        Setup before = Setup(1, 1, At(10));
        Setup former = Setup(2, 10, At(20), At(10));
        ReadingToReach reach = Assert.Single(
            Reach(
                former,
                [before, Setup(3, 20)],
                Visit(At(10, 11), 20, 10), // of the one before, the same day
                Visit(At(10, 13), 30, 10),
                Visit(At(18), 35, 18),
                Visit(At(19), 50, 19, isClosed: false),
                Visit(At(20, 13), 60, 20) // of the one after
            )
        );
        Assert.Equal((35d, 39d, new DateOnly(2026, 5, 18)), (reach.Low, reach.High, reach.On));
    }

    [Fact]
    public void Where_nobody_kept_when_it_came_off_the_next_one_went_on_that_day()
    {
        Setup former = Setup(2, 10);
        Assert.Equal(
            30,
            Assert.Single(Reach(former, [Setup(3, 20)], Visit(At(19), 30, 19), Visit(At(20), 60, 20))).Low
        );
        // And one whose rounds tell no time counts by the day of its closing.
        Assert.Equal(31, Assert.Single(Reach(former, [Setup(3, 20)], Visit(null, 31, 19), Visit(null, 61, 21))).Low);
        Assert.False(FittingAgain.Describe(former, [former], [], []).IsPlaceKnown);
    }

    [Fact]
    public void A_visit_that_read_only_the_gap_is_to_be_reached_by_that_and_one_that_read_nothing_by_nothing()
    {
        SetJob read = Visit(At(12), 30, 12);
        SetJob Last(SetRound round) => read with { Rounds = [round] };
        ReadingToReach reach = Assert.Single(
            Reach(Setup(2, 10), [], Last(new(0, 0, LockState.Torqued, [], GapMm: 1.5, At: At(12))))
        );
        Assert.Equal((null, null, 1.5), (reach.Method, reach.Low, reach.GapMm));
        Assert.Empty(Reach(Setup(2, 10), [], Last(new(0, 0, LockState.Torqued, [], At: At(12)))));
    }

    [Fact]
    public void The_aim_is_the_one_it_did_best_by()
    {
        Setup former = Setup(2, 10);
        Aim Judged(string name, params (long Setup, int Score, int Day)[] outcomes) =>
            new(
                1,
                1,
                1,
                name,
                "drive",
                new Core.Gearing.FinalRatio(2, 3),
                new(null, null, null),
                new(0, 0, 0, 0, 0, 0),
                null,
                [
                    .. outcomes.Select(o => new Core.Gearing.AimOutcome(
                        new(2026, 5, o.Day),
                        o.Setup,
                        "x",
                        [],
                        new(null, null, null),
                        o.Score,
                        null
                    )),
                ]
            );
        Aim[] aims = [Judged("hill", (2, 4, 12), (3, 5, 12)), Judged("dyke", (2, 4, 14)), Judged("town", (2, 3, 16))];
        Assert.Equal("dyke", FittingAgain.Describe(former, [former], aims, []).AimName);
        Assert.Null(FittingAgain.Describe(Setup(9, 10), [former], aims, []).AimName);
    }

    [Fact]
    public void What_is_kept_of_then_is_put_back_and_what_it_does_not_tell_stays()
    {
        Machine now = Benches.Motorcycle().Machine;
        Setup plain = Benches.Setup(2, SetupStatus.Former, Drives.Pair(15, 45));
        Assert.Same(now, FittingAgain.MachineWith(now, plain));
        LoopSetting then = new("final", new(AdjusterKind.TwoEnds), FinalTorqueNm: 66);
        Setup former = plain with
        {
            AsLeft = new(null, At(20), [], null, [then, new("gone", new(AdjusterKind.TwoEnds))]),
        };
        Machine back = FittingAgain.MachineWith(now, former);
        Assert.Equal([then], back.Settings);
        Assert.Equal(now.Layouts, back.Layouts);
        Assert.Equal(now.Shafts, back.Shafts);
    }
}
