using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>Every bound of a drive is refused by the field it belongs to.</summary>
public sealed class DriveRulesTests
{
    private static void IsRefusedAt(string field, Drive drive) =>
        Assert.Contains(DriveRules.Check(drive).Issues, i => i.Field == field);

    private static Drive With(Func<Loop, Loop> change)
    {
        Drive drive = Drives.Motorcycle();
        return drive with { Stages = [.. drive.Stages.Select(s => s is Loop loop ? change(loop) : s)] };
    }

    [Fact]
    public void A_sound_drive_has_no_issue() => Assert.Empty(DriveRules.Check(Drives.Motorcycle()).Issues);

    public static TheoryData<DriveInput, string> Inputs =>
        new()
        {
            { new("in", InputKind.Engine, 0, 10000, null), "Input.LowSpeedRpm" },
            { new("in", InputKind.Engine, double.NaN, 10000, null), "Input.LowSpeedRpm" },
            { new("in", InputKind.Engine, 1000, 1e9, null), "Input.LimitSpeedRpm" },
            { new("in", InputKind.Engine, 5000, 4000, null), "Input.LimitSpeedRpm" },
            { new("", InputKind.Engine, 1000, 10000, null), "Input.Shaft" },
            { new("in", InputKind.Rider, 50, 100, 10), "Input.CrankLengthMm" },
            { new("in", InputKind.Rider, 50, 100, double.PositiveInfinity), "Input.CrankLengthMm" },
            { new("in", (InputKind)99, 50, 100, null), "Input.Kind" },
        };

    [Theory, MemberData(nameof(Inputs))]
    public void An_impossible_input_is_refused(DriveInput input, string field) =>
        IsRefusedAt(
            field,
            Drives.Motorcycle() with
            {
                Input = input with { Shaft = input.Shaft.Length == 0 ? "" : "in" },
            }
        );

    [Theory]
    [InlineData(-0.01)]
    [InlineData(0.11)]
    [InlineData(double.NaN)]
    public void A_belt_slips_between_nothing_and_a_tenth(double slip) =>
        IsRefusedAt(
            "Stages[2].SlipFraction",
            With(l => l with { DriveElement = DriveElement.VBelt, SlipFraction = slip })
        );

    [Fact]
    public void Teeth_do_not_slip() => IsRefusedAt("Stages[2].SlipFraction", With(l => l with { SlipFraction = 0.01 }));

    [Theory]
    [InlineData(DriveElement.Chain)]
    [InlineData(DriveElement.ToothedBelt)]
    public void A_toothed_loop_cannot_be_crossed(DriveElement element) =>
        IsRefusedAt(
            "Stages[2].Arrangement",
            With(l => l with { DriveElement = element, Arrangement = BeltArrangement.Crossed })
        );

    [Theory]
    [InlineData(4)]
    [InlineData(501)]
    public void A_limit_of_the_machine_must_be_a_wheel(double teeth)
    {
        IsRefusedAt("Stages[2].LargestRear", With(l => l with { LargestRear = teeth }));
        IsRefusedAt("Stages[2].SmallestFront", With(l => l with { SmallestFront = teeth }));
    }

    [Theory]
    [InlineData(0.001)]
    [InlineData(-1.0)]
    [InlineData(1000.0)]
    public void A_gear_ratio_has_its_bounds(double reduction)
    {
        Gearbox box = new("box", "box", "in", "out", new(1, 1, "set", [2, reduction], true, null));
        IsRefusedAt("Stages[0].Set.Reductions[1]", Drives.WithStages([box]));
    }

    [Theory]
    [InlineData(0.0)]
    [InlineData(25.0)]
    public void A_hub_factor_has_its_bounds(double factor) =>
        IsRefusedAt(
            "Stages[0].SpeedFactors[0]",
            Drives.WithStages([new HubGear("hub", "hub", "in", "out", "hub", [factor], null)])
        );

    [Fact]
    public void More_gears_than_a_page_can_show_are_refused()
    {
        double[] ten = [.. Enumerable.Range(1, 10).Select(g => (double)g)];
        Drive drive = Drives.WithStages([
            new Gearbox("a", "a", "in", "mid", new(1, 1, "ten", ten, false, null)),
            new Gearbox("b", "b", "mid", "out", new(1, 1, "ten", ten, false, null)),
        ]);
        IsRefusedAt("Stages", drive);
    }

    [Fact]
    public void A_drive_without_an_output_is_refused() =>
        IsRefusedAt("Outputs", Drives.Motorcycle() with { Outputs = [] });

    [Fact]
    public void An_output_sits_on_a_shaft_of_its_drive_and_has_a_readable_size()
    {
        IsRefusedAt("Outputs[0].Shaft", Drives.Motorcycle() with { Outputs = [new("w", "nowhere", true, null)] });
        IsRefusedAt(
            "Outputs[0].RoadWheel.Size",
            Drives.Motorcycle() with
            {
                Outputs = [new("w", "axle", true, new("big", null))],
            }
        );
        IsRefusedAt(
            "Outputs[0].RoadWheel.RollOutMm",
            Drives.Motorcycle() with
            {
                Outputs = [new("w", "axle", true, new(null, 1))],
            }
        );
    }

    [Theory]
    [InlineData(-51)]
    [InlineData(51)]
    public void A_speedometer_is_not_wrong_by_half(double percent) =>
        IsRefusedAt("SpeedometerErrorPercent", Drives.Motorcycle() with { SpeedometerErrorPercent = percent });
}
