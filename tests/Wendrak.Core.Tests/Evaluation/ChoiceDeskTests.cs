using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Evaluation.ChoiceCases;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What is weighed in the place of a loop of a stored machine.</summary>
public sealed class ChoiceDeskTests
{
    [Fact]
    public void One_begins_with_the_wishes_of_an_aim()
    {
        StoredMachine stored = Moderate() with
        {
            Aims =
            [
                new(
                    1,
                    1,
                    7,
                    "Dyke road",
                    "drive",
                    new FinalRatio(2, 4),
                    new(null, null, null),
                    new(1, 3, 2, 3, 3, 0),
                    null,
                    []
                ),
            ],
        };
        ChoiceDesk desk = Desk(stored: stored);
        Assert.Equal("Dyke road", desk.WishesFrom);
        Assert.Equal(
            [(DriveWish.LittleUpkeep, 1), (DriveWish.Quiet, 3), (DriveWish.LittleLoss, 2)],
            desk.Weighing.Wishes.Select(w => (w.Wish, w.Weight))
        );
        Assert.Null(Desk(Begun, stored).WishesFrom);
    }

    [Fact]
    public void What_is_stored_is_what_is_weighed()
    {
        StoredMachine stored = Moderate();
        stored = stored with { Machine = stored.Machine with { Weighings = [Begun] } };
        Assert.Equal(Begun, Desk(stored: stored).Weighing);
        Assert.Null(Desk(stored: stored, matter: "joint").Weighing.RatePerHour);
    }

    [Fact]
    public void An_answer_puts_a_kind_under_watch_or_out_with_its_reason()
    {
        ChoiceDesk open = Desk(Begun);
        Assert.Equal(["livesFromOil", "frameOpens", "stonesReach"], Of(open, "toothedBelt").Open);
        Assert.Equal([], Of(open, "plainChain").Open);

        ChoiceDesk closed = Desk(Begun with { Answers = [new("frameOpens", false), new("stonesReach", true)] });
        ChoiceColumn belt = Of(closed, "toothedBelt");
        Assert.Equal([new(OutBecause.Answer, null, ChoiceQuestions.Find("frameOpens")!.Because)], belt.Out);
        Assert.Equal([ChoiceQuestions.Find("stonesReach")!.Because], belt.Watched);
        Assert.NotEqual("toothedBelt", closed.Outcome.First);

        ChoiceDesk fine = Desk(Begun with { Answers = [new("frameOpens", true), new("stonesReach", false)] });
        Assert.Equal((0, 0), (Of(fine, "toothedBelt").Out.Count, Of(fine, "toothedBelt").Watched.Count));
    }

    [Fact]
    public void A_belt_inside_is_asked_whether_it_runs_in_oil()
    {
        StoredMachine stored = Moderate();
        Drive drive = stored.Machine.Drives[0];
        Loop loop = drive.Stages.OfType<Loop>().Single();
        Drive inside = drive with
        {
            Stages =
            [
                .. drive.Stages.Where(s => s != loop),
                loop with
                {
                    DrivenShaft = "jack",
                },
                loop with
                {
                    Key = "rear",
                    DrivingShaft = "jack",
                },
            ],
        };
        stored = Benches.Of(
            stored.Machine with
            {
                Drives = [inside],
                Layouts = null,
            },
            [new("final", 15, 30, null), new("rear", 15, 45, null)]
        );
        string[] asked = [.. Desk(Begun, stored).Questions.Select(q => q.Key)];
        Assert.Contains("runsInOil", asked);
        Assert.DoesNotContain("stonesReach", asked);
    }

    [Theory]
    [InlineData(DriveMust.FrameStaysClosed, "toothedBelt")]
    [InlineData(DriveMust.RunsDry, "sealedChain plainChain")]
    [InlineData(DriveMust.SlipsFirst, "sealedChain toothedBelt plainChain")]
    [InlineData(DriveMust.NeverSlips, "")]
    [InlineData(DriveMust.SameSense, "")]
    [InlineData(DriveMust.ToBeHad, "")]
    public void What_must_be_so_excludes(DriveMust must, string isOut) =>
        Assert.Equal(
            isOut,
            string.Join(' ', Desk(Begun with { Musts = [must] }).Columns.Where(c => c.Out.Count > 0).Select(c => c.Key))
        );

    [Fact]
    public void What_is_not_to_be_had_is_out_where_that_must_be_so()
    {
        LoopWeighing weighing = Begun.WithFigures(
            Begun.Figures[1] with
            {
                ToBeHad = HowToBeHad.NotToBeHad,
                AskedOn = Today,
            }
        );
        Assert.Empty(Of(Desk(weighing), "toothedBelt").Out);
        Assert.Equal(
            [new(OutBecause.Must, DriveMust.ToBeHad, null)],
            Of(Desk(weighing with { Musts = [DriveMust.ToBeHad] }), "toothedBelt").Out
        );
    }

    [Fact]
    public void Wishes_are_asked_again_once_something_else_went_on()
    {
        StoredMachine stored = Moderate();
        stored = stored with { Fitted = stored.Fitted with { FittedOn = new(2026, 11, 20) } };
        Assert.False(Desk(Begun, stored).AskWishesAgain);
        Assert.False(Desk(Begun with { WishesOn = new(2026, 11, 20) }, stored).AskWishesAgain);
        Assert.True(Desk(Begun with { WishesOn = new(2026, 11, 19) }, stored).AskWishesAgain);
    }

    [Theory]
    [InlineData(MachineKind.Winch, false)]
    [InlineData(MachineKind.Motorcycle, true)]
    public void What_hoists_or_flies_gets_figures_only(MachineKind kind, bool lifts)
    {
        StoredMachine stored = Moderate();
        stored = stored with
        {
            Machine = stored.Machine with
            {
                Kind = kind,
                Loads = new([new("drive", PeakTorqueNm: 12, LiftsOrFlies: lifts)], []),
            },
        };
        ChoiceDesk desk = Desk(Begun, stored);
        Assert.Equal((OutcomeKind.FiguresOnly, null), FirstOf(desk));
        Assert.Empty(desk.Turns);
        Assert.Empty(desk.Outcome.Scores);
        Assert.All(desk.Columns, c => Assert.Equal(KindHolds.FiguresOnly, c.Place!.Holds));
        Assert.All(desk.Columns, c => Assert.NotNull(c.Cost));
    }

    [Fact]
    public void Parts_are_weighed_the_same_way()
    {
        LoopWeighing weighing = LoopWeighing.Empty("final", "wheelMaterial") with
        {
            Wishes = [new(DriveWish.LongLife, 1)],
            Figures =
            [
                new("alloy", LifeLow: 8_000, LifeBy: SaidBy.MeasuredHere),
                new("steel", LifeLow: 24_000, LifeBy: SaidBy.MeasuredHere),
                new("steelRing", LifeLow: 20_000, LifeBy: SaidBy.MeasuredHere),
            ],
        };
        ChoiceDesk desk = Desk(weighing, matter: "wheelMaterial");
        Assert.Equal((OutcomeKind.Ahead, "steel"), FirstOf(desk));
        Assert.Contains(desk.Turns, t => t is { By: TurnedBy.Life, Option: "steelRing", First: "steelRing" });
        Assert.Empty(desk.Questions);
        Assert.All(desk.Columns, c => Assert.Null(c.Place));
    }

    /// <summary>Said here as at Loads: a weighing speaks no freer than the margins do.</summary>
    [Theory]
    [InlineData(MachineKind.Robot, true)]
    [InlineData(MachineKind.Motorcycle, false)]
    public void That_nobody_said_whether_it_lifts_stands_in_the_weighing(MachineKind kind, bool isUnsaid)
    {
        StoredMachine machine = StoredMachine.From(StartingMachines.For(kind), Today);
        string loop = MachineRules.LoopsOf(machine.Machine).First().Key;
        Assert.Equal(isUnsaid, ChoiceDesk.Of(new(machine, null, loop, null), null, Today).IsLiftUnsaid);
    }

    [Fact]
    public void A_matter_that_the_loop_has_not_is_refused()
    {
        Refusals.Names("LoopKey", () => _ = new OptionsAtLoop(Moderate(), null, "gone", null));
        Refusals.Names("Matter", () => Desk(matter: "rubber"));
        Refusals.Names("Weighing.Matter", () => Desk(Begun, matter: "joint"));
        Refusals.Names("Weighing.LoopKey", () => Desk(Begun with { LoopKey = "first" }));
        Refusals.Names(
            "Weighing.Figures[0].Price",
            () => Desk(Begun.WithFigures(new("plainChain", Price: -1), alone: true))
        );
    }
}
