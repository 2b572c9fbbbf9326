using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Fit;

public sealed class StartingMoverTests
{
    /// <summary>Whatever moves: the end of its way is where the loop is tight, so that a share of the way means the same.</summary>
    [Theory]
    [InlineData(MoverKind.Axle, LoopLayout.RearName)]
    [InlineData(MoverKind.BothArms, LoopLayout.RearName)]
    [InlineData(MoverKind.Motor, LoopLayout.FrontName)]
    [InlineData(MoverKind.Eccentric, LoopLayout.RearName)]
    [InlineData(MoverKind.Tensioner, "idler")]
    public void Every_kind_begins_slack_and_ends_tight(MoverKind kind, string wheel)
    {
        Idler back = new("idler", new(-320, -70), 40, false, RunSide.Back, LoopRun.Slack);
        foreach (bool mirrored in new[] { false, true })
        {
            LoopLayout layout = Slot(620, 660, back) with { Mover = null, Rear = new(mirrored ? 640 : -640, 0) };
            if (mirrored)
                layout = layout with
                {
                    Turning = Turning.Counterclockwise,
                    Idlers = [back with { Centre = new(320, -70) }],
                };
            LoopFitInput input = Motorcycle(layout, 15, 45, 112);
            Mover mover = StartingMover.Of(new(input.Drive, input.Choice, layout, kind));
            Assert.Equal((kind, wheel), (mover.Kind, mover.Wheel));
            double At(double share) =>
                LoopFit
                    .Of(input with { Layout = layout with { Mover = mover }, TravelMm = share * mover.Track.LengthMm })
                    .Path.LengthMm;
            Assert.True(At(0.2) < At(0.5) && At(0.5) < At(0.8), $"{kind}, mirrored {mirrored}");
        }
    }

    /// <summary>A length that closes a tenth of the way along the slot closes a tenth of the way along the motor's slides.</summary>
    [Fact]
    public void The_same_length_stands_at_the_same_share_of_the_way()
    {
        LoopFitInput axle = Motorcycle(Slot(626, 666), 15, 45, 110);
        LoopLayout still = axle.Layout with { Mover = null, Rear = new(-646, 0) };
        double ShareOf(MoverKind kind)
        {
            Mover mover = StartingMover.Of(new(axle.Drive, axle.Choice, still, kind));
            return LoopFit
                .Of(axle with { Layout = still with { Mover = mover } })
                .Lengths.Single(l => l.Length == 110)
                .TravelUsedPercent!.Value;
        }
        Assert.Equal(ShareOf(MoverKind.Axle), ShareOf(MoverKind.Motor), 0.01);
        Assert.InRange(ShareOf(MoverKind.Motor), 0, 50);
    }

    [Fact]
    public void A_way_that_was_measured_is_kept_and_a_tensioner_wants_its_idler()
    {
        LoopFitInput input = Motorcycle(Slot(620, 660), 15, 45, 112);
        Mover arms = StartingMover.Of(new(input.Drive, input.Choice, input.Layout, MoverKind.BothArms));
        Assert.Equal(input.Layout.Mover!.Track, arms.Track);
        Refusals.Names(
            "Layout.Idlers",
            () => StartingMover.Of(new(input.Drive, input.Choice, input.Layout, MoverKind.Tensioner))
        );
        Refusals.Names(
            "Wheel",
            () => StartingMover.Of(new(input.Drive, input.Choice, input.Layout, MoverKind.Axle, "nowhere"))
        );
    }
}
