using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What a changed part asks for: common practice of the trade, one row of it a test.</summary>
public sealed class FollowUpsTests
{
    private static readonly LoopLayout Layout = Fits.Slot(628, 668) with
    {
        SwingArm = new(new(-52, -2), 35, 145),
        Limits = [new("pad", new(0, 90), new(1, 90), 3)],
    };

    private static readonly DrivesAsBuilt Built = new(
        [Drives.Motorcycle() with { SpeedPickup = SpeedPickup.GearboxOutput }],
        Drives.Pair(15, 45),
        [],
        [Layout]
    );

    private static readonly FollowUpKind[] OnTheLoop =
    [
        FollowUpKind.Length,
        FollowUpKind.Slot,
        FollowUpKind.Clearances,
        FollowUpKind.SuspensionPlay,
        FollowUpKind.Alignment,
        FollowUpKind.Reading,
    ];

    private static IReadOnlyList<FollowUpTask> After(DrivesAsBuilt after) => FollowUps.After(new(Built, after));

    private static FollowUpKind[] Tasks(DrivesAsBuilt after) => [.. After(after).Select(i => i.Task)];

    private static DrivesAsBuilt WithDrive(Func<Drive, Drive> change) =>
        Built with
        {
            Drives = [change(Built.Drives[0])],
        };

    [Fact]
    public void Nothing_changed_asks_for_nothing()
    {
        Assert.Empty(After(Built));
        // Another list with the same in it is the same.
        Assert.Empty(After(WithDrive(d => d with { Name = "other name", Stages = [.. d.Stages] })));
    }

    [Fact]
    public void Another_sprocket_asks_for_everything_in_the_order_of_the_work()
    {
        IReadOnlyList<FollowUpTask> items = After(Built with { Loops = Drives.Pair(15, 43) });
        Assert.Equal([FollowUpKind.Ratio, FollowUpKind.Speedometer, .. OnTheLoop], items.Select(i => i.Task));
        Assert.All(items, i => Assert.Equal([ChangedPart.RearWheel], i.Because));
        Assert.All(items, i => Assert.Equal("drive", i.DriveKey));
        Assert.Equal([null, null, .. Enumerable.Repeat("final", 6)], items.Select(i => i.LoopKey));
        Assert.Equal(
            [
                Station.Ratio,
                Station.Ratio,
                Station.Fit,
                Station.Fit,
                Station.Fit,
                Station.Fit,
                Station.Set,
                Station.Set,
            ],
            items.Select(i => i.Station)
        );
    }

    [Fact]
    public void Two_sprockets_of_the_same_ratio_leave_speeds_alone()
    {
        DrivesAsBuilt after = Built with { Loops = Drives.Pair(14, 42) };
        Assert.Equal(OnTheLoop, Tasks(after));
        Assert.All(After(after), i => Assert.Equal([ChangedPart.FrontWheel, ChangedPart.RearWheel], i.Because));
    }

    [Fact]
    public void Another_length_moves_the_axle_but_is_no_question_of_length()
    {
        DrivesAsBuilt after = Built with { Loops = Drives.Pair(15, 45, 110) };
        Assert.Equal(OnTheLoop[1..], Tasks(after));
        Assert.All(After(after), i => Assert.Equal([ChangedPart.LoopLength], i.Because));
    }

    [Fact]
    public void Another_tyre_reopens_ratio_and_fit()
    {
        Drive Sized(Drive d, string? size, double? rollOut) =>
            d with
            {
                Outputs = [d.Outputs[0] with { RoadWheel = new(size, rollOut) }],
            };
        FollowUpKind[] wheelOut =
        [
            FollowUpKind.Ratio,
            FollowUpKind.Speedometer,
            FollowUpKind.Slot,
            FollowUpKind.Clearances,
            FollowUpKind.Alignment,
            FollowUpKind.Reading,
        ];
        Assert.Equal(wheelOut, Tasks(WithDrive(d => Sized(d, "140/70-17", null))));
        Assert.Equal(wheelOut, Tasks(Built with { RoadWheels = [new("rear wheel", new("120/90-17", null))] }));
        // A roll-out measured on the same tyre takes no wheel out.
        DrivesAsBuilt marked = WithDrive(d => Sized(d, "130/80-17", null));
        DrivesAsBuilt rolled = WithDrive(d => Sized(d, "130/80-17", 1895));
        Assert.Equal(
            [FollowUpKind.Ratio, FollowUpKind.Speedometer],
            FollowUps.After(new(marked, rolled)).Select(i => i.Task)
        );
    }

    [Theory]
    [InlineData(SpeedPickup.GearboxOutput, true, true)]
    [InlineData(SpeedPickup.DrivenWheel, false, true)]
    [InlineData(SpeedPickup.OtherWheel, false, false)]
    [InlineData(SpeedPickup.None, false, false)]
    public void The_speedometer_is_asked_for_where_it_does_not_see_the_change(SpeedPickup pickup, bool ratio, bool tyre)
    {
        DrivesAsBuilt before = WithDrive(d => d with { SpeedPickup = pickup });
        bool Asked(DrivesAsBuilt after) =>
            FollowUps.After(new(before, after)).Any(i => i.Task == FollowUpKind.Speedometer);
        Assert.Equal(ratio, Asked(before with { Loops = Drives.Pair(15, 43) }));
        Assert.Equal(tyre, Asked(before with { RoadWheels = [new("rear wheel", new(null, 1990))] }));
    }

    [Fact]
    public void A_loop_before_the_gearbox_is_seen_by_a_pickup_behind_it()
    {
        Drive drive = Drives.Motorcycle() with { SpeedPickup = SpeedPickup.GearboxOutput };
        Loop primary = Drives.Chain("primary", "in", "clutch");
        DrivesAsBuilt before = Built with
        {
            Drives = [drive with { Stages = [primary, .. drive.Stages.Skip(1)] }],
            Loops = [new("primary", 20, 40, 80), .. Drives.Pair(15, 45)],
        };
        DrivesAsBuilt after = before with { Loops = [new("primary", 21, 40, 80), .. Drives.Pair(15, 45)] };
        IReadOnlyList<FollowUpTask> items = FollowUps.After(new(before, after));
        Assert.Contains(items, i => i.Task == FollowUpKind.Ratio);
        Assert.DoesNotContain(items, i => i.Task == FollowUpKind.Speedometer);
        Assert.DoesNotContain(items, i => i.LoopKey == "final");
    }

    [Fact]
    public void Another_gearbox_is_a_matter_of_the_ratio_only()
    {
        DrivesAsBuilt after = WithDrive(d =>
            d with
            {
                Stages =
                [
                    .. d.Stages.Select(s =>
                        s is Gearbox b ? b with { Set = b.Set with { Reductions = [3, 2, 1] } } : s
                    ),
                ],
            }
        );
        FollowUpTask item = Assert.Single(After(after));
        Assert.Equal((FollowUpKind.Ratio, ChangedPart.Gearing), (item.Task, item.Because.Single()));
    }

    [Fact]
    public void Another_place_another_edge_and_another_kind_of_chain_are_told_apart()
    {
        LoopLayout moved = Layout with { Front = new(0, 5) };
        Assert.Equal(OnTheLoop, Tasks(Built with { Layouts = [moved] }));
        LoopLayout edged = Layout with { Limits = [new("pad", new(0, 80), new(1, 80), 3)] };
        FollowUpTask item = Assert.Single(After(Built with { Layouts = [edged] }));
        Assert.Equal((FollowUpKind.Clearances, ChangedPart.Edge), (item.Task, item.Because.Single()));
        DrivesAsBuilt other = WithDrive(d =>
            d with
            {
                Stages = [.. d.Stages.Select(s => s is Loop l ? l with { Standard = "525" } : s)],
            }
        );
        Assert.Equal(OnTheLoop, Tasks(other));
        Assert.All(After(other), i => Assert.Equal([ChangedPart.LoopKind], i.Because));
        // Measured for the first time is not moved.
        Assert.Empty(FollowUps.After(new(Built with { Layouts = null }, Built)));
    }

    [Fact]
    public void What_is_not_there_is_not_asked_for()
    {
        DrivesAsBuilt stiff = Built with { Layouts = [Layout with { SwingArm = null, Moving = null }] };
        FollowUpKind[] question =
        [
            .. FollowUps.After(new(stiff, stiff with { Loops = Drives.Pair(15, 43) })).Select(i => i.Task),
        ];
        Assert.DoesNotContain(FollowUpKind.SuspensionPlay, question);
        Assert.DoesNotContain(FollowUpKind.Slot, question);
        Assert.Contains(FollowUpKind.Length, question);
    }

    [Fact]
    public void What_was_open_stays_open_and_is_asked_for_once()
    {
        IReadOnlyList<FollowUpTask> open = After(Built with { Loops = Drives.Pair(15, 45, 110) });
        DrivesAsBuilt trial = Built with { Loops = Drives.Pair(15, 43) };
        IReadOnlyList<FollowUpTask> all = FollowUps.With(open, new(Built, trial));
        Assert.Equal([FollowUpKind.Ratio, FollowUpKind.Speedometer, .. OnTheLoop], all.Select(i => i.Task));
        Assert.Equal(
            [ChangedPart.LoopLength, ChangedPart.RearWheel],
            all.Single(i => i.Task == FollowUpKind.Slot).Because
        );
        Assert.Equal([ChangedPart.RearWheel], all.Single(i => i.Task == FollowUpKind.Length).Because);
        // Of a loop that is gone there is nothing left to do.
        DrivesAsBuilt bare = Built with
        {
            Drives = [Drives.WithStages([])],
            Loops = [],
            Layouts = null,
        };
        Assert.DoesNotContain(FollowUps.With(open, new(Built, bare)), i => i.LoopKey == "final");
    }

    [Fact]
    public void The_new_state_is_refused_by_name_and_the_old_one_is_only_compared()
    {
        Refusals.Names("After.Loops[0].RearSize", () => After(Built with { Loops = Drives.Pair(15, -43) }));
        Refusals.Names(
            "After.RoadWheels[0].OutputName",
            () => After(Built with { RoadWheels = [new("nowhere", new("4 in", null))] })
        );
        Assert.NotEmpty(FollowUps.After(new(Built with { Loops = Drives.Pair(15, -43) }, Built)));
    }
}
