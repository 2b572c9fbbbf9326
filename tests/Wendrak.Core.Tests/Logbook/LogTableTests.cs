using Wendrak.Core.Importing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Importing;
using static Wendrak.Core.Tests.Logbook.Logs;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>A log as a table of text.</summary>
public sealed class LogTableTests
{
    private static string Written(params LogLine[] lines)
    {
        StringWriter to = new();
        LogTable.Write(to, Entries(lines));
        return to.ToString();
    }

    [Fact]
    public void Every_kind_of_line_has_its_row()
    {
        string text = Written(
            new FuelFilled(Start, 100, 4.5, true, true, 8.25, null, new("Ann", 82.5, "town", "dry"), "a \"b\", c"),
            new Charged(Start, 100, 480, false),
            new MeanTold(Start, null, ToldMean.LitresPer100Km, 4.4, "a friend"),
            new RunTimed(Start, null, 4.2, 60, 100, RunStart.Rolling, RunTiming.Watch),
            new NoiseRead(Start, null, 82, 0.5, "phone"),
            new PartPaid(Start, 100, "chain", 95),
            new UpkeepDone(Start, 100, "oil", 15, 2),
            new OdometerRead(Start, 101),
            new ScoreGiven(Start, null, 4)
        );
        Assert.Equal(
            """
            date,kind,odometer_km,value,unit,full,fill_before_missing,cost,minutes,what,rider,load_kg,route,weather,notes,struck_out
            2025-01-01,fuel,100,4.5,L,yes,yes,8.25,,,Ann,82.5,town,dry,"a ""b"", c",no
            2025-01-01,charge,100,480,Wh,no,,,,,,,,,,no
            2025-01-01,told mean,,4.4,L/100 km,,,,,a friend,,,,,,no
            2025-01-01,timed run,,4.2,s,,,,,60 to 100 km/h,,,,,,no
            2025-01-01,noise,,82,dB(A),,,,,"at 0.5 m, phone",,,,,,no
            2025-01-01,part,100,,,,,95,,chain,,,,,,no
            2025-01-01,upkeep,100,,,,,2,15,oil,,,,,,no
            2025-01-01,odometer,101,,,,,,,,,,,,,no
            2025-01-01,score,,4,of 5,,,,,,,,,,,no

            """.ReplaceLineEndings("\r\n"),
            text
        );
    }

    /// <summary>A cell that begins so is run by spreadsheets; a quotation mark before it keeps it words.</summary>
    [Theory]
    [InlineData("=1+1")]
    [InlineData("+1")]
    [InlineData("-1")]
    [InlineData("@x")]
    [InlineData("\t=1")]
    public void No_cell_runs_as_a_formula(string words)
    {
        using MemoryStream file = Sheets.Of(Written(new OdometerRead(Start, 10, Words: words)));
        Assert.StartsWith("'", LogFileLook.Of(file, []).Rows[0][14]);
    }
}
