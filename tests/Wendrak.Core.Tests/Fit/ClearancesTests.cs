using Wendrak.Core.Fit;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Tables;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Fit;

public sealed class ClearancesTests
{
    private static ClearanceFigure Gap(Point from, Point to, double least = 3, double? back = null, double moves = 0)
    {
        LoopLayout layout = Slot(628, 668) with { Limits = [new("pad", from, to, least, moves)] };
        LoopFitInput input = Motorcycle(layout, 15, 45, 112);
        double closing = LoopFit.Evaluate(input).ClosingTravelMm!.Value;
        return LoopFit.Evaluate(input with { TravelMm = closing - (back ?? 0) }).Clearances.Single();
    }

    private static double OutsideRadius(int teeth) => 15.875 * (0.6 + 1 / Math.Tan(Math.PI / teeth)) / 2; // ASME B29.1

    [Fact]
    public void Tips_are_measured_from_the_outside_diameter()
    {
        ClearanceFigure gap = Gap(new(OutsideRadius(15) + 5, -50), new(OutsideRadius(15) + 5, 50));
        Assert.Equal(("tips of front", ClearanceState.Clear), (gap.Part, gap.State));
        Assert.Equal(5, gap.GapMm, 1e-6);
        Assert.Equal(ClearanceState.Near, Gap(new(OutsideRadius(15) + 2, 0), new(OutsideRadius(15) + 2, 0)).State);
        Assert.Equal(ClearanceState.Rubs, Gap(new(OutsideRadius(15) - 1, 0), new(OutsideRadius(15) - 1, 0)).State);
    }

    /// <summary>The upper run of 15/45 with the centres level: at its middle it is (R1 + R2)/2 / cos α above them.</summary>
    [Fact]
    public void A_run_is_measured_from_the_edge_of_its_plates()
    {
        double centre = ChainLength.CentreMm(15.875, 15, 45, 112);
        double r1 = SprocketSize.PitchRadiusMm(15.875, 15);
        double r2 = SprocketSize.PitchRadiusMm(15.875, 45);
        double cos = Math.Sqrt(1 - Math.Pow((r2 - r1) / centre, 2));
        Point above = new(-centre / 2, (r1 + r2) / 2 / cos + 20);
        ClearanceFigure gap = Gap(above, above);
        Assert.Equal("run rear–front", gap.Part);
        // Square to the run, so shorter by the cosine of its slope.
        Assert.Equal(20 * cos - Chains.Find("520")!.PlateHeightMm!.Value / 2, gap.GapMm, 1e-3);
    }

    [Fact]
    public void A_slack_run_may_rub_although_it_is_clear_when_taut()
    {
        Point below = new(-320, -95);
        Assert.Equal(ClearanceState.Clear, Gap(below, below).State);
        ClearanceFigure slack = Gap(below, below, 3, 1);
        Assert.Equal(ClearanceState.RubsWhenSlack, slack.State);
        Assert.True(slack.GapMm > 0);
        // Beside the sprocket the run hardly swings.
        Point atTheEnd = new(-10, -62);
        Assert.Equal(ClearanceState.Clear, Gap(atTheEnd, atTheEnd, 3, 1).State);
        // The tight run does not swing.
        Point above = new(-320, 95);
        Assert.Equal(ClearanceState.Clear, Gap(above, above, 3, 1).State);
    }

    [Fact]
    public void An_edge_across_a_run_touches_it()
    {
        ClearanceFigure gap = Gap(new(-320, 0), new(-320, 200));
        Assert.Equal(ClearanceState.Rubs, gap.State);
        Assert.True(gap.GapMm < 0);
    }

    [Fact]
    public void A_neighbour_that_moves_takes_its_way_off_the_gap()
    {
        Point beside = new(OutsideRadius(15) + 5, 0);
        ClearanceFigure gap = Gap(beside, beside, moves: 1.5);
        Assert.Equal((5, 3.5), (Math.Round(gap.GapMm, 6), Math.Round(gap.WorstGapMm, 6)));
        Assert.Equal(ClearanceState.Clear, gap.State);
        Assert.Equal(ClearanceState.Near, Gap(beside, beside, moves: 2.5).State);
        Assert.Equal(ClearanceState.RubsWhenMoved, Gap(beside, beside, moves: 5.5).State);
        // What rubs already does not wait for the neighbour.
        Point inside = new(OutsideRadius(15) - 1, 0);
        Assert.Equal(ClearanceState.Rubs, Gap(inside, inside, moves: 5.5).State);
    }

    /// <summary>520 has rollers of 10.16 mm and plates 15.0 mm high (ISO 10190): 12.58 mm stand over the tips.</summary>
    [Theory]
    [InlineData(12.6, 0, true)]
    [InlineData(12.5, 0, false)]
    [InlineData(12.6, 0.5, false)]
    [InlineData(-1, 0, false)]
    public void A_chain_on_the_tips_finds_its_way_out_or_jams(double room, double moves, bool open)
    {
        Point edge = new(OutsideRadius(15) + room, 0);
        ChainJamClearance way = Gap(edge, edge, moves: moves).ChainJamClearance!;
        Assert.Equal(("front", open), (way.Wheel, way.IsOpen));
        Assert.Equal(room - moves, way.RoomMm, 1e-6);
        Assert.Equal(12.58, way.NeededMm, 1e-9);
    }

    [Fact]
    public void The_way_out_is_asked_of_the_sprocket_nearest_to_the_edge_and_never_of_a_belt()
    {
        Point behind = new(-800, 0);
        Assert.Equal("rear", Gap(behind, behind).ChainJamClearance!.Wheel);
        LoopLayout belt = Slot(628, 668) with { Limits = [new("guard", behind, behind, 3)] };
        Assert.Null(LoopFit.Evaluate(Belt(belt, 28, 40, 140)).Clearances.Single().ChainJamClearance);
    }

    [Fact]
    public void Wrong_limits_are_named()
    {
        void Refused(string field, ClearanceLimit limit) =>
            Refusals.Names(
                field,
                () => LoopFit.Evaluate(Motorcycle(Slot(628, 668) with { Limits = [limit] }, 15, 45, 112))
            );
        Refused("Layout.Limits[0].Name", new("", new(0, 0), new(1, 1), 3));
        Refused("Layout.Limits[0].From.XMm", new("pad", new(double.NaN, 0), new(1, 1), 3));
        Refused("Layout.Limits[0].LeastMm", new("pad", new(0, 0), new(1, 1), -1));
        Refused("Layout.Limits[0].MovesMm", new("pad", new(0, 0), new(1, 1), 3, -1));
        ClearanceLimit pad = new("pad", new(0, 90), new(1, 90), 3);
        Refusals.Names(
            "Layout.Limits[1].Name",
            () => LoopFit.Evaluate(Motorcycle(Slot(628, 668) with { Limits = [pad, pad] }, 15, 45, 112))
        );
    }
}
