using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

public sealed class StartingAimTests
{
    private static StartingAimInput Input(StartingAimKind kind) =>
        new(Drives.Motorcycle(), Drives.Pair(15, 45), [], ["final"], kind);

    [Fact]
    public void A_cruise_starts_from_the_speed_at_the_middle_of_the_range()
    {
        // By hand: 5500 rpm / (76/28 · 0.846 · 3) · 1.895 m · 60 / 1000 = 90.78 km/h; 5500 ∓ 5 % to two figures.
        Assert.Equal(new CruiseSpeed(91, 5, 5200, 5800), StartingAim.For(Input(StartingAimKind.CruiseSpeed)));
        // 10 000 rpm in the same gear: 165.05 km/h.
        Assert.Equal(new TopSpeed(170, 5, 4), StartingAim.For(Input(StartingAimKind.TopSpeed)));
        // 5500 / 6.8889 = 798.4 rpm of the wheel.
        Assert.Equal(new OutputSpeed(800, 5, 5200, 5800), StartingAim.For(Input(StartingAimKind.OutputSpeed)));
    }

    [Fact]
    public void A_ratio_starts_around_what_is_fitted()
    {
        Assert.Equal(new FinalRatio(2.91, 3.09), StartingAim.For(Input(StartingAimKind.FinalRatio)));
        Assert.Equal(new OverallRatio(6.68, 7.1, 5), StartingAim.For(Input(StartingAimKind.OverallRatio)));
    }

    [Theory]
    [InlineData(MachineKind.Motorcycle)]
    [InlineData(MachineKind.Bicycle)]
    [InlineData(MachineKind.Robot)]
    [InlineData(MachineKind.Winch)]
    [InlineData(MachineKind.KickBoard)]
    public void Every_kind_of_aim_starts_with_a_band_that_is_accepted_and_near_what_is_fitted(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        Drive drive = draft.Machine.Drives[0];
        DriveTrain train = new(drive, draft.Fitted);
        double fitted = train.FinalRatio(["final"]);
        foreach (StartingAimKind start in Enum.GetValues<StartingAimKind>())
        {
            AimTarget target = StartingAim.For(new(drive, draft.Fitted, [], ["final"], start));
            bool hasWheel = RoadWheels.On(train.ReferenceOutput("final"), []) is not null;
            if (target.RoadSpeedKmh is not null && !hasWheel)
                continue;
            if (target is GainRatio && drive.Input.CrankLengthMm is null)
                continue;
            RatioBand band = RatioBands.Find(train, ["final"], [], target, []).Bands[^1];
            Assert.InRange(fitted / band.FinalGeometricMiddle, 0.85, 1.15);
        }
    }

    [Fact]
    public void A_drive_without_a_wheel_size_starts_from_some_speed()
    {
        Drive drive = Drives.WithStages([Drives.Chain("final", "in", "axle")]);
        StartingAimInput input = new(drive, Drives.Pair(15, 45), [], ["final"], StartingAimKind.CruiseSpeed);
        Assert.Equal(20, StartingAim.For(input).RoadSpeedKmh);
    }

    [Fact]
    public void Unknown_kinds_and_wrong_wheels_are_named()
    {
        Refusals.Names("Kind", () => StartingAim.For(Input((StartingAimKind)99)));
        StartingAimInput wrong = Input(StartingAimKind.FinalRatio) with { Loops = Drives.Pair(0, 45) };
        Refusals.Names("Loops[0].FrontSize", () => StartingAim.For(wrong));
    }

    /// <summary>Common practice: cadence and gain where somebody pedals, cruising and top speed where nobody does.</summary>
    [Fact]
    public void What_can_be_aimed_at_hangs_on_what_turns_it()
    {
        IReadOnlyList<StartingAimKind> pedalled = StartingAim.KindsFor(InputKind.Rider);
        Assert.Equal([StartingAimKind.SpeedAtCadence, StartingAimKind.GainRatio], pedalled.Take(2));
        foreach (InputKind turnedBy in new[] { InputKind.Engine, InputKind.Motor })
            Assert.Equal(
                [StartingAimKind.CruiseSpeed, StartingAimKind.TopSpeed, .. pedalled.Skip(2)],
                StartingAim.KindsFor(turnedBy)
            );
        Assert.Equal(
            [StartingAimKind.OutputSpeed, StartingAimKind.OverallRatio, StartingAimKind.FinalRatio],
            pedalled.Skip(2)
        );
    }

    [Fact]
    public void An_aim_to_match_a_setup_begins_with_a_band_of_two_percent() =>
        Assert.Equal(2, StartingAim.MatchTolerancePercent);
}
