using CsCheck;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class PlanetaryTests
{
    /// <summary>Held, input, and what Willis' equation gives for sun 24 and ring 72.</summary>
    public static TheoryData<PlanetaryMember, PlanetaryMember, double> Willis =>
        new()
        {
            { PlanetaryMember.Ring, PlanetaryMember.Sun, 4 },
            { PlanetaryMember.Carrier, PlanetaryMember.Sun, -3 },
            { PlanetaryMember.Sun, PlanetaryMember.Carrier, 0.75 },
            { PlanetaryMember.Sun, PlanetaryMember.Ring, 4.0 / 3 },
            { PlanetaryMember.Ring, PlanetaryMember.Carrier, 0.25 },
            { PlanetaryMember.Carrier, PlanetaryMember.Ring, -1.0 / 3 },
        };

    [Theory, MemberData(nameof(Willis))]
    public void A_simple_set_agrees_with_the_handbook(PlanetaryMember held, PlanetaryMember input, double expected)
    {
        double actual = Planetary.Ratio(24, 72, held, input).Reduction;
        Published.Agrees(expected, actual, 1e-12, "Machinery's Handbook, planetary gears: 1 + Zr/Zs and its kin");
    }

    [Fact]
    public void Planets_fill_half_the_difference_of_ring_and_sun() =>
        Assert.Equal(24, Planetary.Ratio(24, 72, PlanetaryMember.Ring, PlanetaryMember.Sun).PlanetTeeth);

    [Fact]
    public void Driving_it_the_other_way_round_inverts_the_ratio() =>
        Gen.Select(Gen.Int[6, 100], Gen.Int[1, 200], Gen.Enum<PlanetaryMember>(), Gen.Enum<PlanetaryMember>())
            .Where((_, _, held, input) => held != input)
            .Sample(
                (sun, more, held, input) =>
                {
                    PlanetaryRatio there = Planetary.Ratio(sun, sun + more, held, input);
                    PlanetaryRatio back = Planetary.Ratio(sun, sun + more, held, there.Output);
                    Assert.Equal(1, there.Reduction * back.Reduction, 9);
                }
            );

    [Theory]
    [InlineData(24, 24, "RingTeeth")]
    [InlineData(72, 24, "RingTeeth")]
    [InlineData(0, 72, "SunTeeth")]
    [InlineData(-5, 72, "SunTeeth")]
    [InlineData(24, 1_000_000_000, "RingTeeth")]
    public void Impossible_teeth_are_refused_by_name(int sun, int ring, string field) =>
        Refusals.Names(field, () => Planetary.Ratio(sun, ring, PlanetaryMember.Ring, PlanetaryMember.Sun));

    [Fact]
    public void What_is_held_cannot_be_driven() =>
        Refusals.Names("Input", () => Planetary.Ratio(24, 72, PlanetaryMember.Sun, PlanetaryMember.Sun));
}
