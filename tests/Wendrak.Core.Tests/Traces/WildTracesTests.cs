using System.Text;
using Wendrak.Core.Records;
using Wendrak.Core.Traces;
using static Wendrak.Core.Tests.Traces.TraceFiles;

namespace Wendrak.Core.Tests.Traces;

/// <summary>Traces of the wild: other signs, times that are missing, doubled or out of order, files that are cut or hostile.</summary>
public sealed class WildTracesTests
{
    private static string Point(string time, double lon = 0, string more = "") =>
        FormattableString.Invariant($"<trkpt lat=\"0\" lon=\"{lon}\">{time}{more}</trkpt>");

    private static string At(int second) => FormattableString.Invariant($"<time>2026-05-02T10:00:{second:00}Z</time>");

    private static string Gpx(params string[] points) =>
        $"<gpx xmlns=\"http://www.topografix.com/GPX/1/0\"><trk><trkseg>{string.Concat(points)}</trkseg></trk></gpx>";

    [Fact]
    public void Points_without_a_time_doubled_and_out_of_order_are_counted_and_keep_no_other_back()
    {
        SpeedTrace trace = Read(
            Gpx(
                Point(At(0)),
                Point("", 0.0001),
                Point(At(1), 0.0001),
                Point(At(1), 0.0001),
                Point(At(0), 0.0002),
                Point("<time>noon</time>", 0.0002),
                Point(At(2), 0.0002),
                "<trkpt lat=\"x\" lon=\"0\">" + At(3) + "</trkpt>",
                Point(At(3), 0.0003)
            ),
            10,
            20
        );
        Assert.Equal(new TraceFaults(1, 1, 1, 2, false), trace.Faults);
        Assert.Equal((4, 3), (trace.Points, trace.DurationS));
    }

    [Fact]
    public void A_point_takes_its_own_time_and_its_speed_wherever_that_stands()
    {
        string more =
            "<name><![CDATA[<time>]]></name><extensions><x:ext xmlns:x=\"u\"><x:speed>10</x:speed></x:ext></extensions>";
        SpeedTrace trace = Read(Gpx(Point(At(0), 0, more), Point(At(1), 0, more), Point(At(2), 0, more)), 10, 20);
        Assert.Equal(
            (36, 36, false),
            (trace.Strokes.Max(s => s.HighKmh), trace.Strokes.Min(s => s.LowKmh), trace.AreFromPlaces)
        );
    }

    [Fact]
    public void A_file_that_is_cut_is_read_up_to_there()
    {
        string whole = TraceFiles.Gpx(t => 40 + 10 * t, 10, true);
        SpeedTrace trace = Read(whole[..(whole.Length * 3 / 4)], 60, 80);
        Assert.True(trace.Faults.IsCut);
        Assert.Equal(2, Assert.Single(trace.Runs).Seconds, 2);
        Assert.False(Read(whole, 60, 80).Faults.IsCut);
        Assert.True(Read("t,speed\n1,50\n2,60\n3,70\n4", 55, 65).Faults.IsCut);
    }

    [Theory]
    [InlineData(
        "<!DOCTYPE gpx [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;\">]><gpx><trk><trkseg>&b;</trkseg></trk></gpx>"
    )]
    [InlineData("<!DOCTYPE gpx SYSTEM \"file:///etc/passwd\"><gpx/>")]
    [InlineData("<!DOCTYPE gpx [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><gpx><name>&x;</name></gpx>")]
    public void A_document_type_is_refused_before_anything_of_it_is_read(string text) =>
        Assert.Contains("document type", Refusals.Names("file", () => Read(text, 10, 20)), StringComparison.Ordinal);

    [Theory]
    [InlineData("<kml/>")]
    [InlineData("<html><body>Not found</body></html>")]
    [InlineData("<gpx></gpx>")]
    [InlineData("<gpx")]
    public void What_holds_no_trace_is_refused(string text) => Refusals.Names("file", () => Read(text, 10, 20));

    [Theory]
    [InlineData("Time;Speed (km/h)\n0,0;50,0\n1,0;60,0\n2,0;70,0\n", 10)]
    [InlineData(
        "timestamp,speed_mph\n2026-05-02T10:00:00Z,31.068559612\n2026-05-02T10:00:01Z,37.282271534\n2026-05-02T10:00:02Z,43.495983457\n",
        10
    )]
    [InlineData("time ms\tvelocity m/s\n0\t13.888889\n1000\t16.666667\n2000\t19.444444\n", 10)]
    [InlineData("sep=;\nt;speed\n0;50\n1;60\n2;70\n", 10)]
    public void Separators_decimals_and_units_are_told_by_heads_and_cells(string text, double kmhASecond)
    {
        SpeedTrace trace = Read(text, 55, 65);
        Assert.Equal(10 / kmhASecond, Assert.Single(trace.Runs).Seconds, 5);
        Assert.NotNull(trace.Columns);
        Assert.Equal(
            text.StartsWith("timestamp", StringComparison.Ordinal) ? new DateOnly(2026, 5, 2) : null,
            trace.On
        );
    }

    [Fact]
    public void A_mark_of_byte_order_is_no_part_of_the_head()
    {
        using MemoryStream file = new([.. Encoding.UTF8.Preamble, .. "t,speed\n0,50\n1,60\n2,70\n"u8]);
        Assert.Single(SpeedTrace.Read(file, new(55, 65), [], (0, 1)).Runs);
        using MemoryStream xml = new([
            .. Encoding.UTF8.Preamble,
            .. Encoding.UTF8.GetBytes(Gpx(Point(At(0)), Point(At(1)), Point(At(2)))),
        ]);
        Assert.Equal(3, SpeedTrace.Read(xml, new(55, 65), [], (0, 1)).Points);
    }

    [Fact]
    public void Places_in_a_table_make_speeds_too()
    {
        IEnumerable<string> rows = Enumerable
            .Range(0, 6)
            .Select(i => FormattableString.Invariant($"{i},0,{i * 0.0001:0.0000}"));
        SpeedTrace trace = Read(Table("time,latitude,longitude", rows), 60, 80);
        Assert.True(trace.AreFromPlaces);
        Assert.Equal(11.11951 * 3.6, trace.Strokes[2].HighKmh, 2);
    }

    [Fact]
    public void Columns_may_be_said_and_wrong_ones_are_refused_at_their_fields()
    {
        const string text = "a,b\n0,50\n1,60\n2,70\n";
        TraceColumns good = new(
            ["a", "b"],
            [new(0, TraceField.Time, TraceUnit.Seconds), new(1, TraceField.Speed, TraceUnit.Kmh)],
            DecimalMark.Point
        );
        Assert.Single(Read(text, 55, 65, q => q with { Columns = good }).Runs);
        Refusals.Names("Columns", () => Read(text, 55, 65));
        void Names(string field, TraceColumns columns) =>
            Refusals.Names(field, () => Read(text, 55, 65, q => q with { Columns = columns }));
        Names("Columns", good with { Columns = [good.Columns[0]] });
        Names("Columns", good with { Columns = [good.Columns[1]] });
        Names("Columns[1].Field", good with { Columns = [good.Columns[0], good.Columns[0]] });
        Names(
            "Columns[1].Unit",
            good with
            {
                Columns = [good.Columns[0], good.Columns[1] with { Unit = TraceUnit.Rpm }],
            }
        );
        Names("Columns[1].Index", good with { Columns = [good.Columns[0], good.Columns[1] with { Index = 2 }] });
        Names("Decimals", good with { Decimals = (DecimalMark)9 });
    }
}
