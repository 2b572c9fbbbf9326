using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Loops;

public sealed class LoopTracingTests
{
    private const string Rows = "engineering.md f";

    internal static LoopWheel Wheel(string name, double x, double y, double radius, RunSide side = RunSide.Inside) =>
        new(name, new(x, y), WheelOutline.Roller(2 * radius), side, null);

    private static LoopPath Traced(IReadOnlyList<LoopWheel> wheels, Turning turning = Turning.Counterclockwise)
    {
        (LoopPath? path, LayoutProblem? problem) = LoopTracing.Trace(wheels, turning);
        Assert.Null(problem);
        return path!;
    }

    private static LayoutProblem ProblemOf(params LoopWheel[] wheels)
    {
        (LoopPath? path, LayoutProblem? problem) = LoopTracing.Trace(wheels, Turning.Counterclockwise);
        Assert.Null(path);
        return problem!;
    }

    private static readonly LoopWheel[] Three =
    [
        Wheel("a", 0, 0, 50),
        Wheel("b", 400, 0, 100),
        Wheel("c", 200, 230, 40),
    ];

    private static readonly LoopWheel[] WithIdler =
    [
        Wheel("a", 0, 0, 60),
        Wheel("b", 500, -20, 120),
        Wheel("idler", 300, 130, 35, RunSide.Back),
        Wheel("d", 150, 180, 40),
    ];

    [Fact]
    public void Loops_agree_with_the_check_rows()
    {
        LoopPath f1 = Traced(Three);
        Published.AgreesWithin(0.01, 1430.19, f1.LengthMm, Rows);
        AssertNear([396.863, 298.831, 304.631], f1.Spans.Select(s => s.LengthMm));
        AssertNear([125.709, 149.543, 84.7486], f1.Wheels.Select(w => w.WrapDeg));
        LoopPath f2 = Traced(WithIdler);
        Published.AgreesWithin(0.01, 1689.98, f2.LengthMm, Rows);
        AssertNear([496.79, 196.15, 139.194, 233.452], f2.Spans.Select(s => s.LengthMm));
        AssertNear([125.525, 190.623, 48.1977, 92.0493], f2.Wheels.Select(w => w.WrapDeg));
        Assert.Equal([true, true, false, true], f2.Wheels.Select(w => w.TurnsWithLoop));
    }

    private static void AssertNear(double[] expected, IEnumerable<double> found) =>
        Assert.All(expected.Zip(found), p => Published.AgreesWithin(0.01, p.First, p.Second, Rows));

    [Fact]
    public void A_solved_tensioner_agrees_with_the_check_row()
    {
        LoopWheel[] wheels =
        [
            Wheel("a", 0, 0, 60),
            Wheel("b", 500, 0, 120),
            Wheel("tensioner", 260, 130, 30, RunSide.Back),
        ];
        LineTrack down = new(new(260, 130), new(260, 40));
        double? travel = LoopClosing.TravelMm(wheels, 2, down, Turning.Counterclockwise, BeltArrangement.Open, 1590);
        Published.AgreesWithin(0.01, 72.8003, travel!.Value, "engineering.md f3");
        wheels[2] = wheels[2] with { Centre = down.At(travel.Value) };
        LoopPath path = Traced(wheels);
        Assert.Equal(1590, path.LengthMm, 1e-6);
        AssertNear([180.46, 210.93, 31.3895], path.Wheels.Select(w => w.WrapDeg));
    }

    [Fact]
    public void A_loop_of_two_wheels_is_the_two_wheel_formula() =>
        Gen.Select(Gen.Double[20, 200], Gen.Double[20, 200], Gen.Double[1.02, 8], Gen.Bool)
            .Sample(
                (r1, r2, apart, crossed) =>
                {
                    BeltArrangement arrangement = crossed ? BeltArrangement.Crossed : BeltArrangement.Open;
                    double centre = apart * (r1 + r2);
                    LoopWheel[] wheels = [Wheel("a", 0, 0, r1), Wheel("b", centre, 0, r2)];
                    (LoopPath? path, _) = LoopTracing.Trace(wheels, Turning.Counterclockwise, arrangement);
                    Assert.Equal(BeltLength.Mm(arrangement, 2 * r1, 2 * r2, centre), path!.LengthMm, 1e-6);
                    if (!crossed)
                        Assert.Equal(360, path.Wheels.Sum(w => w.WrapDeg), 1e-6);
                    Assert.Equal(!crossed, path.Wheels[1].TurnsWithLoop);
                },
                iter: 300
            );

    /// <summary>Walks the outline in small steps and adds them up: no tangent formula in it.</summary>
    [Fact]
    public void The_length_agrees_with_walking_along_the_path()
    {
        foreach (Turning turning in Enum.GetValues<Turning>())
        foreach (LoopWheel[] wheels in new[] { Mirrored(Three, turning), Mirrored(WithIdler, turning) })
        {
            LoopPath path = Traced(wheels, turning);
            double walked = 0;
            for (int k = 0; k < path.Wheels.Count; k++)
            {
                walked += path.Spans[k].Start.DistanceTo(path.Spans[k].End);
                walked += WalkedArc(path.Wheels[k], turning);
            }
            Assert.Equal(walked, path.LengthMm, 1e-3);
            // Every run is square to the radius where it touches.
            foreach (LoopSpan span in path.Spans)
            foreach (WrappedWheel wheel in path.Wheels.Where(w => w.Name == span.From))
            {
                Point along = span.End - span.Start;
                Point radius = span.Start - wheel.Centre;
                Assert.Equal(0, along.XMm * radius.XMm + along.YMm * radius.YMm, 1e-6 * span.LengthMm * 200);
                Assert.Equal(wheel.Outline.RunRadiusMm, wheel.Centre.DistanceTo(span.Start), 1e-9);
            }
        }
    }

    private static LoopWheel[] Mirrored(LoopWheel[] wheels, Turning turning) =>
        turning == Turning.Counterclockwise
            ? wheels
            : [.. wheels.Select(w => w with { Centre = new(w.Centre.XMm, -w.Centre.YMm) })];

    private static double WalkedArc(WrappedWheel wheel, Turning turning)
    {
        const int steps = 20_000;
        double sense = (turning == Turning.Counterclockwise ? 1 : -1) * (wheel.TurnsWithLoop ? 1 : -1);
        Point at = wheel.ArcStart;
        double walked = 0;
        Point r = wheel.ArcStart - wheel.Centre;
        for (int i = 1; i <= steps; i++)
        {
            double angle = sense * wheel.WrapDeg * Math.PI / 180 * i / steps;
            Point next =
                wheel.Centre
                + new Point(
                    r.XMm * Math.Cos(angle) - r.YMm * Math.Sin(angle),
                    r.XMm * Math.Sin(angle) + r.YMm * Math.Cos(angle)
                );
            walked += at.DistanceTo(next);
            at = next;
        }
        // The arc must end where the next run begins.
        Assert.Equal(0, at.DistanceTo(wheel.ArcEnd), 1e-6);
        return walked;
    }

    [Fact]
    public void Turning_the_whole_layout_changes_nothing() =>
        Gen.Select(Gen.Double[-3, 3], Gen.Double[-500, 500], Gen.Double[-500, 500])
            .Sample(
                (angle, x, y) =>
                {
                    LoopWheel[] turned =
                    [
                        .. WithIdler.Select(w =>
                            w with
                            {
                                Centre = new(
                                    x + w.Centre.XMm * Math.Cos(angle) - w.Centre.YMm * Math.Sin(angle),
                                    y + w.Centre.XMm * Math.Sin(angle) + w.Centre.YMm * Math.Cos(angle)
                                ),
                            }
                        ),
                    ];
                    LoopPath before = Traced(WithIdler);
                    LoopPath after = Traced(turned);
                    Assert.Equal(before.LengthMm, after.LengthMm, 1e-6);
                    Assert.All(
                        before.Wheels.Zip(after.Wheels),
                        p => Assert.Equal(p.First.WrapDeg, p.Second.WrapDeg, 1e-6)
                    );
                },
                iter: 200
            );

    [Fact]
    public void A_chain_counts_teeth_where_a_belt_counts_arcs()
    {
        Loop chain = Gearing.Drives.Chain("final", "in", "out");
        LoopWheel[] wheels =
        [
            new("front", new(0, 0), WheelOutline.For(chain, 15), RunSide.Inside, 15.875),
            new("rear", new(-640, 0), WheelOutline.For(chain, 45), RunSide.Inside, 15.875),
        ];
        LoopPath path = Traced(wheels, Turning.Clockwise);
        Published.AgreesWithin(0.01, 111.196, path.LengthMm / 15.875, "engineering.md d2");
        Assert.Equal((int)(15 * path.Wheels[0].WrapDeg / 360), path.Wheels[0].TeethEngaged);
    }

    [Fact]
    public void An_idler_that_is_not_touched_is_named_with_its_gap()
    {
        LayoutProblem problem = ProblemOf(
            Wheel("front", 0, 0, 50),
            Wheel("rear", 400, 0, 50),
            Wheel("idler", 200, 90, 20, RunSide.Back)
        );
        Assert.Equal((LayoutFault.NotTouching, "idler"), (problem.Fault, problem.Wheel));
        Assert.Equal(20, problem.ByMm!.Value, 1e-6); // 90 − 20 − 50
    }

    [Fact]
    public void Wheels_without_a_run_between_them_are_named()
    {
        LayoutProblem inside = ProblemOf(Wheel("small", 0, 0, 20), Wheel("large", 10, 0, 100));
        Assert.Equal((LayoutFault.Overlap, "small", "large"), (inside.Fault, inside.Wheel, inside.Other));
        Assert.Equal(70, inside.ByMm!.Value, 9);
        LayoutProblem same = ProblemOf(Wheel("a", 5, 5, 20), Wheel("b", 5, 5, 20));
        Assert.Equal(LayoutFault.Overlap, same.Fault);
    }

    /// <summary>The idler pushes the upper run down until its lowest point is 3 mm past the lower run.</summary>
    [Fact]
    public void A_run_that_would_go_through_a_wheel_is_named_with_how_far()
    {
        LayoutProblem cut = ProblemOf(
            Wheel("a", 0, 0, 40),
            Wheel("b", 400, 0, 40),
            Wheel("idler", 200, 2, 45, RunSide.Back)
        );
        Assert.Equal((LayoutFault.CutsWheel, "idler", "a"), (cut.Fault, cut.Wheel, cut.Other));
        Assert.Equal(3, cut.ByMm!.Value, 1e-6);
    }

    /// <summary>Deeper still, and the runs to either side of the idler cross the lower run.</summary>
    [Fact]
    public void A_loop_that_crosses_itself_is_named()
    {
        LayoutProblem crossed = ProblemOf(
            Wheel("a", 0, 0, 40),
            Wheel("b", 400, 0, 40),
            Wheel("idler", 200, -40, 45, RunSide.Back)
        );
        Assert.Equal((LayoutFault.CrossesItself, "a"), (crossed.Fault, crossed.Wheel));
    }

    [Fact]
    public void Wrong_wheels_are_refused()
    {
        void Refused(string field, params LoopWheel[] wheels) =>
            Refusals.Names(field, () => LoopTracing.Trace(wheels, Turning.Clockwise));
        Refused("Wheels", Wheel("alone", 0, 0, 50));
        Refused("Wheels", [.. Enumerable.Range(0, 200).Select(i => Wheel($"w{i}", 300 * i, 0, 50))]);
        Refused("Wheels[0].Outline.RunRadiusMm", Wheel("a", 0, 0, 0), Wheel("b", 400, 0, 50));
        Refused("Wheels[1].Centre.XMm", Wheel("a", 0, 0, 50), Wheel("b", double.NaN, 0, 50));
        Refused("Wheels[1].Centre.YMm", Wheel("a", 0, 0, 50), Wheel("b", 0, double.PositiveInfinity, 50));
    }

    [Fact]
    public void A_length_that_no_place_on_the_track_closes_is_told() =>
        Assert.Null(
            LoopClosing.TravelMm(
                [Wheel("a", 0, 0, 60), Wheel("b", 500, 0, 120)],
                1,
                new LineTrack(new(500, 0), new(540, 0)),
                Turning.Clockwise,
                BeltArrangement.Open,
                9000
            )
        );

    [Fact]
    public void An_arc_is_a_track_as_a_slot_is()
    {
        ArcTrack eccentric = new(new(500, 0), 10, 0, 180);
        LoopWheel[] wheels = [Wheel("a", 0, 0, 60), Wheel("b", 510, 0, 60)];
        double wanted = BeltLength.Mm(BeltArrangement.Open, 120, 120, 500.0);
        double? travel = LoopClosing.TravelMm(wheels, 1, eccentric, Turning.Clockwise, BeltArrangement.Open, wanted);
        // √((500 + 10·cos φ)² + (10·sin φ)²) = 500 at cos φ = −10/1000.
        Assert.Equal(10 * Math.Acos(-0.01), travel!.Value, 1e-6);
    }
}
