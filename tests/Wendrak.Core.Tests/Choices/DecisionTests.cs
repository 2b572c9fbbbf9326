using Wendrak.Core.Choices;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Choices;

/// <summary>The rule by which things are weighed.</summary>
public sealed class DecisionTests
{
    private static WishFact Fact(DriveWish wish, double value, SaidBy by = SaidBy.MeasuredHere) =>
        new(wish, value, value, by);

    private static WeighedOption Option(string key, params WishFact[] facts) =>
        new(key, false, facts, new Dictionary<DriveWish, int>());

    private static Decision Weigh(WishWeight[] wishes, params WeighedOption[] options) => Decision.Of(options, wishes);

    private static readonly WishWeight Cheap = new(DriveWish.LowCost, 2);
    private static readonly WishWeight Light = new(DriveWish.LowMass, 1);

    [Fact]
    public void Each_counts_by_its_part_of_the_best()
    {
        // By hand: a (2·1 + 1·0.5)/3, b (2·0.8 + 1·1)/3.
        Decision all = Weigh(
            [Cheap, Light],
            Option("a", Fact(DriveWish.LowCost, 80), Fact(DriveWish.LowMass, 2)),
            Option("b", Fact(DriveWish.LowCost, 100), Fact(DriveWish.LowMass, 1))
        );
        Assert.Equal(2.5 / 3, all.Scores[0].Score!.Value, 9);
        Assert.Equal(2.6 / 3, all.Scores[1].Score!.Value, 9);
        Assert.Equal((OutcomeKind.Ahead, "b", "a"), (all.Kind, all.First, all.Second));
        Assert.Equal([DriveWish.LowMass], all.By);
    }

    [Fact]
    public void More_is_better_of_a_life_and_of_wheels()
    {
        Decision all = Weigh(
            [new(DriveWish.LongLife, 3), new(DriveWish.RatioChanges, 1)],
            Option("a", Fact(DriveWish.LongLife, 60_000), Fact(DriveWish.RatioChanges, 0)),
            Option("b", Fact(DriveWish.LongLife, 15_000), Fact(DriveWish.RatioChanges, 3))
        );
        Assert.Equal((3 + 0.25) / 4, all.Scores[0].Score!.Value, 9);
        Assert.Equal((0.75 + 1) / 4, all.Scores[1].Score!.Value, 9);
    }

    [Fact]
    public void Ten_decibels_more_are_half_as_good()
    {
        // Twice as loud for 10 dB more: sone scale of ISO 532, from memory.
        Decision all = Weigh(
            [new(DriveWish.Quiet, 1)],
            Option("a", Fact(DriveWish.Quiet, 70)),
            Option("b", Fact(DriveWish.Quiet, 80))
        );
        Assert.Equal(0.5, all.Scores[1].Score!.Value, 9);
    }

    [Fact]
    public void What_must_be_so_excludes_whatever_else_speaks_for_it()
    {
        Decision all = Weigh(
            [Cheap],
            Option("a", Fact(DriveWish.LowCost, 1)) with
            {
                IsOut = true,
            },
            Option("b", Fact(DriveWish.LowCost, 100)),
            Option("c", Fact(DriveWish.LowCost, 90))
        );
        Assert.Equal("c", all.First);
        Assert.Null(all.Scores[0].Score);
        // The best that is left is the measure, not the one that is out.
        Assert.Equal(1, all.Scores[2].Score!.Value, 9);
    }

    [Fact]
    public void One_left_and_none_left_are_said()
    {
        WeighedOption isOut = Option("a", Fact(DriveWish.LowCost, 1)) with { IsOut = true };
        Assert.Equal(OutcomeKind.OneLeft, Weigh([Cheap], isOut, Option("b")).Kind);
        Assert.Equal(OutcomeKind.NothingLeft, Weigh([Cheap], isOut).Kind);
    }

    [Fact]
    public void A_wish_is_weighed_only_where_all_that_are_left_have_a_firm_figure()
    {
        Decision all = Weigh(
            [Cheap, Light],
            Option("a", Fact(DriveWish.LowCost, 80), Fact(DriveWish.LowMass, 1)),
            Option("b", Fact(DriveWish.LowCost, 100))
        );
        Assert.Equal([DriveWish.LowCost], all.Weighed);
        Assert.Equal([DriveWish.LowMass], all.NotWeighed);
        Assert.Equal(0.8, all.Scores[1].Score!.Value, 9);
    }

    [Theory]
    [InlineData(SaidBy.MeasuredHere, OutcomeKind.Ahead)]
    [InlineData(SaidBy.MakerOrStandard, OutcomeKind.Ahead)]
    [InlineData(SaidBy.CommonPractice, OutcomeKind.Equal)]
    [InlineData(SaidBy.OnePersonsWord, OutcomeKind.Equal)]
    public void A_figure_of_practice_or_of_one_person_turns_nothing(SaidBy by, OutcomeKind expected) =>
        Assert.Equal(
            expected,
            Weigh([Cheap], Option("a", Fact(DriveWish.LowCost, 10)), Option("b", Fact(DriveWish.LowCost, 100, by))).Kind
        );

    [Fact]
    public void Near_equals_are_equal()
    {
        Assert.Equal(
            OutcomeKind.Equal,
            Weigh([Cheap], Option("a", Fact(DriveWish.LowCost, 98)), Option("b", Fact(DriveWish.LowCost, 100))).Kind
        );
        Assert.Equal(
            OutcomeKind.Ahead,
            Weigh([Cheap], Option("a", Fact(DriveWish.LowCost, 96)), Option("b", Fact(DriveWish.LowCost, 100))).Kind
        );
    }

    [Fact]
    public void Among_equals_common_practice_is_asked_and_it_is_said_that_it_is_only_that()
    {
        WeighedOption Says(string key, double cost, int quiet) =>
            new(
                key,
                false,
                [Fact(DriveWish.LowCost, cost)],
                new Dictionary<DriveWish, int> { [DriveWish.Quiet] = quiet }
            );
        WishWeight[] wishes = [Cheap, new(DriveWish.Quiet, 1)];
        Decision equal = Weigh(wishes, Says("a", 99, -1), Says("b", 100, 1));
        Assert.Equal((OutcomeKind.PracticeOnly, "b"), (equal.Kind, equal.First));
        Assert.Equal([DriveWish.Quiet], equal.By);
        // It speaks for one that is dearer by far: that is not asked.
        Decision ahead = Weigh(wishes, Says("a", 99, -1), Says("b", 150, 1));
        Assert.Equal((OutcomeKind.Ahead, "a"), (ahead.Kind, ahead.First));
        // Behind by its figures it is not among those that practice chooses between.
        Decision among = Weigh(wishes, Says("a", 99, 0), Says("b", 100, 0), Says("c", 200, 1));
        Assert.Equal((OutcomeKind.Equal, null), (among.Kind, among.First));
    }

    [Fact]
    public void Without_a_wish_there_is_nothing_to_weigh() =>
        Assert.Equal(
            OutcomeKind.NothingAsked,
            Weigh([new(DriveWish.Quiet, 0)], Option("a", Fact(DriveWish.LowCost, 1)), Option("b")).Kind
        );

    [Fact]
    public void The_order_of_the_columns_does_not_matter()
    {
        Random random = new(5);
        for (int i = 0; i < 200; i++)
        {
            WeighedOption[] options =
            [
                .. "abcd".Select(k =>
                    Option($"{k}", [.. Enum.GetValues<DriveWish>().Select(w => Fact(w, random.Next(10, 100)))])
                ),
            ];
            WishWeight[] wishes = [.. Enum.GetValues<DriveWish>().Select(w => new WishWeight(w, random.Next(4)))];
            Decision one = Decision.Of(options, wishes);
            Decision other = Decision.Of([.. options.Reverse()], [.. wishes.Reverse()]);
            Assert.Equal((one.Kind, one.First), (other.Kind, other.First));
            Assert.All(one.Scores, s => Assert.True(s.Score is null or (> 0 and <= 1)));
        }
    }
}
