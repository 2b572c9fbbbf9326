using Wendrak.Core.Lengths;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Lengths;

public sealed class BeltCodeTests
{
    [Theory]
    [InlineData("1240-8M-30", "8M", 155, 1240, 30.0, "ISO 13050")]
    [InlineData("1240 8m", "8M", 155, 1240, null, "ISO 13050")]
    [InlineData("16T5/500", "T5", 100, 500, 16.0, "DIN 7721")]
    [InlineData("T10-1320", "T10", 132, 1320, null, "DIN 7721")]
    [InlineData("300L075", "L", 80, 762, 19.05, "ISO 5296: 30.0 in of 3/8 in, 3/4 in wide")]
    [InlineData("187 L 050", "L", 50, 476.25, 12.7, "ISO 5296: 187 stands for 18.75 in")]
    [InlineData("507XH200", "XH", 58, 1289.05, 50.8, "ISO 5296: 507 stands for 50.75 in")]
    [InlineData("118T BIKE11", "BIKE11", 118, 1298, null, "common practice")]
    [InlineData("BIKE11 118T", "BIKE11", 118, 1298, null, "common practice")]
    public void A_toothed_code_tells_the_teeth(
        string code,
        string profile,
        int teeth,
        double length,
        double? width,
        string source
    )
    {
        BeltCodeReading read = BeltCode.Read(code);
        Assert.Equal((profile, teeth, DriveElement.ToothedBelt), (read.Standard, read.Teeth, read.DriveElement));
        Published.Agrees(length, read.LengthMm, 1e-9, source);
        Assert.Equal(width ?? double.NaN, read.WidthMm ?? double.NaN, 1e-9);
        // And back: what is written reads the same.
        BeltCodeReading again = BeltCode.Read(read.Code);
        Assert.Equal((read.Teeth, read.Standard), (again.Teeth, again.Standard));
        Assert.Equal(read.WidthMm ?? double.NaN, again.WidthMm ?? double.NaN, 0.13);
    }

    [Fact]
    public void A_figure_alone_is_answered_with_what_it_could_be_the_loops_own_kind_first()
    {
        BeltCodeAnswer metric = BeltCode.Answer("1240", "8M");
        Assert.Null(metric.Reading);
        Assert.Equal(("8M", 155), (metric.CouldBe[0].Standard, metric.CouldBe[0].Teeth));
        Assert.Contains(metric.CouldBe, r => r.DriveElement == DriveElement.VBelt);
        Assert.Equal("A52", BeltCode.Answer("52", "A").CouldBe[0].Code);
        Assert.Equal(BeltCodeLength.Effective, BeltCode.Answer("800", "5V").CouldBe[0].LengthKind);
        Assert.NotNull(BeltCode.Answer("1240-8M-30", null).Reading);
        Refusals.Names("Code", () => BeltCode.Answer("1", null));
        Refusals.Names("Code", () => BeltCode.Answer("what", null));
    }

    [Fact]
    public void Plain_and_notched_belts_of_a_section_are_told_apart()
    {
        Assert.False(BeltCode.Read("5V800").IsNotched);
        Assert.True(BeltCode.Read("5VX800").IsNotched);
        Assert.Null(BeltCode.Read("1240-8M-30").IsNotched);
    }

    /// <summary>Every tooth count of every profile, written and read again.</summary>
    [Fact]
    public void Every_code_that_is_written_reads_the_same()
    {
        foreach (SynchronousProfile profile in SynchronousProfiles.All)
            for (int teeth = 20; teeth < 400; teeth += 7)
                Assert.Equal(teeth, BeltCode.Read(BeltCode.Write(profile.ProfileId, teeth, null)).Teeth);
    }

    [Theory]
    [InlineData("SPZ 1250", BeltCodeLength.Datum, 1250, "ISO 4184")]
    [InlineData("A 1400 Ld", BeltCodeLength.Datum, 1400, "ISO 4184")]
    [InlineData(
        "A52",
        BeltCodeLength.Inside,
        53.3 * 25.4,
        "Shigley Table 17-11: 52 in inside, 1.3 in more at the pitch line"
    )]
    [InlineData("B 112", BeltCodeLength.Inside, 113.8 * 25.4, "Shigley Table 17-11")]
    [InlineData("A 1321 Li", BeltCodeLength.Inside, 1354, "Shigley Table 17-11")]
    [InlineData("5V800", BeltCodeLength.Effective, 2032, "tenths of an inch, from memory")]
    public void A_V_code_tells_its_length(string code, BeltCodeLength result, double length, string source)
    {
        BeltCodeReading read = BeltCode.Read(code);
        Assert.Equal((result, DriveElement.VBelt), (read.LengthKind, read.DriveElement));
        // The table has whole millimetres, Shigley tenths of an inch.
        Published.Agrees(length, read.LengthMm, 0.8, source);
        Assert.Equal(read.LengthMm, BeltCode.Read(read.Code).LengthMm, 1.3);
    }

    [Theory]
    [InlineData("")]
    [InlineData("hello")]
    [InlineData("8M")]
    [InlineData("1243-8M")]
    [InlineData("1.2.3-8M")]
    [InlineData("8-8M")]
    [InlineData("9999999-8M")]
    [InlineData("SPZ 50 in")]
    [InlineData("A 0")]
    public void What_is_no_code_is_refused(string code) => Refusals.Names("Code", () => BeltCode.Read(code));

    [Fact]
    public void Standard_lengths_are_whole_tooth_counts_that_read_from_their_codes()
    {
        Assert.Null(BeltLengths.TeethFor("BIKE11"));
        foreach (BeltLengthSeries series in BeltLengths.All)
        {
            IReadOnlyList<int> teeth = BeltLengths.TeethFor(series.ProfileId)!;
            Assert.Equal(teeth.Order().Distinct(), teeth);
            string[] codes = series.Lengths.Split(' ');
            Assert.Equal(teeth, codes.Select(c => BeltCode.Read(c + series.ProfileId).Teeth!.Value));
        }
    }
}
