using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Shafts;

public sealed class SpacerStacksTests
{
    private static readonly Drive Rail = Drives.WithStages(
        [Drives.Chain("ahead", "in", "axle 1"), Drives.Chain("behind", "in", "axle 2")],
        new DriveOutput("wheel", "axle 1", true, null),
        new DriveOutput("wheel 2", "axle 2", true, null)
    );

    /// <summary>The check rows measure to the hub's left face: the plane is put there.</summary>
    private static SpacerStacksInput OneHub(
        double shaft,
        double hub,
        double left,
        double tolerance,
        double floatMost,
        params double[] stock
    ) =>
        new(
            Rail,
            new("drive", "in", 0, shaft, 12, [new("ahead", WheelSide.Front, hub, 0, left, false)]),
            [.. stock.Select(t => new SpacerCount(t, 1))],
            tolerance,
            0,
            floatMost,
            SpacerOrder.NearestToLine
        );

    private static SpacerStacksInput TwoHubs(params SpacerCount[] stock) =>
        new(
            Rail,
            new(
                "drive",
                "in",
                0,
                60,
                12,
                [new("ahead", WheelSide.Front, 14, 4, 16, false), new("behind", WheelSide.Front, 14, 10, 44, false)]
            ),
            stock,
            null,
            0,
            null,
            SpacerOrder.FewestPieces
        );

    [Theory]
    [InlineData(SpacerOrder.NearestToLine)]
    [InlineData(SpacerOrder.FewestPieces)]
    public void Stacks_agree_with_the_check_rows(SpacerOrder order)
    {
        const string rows = "engineering.md o1, o2; subset sum";
        SpacerStacksInput o1 = OneHub(80, 42, 21.6, 0.5, 0.5, 1, 2, 2, 3, 4, 5, 8, 10, 12) with { Order = order };
        FilledShaft first = SpacerStacks.Find(o1).Ways[0];
        Published.Agrees(0.4, first.Sprockets[0].ErrorMm, 1e-9, rows);
        Published.Agrees(0, first.FloatMm, 1e-9, rows);
        Assert.Equal(5, first.Pieces);
        SpacerStacksInput o2 = OneHub(60, 38, 9.25, 0.25, 0.3, 0.5, 1, 3, 5, 8, 9, 10) with { Order = order };
        FilledShaft second = SpacerStacks.Find(o2).Ways[0];
        Published.Agrees(0.25, second.LineErrorMm, 1e-9, rows);
        Published.Agrees(0, second.FloatMm, 1e-9, rows);
        Assert.Equal(3, second.Pieces);
    }

    /// <summary>Every piece put left, right or nowhere: the same best way comes out.</summary>
    [Theory]
    [InlineData(SpacerOrder.NearestToLine)]
    [InlineData(SpacerOrder.FewestPieces)]
    public void The_best_stack_is_that_of_trying_every_place_of_every_piece(SpacerOrder order) =>
        Gen.Select(Gen.Int[1, 24].Select(t => t / 2.0).Array[1, 7], Gen.Int[4, 40], Gen.Int[10, 50])
            .Sample(
                (stock, left, free) =>
                {
                    SpacerStacksInput input = OneHub(20 + free, 20, left / 2.0, 0.5, 1, stock) with { Order = order };
                    (double, double, double) Key(double error, double over, int pieces) =>
                        order == SpacerOrder.NearestToLine ? (error, over, pieces) : (pieces, error, over);
                    (double, double, double)? expected = null;
                    for (int code = 0; code < Math.Pow(3, stock.Length); code++)
                    {
                        int[] place = [.. stock.Select((_, i) => code / (int)Math.Pow(3, i) % 3)];
                        double Sum(int at) => stock.Where((_, i) => place[i] == at).Sum();
                        double error = Math.Abs(Sum(1) - left / 2.0);
                        double over = free - Sum(1) - Sum(2);
                        int pieces = place.Count(p => p > 0);
                        if (error > 0.5 || over < 0 || over > 1)
                            continue;
                        (double, double, double) way = Key(error, over, pieces);
                        expected = expected is null || way.CompareTo(expected.Value) < 0 ? way : expected;
                    }
                    SpacerStacksResult found = SpacerStacks.Find(input);
                    Assert.True(found.IsComplete);
                    (double, double, double)? best =
                        found.Ways.Count == 0
                            ? null
                            : Key(found.Ways[0].LineErrorMm, found.Ways[0].FloatMm, found.Ways[0].Pieces);
                    Assert.Equal(expected, best);
                },
                iter: 200
            );

    private static IReadOnlyList<Working> Explained(SpacerStacksInput input, FilledShaft way) =>
        SpacerWorkings.Explain(
            new(
                input.Drive,
                input.Shaft,
                [.. way.Gaps.Select(g => g.PiecesMm)],
                [.. way.Sprockets.Select(s => s.IsTurned)]
            )
        );

    [Fact]
    public void Pieces_that_are_not_those_of_the_shaft_are_named()
    {
        SpacerStacksInput input = TwoHubs(new(12, 2), new(8, 1));
        void Refused(string field, IReadOnlyList<IReadOnlyList<double>> gaps, params bool[] turned) =>
            Refusals.Names(field, () => SpacerWorkings.Explain(new(input.Drive, input.Shaft, gaps, turned)));
        Refused(
            "GapsMm",
            [
                [12],
                [8],
            ],
            false,
            false
        );
        Refused(
            "Turned",
            [
                [12],
                [8],
                [],
            ],
            false
        );
        Refused(
            "GapsMm[1][0]",
            [
                [12],
                [double.NaN],
                [],
            ],
            false,
            false
        );
    }

    [Fact]
    public void Two_sprockets_on_one_shaft_both_come_to_their_lines()
    {
        // 12 + hub 14 + 8 + hub 14 + 12 = 60, line 12 + 4 = 16 and 34 + 10 = 44.
        SpacerStacksInput input = TwoHubs(new(12, 2), new(8, 1), new(6, 4), new(2, 3));
        SpacerStacksResult found = SpacerStacks.Find(input);
        FilledShaft way = found.Ways[0];
        Assert.Equal(
            [
                [12.0],
                [8.0],
                [12.0],
            ],
            way.Gaps.Select(g => g.PiecesMm)
        );
        Assert.All(way.Gaps, g => Assert.Equal(0, g.RemainderMm, 1e-9));
        Assert.Equal([16.0, 44.0], way.Sprockets.Select(s => s.PlaneMm));
        Assert.Equal((0, 3), (way.LineErrorMm, way.Pieces));
        Assert.Equal(found.Ways.Select(w => w.Pieces).Order(), found.Ways.Select(w => w.Pieces));
        Assert.Equal(1, found.ToleranceMm);
        // Every way explains itself, not the first one.
        Assert.All(
            found.Ways,
            w =>
            {
                double[] explained = [.. Explained(input, w).Select(e => e.Result.Value)];
                Assert.Equal(
                    w.Sprockets.Select(s => Math.Round(s.ErrorMm, 9)),
                    explained[..^1].Select(e => Math.Round(e, 9))
                );
                Assert.Equal(w.FloatMm, explained[^1], 1e-9);
            }
        );
    }

    [Fact]
    public void No_piece_is_used_more_often_than_it_is_there()
    {
        SpacerStacksResult found = SpacerStacks.Find(TwoHubs(new(12, 1), new(8, 1), new(6, 2), new(2, 2)));
        Assert.NotEmpty(found.Ways);
        foreach (FilledShaft way in found.Ways)
        {
            double[] used = [.. way.Gaps.SelectMany(g => g.PiecesMm)];
            Assert.True(used.Count(t => t == 12) <= 1 && used.Count(t => t == 6) <= 2 && used.Count(t => t == 2) <= 2);
            double hubs = 28;
            Assert.Equal(60, used.Sum() + hubs + way.FloatMm, 1e-9);
        }
    }

    [Fact]
    public void A_dished_sprocket_that_may_be_turned_is_turned_where_that_helps()
    {
        SpacerStacksInput fixedWay = OneHub(40, 20, 16, 0.5, 0.5, 10);
        SprocketOnShaft dished = new("ahead", WheelSide.Front, 20, 14, 16, false);
        SpacerStacksInput Dished(bool turns) =>
            fixedWay with
            {
                Shaft = fixedWay.Shaft with { Sprockets = [dished with { CanBeTurned = turns }] },
                Stock = [new(10, 2)],
            };
        Assert.Empty(SpacerStacks.Find(Dished(false)).Ways);
        FilledShaft way = SpacerStacks.Find(Dished(true)).Ways[0];
        Assert.Equal(0, Explained(Dished(true), way)[0].Result.Value, 1e-9);
        SeatedSprocket seated = way.Sprockets[0];
        Assert.Equal((true, 10.0, 16.0), (seated.IsTurned, seated.LeftFaceMm, seated.PlaneMm));
    }

    [Fact]
    public void Without_a_way_the_nearest_tells_what_is_missing()
    {
        SpacerStacksResult found = SpacerStacks.Find(TwoHubs(new(12, 1), new(10, 1), new(6, 1)));
        Assert.Empty(found.Ways);
        Assert.NotNull(found.Nearest);
        Assert.Equal(32 - 28, found.Nearest.Gaps.Sum(g => g.RemainderMm), 1e-9);
    }

    [Fact]
    public void A_full_drawer_is_searched_as_far_as_it_is_said()
    {
        SpacerCount[] drawer = [.. Enumerable.Range(1, 30).Select(i => new SpacerCount(i * 0.1, 20))];
        SpacerStacksResult found = SpacerStacks.Find(TwoHubs(drawer) with { Order = SpacerOrder.NearestToLine });
        Assert.False(found.IsComplete);
        Assert.Equal(0, found.Ways[0].LineErrorMm, 0.2);
    }

    [Fact]
    public void Wrong_widths_are_refused()
    {
        SpacerStacksInput good = TwoHubs(new SpacerCount(12, 2));
        void Refused(string field, SpacerStacksInput input) => Refusals.Names(field, () => SpacerStacks.Find(input));
        SpacerStacksInput With(Func<SprocketOnShaft, SprocketOnShaft> change) =>
            good with
            {
                Shaft = good.Shaft with { Sprockets = [change(good.Shaft.Sprockets[0])] },
            };
        Refused("Stock", good with { Stock = [] });
        Refused("Stock[0].ThicknessMm", good with { Stock = [new(double.NaN, 1)] });
        Refused("Stock[0].Count", good with { Stock = [new(1, -1)] });
        Refused("ToleranceMm", good with { ToleranceMm = -1 });
        Refused("FloatMostMm", good with { FloatLeastMm = 1, FloatMostMm = 0.5 });
        Refused("Shaft.Sprockets[1].HubWidthMm", good with { Shaft = good.Shaft with { LengthMm = 28 } });
        Refused("Shaft.LengthMm", good with { Shaft = good.Shaft with { LengthMm = double.PositiveInfinity } });
        Refused("Shaft.Shaft", good with { Shaft = good.Shaft with { Shaft = "none" } });
        Refused(
            "Shaft.Sprockets[1].LoopKey",
            good with
            {
                Shaft = good.Shaft with { Sprockets = [good.Shaft.Sprockets[0], good.Shaft.Sprockets[0]] },
            }
        );
        Refused("Shaft.Sprockets", good with { Shaft = good.Shaft with { Sprockets = [] } });
        Refused("Shaft.Sprockets[0].HubWidthMm", With(s => s with { HubWidthMm = 0 }));
        Refused("Shaft.Sprockets[0].LoopKey", With(s => s with { LoopKey = "none" }));
        Refused("Shaft.Sprockets[0].LoopKey", With(s => s with { Side = WheelSide.Rear }));
        Refused("Shaft.Sprockets[0].LineMm", With(s => s with { LineMm = -1 }));
    }
}
