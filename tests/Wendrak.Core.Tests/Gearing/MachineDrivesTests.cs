using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class MachineDrivesTests
{
    private static DriveOutput Wheel(string name, string shaft, string size = "200 mm") =>
        new(name, shaft, true, new(size, null));

    private static MachineDrivesResult Evaluate(Drive[] drives, params LoopChoice[] loops) =>
        MachineDrives.Evaluate(new(drives, loops, [], 1000));

    [Fact]
    public void Two_road_wheels_that_would_turn_against_each_other_are_named()
    {
        Drive drive = Drives.WithStages(
            [
                new FixedPair("gears", "gears", "in", "back", 20, 40, Meshing.ExternalGears),
                new FixedPair("chain", "chain", "in", "front", 20, 40, Meshing.Chain),
            ],
            Wheel("front wheel", "front"),
            Wheel("back wheel", "back")
        );
        DriveFinding finding = Evaluate([drive]).Findings.Single();
        Assert.Equal(DriveFindingKind.OpposingWheels, finding.Kind);
        Assert.Equal(["front wheel", "back wheel"], finding.Things);
    }

    /// <summary>Machinery's Handbook: (ring − sun)/2 is the planet's tooth count, and must be whole.</summary>
    [Theory]
    [InlineData(18, 72, false)]
    [InlineData(19, 72, true)]
    public void Half_a_tooth_for_the_planets_is_told(int sun, int ring, bool isHalf)
    {
        PlanetaryStage stage = new("p", "planetary", "in", "out", sun, ring, PlanetaryMember.Ring, PlanetaryMember.Sun);
        MachineDrivesResult result = Evaluate([Drives.WithStages([stage], Wheel("wheel", "out"))]);
        Assert.Equal(isHalf, result.Findings.Any(f => f.Kind == DriveFindingKind.HalfPlanetTooth));
    }

    [Fact]
    public void A_drum_may_turn_as_it_likes()
    {
        Drive drive = Drives.WithStages(
            [new FixedPair("gears", "gears", "in", "drum", 20, 40, Meshing.ExternalGears)],
            Wheel("wheel", "in"),
            Wheel("drum", "drum") with
            {
                OnRoad = false,
            }
        );
        Assert.Empty(Evaluate([drive]).Findings);
    }

    [Fact]
    public void A_wheel_that_scrubs_is_named_with_how_much()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("a", "in", "front"), Drives.Chain("b", "in", "rear")],
            Wheel("front", "front"),
            Wheel("rear", "rear")
        );
        DriveFinding finding = Evaluate([drive], new("a", 17, 17, null), new("b", 17, 19, null)).Findings.Single();
        Assert.Equal(DriveFindingKind.ScrubbingWheels, finding.Kind);
        Assert.Equal((17.0 / 19 - 1) * 100, finding.DifferencePercent!.Value, 9);
    }

    [Fact]
    public void Within_a_percent_no_wheel_is_said_to_scrub()
    {
        Drive drive = Drives.WithStages([], Wheel("a", "in"), Wheel("b", "in", "201 mm"));
        Assert.Empty(Evaluate([drive]).Findings);
    }

    private static Drive Side(string key, string? mirrors) =>
        Drives.WithStages([Drives.Chain($"{key}-belt", "in", "axle")], Wheel($"{key} wheel", "axle")) with
        {
            Key = key,
            Name = key,
            Mirrors = mirrors,
        };

    [Fact]
    public void Mirrored_drives_must_match()
    {
        Drive[] drives = [Side("left", null), Side("right", "left")];
        Assert.Empty(Evaluate(drives, new("left-belt", 16, 40, null), new("right-belt", 16, 40, null)).Findings);
        DriveFinding finding = Evaluate(drives, new("left-belt", 16, 40, null), new("right-belt", 16, 42, null))
            .Findings.Single();
        Assert.Equal(DriveFindingKind.MirrorMismatch, finding.Kind);
        Assert.Equal((40.0 / 42 - 1) * 100, finding.DifferencePercent!.Value, 9);
    }

    [Fact]
    public void A_changed_loop_is_followed_by_its_twin_on_the_other_side()
    {
        Drive[] drives = [Side("left", null), Side("right", "left")];
        LoopChoice[] present = [new("left-belt", 16, 40, 60), new("right-belt", 16, 40, 60)];
        LoopChoice[] next = [.. MirroredSetups.Complete(drives, present, [new("right-belt", 15, 42, 60)])];
        Assert.Equal([new("left-belt", 15, 42, 60), new("right-belt", 15, 42, 60)], next);
    }

    [Fact]
    public void Sides_that_are_both_given_stay_as_given()
    {
        Drive[] drives = [Side("left", null), Side("right", "left")];
        LoopChoice[] present = [new("left-belt", 16, 40, 60), new("right-belt", 16, 40, 60)];
        LoopChoice[] changes = [new("left-belt", 15, 42, 60), new("right-belt", 14, 44, 60)];
        Assert.Equal(changes, MirroredSetups.Complete(drives, present, changes));
    }

    [Fact]
    public void Every_shaft_has_its_speed_and_sense()
    {
        MachineDrivesResult result = MachineDrives.Evaluate(new([Drives.Motorcycle()], Drives.Pair(15, 45), [], 5210));
        GearState sixth = result.Drives[0].Gears[5];
        Assert.Equal(["in", "clutch", "out", "axle"], sixth.Shafts.Select(s => s.Shaft));
        Assert.Equal([false, true, false, false], sixth.Shafts.Select(s => s.AgainstInput));
        Assert.Equal(5210 / (76.0 / 28), sixth.Shafts[1].SpeedRpm, 9);
        Assert.Equal(RoadSpeed.Kmh.Value(5210, 76.0 / 28 * 0.846 * 3, 1895), sixth.Outputs[0].SpeedKmh!.Value, 9);
    }

    [Fact]
    public void Names_used_twice_in_a_machine_are_refused()
    {
        Drive one = Side("left", null);
        Drive same = Side("left", null);
        Refusals.Names("Drives[1].Key", () => Evaluate([one, same], new LoopChoice("left-belt", 16, 40, null)));
    }

    [Fact]
    public void A_machine_needs_a_drive() => Refusals.Names("Drives", () => Evaluate([]));
}
