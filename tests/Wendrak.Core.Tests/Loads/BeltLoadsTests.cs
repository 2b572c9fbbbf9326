using CsCheck;
using Wendrak.Core.Loads;

namespace Wendrak.Core.Tests.Loads;

public sealed class BeltLoadsTests
{
    /// <summary>engineering.md h1 (V, included angle 38°) and h2 (flat).</summary>
    [Theory]
    [InlineData(38.0, 0.19, 700, 0.921466, 76, 14.2055, 119.927, 580.073, 333.963, 11601.5)]
    [InlineData(null, 0.5, 1500, 0.3, 200, 2.37249, 747.949, 752.051, 923.974, 15041.0)]
    public void Friction_agrees_with_the_check_rows(
        double? groove,
        double mass,
        double tight,
        double effective,
        double centrifugal,
        double ratio,
        double slack,
        double pull,
        double initial,
        double power
    )
    {
        FrictionLimit r = BeltFriction.Limit(
            groove is double g ? BeltFriction.InGroove.Value(0.3, g) : 0.3,
            165,
            mass,
            20,
            tight
        );
        Published.AgreesWithin(0.1, effective, r.EffectiveFriction, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, centrifugal, r.CentrifugalN, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, ratio, r.TensionRatio, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, slack, r.SlackTensionN, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, pull, r.MaxPullN, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, initial, r.InitialTensionN, "engineering.md h1, h2");
        Published.AgreesWithin(0.1, power, r.PowerW, "engineering.md h1, h2");
    }

    [Fact]
    public void The_limits_of_the_law_are_kept()
    {
        // No speed, no centrifugal part; friction beyond measure leaves nothing in the slack run.
        FrictionLimit still = BeltFriction.Limit(100, 180, 0.19, 0, 700);
        Assert.Equal((0, 700), (still.CentrifugalN, Math.Round(still.MaxPullN, 9)));
        Assert.Equal(0, still.SlackTensionN, 1e-9);
        // A belt that hardly grips carries hardly anything.
        Assert.Equal(0, BeltFriction.Limit(1e-9, 180, 0.19, 0, 700).MaxPullN, 1e-5);
    }

    /// <summary>Power over speed for one tension, searched: the top is where a third of it is centrifugal (h3).</summary>
    [Fact]
    public void The_best_speed_is_the_top_of_the_power()
    {
        double best = BeltFriction.BestSpeed.Value(700, 0.19);
        Published.AgreesWithin(0.1, 35.0438, best, "engineering.md h3");
        double Power(double speed) => BeltFriction.Limit(0.92, 165, 0.19, speed, 700).PowerW;
        Assert.True(Power(best) > Power(best * 0.99) && Power(best) > Power(best * 1.01));
        Assert.Equal(700 / 3.0, 0.19 * best * best, 1e-9);
    }

    [Fact]
    public void Slip_and_number_of_belts_agree_with_the_check_rows()
    {
        SlipMargin r = BeltFriction.Margin(BeltFriction.InGroove.Value(0.3, 38), 165, 350, 450);
        Published.AgreesWithin(0.1, 607.928, r.MaxPullN, "engineering.md h5");
        Published.AgreesWithin(0.1, 1.35095, r.Margin, "engineering.md h5");
        Published.AgreesWithin(0.1, 259.077, r.NeededTensionN, "engineering.md h5");
        Assert.Equal(
            4,
            BeltFriction.Needed.Value(
                BeltFriction.DesignPower.Value(11, 1.3),
                BeltFriction.PowerPerBelt.Value(4.2, 0.96, 0.98)
            )
        ); // h6
    }

    /// <summary>Shigley Table 17-13.</summary>
    [Theory]
    [InlineData(180, 1.00)]
    [InlineData(150, 0.92)]
    [InlineData(120, 0.82)]
    [InlineData(90, 0.69)]
    public void The_wrap_factor_agrees_with_the_printed_table(double wrap, double factor) =>
        Published.Agrees(factor, BeltFriction.WrapFactor.Value(wrap), 0.006, "Shigley Table 17-13");

    [Fact]
    public void The_load_on_a_shaft_agrees_with_the_check_row_and_with_vectors()
    {
        ShaftLoadResult r = ShaftLoad.Compute(700, 150, 160); // h4
        Published.AgreesWithin(0.1, 842.517, r.LoadN, "engineering.md h4");
        Published.AgreesWithin(0.1, 3.49105, r.FromTightRunDeg, "engineering.md h4");
        // Half a turn: both runs side by side.
        Assert.Equal(
            (850, 0),
            (
                Math.Round(ShaftLoad.Compute(700, 150, 180).LoadN, 9),
                Math.Round(ShaftLoad.Compute(700, 150, 180).FromTightRunDeg, 9)
            )
        );
        Assert.Equal(ShaftLoad.Compute(400, 400, 140).LoadN, ShaftLoad.AtRestN(400, 140), 1e-9);
    }

    [Fact]
    public void A_toothed_belt_agrees_with_the_check_rows()
    {
        double speed = 20 * 12.7 * 1450 / 60_000;
        double mesh = SynchronousLoads.MeshShare.Value(5); // h7
        double width = SynchronousLoads.WidthShare.Value(50.8, 76.2);
        double allowed = SynchronousLoads.AllowedPull.Value(1, mesh, width, 2100.85, 50.8 / 76.2 * 0.448, speed);
        Published.AgreesWithin(0.1, 0.8, mesh, "engineering.md h7");
        Published.AgreesWithin(0.1, 0.629877, width, "engineering.md h7");
        Published.AgreesWithin(0.1, 6.13833, speed, "engineering.md h7");
        // The row lists the allowed pull without the mesh factor of 0.8 taken off twice: k_z·k_w·T_a less m·v².
        Published.AgreesWithin(0.1, 1047.37, allowed, "engineering.md h7");
        Published.AgreesWithin(0.1, 6.4291, allowed * speed / 1_000, "engineering.md h7");
        Published.AgreesWithin(0.1, 896.009, ChainPull.OfPower.Value(5.5, speed), "engineering.md h7");
        Published.AgreesWithin(0.1, 1.16893, allowed * speed / 1_000 / 5.5, "engineering.md h7");
        ToothJump jump = SynchronousLoads.Jump(800, 900, 25, 0.3, 150); // h8
        Published.AgreesWithin(0.1, 350, jump.SlackTensionN, "engineering.md h8");
        Published.AgreesWithin(0.1, 500.156, jump.NeededTensionN, "engineering.md h8");
        Published.AgreesWithin(0.1, 1.5995, jump.Margin, "engineering.md h8");
    }

    /// <summary>ISO 5295: 6 teeth 1, then 0.2 less a tooth.</summary>
    [Theory]
    [InlineData(20, 1)]
    [InlineData(6, 1)]
    [InlineData(5, 0.8)]
    [InlineData(2, 0.2)]
    [InlineData(1, 0.2)]
    public void The_mesh_factor_is_that_of_the_standard(int teeth, double factor) =>
        Assert.Equal(factor, SynchronousLoads.MeshShare.Value(teeth), 1e-9);

    [Fact]
    public void More_wrap_friction_or_tension_never_slips_sooner() =>
        Gen.Select(Gen.Double[0.05, 1.5], Gen.Double[30, 330], Gen.Double[10, 3000])
            .Sample(
                (friction, wrap, tension) =>
                {
                    double here = BeltFriction.Margin(friction, wrap, tension, 200).Margin;
                    return BeltFriction.Margin(friction * 1.1, wrap, tension, 200).Margin >= here
                        && BeltFriction.Margin(friction, wrap + 5, tension, 200).Margin >= here
                        && BeltFriction.Margin(friction, wrap, tension + 5, 200).Margin >= here;
                }
            );

    [Fact]
    public void What_is_not_physical_is_named()
    {
        Refusals.Names("tightTensionN", () => BeltFriction.Limit(0.5, 165, 0.5, 40, 700)); // 800 N go round by themselves
        Refusals.Names("pullN", () => BeltFriction.Margin(0.5, 165, 300, 0));
        Refusals.Names("wrapDeg", () => SynchronousLoads.Jump(800, 900, 25, 0.3, 0));
    }

    /// <summary>engineering.md l1 and l4.</summary>
    [Fact]
    public void Road_load_and_push_agree_with_the_check_rows()
    {
        Published.AgreesWithin(0.1, 309.326, RoadLoad.ResistanceN(290, 0.015, 0.4, 120 / 3.6), "engineering.md l1");
        (double push, bool slips) = RoadLoad.RearDrivenPush(280, 1430, 700, 650, 1.1);
        Published.AgreesWithin(0.1, 2957.08, push, "engineering.md l4");
        Assert.False(slips);
        (double wet, bool wetSlips) = RoadLoad.RearDrivenPush(280, 1430, 700, 650, 0.5);
        Assert.True(wetSlips && wet < push);
    }
}
