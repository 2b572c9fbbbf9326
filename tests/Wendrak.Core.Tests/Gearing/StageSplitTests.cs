using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>One loop that is asked too much. How much one stage should do, and its fewest teeth: common practice.</summary>
public sealed class StageSplitTests
{
    private static readonly Loop Chain = (Loop)
        StartingMachines.For(MachineKind.Motorcycle).Machine.Drives[0].Stages.First(s => s is Loop) with
    {
        Key = "final",
    };

    private static Loop Of(DriveElement element, string standard, double slip = 0) =>
        Chain with
        {
            DriveElement = element,
            Standard = standard,
            SlipFraction = slip,
            LargestRear = null,
            SmallestFront = null,
        };

    private static LoopChoice On(double front, double rear) => new("final", front, rear, null);

    private static StageSplit? Split(Loop loop, double ratio, MachineKind machine = MachineKind.Other) =>
        StageSplit.Of(loop, machine, On(15, 45), ratio, mostLarger: 100);

    private static readonly Loop Plain = Of(DriveElement.Chain, "08B");

    [Theory]
    [InlineData(7, false)]
    [InlineData(7.01, true)]
    [InlineData(1 / 7.01, true)]
    [InlineData(0.2, false)]
    [InlineData(-9, true)]
    public void More_than_seven_to_one_asks_for_a_second_stage_either_way_up(double ratio, bool isTooMuch) =>
        Assert.Equal(isTooMuch, Split(Plain, ratio) is { Because: SplitBecause.RatioTooLarge, Stages: 2 });

    [Fact]
    public void On_a_small_robot_three_to_one_is_the_end_of_one_loop()
    {
        Assert.Null(Split(Plain, 3, MachineKind.Robot));
        StageSplit split = Split(Plain, 4, MachineKind.Robot)!;
        Assert.Equal((3, 2.0), (split.MostRatio, split.Each));
        Assert.Equal([new(17, 34), new(17, 34)], split.Pairs);
        Assert.Equal(0, split.OffPercent, 9);
    }

    [Fact]
    public void Nine_to_one_is_three_by_three_with_the_fewest_smooth_teeth()
    {
        StageSplit split = Split(Plain, 9)!;
        Assert.Equal([new(17, 51), new(17, 51)], split.Pairs);
        Assert.Equal(9, split.Gives, 9);
        Assert.Equal(3, split.Workings[0].Result.Value, 9);
    }

    [Fact]
    public void A_loop_that_speeds_up_has_its_large_wheels_in_front() =>
        Assert.Equal([new(51, 17), new(51, 17)], Split(Plain, 1 / 9.0)!.Pairs);

    [Fact]
    public void Two_stages_of_seven_are_not_enough_for_sixty()
    {
        StageSplit split = Split(Plain, 60)!;
        Assert.Equal(3, split.Stages);
        Assert.Equal(3, split.Pairs.Count);
        Assert.Equal(Math.Cbrt(60), split.Each, 9);
        Assert.True(Math.Abs(split.OffPercent) <= 0.5);
    }

    [Theory]
    [InlineData(DriveElement.Chain, "08B", 0)]
    [InlineData(DriveElement.ToothedBelt, "8M", 0)]
    [InlineData(DriveElement.VBelt, "SPA", 0.015)]
    [InlineData(DriveElement.RoundBelt, "round", 0.02)]
    public void Any_ratio_is_shared_by_whole_wheels_near_it_none_larger_than_it_must_be(
        DriveElement element,
        string standard,
        double slip
    )
    {
        Loop loop = Of(element, standard, slip);
        for (double ratio = 7.1; ratio < 45; ratio *= 1.07)
        {
            StageSplit split = Split(loop, ratio)!;
            double gives = split.Pairs.Aggregate(1.0, (i, p) => i * p.RearSize / p.FrontSize / (1 - slip));
            Assert.Equal(gives, split.Gives, 9);
            Assert.Equal((gives / ratio - 1) * 100, split.OffPercent, 9);
            Assert.True(Math.Abs(split.OffPercent) <= 2, $"{ratio}: {split.OffPercent} %");
            Assert.All(split.Pairs, p => Assert.True(p.RearSize / p.FrontSize <= 7));
            Assert.All(split.Pairs, p => Assert.True(p.FrontSize >= (SmallWheel.AdvisedMinimum(loop) ?? 15)));
            if (element == DriveElement.VBelt)
                Assert.All(split.Pairs, p => Assert.Contains(p.RearSize, VSections.PreferredDatumDiametersMm));
            else
                Assert.All(split.Pairs, p => Assert.Equal(Math.Floor(p.RearSize), p.RearSize));
        }
    }

    [Fact]
    public void Too_few_teeth_in_the_room_there_is_ask_for_a_second_stage()
    {
        Loop tight = Plain with { LargestRear = 50 };
        // 13 teeth, the fewest that are more than a makeshift, would ask for 52 behind: of 50 that is too much, of 52 not.
        StageSplit split = StageSplit.Of(tight, MachineKind.Other, On(11, 44), 4, 2)!;
        Assert.Equal(SplitBecause.TooFewTeeth, split.Because);
        Assert.Equal((13.0, "teeth"), (split.FewestSize, split.SizeUnit));
        Assert.Null(StageSplit.Of(tight with { LargestRear = 52 }, MachineKind.Other, On(11, 44), 4, 2));
        // Where the room was not said, so much larger than what is on.
        Assert.Null(StageSplit.Of(Plain, MachineKind.Other, On(11, 44), 4, 1.19));
        Assert.NotNull(StageSplit.Of(Plain, MachineKind.Other, On(11, 44), 4, 1.17));
    }

    [Fact]
    public void What_begins_with_a_machine_is_not_asked_too_much()
    {
        foreach (MachineKind kind in Enum.GetValues<MachineKind>())
        {
            StoredMachine machine = StoredMachine.From(StartingMachines.For(kind), default);
            foreach (Loop loop in MachineRules.LoopsOf(machine.Machine))
                Assert.Null(ChoiceDesk.Of(new(machine, null, loop.Key, null), null, new(2026, 11, 1)).Split);
        }
    }
}
