using Wendrak.Core.Importing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Tests.Importing;

/// <summary>Cells of the wild: numbers as many hands write them, days in three orders.</summary>
public sealed class CellTests
{
    [Theory]
    [InlineData("12.5", DecimalMark.Point, 12.5)]
    [InlineData(" 1,234.5 ", DecimalMark.Point, 1234.5)]
    [InlineData("1 234.5 km", DecimalMark.Point, 1234.5)]
    [InlineData("$ 12.50", DecimalMark.Point, 12.5)]
    [InlineData("1'234", DecimalMark.Point, 1234.0)]
    [InlineData(".5", DecimalMark.Point, 0.5)]
    [InlineData("-3", DecimalMark.Point, -3.0)]
    [InlineData("12,5", DecimalMark.Comma, 12.5)]
    [InlineData("1.234,5", DecimalMark.Comma, 1234.5)]
    [InlineData("1\u00a0234,5 L", DecimalMark.Comma, 1234.5)]
    [InlineData("4,2 L/100km", DecimalMark.Comma, null)]
    [InlineData("12,34", DecimalMark.Point, null)]
    [InlineData("12.34", DecimalMark.Comma, null)]
    [InlineData("1,2345", DecimalMark.Point, null)]
    [InlineData("1.5,000", DecimalMark.Point, null)]
    [InlineData("12.5.1", DecimalMark.Point, null)]
    [InlineData("full", DecimalMark.Point, null)]
    [InlineData("", DecimalMark.Point, null)]
    [InlineData("=1+1", DecimalMark.Point, null)]
    public void A_number_is_read_with_its_thousands_and_its_unit(string cell, DecimalMark mark, double? number) =>
        Assert.Equal(number, Cell.Number(cell, mark));

    [Theory]
    [InlineData("2025-03-04", DayOrder.DayMonthYear, "2025-03-04")]
    [InlineData("2025-03-04T18:30:00Z", DayOrder.MonthDayYear, "2025-03-04")]
    [InlineData("04.03.2025", DayOrder.DayMonthYear, "2025-03-04")]
    [InlineData("3/4/2025 18:30", DayOrder.MonthDayYear, "2025-03-04")]
    [InlineData("4/3/25", DayOrder.DayMonthYear, "2025-03-04")]
    [InlineData("4 March 2025", DayOrder.YearMonthDay, "2025-03-04")]
    [InlineData("29.02.2024", DayOrder.DayMonthYear, "2024-02-29")]
    [InlineData("29.02.2025", DayOrder.DayMonthYear, null)]
    [InlineData("13/13/2025", DayOrder.DayMonthYear, null)]
    [InlineData("0/1/2025", DayOrder.DayMonthYear, null)]
    [InlineData("45000", DayOrder.DayMonthYear, null)]
    [InlineData("", DayOrder.DayMonthYear, null)]
    public void A_day_is_read_in_the_order_that_was_said(string cell, DayOrder order, string? day) =>
        Assert.Equal(day, Cell.Day(cell, order)?.ToString("yyyy-MM-dd"));

    [Theory]
    [InlineData("Yes", true)]
    [InlineData("x", true)]
    [InlineData("", false)]
    [InlineData("No", false)]
    [InlineData("perhaps", null)]
    public void Yes_and_no_in_many_words(string cell, bool? said) => Assert.Equal(said, Cell.YesOrNo(cell));
}
