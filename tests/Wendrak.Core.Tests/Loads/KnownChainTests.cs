using Wendrak.Core.Loads;

namespace Wendrak.Core.Tests.Loads;

public sealed class KnownChainTests
{
    /// <summary>The same state asked for by power: engineering.md g1 has 180 Nm at 2000 rpm on 16 teeth of 15.875 mm.</summary>
    [Fact]
    public void Pull_times_speed_is_the_power_that_was_asked()
    {
        double kw = 180 * 2_000 * 2 * Math.PI / 60_000;
        KnownChainResult r = KnownChain.Compute(new("10A", 16, 2_000, kw));
        Assert.Equal(kw, r.PullN * r.SpeedMS / 1_000, 1e-9);
        // engineering.md g: the torque of the check row pulls (π/N)²/6 less on the pitch circle.
        Published.AgreesWithin(0.01, 4424.1 * (1 + Math.Pow(Math.PI / 16, 2) / 6), r.PullN, "engineering.md g1 and g");
        Published.AgreesWithin(0.1, 8.46667, r.SpeedMS, "engineering.md g1");
        Assert.Equal(r.PullN / 70.4, r.PinPressureMpa!.Value, 1e-9); // table chains.csv, 10A
        Assert.Equal(ToothLoads.Compute(16, 180, r.PullN).FirstToothN, r.FirstToothN, 1e-9);
        Assert.Equal([r.PullN, r.SpeedMS, r.FirstToothN], r.Workings.Select(w => w.Result.Value));
        Assert.Null(KnownChain.Compute(new("520", 16, 2_000, kw)).PinPressureMpa);
    }

    [Fact]
    public void What_can_not_be_is_named()
    {
        Refusals.Names("Standard", () => KnownChain.Compute(new("nothing", 16, 2_000, 5)));
        Refusals.Names("Teeth", () => KnownChain.Compute(new("10A", 1, 2_000, 5)));
        Refusals.Names("Rpm", () => KnownChain.Compute(new("10A", 16, 0, 5)));
        Refusals.Names("PowerKw", () => KnownChain.Compute(new("10A", 16, 2_000, double.PositiveInfinity)));
    }

    /// <summary>engineering.md h3 in its place: at the best speed a third of the tension goes round by itself.</summary>
    [Fact]
    public void A_friction_belt_tells_its_best_speed_and_the_power_there()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(LoadCases.VBelt());
        FrictionFigures f = result.Friction!;
        double mass = 0.097; // A section, table v_sections.csv, Shigley Table 17-16
        Assert.Equal(f.TightN / 3, mass * f.BestSpeedMS!.Value * f.BestSpeedMS.Value, 1e-9);
        Assert.Equal(result.At(OperatingPointKind.HardestPull).TightN, f.TightN, 1e-9);
        Assert.True(f.GreatestPowerKw > result.Points.Max(p => p.Point.PowerKw));
        Assert.Null(LoopLoads.Evaluate(LoadCases.Motorcycle()).Friction);
    }
}
