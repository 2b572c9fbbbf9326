using System.Text.Json;
using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Evaluation.ChoiceCases;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What is typed of each kind: cost, life, levels, masses, whether it can be had.</summary>
public sealed class ChoiceFigureTests
{
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
