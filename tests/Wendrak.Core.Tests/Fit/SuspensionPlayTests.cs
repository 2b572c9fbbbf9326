using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Fit;

public sealed class SuspensionPlayTests
{
    private const double ArmMm = 570;
    private static readonly Point Pivot = new(-78, -12);

    private static double Rad(double degrees) => degrees * Math.PI / 180;

    private static Point Axle(double degrees) =>
        Pivot + ArmMm * new Point(-Math.Cos(Rad(degrees)), Math.Sin(Rad(degrees)));

    /// <summary>The check row's machine, drawn with its rear to the left.</summary>
    private static SuspensionPlayInput Row(
        double staticDeg,
        double droopDeg,
        double bumpDeg,
        double? play,
        double least
    )
    {
        double Height(double degrees) => Axle(degrees).YMm - Axle(staticDeg).YMm;
        LoopLayout layout = new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            Axle(staticDeg),
            [],
            null,
            new(Pivot, -Height(droopDeg), Height(bumpDeg))
        );
        return new(Drives.Motorcycle(), new("final", 15, 45, null), layout, null, play, least);
    }

    [Fact]
    public void Play_through_the_travel_agrees_with_the_check_row()
    {
        SuspensionPlayResult result = SuspensionPlay.Compute(Row(-16, -20, 3, 40, 15)); // i9
        const string row = "engineering.md i9";
        Published.AgreesWithin(0.01, 648.363, result.OnStand.CentreMm, row);
        Published.AgreesWithin(0.01, 648.918, result.Tightest.CentreMm, row);
        Published.Agrees(-8.74616, ArmAngle(result.Tightest.AxleUpMm, -16), 0.01, row);
        Published.AgreesWithin(1, 0.13868, result.Tightest.ExcessMm, row);
        Published.AgreesWithin(1, 13.3708, result.Tightest.FreePlayMm, row);
        Published.AgreesWithin(1, 40.5742, result.NeededOnStandMm, row);
        Assert.True(result.InLine);
        Assert.Equal(40, result.OnStand.FreePlayMm, 1e-6);
    }

    private static double ArmAngle(double up, double staticDeg) =>
        Math.Asin((Axle(staticDeg).YMm + up - Pivot.YMm) / ArmMm) * 180 / Math.PI;

    [Fact]
    public void The_needed_play_leaves_the_wanted_one_at_the_tightest_place()
    {
        SuspensionPlayInput input = Row(-16, -20, 3, null, 12);
        SuspensionPlayResult result = SuspensionPlay.Compute(input);
        Assert.Equal(12, result.Tightest.FreePlayMm, 1e-6);
        Assert.Equal(result.NeededOnStandMm, result.OnStand.FreePlayMm, 1e-6);
        Assert.All(result.Curve, p => Assert.True(p.FreePlayMm >= 12 - 1e-6));
        Assert.Equal(result.NeededOnStandMm, result.Workings[0].Result.Value);
        Assert.Equal(
            SuspensionPlay.UsualLeastPlayMm,
            SuspensionPlay.Compute(input with { LeastPlayMm = null }).LeastPlayMm
        );
    }

    [Fact]
    public void Beyond_the_line_the_end_of_the_travel_is_tightest()
    {
        SuspensionPlayResult low = SuspensionPlay.Compute(Row(-16, -20, -12, 40, 15));
        Assert.False(low.InLine);
        Assert.Equal(low.Curve[^1].AxleUpMm, low.Tightest.AxleUpMm, 1e-6);
    }

    [Fact]
    public void A_chain_set_too_tight_is_stretched_on_the_way()
    {
        PlayAtTravel tightest = SuspensionPlay.Compute(Row(-16, -20, 3, 5, 15)).Tightest;
        Assert.Equal(0, tightest.FreePlayMm);
        Assert.True(tightest.ExcessMm < 0);
    }

    /// <summary>A pivot on the output shaft keeps the centre distance: the play never changes.</summary>
    [Fact]
    public void A_pivot_on_the_output_shaft_keeps_the_play()
    {
        SuspensionPlayInput input = Row(-16, -20, 3, 30, 15);
        LoopLayout layout = input.Layout with { SwingArm = new(new(0, 0), 40, 100) };
        SuspensionPlayResult result = SuspensionPlay.Compute(input with { Layout = layout });
        Assert.All(result.Curve, p => Assert.Equal(30, p.FreePlayMm, 1e-6));
    }

    [Fact]
    public void What_is_missing_or_impossible_is_named()
    {
        SuspensionPlayInput input = Row(-16, -20, 3, 30, 15);
        void Refused(string field, SuspensionPlayInput wrong) =>
            Refusals.Names(field, () => SuspensionPlay.Compute(wrong));
        Refused("Layout.SwingArm", input with { Layout = input.Layout with { SwingArm = null } });
        Refused("LeastPlayMm", input with { LeastPlayMm = -1 });
        Refused("PlayOnStandMm", input with { PlayOnStandMm = double.NaN });
        SwingArm arm = input.Layout.SwingArm!;
        Refused(
            "Layout.SwingArm.BumpMm",
            input with
            {
                Layout = input.Layout with { SwingArm = arm with { BumpMm = 900 } },
            }
        );
        Refused(
            "Layout.SwingArm.DroopMm",
            input with
            {
                Layout = input.Layout with { SwingArm = arm with { DroopMm = -1 } },
            }
        );
    }
}
