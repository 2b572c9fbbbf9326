using System.Globalization;
using Wendrak.Core.Importing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Tests.Importing;

/// <summary>Rows of a file as lines of a log.</summary>
public sealed class LogImportTests
{
    [Fact]
    public void Fills_are_kept_in_kilometres_and_litres()
    {
        LogImport read = Sheets.Read(
            "Date,Odometer mi,US gallons,Full,Missed,Price,Rider,Load lb,Route,Weather,Notes\n"
                + "2025-03-04,100,1,yes,x,9.5,Ann,200,town,dry,first\n2025-03-11,200,2,no,,,,,,,\n"
        );
        Assert.Equal((0, 2), (read.RefusedCount, read.Lines.Count));
        FuelFilled first = Assert.IsType<FuelFilled>(read.Lines[0]);
        Assert.Equal((160.9344, 3.785411784), (first.OdometerKm!.Value, first.Litres));
        Assert.Equal((true, true, 9.5, "first"), (first.IsFull, first.IsOneMissing, first.Cost, first.Words));
        Assert.Equal(
            ("Ann", 200 * 0.45359237, "town", "dry"),
            (first.Under!.Who, first.Under.LoadKg, first.Under.Route, first.Under.Weather)
        );
        Assert.Equal(new FuelFilled(new(2025, 3, 11), 321.8688, 7.570823568, false), read.Lines[1]);
    }

    [Theory]
    [InlineData("date,kWh\n2025-01-02,1.5\n", typeof(Charged))]
    [InlineData("date,dB,distance m,method\n2025-01-02,80,1,phone\n", typeof(NoiseRead))]
    [InlineData("date,work,hours,cost\n2025-01-02,oil,0.5,4\n", typeof(UpkeepDone))]
    [InlineData("date,mileage\n2025-01-02,4200\n", typeof(OdometerRead))]
    public void Each_kind_of_file_gives_its_lines(string text, Type type) =>
        Assert.IsType(type, Assert.Single(Sheets.Read(text).Lines));

    [Fact]
    public void Energy_minutes_and_feet_are_kept_in_their_own_units()
    {
        Assert.Equal(1_500, ((Charged)Sheets.Read("date,kWh\n2025-01-02,1.5\n").Lines[0]).EnergyWh);
        Assert.Equal(30, ((UpkeepDone)Sheets.Read("date,work,hours\n2025-01-02,oil,0.5\n").Lines[0]).Minutes);
        NoiseRead noise = (NoiseRead)Sheets.Read("date,dB,distance ft,method\n2025-01-02,80,10,phone\n").Lines[0];
        Assert.Equal(3.048, noise.DistanceM, 9);
    }

    [Fact]
    public void How_a_run_began_is_told_by_its_speeds()
    {
        LogImport read = Sheets.Read(
            "date,seconds,from km/h,to km/h,gear\n2025-01-02,4.2,60,100,4\n2025-01-02,5,0,100,\n2025-01-02,9,100,60,\n"
        );
        Assert.Equal(
            [RunStart.Rolling, RunStart.Standing, RunStart.CoastDown],
            read.Lines.Cast<RunTimed>().Select(r => r.Start)
        );
        Assert.Equal(4, ((RunTimed)read.Lines[0]).Gear);
    }

    [Fact]
    public void A_row_that_can_t_be_taken_is_told_with_its_cell_and_keeps_no_other_back()
    {
        LogImport read = Sheets.Read(
            "date,odometer,liters,full\n2025-01-02,10,3,yes\n2025-02-30,20,3,yes\n2025-01-03,20,,yes\n2025-01-04,x,3,yes\n2025-01-05,30,3,maybe\n2025-01-06,-5,3,yes\n2025-01-07,40"
        );
        Assert.Single(read.Lines);
        Assert.Equal(6, read.RefusedCount);
        Assert.Equal(
            [(3, "date", "2025-02-30"), (4, "liters", ""), (5, "odometer", "x"), (6, "full", "maybe")],
            read.Refused.Take(4).Select(r => (r.Row, r.Head!, r.Cell!))
        );
        // Refused by the rules of a log, or cut off: the whole row is shown.
        Assert.Equal((7, null), (read.Refused[4].Row, read.Refused[4].Head));
        Assert.Equal((8, "liters"), (read.Refused[5].Row, read.Refused[5].Head));
        Assert.All(read.Refused, r => Assert.True(r.Why.Length > 10));
    }

    [Fact]
    public void Only_so_many_refused_rows_are_shown_and_all_are_counted()
    {
        string rows = string.Concat(Enumerable.Repeat("never,1\n", 150));
        LogImport read = Sheets.Read("date,odometer\n2025-01-02,10\n" + rows);
        Assert.Equal((100, 150, 1), (read.Refused.Count, read.RefusedCount, read.Lines.Count));
    }

    [Fact]
    public void Columns_that_don_t_go_together_are_refused_at_their_fields()
    {
        const string text = "date,odometer,liters\n2025-01-02,10,3\n";
        LogColumns good = Sheets.Look(text).Guess;
        void Names(string field, LogColumns columns) =>
            Refusals.Names(field, () => LogImport.Read(Sheets.Of(text), columns));
        Names("Columns", good with { Columns = [.. good.Columns.Take(2)] });
        Names("Columns[3].Field", good with { Columns = [.. good.Columns, good.Columns[0]] });
        Names(
            "Columns[1].Unit",
            good with
            {
                Columns = [good.Columns[0], good.Columns[1] with { Unit = LogUnit.Wh }, good.Columns[2]],
            }
        );
        Names(
            "Columns[0].Unit",
            good with
            {
                Columns = [good.Columns[0] with { Unit = LogUnit.Km }, .. good.Columns.Skip(1)],
            }
        );
        Names(
            "Columns[0].Index",
            good with
            {
                Columns = [good.Columns[0] with { Index = 3 }, .. good.Columns.Skip(1)],
            }
        );
        Names("Heads", good with { Heads = ["date", "odometer", "other"] });
        Names("Kind", good with { Kind = (LogFileKind)9 });
        Names("Days", good with { Days = (DayOrder)9 });
        Names("Decimals", good with { Decimals = (DecimalMark)9 });
    }

    [Fact]
    public void A_hundred_thousand_rows_are_read()
    {
        string rows = string.Concat(
            Enumerable
                .Range(0, 100_000)
                .Select(i => string.Create(CultureInfo.InvariantCulture, $"2025-01-02,{i},3.5\n"))
        );
        LogImport read = Sheets.Read("date,odometer,liters\n" + rows);
        Assert.Equal((100_000, 0), (read.Lines.Count, read.RefusedCount));
    }
}
