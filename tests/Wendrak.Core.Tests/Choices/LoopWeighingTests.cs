using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Choices;

/// <summary>What may be stored of a weighing.</summary>
public sealed class LoopWeighingTests
{
    private static readonly LoopWeighing Empty = LoopWeighing.Empty("final", null);

    private static void Check(params LoopWeighing[] weighings)
    {
        StoredMachine stored = Benches.Motorcycle();
        MachineRules.Check(stored.Machine with { Weighings = weighings }, stored.Fitted.Loops);
    }

    private static void Names(string field, params LoopWeighing[] weighings) =>
        Refusals.Names(field, () => Check(weighings));

    private static void Figures(string field, OptionFigures figures) =>
        Names($"Weighings[0].Figures[0].{field}", Empty with { Figures = [figures] });

    [Fact]
    public void A_whole_one_is_taken() =>
        Check(
            Empty with
            {
                Wishes = [new(DriveWish.Quiet, 3)],
                WishesOn = new(2026, 12, 1),
                Musts = [DriveMust.ToBeHad],
                Answers = [new("frameOpens", true)],
                Figures = [new("toothedBelt", Price: 400, ToBeHad: HowToBeHad.ToOrder, AskedOn: new(2026, 11, 21))],
                Reasons = [new("toothedBelt", ReasonSide.Against, "stones", SaidBy.OnePersonsWord, "Ann")],
                Shown = ["sealedChain", "toothedBelt"],
            },
            LoopWeighing.Empty("final", "joint")
        );

    [Fact]
    public void Every_field_that_is_wrong_is_named()
    {
        Names("Weighings[0].LoopKey", Empty with { LoopKey = "gone" });
        Names("Weighings[1].LoopKey", Empty, Empty);
        Names("Weighings[0].Matter", Empty with { Matter = "paint" });
        Names("Weighings[0].Wishes[0].Weight", Empty with { Wishes = [new(DriveWish.Quiet, 4)] });
        Names("Weighings[0].Wishes[0].Wish", Empty with { Wishes = [new((DriveWish)99, 1)] });
        Names("Weighings[0].Wishes[1]", Empty with { Wishes = [new(DriveWish.Quiet, 1), new(DriveWish.Quiet, 2)] });
        Names("Weighings[0].Musts[0]", Empty with { Musts = [(DriveMust)99] });
        Names("Weighings[0].Answers[0].Question", Empty with { Answers = [new("why", true)] });
        Names("Weighings[0].Shown[0]", Empty with { Shown = ["rope"] });
        Names("Weighings[0].Shown", Empty with { Shown = ["plainChain", "sealedChain", "vBelt", "shaft", "direct"] });
        Names("Weighings[0].RatePerHour", Empty with { RatePerHour = -1 });
        Names("Weighings[0].FuelPrice", Empty with { FuelPrice = double.NaN });
        Names("Weighings[0].LevelHow", Empty with { LevelHow = " " });
        Names(
            "Weighings[0].Reasons[0].Text",
            Empty with
            {
                Reasons = [new("shaft", ReasonSide.For, "", SaidBy.CommonPractice)],
            }
        );
        Names(
            "Weighings[0].Reasons[0].Option",
            Empty with
            {
                Reasons = [new("rope", ReasonSide.For, "strong", SaidBy.CommonPractice)],
            }
        );
        Names("Weighings[0].Figures[0].Option", Empty with { Figures = [new("clip")] });
    }

    [Fact]
    public void Figures_that_belong_together_are_said_together()
    {
        Figures("OilEvery", new("plainChain", OilCost: 1));
        Figures("OilCost", new("plainChain", OilEvery: 800));
        Figures("UpkeepEvery", new("plainChain", UpkeepMinutes: 5));
        Figures("UpkeepMinutes", new("plainChain", UpkeepEvery: 5));
        Figures("FailureCost", new("plainChain", Failures: 1));
        Figures("Failures", new("plainChain", FailureCost: 1));
        Figures("AskedOn", new("plainChain", ToBeHad: HowToBeHad.AnyShop));
        Figures("LifeHigh", new("plainChain", LifeLow: 20_000, LifeHigh: 10_000));
        Figures("LifeLow", new("plainChain", LifeLow: 0));
        Figures("MassKg", new("plainChain", MassKg: 0));
    }

    [Fact]
    public void A_weighing_goes_with_its_loop()
    {
        Machine machine = Benches.Motorcycle().Machine with { Weighings = [Empty, Empty with { LoopKey = "gone" }] };
        Assert.Equal([Empty], MachineReconciling.ToDrives(machine).Weighings);
    }
}
