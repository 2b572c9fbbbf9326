using Wendrak.Core.Gearing;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Shafts;

/// <summary>The drawer is one: what lies on one shaft is not there for the next.</summary>
public sealed class SpacerDrawerTests
{
    private static readonly Drive Drive = Drives.WithStages(
        [Drives.Chain("one", "in", "jack"), Drives.Chain("two", "jack", "axle")],
        new DriveOutput("wheel", "axle", true, null)
    );

    /// <summary>One hub of 20 mm on a shaft; its row is as far from the left shoulder as asked.</summary>
    private static ShaftWidths Shaft(
        string name,
        string loop,
        WheelSide side,
        double lineMm,
        double lengthMm = 40,
        string drive = "drive"
    ) => new(drive, name, 0, lengthMm, 12, [new(loop, side, 20, 10, lineMm, false)]);

    private static RailInput Asked(IReadOnlyList<ShaftWidths> shafts, params BoredSpacers[] drawer) =>
        new(Drive, [new("one", 15, 30, 80), new("two", 14, 40, 90)], [], shafts, drawer);

    private static readonly ShaftWidths[] Two =
    [
        Shaft("in", "one", WheelSide.Front, 20),
        Shaft("jack", "one", WheelSide.Rear, 20),
    ];

    private static double[] Pieces(RailShaft shaft) => [.. shaft.Stacks!.Ways[0].Gaps.SelectMany(g => g.PiecesMm)];

    [Fact]
    public void No_two_shafts_spend_the_same_piece()
    {
        // Each wants 10 mm at both ends: with two pieces of 10 the second shaft takes 6 + 4 twice.
        RailResult rail = Rail.LayOut(Asked(Two, new(10, 12, 2), new(6, 12, 2), new(4, 12, 2)));
        double[] spent = [.. rail.Shafts.SelectMany(Pieces).Order()];
        Assert.Equal([4, 4, 6, 6, 10, 10], spent);
        Assert.All(rail.Shafts, s => Assert.True(s.Stacks!.Ways[0].HasEqualEnds));
        Assert.All(rail.Shafts, s => Assert.Equal(10, s.Stacks!.Ways[0].Gaps[0].SumMm, 1e-9));
    }

    /// <summary>The first shaft would take the only thick pieces by itself; the second has no other way.</summary>
    [Fact]
    public void A_shaft_leaves_what_another_one_can_not_do_without()
    {
        ShaftWidths hungry = Shaft("in", "one", WheelSide.Front, 20);
        ShaftWidths exact = new("drive", "jack", 0, 40.2, 12, [new("one", WheelSide.Rear, 20, 10, 20.2, false)]);
        RailResult rail = Rail.LayOut(Asked([hungry, exact], new(10, 12, 2), new(5, 12, 4)));
        Assert.All(rail.Shafts, s => Assert.NotEmpty(s.Stacks!.Ways));
        Assert.Equal(2, rail.Shafts.SelectMany(Pieces).Count(mm => mm == 10));
        Assert.Equal(4, rail.Shafts.SelectMany(Pieces).Count(mm => mm == 5));
    }

    /// <summary>What was searched lately is not searched again; whatever is changed is, and going back is as it was.</summary>
    [Fact]
    public void A_shaft_that_was_filled_before_is_told_as_if_it_were_the_first_time()
    {
        ShaftWidths shaft = Shaft("in", "one", WheelSide.Front, 20);
        BoredSpacers[] drawer = [new(10, 12, 2), new(6, 12, 1), new(4, 12, 1)];
        SpacerStacksResult Stacks(ShaftWidths asked, params BoredSpacers[] there) =>
            Rail.LayOut(Asked([asked], there)).Shafts[0].Stacks!;
        SpacerStacksResult first = Stacks(shaft, drawer);
        SprocketOnShaft hub = shaft.Sprockets[0];
        (string Changed, SpacerStacksResult Now)[] others =
        [
            ("length", Stacks(shaft with { LengthMm = 36 }, drawer)),
            ("line", Stacks(shaft with { Sprockets = [hub with { LineMm = 16 }] }, drawer)),
            ("plane", Stacks(shaft with { Sprockets = [hub with { PlaneMm = 14 }] }, drawer)),
            ("hub", Stacks(shaft with { Sprockets = [hub with { HubWidthMm = 16 }] }, drawer)),
            ("one piece less", Stacks(shaft, new(10, 12, 1), new(6, 12, 1), new(4, 12, 1))),
            ("thickness", Stacks(shaft, new(9.9, 12, 2), new(6, 12, 1), new(4, 12, 1))),
        ];
        Assert.All(others, o => Assert.NotEqual(Told(first), Told(o.Now)));
        Assert.Equal(Told(first), Told(Stacks(shaft, drawer)));

        // More questions than are kept: the first is searched anew, and told the same.
        for (int i = 0; i < 250; i++)
            Stacks(shaft with { LengthMm = 30 + (i / 10.0) }, drawer);
        Assert.Equal(Told(first), Told(Stacks(shaft, drawer)));
    }

    private static string Told(SpacerStacksResult result) =>
        string.Join(';', result.Ways.Concat(result.Nearest is { } near ? [near] : []).Select(Told))
        + $"{result.IsComplete} {result.Missing}";

    private static string Told(FilledShaft way) =>
        string.Join(',', way.Gaps.SelectMany(g => g.PiecesMm.Append(-g.WantedMm)).Append(way.FloatMm))
        + string.Join(',', way.Sprockets);

    [Fact]
    public void Drives_of_one_machine_share_the_drawer()
    {
        Drive right = Drive with
        {
            Key = "right",
            Stages = [Drives.Chain("three", "in r", "axle r")],
            Input = Drive.Input with { Shaft = "in r" },
            Outputs = [new("wheel r", "axle r", true, null)],
        };
        ShaftWidths other = Shaft("in r", "three", WheelSide.Front, 20, drive: "right");
        RailInput both = Asked([Two[0], other], new BoredSpacers(10, 12, 2)) with { OtherDrives = [right] };
        RailResult rail = Rail.LayOut(both);
        Assert.Equal("in", Assert.Single(rail.Shafts).Widths.Shaft);
        // Two pieces fill one shaft; seen from either drive it is the same one.
        RailResult seen = Rail.LayOut(
            both with
            {
                Drive = right,
                OtherDrives = [Drive],
                Loops = [new("three", 15, 30, 80)],
            }
        );
        Assert.Single(
            new[] { rail.Shafts[0].Stacks!.Ways.Count > 0, seen.Shafts[0].Stacks!.Ways.Count > 0 },
            filled => filled
        );
        Refusals.Names("Shafts[1].DriveKey", () => Rail.LayOut(both with { OtherDrives = null }));
    }

    [Fact]
    public void What_is_missing_is_named_as_the_piece_and_who_has_it()
    {
        RailResult rail = Rail.LayOut(Asked(Two, new BoredSpacers(10, 12, 3)));
        RailShaft short1 = Assert.Single(rail.Shafts, s => s.Stacks!.Ways.Count == 0);
        RailShaft whole = Assert.Single(rail.Shafts, s => s.Stacks!.Ways.Count > 0);
        Assert.Equal(new MissingSpacer(10, false, whole.Widths.Shaft), short1.Stacks!.Missing);
        // With a 6 and a 4 to spare nothing is missing.
        Assert.All(
            Rail.LayOut(Asked(Two, new(10, 12, 3), new(6, 12, 1), new(4, 12, 1))).Shafts,
            s => Assert.Null(s.Stacks!.Missing)
        );
        // A thickness that no drawer has is to be made.
        ShaftWidths odd = Shaft("in", "one", WheelSide.Front, 17.3, 37.3);
        MissingSpacer made = Rail.LayOut(Asked([odd], new BoredSpacers(10, 12, 3))).Shafts[0].Stacks!.Missing!;
        Assert.Equal((7.3, true), (made.ThicknessMm, made.IsMade));
    }
}
