using Wendrak.Core.Tables;

namespace Wendrak.Core.Tests.Tables;

/// <summary>Spot checks of the shipped tables against what is printed elsewhere, and of their wholeness.</summary>
public sealed class TableTests
{
    [Theory]
    [InlineData("520", 15.875, "5/8 in, first digit in eighths of an inch, common practice")]
    [InlineData("428", 12.7, "1/2 in, common practice")]
    [InlineData("06B", 9.525, "ISO 606")]
    [InlineData("08B", 12.7, "ISO 606")]
    [InlineData("16A", 25.4, "ISO 606, ANSI 80")]
    [InlineData("05B", 8.0, "ISO 606")]
    public void A_chain_has_its_standard_pitch(string chain, double pitch, string source) =>
        Published.Agrees(pitch, Chains.Find(chain)!.PitchMm, 1e-9, source);

    [Theory]
    [InlineData("8M", 8)]
    [InlineData("XL", 5.08)]
    [InlineData("H", 12.7)]
    public void A_belt_profile_has_its_standard_pitch(string profile, double pitch) =>
        Published.Agrees(pitch, SynchronousProfiles.Find(profile)!.PitchMm, 1e-9, "ISO 5294, ISO 13050");

    [Fact]
    public void Preferred_datum_diameters_grow() =>
        Assert.Equal(VSections.PreferredDatumDiametersMm.Order().Distinct(), VSections.PreferredDatumDiametersMm);

    [Fact]
    public void Every_hub_shifts_upwards_and_only_a_few_have_no_direct_gear() =>
        Assert.All(HubGears.All, h => Assert.Equal(h.SpeedFactors.Order().Distinct(), h.SpeedFactors));

    [Fact]
    public void A_hub_s_gears_are_as_many_as_its_name_says() =>
        Assert.All(
            HubGears.All,
            h => Assert.Contains($"{h.SpeedFactors.Count}-speed", h.Name, StringComparison.Ordinal)
        );

    [Theory]
    [InlineData(26, 559)]
    [InlineData(27.5, 584)]
    [InlineData(29, 622)]
    [InlineData(20, 406)]
    public void A_decimal_inch_size_has_its_bead_seat(double inches, double bead) =>
        Published.Agrees(bead, BeadSeats.OfDecimalInchCode(inches)!.Value, 0, "ISO 5775");

    [Fact]
    public void Every_decimal_bead_seat_is_in_the_table() =>
        Assert.All(
            new[] { 16, 20, 24, 26, 27.5, 28, 29, 32, 36 },
            c => Assert.Contains(BeadSeats.OfDecimalInchCode(c)!.Value, BeadSeats.DiametersMm)
        );
}
