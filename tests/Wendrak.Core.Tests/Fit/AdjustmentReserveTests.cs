using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Fit;

public sealed class AdjustmentReserveTests
{
    private static LoopFitInput Counted(AdjusterKind kind, double? mmPerUnit) =>
        Motorcycle(Slot(640, 675), 15, 44, 112) with
        {
            Adjuster = new(kind, mmPerUnit),
        };

    /// <summary>engineering.md d5: the axle at 650.714 mm in a slot that ends at 675 mm has 24.286 mm to go.</summary>
    [Fact]
    public void What_is_left_of_a_slot_agrees_with_the_check_row()
    {
        AdjustmentReserve reserve = LoopFit.Evaluate(Counted(AdjusterKind.TwoEnds, null)).Reserve!;
        Published.AgreesWithin(0.01, 24.286, reserve.LeftMm, "engineering.md d5");
        Published.AgreesWithin(0.01, 69.388, reserve.LeftPercent, "engineering.md d5");
        Published.AgreesWithin(0.01, 2.71506, reserve.ElongationPercent, "engineering.md d5");
        Assert.Null(reserve.Steps);
        Assert.False(reserve.IsNearlyUsedUp);
    }

    [Theory]
    [InlineData(AdjusterKind.TwoEnds, AdjusterStepKind.Turn, 1.25, 19.43)]
    [InlineData(AdjusterKind.Cam, AdjusterStepKind.Click, 2.5, 9)]
    [InlineData(AdjusterKind.Shims, AdjusterStepKind.Shim, 24.2855, 1)]
    [InlineData(AdjusterKind.Shims, AdjusterStepKind.Shim, 24.3, 0)]
    public void It_is_counted_in_the_steps_of_the_adjuster(
        AdjusterKind kind,
        AdjusterStepKind counted,
        double travel,
        double steps
    )
    {
        AdjustmentReserve reserve = LoopFit.Evaluate(Counted(kind, travel)).Reserve!;
        Assert.Equal((counted, travel), (reserve.Step!.Kind, reserve.Step.TravelMm));
        Assert.Equal(steps, reserve.Steps!.Value, 0.005);
    }

    /// <summary>An eccentric of 8 mm is at its end with the axle farthest off, wherever on its way that is.</summary>
    [Theory]
    [InlineData(90, 180)]
    [InlineData(90, 130)]
    [InlineData(-90, -150)]
    public void An_eccentric_ends_where_the_path_is_longest_not_where_its_way_does(double start, double swing)
    {
        LoopLayout layout = Slot(640, 675) with
        {
            Moving = new(LoopLayout.RearName, new ArcTrack(new(-650, 0), 8, start, swing)),
        };
        LoopFitInput input = Motorcycle(layout, 15, 45, 112);
        AdjustmentReserve begin = LoopFit.Evaluate(input with { TravelMm = 0 }).Reserve!;
        // Farthest from the front wheel at 180°, a quarter turn on.
        Assert.Equal(8 * Math.PI / 2, begin.LeftMm, 0.05);
        AdjustmentReserve top = LoopFit.Evaluate(input with { TravelMm = 8 * Math.PI / 2 }).Reserve!;
        Assert.Equal(0, top.LeftMm, 0.05);
        Assert.Equal(0, top.ElongationPercent, 1e-4);
        Assert.True(top.IsNearlyUsedUp);
    }

    [Fact]
    public void It_warns_before_it_is_used_up()
    {
        double closing = LoopFit.Evaluate(Motorcycle(Slot(600, 700), 15, 44, 112)).CentreMm;
        FitFinding? Warned(double end) =>
            LoopFit
                .Evaluate(Motorcycle(Slot(closing - 90, end), 15, 44, 112))
                .Findings.FirstOrDefault(f => f.Kind == FitFindingKind.LittleReserve);
        Assert.Null(Warned(closing + 11));
        FitFinding warned = Warned(closing + 9)!;
        Assert.Equal((9, 9.9), (Math.Round(warned.Value, 4), Math.Round(warned.Limit, 4)));
        // Beyond the slot's end another finding says so.
        Assert.Null(Warned(closing - 1));
    }

    [Fact]
    public void Fixed_centres_have_none_and_a_wrong_step_is_named()
    {
        Assert.Null(LoopFit.Evaluate(Motorcycle(Slot(640, 675) with { Moving = null }, 15, 44, 112)).Reserve);
        foreach (double travel in new[] { 0, -1, double.NaN, 101 })
            Refusals.Names("Adjuster.MmPerUnit", () => LoopFit.Evaluate(Counted(AdjusterKind.Cam, travel)));
        Refusals.Names("Adjuster.Kind", () => LoopFit.Evaluate(Counted((AdjusterKind)99, 1)));
    }

    /// <summary>A way that is not the same with every turn is not counted in turns.</summary>
    [Theory]
    [InlineData(AdjusterKind.Eccentric)]
    [InlineData(AdjusterKind.SpringSlide)]
    [InlineData(AdjusterKind.SprungArm)]
    public void What_is_not_counted_has_no_steps(AdjusterKind kind) =>
        Assert.Null(LoopFit.Evaluate(Counted(kind, 1.25)).Reserve!.Step);

    /// <summary>8M belts of 100, 110, 120 … teeth are of the series; others are made, but not by all.</summary>
    [Fact]
    public void Standard_belt_lengths_stand_first_and_are_recommended_where_one_reaches()
    {
        LoopFitResult fit = LoopFit.Evaluate(Belt(Slot(300, 360), 28, 70, 133));
        FittingLength[] standard = [.. fit.Lengths.TakeWhile(l => l.IsStandard == true)];
        Assert.Equal([130.0, 140], standard.Select(l => l.Length));
        Assert.All(fit.Lengths.Skip(standard.Length), l => Assert.False(l.IsStandard));
        Assert.Equal((130.0, LengthReason.StandardLength), (fit.RecommendedLength, fit.Reason));
        Assert.All(LoopFit.Evaluate(Motorcycle(Slot(628, 668), 15, 43, 110)).Lengths, l => Assert.Null(l.IsStandard));
    }
}
