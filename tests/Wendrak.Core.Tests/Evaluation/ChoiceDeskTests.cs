using System.Text.Json;
using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What is weighed in the place of a loop of a stored machine.</summary>
public sealed class ChoiceDeskTests
{
    private static readonly DateOnly Today = new(2026, 12, 1);
    private static readonly string[] Three = ["sealedChain", "toothedBelt", "plainChain"];

    private static readonly LoopWeighing Begun = LoopWeighing.Empty("final", null) with
    {
        Shown = Three,
        Wishes = [new(DriveWish.LowCost, 2), new(DriveWish.LowMass, 1)],
        RatePerHour = 30,
        Figures =
        [
            new("sealedChain", Price: 150, LifeLow: 15_000, LifeHigh: 30_000, LifeBy: SaidBy.MeasuredHere),
            new("toothedBelt", Price: 400, LifeLow: 60_000, LifeHigh: 80_000, LifeBy: SaidBy.MakerOrStandard),
            new("plainChain", Price: 60, LifeLow: 8_000, LifeHigh: 10_000, LifeBy: SaidBy.MakerOrStandard),
        ],
    };

    private static ChoiceDesk Desk(
        LoopWeighing? weighing = null,
        StoredMachine? stored = null,
        Workshop? workshop = null,
        string? matter = null,
        DateOnly? on = null
    ) => ChoiceDesk.Of(stored ?? Moderate(), workshop, "final", matter, weighing, on ?? Today);

    /// <summary>Not so strong that its own chain would not hold.</summary>
    private static StoredMachine Moderate()
    {
        StoredMachine stored = Benches.Motorcycle();
        return stored with
        {
            Machine = stored.Machine with { Loads = new([new("drive", PeakTorqueNm: 12, PeakPowerKw: 8)], []) },
        };
    }

    private static ChoiceColumn Of(ChoiceDesk desk, string key) => desk.Columns.Single(c => c.Key == key);

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
    public void The_cheapest_to_run_comes_first_and_its_payback_is_told()
    {
        LoopWeighing weighing = Begun.WithFigures(
            new(
                "toothedBelt",
                Price: 400,
                LifeLow: 60_000,
                LifeHigh: 80_000,
                LifeBy: SaidBy.MakerOrStandard,
                Conversion: 300
            )
        );
        ChoiceDesk desk = Desk(weighing);
        Assert.Equal((OutcomeKind.Ahead, "toothedBelt"), (desk.Outcome.Kind, desk.Outcome.First));
        // By hand: the middle of 150/15 and 150/30 is 7.50, of 400/60 and 400/80 5.83 for 1 000 km: 300/(7.5 − 5.8333) in thousands.
        Assert.Equal(300 / (7.5 - 35 / 6.0) * 1_000, Of(desk, "toothedBelt").PaidBackAfter!.Value, 3);
        Assert.Null(Of(desk, "sealedChain").PaidBackAfter);
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

    [Theory]
    [InlineData(92, false)]
    [InlineData(93, true)]
    public void What_was_asked_more_than_a_season_ago_is_asked_again(int days, bool isLongAgo) =>
        Assert.Equal(
            isLongAgo,
            Of(
                Desk(
                    Begun.WithFigures(
                        Begun.Figures[1] with
                        {
                            ToBeHad = HowToBeHad.AnyShop,
                            AskedOn = Today.AddDays(-days),
                        }
                    )
                ),
                "toothedBelt"
            ).IsAskedLongAgo
        );

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

    private static (OutcomeKind, string?) FirstOf(ChoiceDesk desk) => (desk.Outcome.Kind, desk.Outcome.First);

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

    [Fact]
    public void Levels_are_compared_by_one_method_only()
    {
        LoopWeighing weighing = Begun with
        {
            Wishes = [new(DriveWish.Quiet, 1)],
            Figures = [.. Begun.Figures.Select((f, i) => f with { LevelDb = 81 - 11 * i })],
        };
        Assert.Equal([DriveWish.Quiet], Desk(weighing).Outcome.NotWeighed);
        ChoiceDesk told = Desk(weighing with { LevelHow = "at 1 m" });
        Assert.Equal([DriveWish.Quiet], told.Outcome.Weighed);
        // 11 dB less: 10^(11/20) by pressure, heard 2^(11/10) = 2.1 times as quiet. choice.md.
        Assert.Contains(
            Of(told, "toothedBelt").For,
            r =>
                r.Text.Contains("11 dB less", StringComparison.Ordinal)
                && r.Text.Contains("2.1 times", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Masses_are_weighed_all_with_their_wheels_or_all_without()
    {
        LoopWeighing weighing = Begun with { Wishes = [new(DriveWish.LowMass, 1)] };
        WishFact one = Mass(Desk(weighing.WithFigures(Begun.Figures[0] with { MassKg = 3 })), "sealedChain");
        Assert.Equal(SaidBy.MakerOrStandard, one.SaidBy);
        Assert.NotEqual(3, one.Middle);
        LoopWeighing all = weighing with { Figures = [.. Begun.Figures.Select((f, i) => f with { MassKg = 3 - i })] };
        Assert.Equal(
            (3, SaidBy.MeasuredHere),
            (Mass(Desk(all), "sealedChain").Middle, Mass(Desk(all), "sealedChain").SaidBy)
        );
    }

    private static WishFact Mass(ChoiceDesk desk, string key) =>
        Of(desk, key).Facts.Single(f => f.Wish == DriveWish.LowMass);

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

    [Fact]
    public void A_matter_that_the_loop_has_not_is_refused()
    {
        Refusals.Names("LoopKey", () => ChoiceDesk.Of(Moderate(), null, "gone", null, null, Today));
        Refusals.Names("Matter", () => Desk(matter: "rubber"));
        Refusals.Names("Weighing.Matter", () => Desk(Begun, matter: "joint"));
        Refusals.Names("Weighing.LoopKey", () => Desk(Begun with { LoopKey = "first" }));
        Refusals.Names(
            "Weighing.Figures[0].Price",
            () => Desk(Begun.WithFigures(new("plainChain", Price: -1), alone: true))
        );
    }

    [Fact]
    public void Every_figure_that_is_typed_counts()
    {
        OptionFigures full = new(
            "toothedBelt",
            400,
            60,
            20_000,
            30_000,
            SaidBy.MeasuredHere,
            2,
            900,
            10,
            4_000,
            SaidBy.MeasuredHere,
            3,
            0.5,
            200,
            300,
            70,
            2,
            HowToBeHad.ToOrder,
            Today
        );
        LoopWeighing weighing = Begun with
        {
            FuelPrice = 1.8,
            LevelHow = "at 1 m",
            Figures =
            [
                .. Three.Select(k =>
                    full with
                    {
                        Option = k,
                        Price = k == "toothedBelt" ? 200 : 500,
                        LevelDb = k.Length * 5,
                    }
                ),
            ],
        };
        OptionFigures at = weighing.Figures[1];
        (string Name, OptionFigures Changed)[] changes =
        [
            ("price", at with { Price = 500 }),
            ("fitting", at with { FitMinutes = 90 }),
            ("life, least", at with { LifeLow = 21_000 }),
            ("life, most", at with { LifeHigh = 31_000 }),
            ("who says how long", at with { LifeBy = SaidBy.OnePersonsWord }),
            ("oil", at with { OilCost = 3 }),
            ("how often oiled", at with { OilEvery = 800 }),
            ("upkeep", at with { UpkeepMinutes = 11 }),
            ("how often looked after", at with { UpkeepEvery = 3_000 }),
            ("who says how often", at with { UpkeepBy = SaidBy.OnePersonsWord }),
            ("fuel", at with { FuelPer100 = 4 }),
            ("failures", at with { Failures = 0.6 }),
            ("cost of a failure", at with { FailureCost = 300 }),
            ("conversion", at with { Conversion = 400 }),
            ("level", at with { LevelDb = 60 }),
            ("mass", at with { MassKg = 3 }),
            ("to be had", at with { ToBeHad = HowToBeHad.NotToBeHad }),
            ("asked on", at with { AskedOn = Today.AddDays(-200) }),
        ];
        string before = Told(weighing);
        foreach ((string name, OptionFigures changed) in changes)
            Assert.True(before != Told(weighing.WithFigures(changed)), name);
        Assert.Equal(typeof(OptionFigures).GetConstructors()[0].GetParameters().Length - 1, changes.Length);
        Assert.NotEqual(before, Told(weighing with { RatePerHour = 31 }));
        Assert.NotEqual(before, Told(weighing with { FuelPrice = 2 }));

        // What was typed is told back: it is left out of what it must change.
        static string Told(LoopWeighing typed)
        {
            ChoiceDesk desk = Desk(typed with { Musts = [DriveMust.ToBeHad] });
            return JsonSerializer.Serialize(
                (object)
                    new
                    {
                        desk.Outcome,
                        desk.Turns,
                        Columns = desk.Columns.Select(c => new
                        {
                            c.Cost,
                            c.PaidBackAfter,
                            c.Facts,
                            c.IsAskedLongAgo,
                            c.Out,
                            c.For,
                        }),
                    }
            );
        }
    }
}

file static class Typing
{
    public static LoopWeighing WithFigures(this LoopWeighing weighing, OptionFigures figures, bool alone = false) =>
        weighing with
        {
            Figures = [.. weighing.Figures.Where(f => !alone && f.Option != figures.Option), figures],
        };
}
