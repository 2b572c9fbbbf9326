using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Chains of long plates on wheels cut for half their pitch.</summary>
public sealed class DoublePitchTests
{
    private static LoadsInput Winch(string standard, double front, double rear)
    {
        Loop loop = Drives.Chain("final", "in", "out") with { Standard = standard };
        Drive drive = Drives.WithStages([loop], new DriveOutput("drum", "out", false, null)) with
        {
            Input = new("in", InputKind.Motor, 100, 300, null),
        };
        return new(
            drive,
            MachineKind.Winch,
            [new("final", front, rear, null)],
            [],
            Fits.Slot(800, 900),
            new("drive", PeakTorqueNm: 30, ContinuousTorqueNm: 20),
            new("final")
        );
    }

    /// <summary>ISO 606, unit pitch circle diameters: 1.8497 for 5½, 3.8637 for 12 teeth.</summary>
    [Theory]
    [InlineData(11, 1.8497)]
    [InlineData(24, 3.8637)]
    public void The_pitch_circle_is_that_of_half_as_many_teeth(double gaps, double unitDiameter)
    {
        Loop loop = Drives.Chain("final", "in", "out") with { Standard = "208A" };
        double diameter = 2 * WheelOutline.For(loop, gaps).RunRadiusMm;
        Published.AgreesWithin(0.01, unitDiameter * 25.4, diameter, "ISO 606, annex of pitch circle diameters");
    }

    /// <summary>ISO 1275: pins, rollers and least breaking load are those of the chain of half the pitch.</summary>
    [Theory]
    [InlineData("208A", "08A")]
    [InlineData("210A", "10A")]
    [InlineData("212A", "12A")]
    [InlineData("216A", "16A")]
    [InlineData("208B", "08B")]
    [InlineData("210B", "10B")]
    [InlineData("212B", "12B")]
    [InlineData("216B", "16B")]
    public void Its_parts_are_those_of_the_chain_of_half_its_pitch(string longer, string basis)
    {
        (ChainSize one, ChainSize other) = (Chains.Find(longer)!, Chains.Find(basis)!);
        Assert.Equal(2 * other.PitchMm, one.PitchMm);
        Assert.Equal((other.MinTensileN, other.RollerDiameterMm), (one.MinTensileN, one.RollerDiameterMm));
        Assert.Equal(other.BearingAreaMm2!.Value, one.BearingAreaMm2!.Value, 0.5);
        Assert.InRange(one.MassKgPerM / other.MassKgPerM, 0.6, 0.85);
    }

    [Fact]
    public void It_runs_as_fast_as_the_short_chain_and_twice_as_rough()
    {
        LoopLoadsResult longer = LoopLoads.Evaluate(Winch("208A", 24, 48));
        LoopLoadsResult basis = LoopLoads.Evaluate(Winch("08A", 24, 48));
        Assert.Equal(basis.GreatestSpeedMS, longer.GreatestSpeedMS, 1e-9);
        Assert.Equal(SpeedRipple.Percent.Value(12), longer.Checks.Single(c => c.Kind == Ripple).Value!.Value, 1e-9);
        Assert.Equal((12.0, 24.0), (longer.EffectiveTeeth, basis.EffectiveTeeth));
        Assert.Equal((int)(12 * Wrap(longer) / 360 + 1e-9), longer.Points[0].Teeth!.TeethEngaged);
    }

    private static double Wrap(LoopLoadsResult result) =>
        result.Workings.First(w => w.Values.Any(v => v.Symbol == "θ")).Values.Single(v => v.Symbol == "θ").Value;

    /// <summary>Odd: each gap works every second turn. The mend that is proposed is one tooth more.</summary>
    [Fact]
    public void An_odd_number_of_gaps_is_advised_and_proposed()
    {
        LoadCheck even = LoopLoads.Evaluate(Winch("208A", 24, 48)).Checks.Single(c => c.Kind == OddTeeth);
        Assert.Equal((1, 2, Verdict.Advice, true), (even.Value, even.Limit, even.Verdict, even.IsAdvisory));
        Mend mend = LoadMends.Find(Winch("208A", 24, 48)).Single(m => m.Kind == OddTeeth).Mends[0];
        Assert.Equal((MendKind.MoreFrontTeeth, 25.0), (mend.Kind, mend.To));
        LoadCheck odd = LoopLoads.Evaluate(Winch("208A", 25, 48)).Checks.Single(c => c.Kind == OddTeeth);
        Assert.Equal((2, Verdict.Fine), (odd.Value, odd.Verdict));
        Assert.DoesNotContain(LoopLoads.Evaluate(Winch("08A", 24, 48)).Checks, c => c.Kind == OddTeeth);
    }

    /// <summary>The ACA equations are of standard pitch: nothing is rated by them that they do not hold for.</summary>
    [Fact]
    public void It_is_not_rated_by_the_equations_of_short_chains()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(Winch("208A", 24, 48));
        Assert.Null(result.Tent);
        LoadCheck[] unrated = [.. result.Checks.Where(c => c.Kind is Rating or Galling)];
        Assert.NotEmpty(unrated);
        Assert.All(unrated, c => Assert.Equal((null, Unjudged.RuleDoesNotHold), (c.Limit, c.Unjudged)));
        Assert.NotNull(LoopLoads.Evaluate(Winch("08A", 24, 48)).Tent);
    }

    /// <summary>A tooth is followed turn by turn of the chain: it moves on by two gaps for each link.</summary>
    [Theory]
    [InlineData(25, 51, true)]
    [InlineData(24, 51, false)]
    public void Teeth_hunt_in_steps_of_two_gaps(int gaps, int links, bool meetsAll)
    {
        HashSet<int> met = [];
        for (int place = 0; place < 2 * links * gaps; place += 2 * links)
            met.Add(place % gaps);
        Assert.Equal(meetsAll, met.Count == gaps);
        Assert.Equal(meetsAll, Hunting.Count(gaps, 48, 2 * links).FrontHunts);
    }

    [Fact]
    public void Too_few_gaps_are_refused_with_the_bound()
    {
        var issues = Refusals.Of(() => LoopLoads.Evaluate(Winch("208A", 9, 48)));
        Assert.Contains(issues, i => i.Limit == 10);
    }
}
