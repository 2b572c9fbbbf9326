using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

/// <summary>A layout is begun from what a rule tells on the machine: centre, slot, and where the axle stands in it.</summary>
public sealed class MeasuredPlaceTests
{
    private static StoredMachine Begun(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        return Benches.Of(draft.Machine with { Id = 7, Version = 1, Name = "New" }, draft.Fitted);
    }

    private static LoopLayout Lay(StoredMachine stored, MeasuredPlace measured) =>
        stored.Ask(new() { StartingLayout = new(measured) }).StartingLayout!.Answer!.Layout;

    [Fact]
    public void The_axle_stands_where_it_was_measured_in_a_slot_of_that_length()
    {
        LoopLayout layout = Lay(Begun(MachineKind.Motorcycle), new(641.5, 46, 12));
        Assert.Equal(641.5, layout.Front.DistanceTo(layout.Rear), 9);
        LineTrack track = Assert.IsType<LineTrack>(layout.Moving!.Track);
        Assert.Equal(46, track.LengthMm, 9);
        Assert.Equal(12, track.From.DistanceTo(layout.Rear), 9);
        // Tighter is away from the front wheel.
        Assert.True(track.To.DistanceTo(layout.Front) > track.From.DistanceTo(layout.Front));
    }

    [Fact]
    public void What_nobody_measured_stays_as_usual()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        LoopLayout usual = Lay(stored, new());
        Assert.Equal(usual, Lay(stored, new(usual.Front.DistanceTo(usual.Rear))));
        LineTrack slot = Assert.IsType<LineTrack>(Lay(stored, new(null, 30)).Moving!.Track);
        Assert.Equal(15, slot.From.DistanceTo(usual.Rear), 9);
        LineTrack from = Assert.IsType<LineTrack>(Lay(stored, new(null, null, 8)).Moving!.Track);
        Assert.Equal((8, 40), (Math.Round(from.From.DistanceTo(usual.Rear), 9), Math.Round(from.LengthMm, 9)));
    }

    /// <summary>A motor on its slide is what moves; the wheel stays.</summary>
    [Theory]
    [InlineData(MachineKind.KickBoard)]
    [InlineData(MachineKind.Winch)]
    [InlineData(MachineKind.Robot)]
    public void Whatever_moves_is_put_into_its_slot(MachineKind kind)
    {
        StoredMachine stored = Begun(kind);
        LoopLayout usual = Lay(stored, new());
        double centre = usual.Front.DistanceTo(usual.Rear) + 3;
        LoopLayout layout = Lay(stored, new(centre, 18, 5));
        Assert.Equal(centre, layout.Front.DistanceTo(layout.Rear), 9);
        if (layout.Moving is { Track: LineTrack track })
        {
            Point moved = layout.Moving.Wheel == LoopLayout.FrontName ? layout.Front : layout.Rear;
            Assert.Equal((18, 5), (Math.Round(track.LengthMm, 9), Math.Round(track.From.DistanceTo(moved), 9)));
        }
    }

    [Fact]
    public void What_can_not_be_is_refused_at_its_field()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        IReadOnlyList<InputIssue> Issues(MeasuredPlace measured) =>
            stored.Ask(new() { StartingLayout = new(measured) }).StartingLayout!.Refused!;
        Assert.Equal("Measured.CentreMm", Assert.Single(Issues(new(120))).Field);
        Assert.Equal("Measured.SlotMm", Assert.Single(Issues(new(640, 0))).Field);
        Assert.Equal("Measured.FromSlackMm", Assert.Single(Issues(new(640, 40, 41))).Field);
    }

    /// <summary>Half a pitch of a 520 chain is 7.9 mm; what is further off was counted or measured wrong.</summary>
    [Theory]
    [InlineData(0, false)]
    [InlineData(7, false)]
    [InlineData(-9, true)]
    [InlineData(14, true)]
    public void What_does_not_go_with_the_length_is_said(double offMm, bool isFar)
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        StartingLayoutAnswer usual = stored.Ask(new() { StartingLayout = new() }).StartingLayout!.Answer!;
        Assert.False(usual.IsFarFromLength);
        MeasuredPlace measured = new(usual.CentreByLengthMm + offMm);
        Assert.Equal(
            isFar,
            stored.Ask(new() { StartingLayout = new(measured) }).StartingLayout!.Answer!.IsFarFromLength
        );
    }

    /// <summary>A chain of two links more puts the axle one pitch further back: 15.875 mm, of 1.25 mm a turn.</summary>
    [Fact]
    public void Every_length_tells_how_far_the_axle_goes_and_in_how_many_turns()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        Machine machine = stored.Machine with
        {
            Layouts = [Lay(stored, new())],
            Settings = [new("final", new(AdjusterKind.TwoEnds, MmPerUnit: 1.25))],
        };
        LoopFitResult fit = (stored with { Machine = machine }).Ask(new() { Fit = new() }).Fit!.Answer!;
        FittingLength on = fit.Lengths.Single(l => l.Length == 112);
        FittingLength more = fit.Lengths.Single(l => l.Length == 114);
        Assert.Equal((0, 0), (Math.Round(on.MovedMm!.Value, 6), Math.Round(on.MovedSteps!.Value, 6)));
        Assert.InRange(more.MovedMm!.Value, 15.8, 16.1);
        Assert.Equal(more.MovedMm.Value / 1.25, more.MovedSteps!.Value, 9);
        Assert.All(fit.Lengths.Where(l => l.Length < 112), l => Assert.True(l.MovedMm < 0));
    }
}
