using System.Text;
using Wendrak.Core.Importing;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Tests.Importing;

/// <summary>What a file of the wild looks like: its signs, its columns, its units.</summary>
public sealed class LogFileLookTests
{
    private const string Plain = "Date,Odometer (km),Fuel (L),Full,Cost\n2025-03-04,100.5,4.2,yes,8.1\n";

    [Fact]
    public void Columns_are_known_by_their_heads_and_units()
    {
        LogFileLook look = Sheets.Look(Plain);
        Assert.Equal(
            [
                new(0, LogField.On),
                new(1, LogField.Odometer, LogUnit.Km),
                new(2, LogField.Amount, LogUnit.Litres),
                new(3, LogField.IsFull),
                new LogColumn(4, LogField.Cost),
            ],
            look.Guess.Columns
        );
        Assert.Equal(
            (LogFileKind.Fuel, DayOrder.YearMonthDay, true),
            (look.Guess.Kind, look.Guess.Days, look.IsDayOrderSure)
        );
        Assert.Equal(["2025-03-04", "100.5", "4.2", "yes", "8.1"], look.Rows[0]);
        Assert.Equal(("utf-8", ','), (look.Form.Encoding, look.Form.Separator));
    }

    [Theory]
    [InlineData("Datum;Km-Stand;Liter\n04.03.2025;1.234,5;4,2\n", ';', DecimalMark.Comma, DayOrder.DayMonthYear)]
    [InlineData("day\todo mi\tgallons US\n3/24/2025\t1,234.5\t1.2\n", '\t', DecimalMark.Point, DayOrder.MonthDayYear)]
    [InlineData("date|odometer|liters\n2025-01-02|10|3\n", '|', DecimalMark.Point, DayOrder.YearMonthDay)]
    [InlineData("sep=;\ndate;odometer;liters\n2025-01-02;10;3,5\n", ';', DecimalMark.Comma, DayOrder.YearMonthDay)]
    public void Separators_decimals_and_days_are_told_from_what_stands_there(
        string text,
        char separator,
        DecimalMark decimals,
        DayOrder days
    )
    {
        LogFileLook look = Sheets.Look(text);
        Assert.Equal(
            (separator, decimals, days, LogFileKind.Fuel),
            (look.Form.Separator, look.Guess.Decimals, look.Guess.Days, look.Guess.Kind)
        );
        Assert.NotNull(look.Guess.Find(LogField.Odometer));
    }

    [Fact]
    public void A_comma_inside_quotation_marks_separates_nothing()
    {
        LogFileLook look = Sheets.Look("date;note\n2025-01-02;\"a, b, c; d\"\n2025-01-03;\"e, f\"\n");
        Assert.Equal(';', look.Form.Separator);
        Assert.Equal("a, b, c; d", look.Rows[0][1]);
    }

    [Fact]
    public void Days_that_may_be_read_two_ways_are_not_sure()
    {
        Assert.False(Sheets.Look("date,odo\n3/4/2025,10\n5/6/2025,20\n").IsDayOrderSure);
        Assert.True(Sheets.Look("date,odo\n3/4/2025,10\n25/6/2025,20\n").IsDayOrderSure);
        // One slip of the hand changes nothing.
        LogFileLook slip = Sheets.Look("date,odo\n3/4/2025,10\n25/6/2025,20\n99/1/2025,30\n");
        Assert.Equal((DayOrder.DayMonthYear, true), (slip.Guess.Days, slip.IsDayOrderSure));
    }

    [Theory]
    [InlineData("date,kWh,odometer\n2025-01-02,1.5,10\n", LogFileKind.Charge, LogField.Amount, LogUnit.KWh)]
    [InlineData(
        "date,dB,distance m,method\n2025-01-02,80,1,phone\n",
        LogFileKind.Noise,
        LogField.Distance,
        LogUnit.Metres
    )]
    [InlineData("date,work,hours\n2025-01-02,oil,0.5\n", LogFileKind.Upkeep, LogField.Minutes, LogUnit.Hours)]
    [InlineData(
        "date,seconds,from mph,to mph\n2025-01-02,4.2,30,60\n",
        LogFileKind.Runs,
        LogField.ToSpeed,
        LogUnit.Mph
    )]
    [InlineData("date,mileage\n2025-01-02,4200\n", LogFileKind.Odometer, LogField.Odometer, LogUnit.Km)]
    [InlineData("date,imp gal\n2025-01-02,1.2\n", LogFileKind.Fuel, LogField.Amount, LogUnit.ImperialGallons)]
    public void What_the_lines_are_is_told_by_the_heads(string text, LogFileKind kind, LogField field, LogUnit unit)
    {
        LogColumns guess = Sheets.Look(text).Guess;
        Assert.Equal((kind, unit), (guess.Kind, guess.Find(field)?.Unit));
        guess.Check();
    }

    [Theory]
    [InlineData("utf-16", true)]
    [InlineData("utf-16BE", true)]
    [InlineData("utf-8", true)]
    [InlineData("iso-8859-1", false)]
    public void Letters_are_read_as_they_were_written(string name, bool hasMark)
    {
        using MemoryStream file = Sheets.Of("date,note\n2025-01-02,Käse\n", Encoding.GetEncoding(name), hasMark);
        LogFileLook look = LogFileLook.Of(file, []);
        Assert.Equal((name.ToLowerInvariant(), "Käse"), (look.Form.Encoding.ToLowerInvariant(), look.Rows[0][1]));
        Assert.Equal("date", look.Guess.Heads[0]);
    }

    [Fact]
    public void Without_a_head_columns_have_numbers()
    {
        LogFileLook look = Sheets.Look("2025-01-02,10,3\n2025-01-09,20,4\n");
        Assert.False(look.Guess.HasHead);
        Assert.Equal(["1", "2", "3"], look.Guess.Heads);
        Assert.Equal(2, look.Rows.Count);
    }

    [Fact]
    public void One_with_the_same_head_is_read_as_the_last_one()
    {
        LogColumns said = Sheets.Look(Plain).Guess with { Days = DayOrder.DayMonthYear, AreAllFull = true };
        LogFileLook look = Sheets.Look(Plain, said with { Heads = ["other"] }, said);
        Assert.True(look is { IsRemembered: true, IsDayOrderSure: true });
        Assert.Equal(said, look.Guess);
        Assert.False(Sheets.Look(Plain, said with { Heads = ["other"] }).IsRemembered);
    }

    [Fact]
    public void What_is_no_table_is_refused()
    {
        Refusals.Names("file", () => Sheets.Look(""));
        Refusals.Names("file", () => Sheets.Look(string.Join(',', Enumerable.Repeat("a", 201)) + "\n"));
        Refusals.Names("file", () => Sheets.Look("date,note\n2025-01-02,\"" + new string('x', 10_001)));
    }

    [Fact]
    public void Each_kind_of_file_says_what_its_columns_may_be()
    {
        IReadOnlyList<LogFileChoice> choices = Sheets.Look(Plain).Choices;
        Assert.Equal(Enum.GetValues<LogFileKind>(), choices.Select(c => c.Kind));
        foreach (LogFileChoice choice in choices)
            Assert.Equal(
                LogColumns.NeededFor(choice.Kind).Order(),
                choice.Fields.Where(f => f.IsNeeded).Select(f => f.Field).Order()
            );
        LogFieldChoice amount = choices
            .Single(c => c.Kind == LogFileKind.Charge)
            .Fields.Single(f => f.Field == LogField.Amount);
        Assert.Equal([LogUnit.KWh, LogUnit.Wh], amount.Units);
        Assert.DoesNotContain(choices.Single(c => c.Kind == LogFileKind.Noise).Fields, f => f.Field == LogField.Amount);
    }

    [Fact]
    public void Every_word_of_the_tables_is_of_a_field_or_unit_there_is()
    {
        string[] words = ["date", "odo", "litres", "full", "missed", "cost", "min", "db", "distance", "method", "sec"];
        foreach (string word in words)
            Assert.NotEmpty(LogHeads.FieldsIn([word]));
        foreach (LogUnit unit in Enum.GetValues<LogUnit>())
            Assert.Contains(
                LogHeads.UnitsIn([
                    unit switch
                    {
                        LogUnit.ImperialGallons => "imperial",
                        LogUnit.UsGallons => "us",
                        _ => unit.ToString().ToLowerInvariant(),
                    },
                ]),
                name => Enum.Parse<LogUnit>(name, true) == unit
            );
    }
}
