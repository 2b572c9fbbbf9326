using System.Globalization;
using System.Text;
using Wendrak.Core.Traces;

namespace Wendrak.Core.Tests.Traces;

/// <summary>Traces as files: of speeds that are known, as a device would write them.</summary>
internal static class TraceFiles
{
    private const double DegOfM = 1 / 111_195.0799; // on the equator, of a sphere of 6 371 008.8 m

    /// <summary>A point each tenth of a second along the equator.</summary>
    /// <param name="kmhAt">Speed by time, s.</param>
    public static string Gpx(
        Func<double, double> kmhAt,
        double seconds,
        bool hasSpeed,
        double step = 0.1,
        Func<int, double>? noiseM = null
    )
    {
        StringBuilder text = new(
            "<?xml version=\"1.0\"?><gpx version=\"1.1\" xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><trkseg>\n"
        );
        double metres = 0;
        for (int i = 0; i * step <= seconds; i++)
        {
            double t = i * step;
            metres += i == 0 ? 0 : (kmhAt(t) + kmhAt(t - step)) / 2 / 3.6 * step;
            double off = noiseM?.Invoke(i) ?? 0;
            string time = new DateTime(2026, 5, 2, 10, 0, 0)
                .AddSeconds(t)
                .ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);
            string speed = hasSpeed
                ? string.Create(
                    CultureInfo.InvariantCulture,
                    $"<extensions><speed>{kmhAt(t) / 3.6:0.0000}</speed></extensions>"
                )
                : "";
            text.Append(
                CultureInfo.InvariantCulture,
                $"<trkpt lat=\"0\" lon=\"{(metres + off) * DegOfM:0.00000000000}\"><ele>1</ele><time>{time}</time>{speed}</trkpt>\n"
            );
        }
        return text.Append("</trkseg></trk></gpx>").ToString();
    }

    public static string Table(string head, IEnumerable<string> rows) => head + "\n" + string.Join("\n", rows) + "\n";

    public static SpeedTrace Read(
        string text,
        double from,
        double to,
        Func<TraceQuestion, TraceQuestion>? asked = null,
        double[]? gears = null
    )
    {
        using MemoryStream file = new(Encoding.UTF8.GetBytes(text));
        return SpeedTrace.Read(file, (asked ?? (q => q))(new(from, to)), gears ?? [], (2_000, 9_000));
    }
}
