using Wendrak.Core.Procedures;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>An arm and a pull: an estimate with its range.</summary>
public sealed class TorqueEstimateTests
{
    /// <summary>Moment of a force: 1 N·m is 1 N at 1 m. Source: SI Brochure, 9th edition, table 5.</summary>
    [Fact]
    public void A_newton_at_a_metre_is_a_newton_metre() =>
        Published.Agrees(
            1,
            TorqueEstimate.From(new(1_000, 1, PullTold.Scale)).TorqueNm,
            1e-12,
            "SI Brochure, 9th edition, table 5"
        );

    [Fact]
    public void Its_range_is_wide_and_wider_by_hand()
    {
        TorqueEstimateResult scale = TorqueEstimate.From(new(300, 250, PullTold.Scale));
        TorqueEstimateResult hand = TorqueEstimate.From(new(300, 250, PullTold.Hand));
        // Pull within a tenth, or two fifths; grip within 15 mm of 300.
        Assert.Equal(75, scale.TorqueNm, 9);
        Assert.Equal((75 * 0.9 * 0.95, 75 * 1.1 * 1.05), (scale.LowNm, scale.HighNm));
        Assert.Equal(75 * 0.6 * 0.95, hand.LowNm, 9);
        Assert.Equal(75 * 1.4 * 1.05, hand.HighNm, 9);
        Assert.Contains("no torque reading", scale.Workings.Single().Limits, StringComparison.Ordinal);
    }

    [Fact]
    public void What_can_not_be_is_refused_at_its_field()
    {
        Refusals.Names("ArmMm", () => TorqueEstimate.From(new(49, 100, PullTold.Hand)));
        Refusals.Names("ArmMm", () => TorqueEstimate.From(new(2_001, 100, PullTold.Hand)));
        Refusals.Names("PullN", () => TorqueEstimate.From(new(300, 0, PullTold.Hand)));
        Refusals.Names("PullN", () => TorqueEstimate.From(new(300, 1_501, PullTold.Hand)));
        Refusals.Names("Told", () => TorqueEstimate.From(new(300, 100, (PullTold)7)));
    }
}
