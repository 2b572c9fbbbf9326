using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.OperatingPointKind;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Drives that go more than one way, and vehicles that do not push with a rear wheel.</summary>
public sealed class ForkedDriveTests
{
    private static LoadsInput Robot(LoadSource source, LoopStrength strength)
    {
        RoadWheel wheel = new(null, 320);
        Drive drive = Drives.WithStages(
            [Drives.Chain("left", "in", "front axle"), Drives.Chain("right", "in", "rear axle")],
            new DriveOutput("front wheels", "front axle", true, wheel),
            new DriveOutput("rear wheels", "rear axle", true, wheel)
        ) with
        {
            Input = new("in", InputKind.Motor, 100, 600, null),
        };
        LoopChoice[] loops = [new("left", 16, 32, null), new("right", 16, 32, null)];
        LoopLayout layout = Fits.Slot(240, 300) with { LoopKey = "left" };
        return new(drive, MachineKind.Robot, loops, [], layout, source, strength);
    }

    [Fact]
    public void A_branch_carries_all_of_it_until_its_share_is_told()
    {
        LoadSource source = new("drive", PeakTorqueNm: 4, MassKg: 500);
        LoopLoadsResult whole = LoopLoads.Evaluate(Robot(source, new("left")));
        LoopLoadsResult half = LoopLoads.Evaluate(Robot(source, new("left", TorqueShare: 0.5)));
        Assert.Equal(1, whole.Assumed.TorqueShare);
        Assert.Equal(4, whole.At(HardestPull).Point.TorqueNm, 1e-9);
        Assert.Equal(2, half.At(HardestPull).Point.TorqueNm, 1e-9);
        Assert.Equal(whole.At(Cruise).PullN / 2, half.At(Cruise).PullN, 1e-9);
        // What was measured in the loop is in it already.
        LoadSource measured = source with
        {
            PullN = 300,
        };
        Assert.Equal(
            300,
            LoopLoads.Evaluate(Robot(measured, new("left", TorqueShare: 0.5))).At(HardestPull).PullN,
            1e-9
        );
        Assert.Null(LoopLoads.Evaluate(LoadCases.Motorcycle()).Assumed.TorqueShare);
        Refusals.Names("Strength.TorqueShare", () => LoopLoads.Evaluate(Robot(source, new("left", TorqueShare: 1.2))));
    }

    /// <summary>μ·m·g on the driven wheels: no load shifts that was not there.</summary>
    [Fact]
    public void A_robot_grips_by_the_mass_on_its_driven_wheels()
    {
        LoadSource source = new("drive", PeakTorqueNm: 50, MassKg: 40, Friction: 0.8);
        OperatingPoint all = LoopLoads.Evaluate(Robot(source, new("left"))).At(HardestPull).Point;
        double radius = 0.320 / (2 * Math.PI);
        Assert.Equal(TorqueOrigin.Grip, all.Origin);
        Assert.Equal(0.8 * 40 * 9.80665 * radius / (2 * 0.97), all.TorqueNm, 1e-9);
        LoadSource some = source with { DrivenMassKg = 10 };
        OperatingPoint part = LoopLoads.Evaluate(Robot(some, new("left"))).At(HardestPull).Point;
        Assert.Equal(all.TorqueNm / 4, part.TorqueNm, 1e-9);
        Assert.Equal(40, LoopLoads.Evaluate(Robot(source, new("left"))).Assumed.DrivenMassKg);
    }
}
