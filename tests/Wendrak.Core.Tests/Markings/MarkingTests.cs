using System.Globalization;
using CsvHelper;
using Wendrak.Core.Markings;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests.Markings;

/// <summary>
/// Markings as they are stamped and moulded. Built by the rules of ISO 606, ASME B29.1, ISO 13050, DIN 7721, ISO 5296, ISO 4184 and
/// ISO 5751, ISO 5775, recalled from memory; figures by hand: 1240 mm over 8 mm are 155 teeth, 52 in inside and 33 mm 1353.8 mm.
/// </summary>
public sealed class MarkingTests
{
    private static string File(string name) => Path.Combine(AppContext.BaseDirectory, "Markings", name);

    public static TheoryData<string, string, string, string, string, string> Built()
    {
        using StreamReader reader = new(File("markings.csv"));
        using CsvReader csv = new(reader, CultureInfo.InvariantCulture);
        TheoryData<string, string, string, string, string, string> rows = [];
        csv.Read();
        csv.ReadHeader();
        while (csv.Read())
            rows.Add(
                csv.GetField(0)!,
                csv.GetField(1)!,
                csv.GetField(2)!,
                csv.GetField(3)!,
                csv.GetField(4)!,
                csv.GetField(5)!
            );
        return rows;
    }

    public static TheoryData<string> Nonsense => [.. System.IO.File.ReadAllLines(File("nonsense.txt"))];

    [Fact]
    public void There_are_sixty_and_forty()
    {
        Assert.True(Built().Count >= 60 && Nonsense.Count >= 40);
    }

    [Theory, MemberData(nameof(Built))]
    public void Is_read_right(string text, string on, string thing, string standard, string figure, string value)
    {
        MarkingReading read = Marking.Read(text, on.Length == 0 ? null : Enum.Parse<MarkedThing>(on, true)).Reading!;
        Assert.Equal(Enum.Parse<MarkedThing>(thing, true), read.Thing);
        Assert.Equal(standard, read.Standard ?? "");
        double told = read.Figures.Single(f => f.What == figure).Value;
        if (value.Length > 0)
            Assert.Equal(double.Parse(value, CultureInfo.InvariantCulture), told, 1.0);
        if (read.Teeth is int teeth)
            Assert.Equal(teeth, read.Figures.Single(f => f.What == "teeth").Value);
    }

    [Theory, MemberData(nameof(Built))]
    public void What_is_written_the_standard_s_way_is_read_as_the_same(
        string text,
        string on,
        string thing,
        string standard,
        string figure,
        string value
    )
    {
        MarkedThing of = Enum.Parse<MarkedThing>(thing, true);
        MarkingReading read = Marking.Read(text, on.Length == 0 ? null : Enum.Parse<MarkedThing>(on, true)).Reading!;
        MarkingReading again = Marking.Read(read.Written, of).Reading!;
        Assert.Equal((read.Thing, standard, read.Written), (again.Thing, again.Standard ?? "", again.Written));
        Assert.Equal(
            read.Figures.Any(f => f.What == figure),
            value.Length >= 0 && again.Figures.Any(f => f.What == figure)
        );
    }

    [Theory, MemberData(nameof(Nonsense))]
    public void Nonsense_is_refused_with_what_was_understood(string text)
    {
        InputIssue issue = Assert.Single(Refusals.Of(() => Marking.Read(text)));
        Assert.Equal("Text", issue.Field);
        Assert.Contains("Forms that are read", issue.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("520 x 112 x 3", "Understood “520 X 112” (Motorcycle chain); “3” behind it")]
    [InlineData("08B-9", "Understood “08B” (Roller chain of the B series); “9” behind it")]
    [InlineData("15T 521", "Understood “15T” (Wheel); “521” behind it")]
    [InlineData("abc", "Nothing at its beginning is known here.")]
    public void What_was_understood_is_said_up_to_where(string text, string said) =>
        Assert.StartsWith(said, Refusals.Names("Text", () => Marking.Read(text)), StringComparison.Ordinal);

    [Fact]
    public void A_lone_number_may_be_several_things()
    {
        MarkingAnswer open = Marking.Read("520");
        Assert.Null(open.Reading);
        Assert.Contains(open.CouldBe, r => (r.Thing, r.Standard) == (MarkedThing.Chain, "520"));
        Assert.Contains(open.CouldBe, r => r is { Thing: MarkedThing.Belt, Standard: "8M" });
        // Somebody who knows on what it stands is told that alone.
        MarkingAnswer chain = Marking.Read("520", MarkedThing.Chain);
        Assert.Equal(("520", 0), (chain.Reading!.Standard, chain.CouldBe.Count));
        Assert.Contains("heavier plates", Marking.Read("428H").Reading!.Note, StringComparison.Ordinal);
        Refusals.Names("On", () => Marking.Read("520", (MarkedThing)9));
        Refusals.Names("Text", () => Marking.Read(""));
        Refusals.Names("Text", () => Marking.Read(new string('1', 81)));
    }

    /// <summary>By hand: 130.2 mm over ten pitches are 13.02 mm, 2.5 % over half an inch, worn; 12.5 mm would be shorter than new.</summary>
    [Fact]
    public void A_chain_is_told_by_its_pitch_its_width_and_its_roller()
    {
        static string[] Of(MeasuredMarking measured) => [.. measured.Find().Select(r => r.Standard!)];
        Assert.Equal(["428", "08B"], Of(new(MarkedThing.Chain, 127, 7.82, 8.5)));
        Assert.Equal(["08B", "428"], Of(new(MarkedThing.Chain, 127, 7.76, 8.5)));
        Assert.Equal("08A", Of(new(MarkedThing.Chain, 127, 7.85, 7.92))[0]);
        Assert.Contains("08B", Of(new(MarkedThing.Chain, 130.2, 7.8, 8.5)));
        Assert.Empty(Of(new(MarkedThing.Chain, 125, 7.8, 8.5)));
        MarkingReading worn = new MeasuredMarking(MarkedThing.Chain, 130.175, 7.75, 8.51).Find()[0];
        Assert.Equal(2.5, worn.Figures.Single(f => f.Unit == "%").Value, 6);
        Assert.Equal("520", Of(new(MarkedThing.Chain, 158.75, 6.25))[0]);
    }

    [Fact]
    public void A_belt_is_told_by_its_pitch_and_the_form_of_its_teeth()
    {
        static string[] Of(double overTen, ToothForm? form = null) =>
            [.. new MeasuredMarking(MarkedThing.Belt, overTen, Form: form).Find().Select(r => r.Standard!)];
        Assert.Equal(["T5", "AT5", "5M"], Of(50));
        Assert.Equal(["5M"], Of(50, ToothForm.Round));
        Assert.Equal(["T5", "AT5"], Of(50, ToothForm.Trapezoid));
        // 5.08 mm is more than one per cent from 5 mm.
        Assert.Equal(["XL"], Of(50.8));
        Assert.Empty(Of(65));
    }

    [Fact]
    public void What_can_t_be_measured_there_is_refused_at_its_field()
    {
        void Refuses(string field, MeasuredMarking measured) => Refusals.Names(field, () => measured.Find());
        Refuses("On", new(MarkedThing.Tyre, 127));
        Refuses("OverTenMm", new(MarkedThing.Chain, 10));
        Refuses("InnerWidthMm", new(MarkedThing.Chain, 127, 0));
        Refuses("RollerMm", new(MarkedThing.Chain, 127, null, 0));
        Refuses("RollerMm", new(MarkedThing.Belt, 50, null, 8));
        Refuses("InnerWidthMm", new(MarkedThing.Belt, 50, 8));
        Refuses("Form", new(MarkedThing.Chain, 127, Form: ToothForm.Round));
    }
}
