using Wendrak.Core.Loads;

namespace Wendrak.Core.Tests.Loads;

public sealed class ShaftHubCapacityTests
{
    private const double Inch = 25.4;
    private const double Kpsi = 6.894757;

    private static ShaftHubCapacityResult At(
        ShaftHubConnection carrier,
        double torque,
        double? yield = null,
        double? proof = null
    ) => ShaftHubCapacity.Compute(new(carrier, torque, yield, proof));

    /// <summary>
    /// Shigley, example of a key in chapter 7 (from memory): 40 hp at 600 rpm on a shaft of 1 7/16 in, a 3/8 in square key of
    /// 65 kpsi, factor 2.80: 1.16 in by shear and 1.34 in by crushing.
    /// </summary>
    [Theory]
    [InlineData(1.165, ConnectionStressKind.Shear)]
    [InlineData(1.344, ConnectionStressKind.Bearing)]
    public void A_key_agrees_with_the_worked_example(double lengthIn, ConnectionStressKind kind)
    {
        double torque = 63_025.0 * 40 / 600 * 0.1129848; // lbf·in
        KeyJoint key = new(1.4375 * Inch, 0.375 * Inch, 0.375 * Inch, lengthIn * Inch);
        ConnectionStress stress = At(key, torque, 65 * Kpsi).Stresses.Single(s => s.Kind == kind);
        Published.AgreesWithin(0.3, 2.80, stress.Margin, "Shigley ch. 7, key");
    }

    /// <summary>τ = 16·T/(π·d³): 100 Nm on 20 mm is 63.66 N/mm²; a bore of half the diameter adds a fifteenth.</summary>
    [Fact]
    public void A_shaft_is_twisted_by_the_textbook()
    {
        Assert.Equal(63.662, At(new SolidShaft(20, 0), 100).Stresses.Single().StressMpa, 1e-3);
        Assert.Equal(63.662 * 16 / 15, At(new SolidShaft(20, 10), 100).Stresses.Single().StressMpa, 1e-3);
    }

    /// <summary>Moment equilibrium: forces of all bolts or flanks times their arm are the torque.</summary>
    [Fact]
    public void Bolts_and_splines_balance_the_torque()
    {
        double shear = At(new BoltCircle(6, 110, 8), 300).Stresses.Single().StressMpa;
        Assert.Equal(300, 6 * shear * Math.PI * 16 * 55 / 1_000, 1e-9);
        double pressure = At(new SplineJoint(13, 25, 21, 12), 190).Stresses.Single().StressMpa;
        Assert.Equal(190, 0.75 * 13 * pressure * 2 * 12 * 11.5 / 1_000, 1e-9);
    }

    [Fact]
    public void A_proof_test_wins_over_the_sum()
    {
        BoltCircle weak = new(2, 40, 3);
        Assert.Equal(Verdict.Stop, At(weak, 300).Verdict);
        ShaftHubCapacityResult proven = At(weak, 300, null, 390);
        Assert.Equal((true, 1.3, Verdict.Fine), (proven.IsProven, Math.Round(proven.Margin, 9), proven.Verdict));
        Assert.Equal(Verdict.Watch, At(weak, 300, null, 330).Verdict);
        Assert.Equal(Verdict.Stop, At(weak, 300, null, 290).Verdict);
    }

    [Fact]
    public void Every_stress_has_a_working_that_ends_in_it()
    {
        foreach (
            ShaftHubConnection carrier in new ShaftHubConnection[]
            {
                new KeyJoint(20, 6, 6, 20),
                new SplineJoint(13, 25, 21, 12),
                new BoltCircle(6, 110, 8),
                new SolidShaft(20, 5),
            }
        )
        {
            ShaftHubCapacityResult result = At(carrier, 50);
            Assert.Equal(result.Stresses.Select(s => s.StressMpa), result.Workings.Select(w => w.Result.Value));
            Assert.Equal(ShaftHubCapacity.MildSteelMpa, result.YieldMpa);
        }
    }

    [Fact]
    public void Sizes_that_can_not_be_are_named()
    {
        Refusals.Names("Carrier.InnerMm", () => At(new SplineJoint(13, 25, 25, 12), 50));
        Refusals.Names("Carrier.BoreMm", () => At(new SolidShaft(20, 20), 50));
        Refusals.Names("Carrier.Bolts", () => At(new BoltCircle(1, 110, 8), 50));
        Refusals.Names("Carrier.LengthMm", () => At(new KeyJoint(20, 6, 6, 0), 50));
        Refusals.Names("TorqueNm", () => At(new SolidShaft(20, 0), 0));
        Refusals.Names("YieldMpa", () => At(new SolidShaft(20, 0), 50, double.NaN));
    }
}
