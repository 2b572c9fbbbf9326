using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RoadWheelSizeTests
{
    private const string Iso5751 = "ISO 5751 as in the ETRTO Standards Manual, design overall diameter (from memory)";

    /// <summary>Marking, free diameter in mm, tolerance in percent, source.</summary>
    public static TheoryData<string, double, double, string> Diameters =>
        new()
        {
            { "180/55ZR17", 630, 0.1, Iso5751 },
            { "120/70 ZR 17", 600, 0.1, Iso5751 },
            { "130/90-16", 640, 0.1, Iso5751 },
            { "90/90-21", 695, 0.1, Iso5751 },
            { "100/80-14", 516, 0.1, Iso5751 },
            { "110/80r19m/c 59V", 659, 0.1, Iso5751 },
            { "MT90-16", 640.4, 0.1, "as 130/90-16; letter widths from memory" },
            { "3.25-19", 647.7, 0.1, "engineering.md a8, ISO 4223" },
            { "4.00-18", 660.4, 0.1, "ISO 4223: rim 457.2 + 2 · 101.6" },
            { "4.10-18", 634.2, 0.1, "ISO 4223, low section 0.85 (from memory)" },
            { "47-622", 716, 0.1, "engineering.md a7, ISO 5775: 622 + 2 · 47" },
            { "28-622", 678, 0.1, "ISO 5775: 622 + 2 · 28" },
            { "26x2.10", 665.68, 0.1, "engineering.md a9, bead seat 559" },
            { "27,5 x 2,25", 698.3, 0.1, "ISO 5775, bead seat 584" },
            { "29×2.2", 733.8, 0.1, "ISO 5775, bead seat 622" },
            { "700x28C", 678, 0.1, "ISO 5775, bead seat 622" },
            { "700C x 28", 678, 0.1, "ISO 5775, bead seat 622" },
            { "650B x 47", 678, 0.1, "ISO 5775, bead seat 584" },
            { "20x1.75", 494.9, 0.1, "ISO 5775, bead seat 406" },
            { "100 mm", 100, 0, "as written" },
            { "4 in", 101.6, 1e-9, "4 · 25.4" },
            { "4\"", 101.6, 1e-9, "4 · 25.4" },
        };

    [Theory, MemberData(nameof(Diameters))]
    public void A_marking_gives_the_published_diameter(string size, double diameter, double percent, string source) =>
        Published.AgreesWithin(percent, diameter, RoadWheelSize.Parse(size).FreeDiameterMm, source);

    [Fact]
    public void Rolling_circumference_of_a_sport_tyre_agrees_with_the_check_row()
    {
        RollingResult rolling = RollingCircumference.For(new("180/55ZR17", null));
        Published.AgreesWithin(0.1, 1921.2, rolling.CircumferenceMm, "engineering.md a6, ETRTO 3.05 · D");
        Assert.True(rolling.Working.Values.Single(v => v.Symbol == "k").IsDefault);
    }

    [Fact]
    public void A_measured_roll_out_wins_over_the_marking()
    {
        RollingResult rolling = RollingCircumference.For(new("130/80-17", 1895));
        Assert.Equal(1895, rolling.CircumferenceMm);
        Assert.True(rolling.IsMeasured);
        Assert.Equal(639.8, rolling.DiameterMm, 6);
    }

    [Theory]
    [InlineData("26", "unit", "559")]
    [InlineData("28 x 1 5/8", "fraction", "622")]
    [InlineData("26 x 1 3/8", "fraction", "590")]
    [InlineData("23x2.0", "decimal inch sizes", "dash")]
    [InlineData("wide", "no number", "47-622")]
    [InlineData("180/55/17", "180 and 55 and 17", "180/55ZR17")]
    [InlineData("", "no number", "47-622")]
    [InlineData("<script>alert(1)</script>", "Understood", "47-622")]
    public void What_it_cannot_read_is_refused_with_what_it_did_understand(
        string size,
        string understood,
        string wanted
    )
    {
        string message = Refusals.Of(() => RoadWheelSize.Parse(size)).Single().Message;
        Assert.Contains(understood, message, StringComparison.Ordinal);
        Assert.Contains(wanted, message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("5 mm")]
    [InlineData("4000 mm")]
    [InlineData("999-622")]
    public void A_size_no_wheel_has_is_refused(string size) => _ = Refusals.Of(() => RoadWheelSize.Parse(size));

    [Theory]
    [InlineData(0)]
    [InlineData(-1895)]
    [InlineData(double.NaN)]
    [InlineData(double.NegativeInfinity)]
    public void An_impossible_roll_out_is_refused_by_name(double rollOut) =>
        Refusals.Names("RollOutMm", () => RollingCircumference.For(new("47-622", rollOut)));

    [Fact]
    public void A_wheel_with_neither_size_nor_roll_out_is_asked_for() =>
        Refusals.Names("Size", () => RollingCircumference.For(new(null, null)));
}
