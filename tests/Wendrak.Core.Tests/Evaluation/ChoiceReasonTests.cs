using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Evaluation.ChoiceCases;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Reasons for and against: who says them, and what they may turn.</summary>
public sealed class ChoiceReasonTests
{
    [Fact]
    public void One_persons_word_turns_nothing_and_stands_where_it_belongs()
    {
        ChoiceDesk before = Desk(Begun);
        ChoiceDesk after = Desk(
            Begun with
            {
                Reasons =
                [
                    .. Enumerable
                        .Range(0, 9)
                        .Select(i => new OwnReason(
                            "plainChain",
                            ReasonSide.For,
                            $"best {i}",
                            SaidBy.OnePersonsWord,
                            "Ann",
                            DriveWish.LowCost
                        )),
                ],
            }
        );
        Assert.Equal(before.Outcome.First, after.Outcome.First);
        Assert.Equal(before.Outcome.Scores, after.Outcome.Scores);
        Assert.Equal(9, Of(after, "plainChain").For.Count(r => r is { Who: "Ann", SaidBy: SaidBy.OnePersonsWord }));
    }

    [Fact]
    public void Common_practice_brought_up_here_counts_among_equals_only()
    {
        LoopWeighing weighing = LoopWeighing.Empty("final", null) with
        {
            Shown = Three,
            Wishes = [new(DriveWish.Quiet, 1)],
        };
        Assert.Equal((OutcomeKind.PracticeOnly, "toothedBelt"), FirstOf(Desk(weighing)));
        OwnReason[] reasons =
        [
            new("plainChain", ReasonSide.For, "quiet in its case", SaidBy.CommonPractice, null, DriveWish.Quiet),
            new("plainChain", ReasonSide.For, "quiet with a guide", SaidBy.CommonPractice, null, DriveWish.Quiet),
            new("toothedBelt", ReasonSide.Against, "whines", SaidBy.CommonPractice, null, DriveWish.Quiet),
            new("toothedBelt", ReasonSide.Against, "howls", SaidBy.CommonPractice, null, DriveWish.Quiet),
            new("toothedBelt", ReasonSide.Against, "sings", SaidBy.CommonPractice, null, DriveWish.Quiet),
        ];
        Assert.Equal((OutcomeKind.PracticeOnly, "plainChain"), FirstOf(Desk(weighing with { Reasons = reasons })));
    }

    [Fact]
    public void No_reason_of_the_trade_is_hidden()
    {
        ChoiceDesk desk = Desk(Begun);
        foreach (ChoiceColumn column in desk.Columns)
        foreach (ChoiceReason reason in ChoiceReasons.Of(column.Key, MachineKind.Motorcycle))
            Assert.Contains(
                reason.Side == ReasonSide.For ? column.For : column.Against,
                r => r.Text == reason.Text && r.SaidBy == reason.SaidBy && r.School == reason.School
            );
    }

    [Fact]
    public void Wheels_on_the_shelf_speak_for_what_they_go_on()
    {
        StockItem Wheel(long id, string standard, int count) =>
            new(id, 1, new(standard, WheelSide.Front, 15, null, count, null, true), null);
        Workshop workshop = new(
            [Wheel(1, "520", 1), Wheel(2, "520", 2), Wheel(3, "520", 0), Wheel(4, "8M", 1)],
            [],
            [],
            []
        );
        ChoiceDesk desk = Desk(Begun with { Wishes = [new(DriveWish.RatioChanges, 1)] }, workshop: workshop);
        Assert.Contains(Of(desk, "sealedChain").For, r => r.Text.StartsWith("2 wheels", StringComparison.Ordinal));
        Assert.Equal(2, Of(desk, "sealedChain").Facts.Single(f => f.Wish == DriveWish.RatioChanges).Middle);
    }
}
