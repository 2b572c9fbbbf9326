using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Fit;

public sealed class StartingAdjusterTests
{
    /// <summary>Whatever moves: the end of its way is where the loop is tight, so that a share of the way means the same.</summary>
    [Theory]
    [InlineData(AdjusterKind.TwoEnds, LoopLayout.RearName)]
    [InlineData(AdjusterKind.Cam, LoopLayout.RearName)]
    [InlineData(AdjusterKind.SlidingMotor, LoopLayout.FrontName)]
    [InlineData(AdjusterKind.Eccentric, LoopLayout.RearName)]
    [InlineData(AdjusterKind.SprungArm, "idler")]
    public void Every_kind_begins_slack_and_ends_tight(AdjusterKind kind, string wheel)
    {
        Idler back = new("idler", new(-320, -70), 40, false, RunSide.Back, LoopRun.Slack);
        foreach (bool mirrored in new[] { false, true })
        {
            LoopLayout layout = Slot(620, 660, back) with { Moving = null, Rear = new(mirrored ? 640 : -640, 0) };
            if (mirrored)
                layout = layout with
                {
                    Turning = Turning.Counterclockwise,
                    Idlers = [back with { Centre = new(320, -70) }],
                };
            LoopFitInput input = Motorcycle(layout, 15, 45, 112);
            AdjusterOnLayout starting = StartingAdjuster.For(new(input.Drive, input.Choice, layout, kind));
            MovingWheel moving = starting.Moving!;
            Assert.Equal((kind, wheel), (starting.Adjuster.Kind, moving.Wheel));
            double At(double share) =>
                LoopFit
                    .Evaluate(
                        input with
                        {
                            Layout = layout with { Moving = moving },
                            TravelMm = share * moving.Track.LengthMm,
                        }
                    )
                    .Path.LengthMm;
            Assert.True(At(0.2) < At(0.5) && At(0.5) < At(0.8), $"{kind}, mirrored {mirrored}");
        }
    }

    /// <summary>A length that closes a tenth of the way along the slot closes a tenth of the way along the motor's slides.</summary>
    [Fact]
    public void The_same_length_stands_at_the_same_share_of_the_way()
    {
        LoopFitInput axle = Motorcycle(Slot(626, 666), 15, 45, 110);
        LoopLayout still = axle.Layout with { Moving = null, Rear = new(-646, 0) };
        double ShareOf(AdjusterKind kind)
        {
            MovingWheel? moving = StartingAdjuster.For(new(axle.Drive, axle.Choice, still, kind)).Moving;
            return LoopFit
                .Evaluate(axle with { Layout = still with { Moving = moving } })
                .Lengths.Single(l => l.Length == 110)
                .TravelUsedPercent!.Value;
        }
        Assert.Equal(ShareOf(AdjusterKind.TwoEnds), ShareOf(AdjusterKind.SlidingMotor), 0.01);
        Assert.InRange(ShareOf(AdjusterKind.SlidingMotor), 0, 50);
    }

    [Fact]
    public void A_way_that_was_measured_is_kept_and_a_tensioner_wants_its_idler()
    {
        LoopFitInput input = Motorcycle(Slot(620, 660), 15, 45, 112);
        AdjusterOnLayout Of(AdjusterKind kind, string? wheel = null) =>
            StartingAdjuster.For(new(input.Drive, input.Choice, input.Layout, kind, wheel));
        Assert.Equal(input.Layout.Moving, Of(AdjusterKind.Cam).Moving);
        Assert.Null(Of(AdjusterKind.FixedCentres).Moving);
        Refusals.Names("Layout.Idlers", () => Of(AdjusterKind.SprungArm));
        Refusals.Names("Wheel", () => Of(AdjusterKind.OneScrew, "nowhere"));
    }
}
