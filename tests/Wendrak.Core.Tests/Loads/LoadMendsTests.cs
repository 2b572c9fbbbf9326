using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tables;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Loads.LoadCheckKind;
using static Wendrak.Core.Loads.OperatingPointKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

public sealed class LoadMendsTests
{
    /// <summary>An undersized sprocket is judged, not refused, and what mends it is tried out.</summary>
    [Fact]
    public void A_mend_is_computed_and_does_what_it_says()
    {
        LoadsInput input = Chain(10, 27);
        LoadCheck ripple = LoopLoads.Evaluate(input).Check(Ripple);
        Assert.Equal(Verdict.Watch, ripple.Verdict);
        Mend mend = MendsOf(input, Ripple).Single(m => m.Kind == MendKind.MoreFrontTeeth);
        LoadCheck then = LoopLoads.Evaluate(Chain(mend.To!.Value, 27)).Check(Ripple);
        Assert.Equal((Verdict.Fine, mend.Value), (then.Verdict, then.Value!.Value));
        // One tooth less would not do.
        Assert.NotEqual(Verdict.Fine, LoopLoads.Evaluate(Chain(mend.To.Value - 1, 27)).Check(Ripple).Verdict);
        // More strands make nothing smoother.
        Assert.DoesNotContain(MendsOf(input, Ripple), m => m.Kind == MendKind.MoreStrands);
    }

    /// <summary>A motorcycle has one chain and little room under its cover; a winch can have what its builder orders.</summary>
    [Fact]
    public void Only_what_this_machine_can_take_is_offered()
    {
        LoadsInput weak = Motorcycle(9, 27) with { Strength = new("final", BreakingLoadN: 7_000) };
        Mend[] mends = [.. LoadMends.Find(weak).SelectMany(m => m.Mends)];
        Assert.DoesNotContain(mends, m => m.Kind == MendKind.MoreStrands);
        Assert.DoesNotContain(mends, m => m is { Kind: MendKind.MoreFrontTeeth, To: > 11 });
        // An edge just outside the wheel of 10 teeth leaves no room for one of more.
        LoadsInput open = Chain(10, 27);
        double outside = WheelOutline.For(open.Drive.Stages.OfType<Loop>().Single(), 10).OutsideRadiusMm;
        ClearanceLimit edge = new("case", new(outside + 0.1, -5), new(outside + 0.1, 5), 0);
        LoadsInput tight = open with { Layout = open.Layout! with { Limits = [edge] } };
        Assert.Contains(MendsOf(open, Ripple), m => m.Kind == MendKind.MoreFrontTeeth);
        Assert.DoesNotContain(MendsOf(tight, Ripple), m => m.Kind == MendKind.MoreFrontTeeth);
    }

    [Fact]
    public void Strands_sizes_width_and_tension_mend_where_they_help()
    {
        LoadsInput weak = Chain(15, 45) with { Strength = new("final", BreakingLoadN: 2_000) };
        LoadCheck breaking = LoopLoads.Evaluate(weak).Check(BreakingLoad);
        Assert.NotEqual(Verdict.Fine, breaking.Verdict);
        Assert.Contains(MendsOf(weak, BreakingLoad), m => m.Kind == MendKind.MoreStrands && m.Value >= 7);
        // Another size is judged by its own figures, not by what the maker said of this one.
        Mend other = MendsOf(weak, BreakingLoad).Single(m => m.Kind == MendKind.OtherSize);
        Assert.Equal(
            Chains.Find(other.Size!)!.MinTensileN / LoopLoads.Evaluate(weak).At(HardestPull).PullN,
            other.Value,
            1e-9
        );
        LoadsInput narrow = ToothedBelt("L", 28, 70) with
        {
            Strength = new("final", WidthMm: 20),
            Source = new("drive", PeakTorqueNm: 7),
        };
        Mend wider = MendsOf(narrow, BeltPull).Single(m => m.Kind == MendKind.WiderBelt);
        Assert.True(wider.To > 20);
        Mend tighter = MendsOf(VBelt(200), Slip).Single(m => m.Kind == MendKind.MoreTension);
        Assert.Equal(tighter.Value, LoopLoads.Evaluate(VBelt(tighter.To!.Value)).Check(Slip).Value!.Value, 1e-9);
    }

    private static IReadOnlyList<Mend> MendsOf(LoadsInput input, LoadCheckKind kind) =>
        LoadMends.Find(input).First(m => m.Kind == kind).Mends;

    [Fact]
    public void What_is_fine_needs_no_mending()
    {
        CheckMends[] mends = [.. LoadMends.Find(Motorcycle())];
        LoadCheck[] poor =
        [
            .. LoopLoads
                .Evaluate(Motorcycle())
                .Checks.Where(c => c.Verdict is Verdict.Watch or Verdict.Stop or Verdict.Advice),
        ];
        Assert.Equal(poor.Select(c => (c.Kind, c.Point)), mends.Select(m => (m.Kind, m.Point)));
    }
}
