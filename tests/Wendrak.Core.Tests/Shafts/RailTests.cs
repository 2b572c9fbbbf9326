using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Shafts;

public sealed class RailTests
{
    private static readonly Drive Drive = Drives.WithStages(
        [Drives.Chain("one", "in", "jack"), Drives.Chain("two", "jack", "axle")],
        new DriveOutput("wheel", "axle", true, null)
    );

    private static LoopLayout Fixed(string key, double rearX, double rearY) =>
        new(key, Turning.Clockwise, new(5, 5), new(5 + rearX, 5 + rearY), [], null);

    private static readonly RailInput Input = new(
        Drive,
        [new("one", 15, 30, 80), new("two", 14, 40, 90)],
        [Fixed("one", -300, 0), Fixed("two", 0, -400)],
        [
            new("drive", "in", 100, 40, 12, [new("one", WheelSide.Front, 20, 10, 20, false)]),
            new("drive", "jack", 102, 40, 12, [new("one", WheelSide.Rear, 20, 10, 20, false)]),
            new("drive", "axle", 0, 40, 17, [new("two", WheelSide.Rear, 20, 10, 20, false)]),
        ],
        [new(10, 12, 4)]
    );

    [Fact]
    public void Loops_meet_on_the_shaft_they_share()
    {
        RailResult rail = Rail.LayOut(Input);
        Assert.Equal(rail.Loops[0].Path.Wheels[1].Centre, rail.Loops[1].Path.Wheels[0].Centre);
        Assert.Equal(new Point(-295, -395), rail.Loops[1].Path.Wheels[1].Centre);
        Assert.Equal(new Point(-295, 5), rail.Shafts[1].Centre);
        foreach (RailLoop loop in rail.Loops)
            Assert.Equal(
                loop.Path.Spans[0].LengthMm,
                loop.Path.Spans[0].Start.DistanceTo(loop.Path.Spans[0].End),
                1e-9
            );
    }

    [Fact]
    public void A_row_s_offset_is_the_difference_of_its_planes_across_the_machine()
    {
        RailResult rail = Rail.LayOut(Input);
        Assert.Equal(
            (120.0, 122.0, 2.0),
            (rail.Loops[0].FrontPlaneMm, rail.Loops[0].RearPlaneMm, rail.Loops[0].OffsetMm)
        );
        Assert.Equal((1, false), (rail.Loops[0].AllowedMm, rail.Loops[0].IsInRow));
        ShaftWidths[] aligned = [.. Input.Shafts.Select(s => s with { LeftMm = 100 })];
        Assert.True(Rail.LayOut(Input with { Shafts = aligned }).Loops[0].IsInRow);
        Assert.Null(rail.Loops[1].IsInRow);
        // No spacer goes on the 17 mm axle.
        Assert.Null(rail.Shafts[2].Stacks);
        Assert.Null(rail.Loops[1].OffsetMm);
    }

    [Fact]
    public void Loops_without_a_layout_are_left_out_and_wrong_wheels_refused()
    {
        Refusals.Names(
            "Layouts[1].front",
            () => Rail.LayOut(Input with { Layouts = [Input.Layouts[0], Fixed("two", 20, 0)] })
        );
        Refusals.Names(
            "Shafts[1].LengthMm",
            () => Rail.LayOut(Input with { Shafts = [Input.Shafts[0], Input.Shafts[1] with { LengthMm = 0 }] })
        );
        Refusals.Names("Spacers[0].BoreMm", () => Rail.LayOut(Input with { Spacers = [new(10, double.NaN, 4)] }));
        Assert.Single(Rail.LayOut(Input with { Layouts = [Fixed("one", -300, 0)] }).Loops);
        Assert.NotEmpty(
            Refusals.Of(() => Rail.LayOut(Input with { Loops = [new("one", 0, 30, 80), new("two", 14, 40, 90)] }))
        );
    }
}
