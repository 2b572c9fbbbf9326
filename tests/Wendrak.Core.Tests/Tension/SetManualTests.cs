using Wendrak.Core.Gearing;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tension;

/// <summary>What is said at an adjuster is of that adjuster and of that machine.</summary>
public sealed class SetManualTests
{
    private static string AllOf(SetManual m) =>
        string.Join(
            "\n",
            [
                m.Lock,
                m.Handles,
                m.Loosen,
                .. m.Procedure,
                .. m.Cautions,
                .. m.Closing.Select(c => c.Sentence),
                .. m.ByHand.SelectMany(w => w.Steps.Append(w.Name)),
            ]
        );

    private static SetManual Board(AdjusterKind kind) =>
        SetManual.For(MachineKind.KickBoard, InputKind.Motor, DriveElement.ToothedBelt, kind);

    /// <summary>Words that belong to one kind of drive alone, and the kinds that may speak them.</summary>
    [Theory]
    [InlineData("axle nut", AdjusterKind.TwoEnds, AdjusterKind.Cam)]
    [InlineData("axle", AdjusterKind.TwoEnds, AdjusterKind.Cam)]
    [InlineData("motor bolts", AdjusterKind.SlidingMotor, AdjusterKind.SpringSlide)]
    [InlineData("eccentric", AdjusterKind.Eccentric)]
    [InlineData("cam", AdjusterKind.Cam)]
    [InlineData("shim", AdjusterKind.Shims, AdjusterKind.SheaveShims)]
    [InlineData("spring", AdjusterKind.SprungArm, AdjusterKind.SpringSlide)]
    public void A_word_of_one_adjuster_is_not_said_at_another(string word, params AdjusterKind[] kinds) =>
        Assert.All(
            Enum.GetValues<AdjusterKind>(),
            kind =>
                Assert.Equal(
                    kinds.Contains(kind),
                    AllOf(Board(kind)).Contains(word, StringComparison.OrdinalIgnoreCase)
                )
        );

    [Fact]
    public void A_board_has_no_vehicle_to_chock_and_no_brake_to_try()
    {
        string board = AllOf(Board(AdjusterKind.SlidingMotor));
        Assert.DoesNotContain("chocked", board, StringComparison.Ordinal);
        Assert.DoesNotContain("brake works", board, StringComparison.Ordinal);
        string road = AllOf(
            SetManual.For(MachineKind.Motorcycle, InputKind.Engine, DriveElement.Chain, AdjusterKind.TwoEnds)
        );
        Assert.Contains("chocked, engine off", road, StringComparison.Ordinal);
        Assert.Contains("brake works", road, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(MachineKind.Motorcycle, InputKind.Engine, "engine off and out of gear")]
    [InlineData(MachineKind.Winch, InputKind.Motor, "motor isolated and battery off")]
    [InlineData(MachineKind.Bicycle, InputKind.Rider, "nobody at the pedals")]
    public void The_first_caution_is_of_the_machine_and_of_what_drives_it(
        MachineKind kind,
        InputKind input,
        string still
    ) =>
        Assert.Contains(
            still,
            SetManual.For(kind, input, DriveElement.Chain, AdjusterKind.OneScrew).Cautions[0],
            StringComparison.Ordinal
        );

    [Fact]
    public void Every_adjuster_has_the_whole_closing_list_in_its_order() =>
        Assert.All(
            Enum.GetValues<AdjusterKind>(),
            kind => Assert.Equal(Enum.GetValues<ClosingStep>(), Board(kind).Closing.Select(c => c.Step))
        );

    [Fact]
    public void A_slip_test_goes_both_ways_and_is_of_a_belt()
    {
        SlipTestWay slip = Board(AdjusterKind.SlidingMotor).ByHand[0];
        Assert.Contains(slip.Steps, s => s.Contains("forwards", StringComparison.Ordinal));
        Assert.Contains(slip.Steps, s => s.Contains("backwards", StringComparison.Ordinal));
        Assert.Empty(
            SetManual.For(MachineKind.Moped, InputKind.Motor, DriveElement.Chain, AdjusterKind.TwoEnds).ByHand
        );
    }

    /// <summary>Between fixed centres nothing is nipped between rounds, nor at a sheave: there is nothing that moves of itself.</summary>
    [Fact]
    public void Nothing_is_nipped_where_nothing_moves()
    {
        static bool Nips(AdjusterKind kind) =>
            Board(kind).Cautions.Any(c => c.StartsWith("Nip", StringComparison.Ordinal));
        Assert.False(Nips(AdjusterKind.FixedCentres));
        Assert.False(Nips(AdjusterKind.SheaveShims));
        Assert.All(
            Enum.GetValues<AdjusterKind>().Except([AdjusterKind.FixedCentres, AdjusterKind.SheaveShims]),
            kind => Assert.True(Nips(kind), $"{kind}")
        );
    }

    /// <summary>Common practice: a chain is judged by its play, a belt by its tone or a push; a gauge and a hand serve for both.</summary>
    [Fact]
    public void What_it_is_read_by_hangs_on_the_loop()
    {
        SetManual Of(DriveElement element) =>
            SetManual.For(MachineKind.Motorcycle, InputKind.Engine, element, AdjusterKind.TwoEnds);
        Assert.Equal([ReadingMethod.FreePlay, ReadingMethod.Gauge, ReadingMethod.Feel], Of(DriveElement.Chain).ReadBy);
        Assert.All(
            Enum.GetValues<DriveElement>().Where(e => e != DriveElement.Chain),
            e =>
                Assert.Equal(
                    [ReadingMethod.Pluck, ReadingMethod.Push, ReadingMethod.Gauge, ReadingMethod.Feel],
                    Of(e).ReadBy
                )
        );
        Assert.Equal(new PairsNeeded(2, 1), Of(DriveElement.Chain).PairsNeeded);
        // A hand has no figures that a maker's window could be told in.
        Assert.Equal([ReadingMethod.FreePlay, ReadingMethod.Gauge], Of(DriveElement.Chain).WindowBy);
        Assert.Equal([4, 6, 8], Of(DriveElement.Chain).Places);
        Assert.Equal(
            [1],
            SetManual.For(MachineKind.Motorcycle, InputKind.Engine, DriveElement.VBelt, AdjusterKind.SheaveShims).Places
        );
    }

    [Fact]
    public void Only_an_axle_with_two_ends_has_both_its_arms_measured() =>
        Assert.All(
            Enum.GetValues<AdjusterKind>(),
            kind =>
                Assert.Equal(
                    kind is AdjusterKind.TwoEnds or AdjusterKind.Cam
                        ? Enum.GetValues<StraightnessMethod>()
                        : [StraightnessMethod.StraightEdge, StraightnessMethod.Line, StraightnessMethod.TautString],
                    Board(kind).StraightBy
                )
        );
}
