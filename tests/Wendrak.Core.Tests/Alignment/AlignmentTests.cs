using Wendrak.Core.Alignment;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Alignment;

public sealed class AlignmentTests
{
    /// <summary>engineering.md j1.</summary>
    [Fact]
    public void Four_gaps_agree_with_the_check_row()
    {
        StraightedgeReadingResult r = StraightedgeReading.Evaluate([0, 200, 600, 720], [0, 0, 2, 3.2], 30, 30);
        Published.AgreesWithin(0.1, 2.6, r.OffsetMm, "engineering.md j1");
        Published.AgreesWithin(0.1, 0.572939, r.AngleDeg, "engineering.md j1");
        Published.AgreesWithin(0.1, 4.64286, r.OffsetMmPerM, "engineering.md j1");
        Published.AgreesWithin(0.1, 0.266014, r.OffsetAngleDeg, "engineering.md j1");
        Assert.True(r.EdgeLies);
    }

    /// <summary>A wider rim's face stands further out by half of what it is wider.</summary>
    [Fact]
    public void Rims_of_unequal_width_are_counted_in()
    {
        double even = StraightedgeReading.Evaluate([0, 200, 600, 720], [0, 0, 2, 2], 30, 30).OffsetMm;
        double wider = StraightedgeReading.Evaluate([0, 200, 600, 720], [0, 0, 2, 2], 34, 30).OffsetMm;
        Assert.Equal(even - 2, wider, 1e-12);
        Assert.False(StraightedgeReading.Evaluate([0, 200, 600, 720], [0, 0.8, 2, 2], 30, 30).EdgeLies);
    }

    /// <summary>engineering.md j2.</summary>
    [Fact]
    public void A_skewed_axle_agrees_with_the_check_row()
    {
        AxleSkewResult r = AxleSkew.Compute(612, 613.5, 250, 1.25);
        Published.AgreesWithin(0.1, 0.343771, r.SkewDeg, "engineering.md j2");
        Assert.Equal((1.5, -1.2, Side.Left), (r.DifferenceMm, Math.Round(r.RightTurnsToSquare!.Value, 9), r.WalksTo));
        Assert.Null(AxleSkew.Compute(612, 612, 250, 1.25).WalksTo);
    }

    [Fact]
    public void What_is_no_straight_edge_is_refused()
    {
        Refusals.Names("xMm[1]", () => StraightedgeReading.Evaluate([0, 0, 600, 720], [0, 0, 2, 2], 30, 30));
        Refusals.Names("xMm[3]", () => StraightedgeReading.Evaluate([0, 200, 600, 600], [0, 0, 2, 2], 30, 30));
        Refusals.Names("gapMm[2]", () => StraightedgeReading.Evaluate([0, 200, 600, 720], [0, 0, 51, 2], 30, 30));
        Refusals.Names("xMm", () => StraightedgeReading.Evaluate([0, 200], [0, 0], 30, 30));
        Refusals.Names("spacingMm", () => AxleSkew.Compute(612, 613, 0, 1.25));
    }

    private static StraightnessInput Measured(
        MachineKind kind = MachineKind.Motorcycle,
        DriveElement element = DriveElement.ToothedBelt
    ) => new(kind, element, 560, 250, new("final", new(AdjusterKind.TwoEnds, RightClockwiseTightens: false)));

    /// <summary>Table alignment_limits.csv, common practice: 1 mm and 0.2° of a motorcycle's belt, 2 mm/m of industrial chain.</summary>
    [Fact]
    public void Offset_and_angle_are_judged_apart_by_the_kind_of_drive()
    {
        StraightEdge edge = new([0, 200, 600, 720], [0, 0, 2, 3.2], 30, 30);
        StraightnessResult belt = Straightness.Judge(Measured() with { Edge = edge });
        Assert.Equal((1.0, 0.2, false), (belt.OffsetLimitMm, belt.AngleLimitDeg, belt.IsStraight));
        Published.AgreesWithin(0.1, 2.6, belt.OffsetMm!.Value, "engineering.md j1");
        Published.AgreesWithin(
            0.1,
            2.6 / 560 * 1_000,
            belt.OffsetMmPerM!.Value,
            "engineering.md j1: 660 less 100 mm apart"
        );
        Assert.Equal(Math.Tan(belt.OffsetAngleDeg!.Value * Math.PI / 180) * 1_000, belt.OffsetMmPerM.Value, 1e-9);
        StraightnessResult line = Straightness.Judge(Measured() with { LineOffsetMm = 3 });
        Assert.Equal(3 / Measured().CentreMm * 1_000, line.OffsetMmPerM!.Value, 1e-9);
        StraightnessResult chain = Straightness.Judge(
            Measured(MachineKind.Winch, DriveElement.Chain) with
            {
                LineOffsetMm = 1,
            }
        );
        Assert.Equal((1.12, true), (Math.Round(chain.OffsetLimitMm!.Value, 9), chain.IsStraight));
        Assert.Null(Straightness.Judge(Measured(element: DriveElement.FlatBelt) with { LineOffsetMm = 1 }).IsStraight);
        // The rear face stands back from the edge by more than it may: it goes towards the edge by that.
        Assert.Equal((2.6, ShiftTo.Edge), (Math.Round(belt.ShiftMm!.Value, 9), belt.ShiftTo));
        StraightEdge past = new([0, 200, 600, 720], [0, 0, -2, -2]);
        Assert.Equal(
            (2.0, ShiftTo.OffEdge),
            (Straightness.Judge(Measured() with { Edge = past }) is var p ? p.ShiftMm : 0, p.ShiftTo)
        );
        // A wider rear rim stands further out by half of what it is wider: no offset then.
        StraightEdge wide = new([0, 200, 600, 720], [0, 0, -2, -2], 30, 34);
        StraightnessResult even = Straightness.Judge(Measured() with { Edge = wide });
        Assert.Equal((0.0, null), (even.OffsetMm!.Value, even.ShiftTo));
        Assert.Null(chain.ShiftMm);
        Assert.Equal(ShiftTo.Line, Straightness.Judge(Measured() with { LineOffsetMm = -3 }).ShiftTo);
        // A line may be fine while the wheels stand askew.
        StraightEdge askew = new([0, 200, 600, 720], [0, 0, -0.3, 0.3]);
        Assert.False(Straightness.Judge(Measured() with { Edge = askew }).IsStraight);
    }

    [Fact]
    public void Marks_tell_which_end_and_how_many_turns()
    {
        StraightnessResult r = Straightness.Judge(Measured() with { Marks = new(612, 613.5) });
        Assert.Equal(1.5, Math.Abs(r.SquareMm!.Value), 1e-9);
        Assert.Equal(r.Move!.Tightens, r.SquareMm > 0);
        // 1.2 turns of 1.25 mm, as sixteenths: 1 3/16, looser; clockwise here, since that loosens on this machine.
        Assert.Equal((1.1875, false, true, Side.Left), (r.Move!.Units, r.Move.Tightens, r.Move.Clockwise, r.WalksTo));
        StraightnessResult byString = Straightness.Judge(Measured() with { AlongString = new(3, 4.5, 250) });
        Assert.Equal(r.Move, byString.Move); // the same skew by string
        Assert.Null(Straightness.Judge(Measured() with { Marks = new(612, 612) }).Move);
        Assert.Equal(0.343775, byString.AngleDeg!.Value, 1e-5);
        Assert.NotEmpty(byString.Workings);
    }

    [Fact]
    public void Nothing_measured_is_refused()
    {
        Refusals.Names("Edge", () => Straightness.Judge(Measured()));
        Refusals.Names("CentreMm", () => Straightness.Judge(Measured() with { CentreMm = 0, LineOffsetMm = 1 }));
        Refusals.Names("SpacingMm", () => Straightness.Judge(Measured() with { SpacingMm = null, Marks = new(1, 2) }));
        // A part's own refusal stands at the part.
        Refusals.Names("Marks.leftMm", () => Straightness.Judge(Measured() with { Marks = new(-1, 2) }));
        Refusals.Names(
            "Edge.gapMm[2]",
            () => Straightness.Judge(Measured() with { Edge = new([0, 200, 600, 720], [0, 0, 51, 2]) })
        );
        Refusals.Names("AlongString.ApartMm", () => StringLine.Angle(new(1, 2, 0)));
    }
}
