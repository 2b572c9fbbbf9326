using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Wendrak.Core.Traces;
using Wendrak.Web.Tests;

namespace Wendrak.Bench;

/// <summary>A machine with 100 000 lines beside one with 1 000: what its pages take; and a trace of a million points.</summary>
internal static class LogFigures
{
    private const int Few = 1_000;
    private const int Many = 100_000;
    private const int Times = 41;
    private const int PointsOfTrace = 1_000_000;

    public static async Task PrintAsync()
    {
        LoopbackServer server = new();
        await server.StartAsync();
        try
        {
            long few = await MachineAsync(server, 0);
            long many = await MachineAsync(server, 1);
            await ImportAsync(server, few, Few);
            await ImportAsync(server, many, Many);
            Console.WriteLine($"{"median, ms", -34}{Few, 10}{Many, 10}{"ratio", 8}");
            await BesideAsync("a page", few, many, id => GetAsync(server, $"/api/machines/{id}/log?most=20"));
            await BesideAsync(
                "a page of a rare kind",
                few,
                many,
                id => GetAsync(server, $"/api/machines/{id}/log?kind=odometerRead&most=20")
            );
            await BesideAsync(
                "a page of some days",
                few,
                many,
                id => GetAsync(server, $"/api/machines/{id}/log?from=2020-02-01&to=2020-03-01&most=20")
            );
            await BesideAsync("the machine is opened", few, many, id => OpenAsync(server, id));
            await BesideAsync("a line is written", few, many, id => WriteAsync(server, id));
            await BesideAsync("opened after a line was written", few, many, id => OpenAsync(server, id), server);
            await BesideAsync(
                "the yard, after a line was written",
                few,
                many,
                _ => GetAsync(server, "/api/due"),
                server
            );
            await BesideAsync("two setups compared", few, many, id => CompareAsync(server, id), times: 5);
        }
        finally
        {
            await server.DisposeAsync();
        }
        Trace();
    }

    private static async Task<long> MachineAsync(LoopbackServer server, int number)
    {
        JsonNode draft = (await server.Client.GetFromJsonAsync<JsonNode>("/api/machines/starting/motorcycle"))!;
        draft["machine"]!["name"] = $"Logged {number}";
        draft["fittedVersion"] = 0;
        HttpResponseMessage added = await server.Client.PostAsJsonAsync("/api/machines", draft);
        return (long)(await added.Content.ReadFromJsonAsync<JsonNode>())!["machine"]!["id"]!;
    }

    /// <summary>Fills, and one reading of the odometer for a hundred of them.</summary>
    private static async Task ImportAsync(LoopbackServer server, long id, int lines)
    {
        StringBuilder fills = new("date,odometer,liters,full\n");
        StringBuilder readings = new("date,mileage\n");
        for (int i = 0; i < lines; i++)
        {
            string day = new DateOnly(2020, 1, 1)
                .AddDays(i * 2_000 / lines)
                .ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
            (i % 100 == 99 ? readings : fills).Append(
                CultureInfo.InvariantCulture,
                $"{day},{i}{(i % 100 == 99 ? "" : $",{4 + i % 7 / 10.0},yes")}\n"
            );
        }
        long started = Stopwatch.GetTimestamp();
        foreach (string text in (string[])[fills.ToString(), readings.ToString()])
        {
            JsonNode look = (
                await (
                    await server.Client.PostAsync($"/api/machines/{id}/log/look", Table(text))
                ).Content.ReadFromJsonAsync<JsonNode>()
            )!;
            string columns = Uri.EscapeDataString(look["guess"]!.ToJsonString());
            HttpResponseMessage taken = await server.Client.PostAsync(
                $"/api/machines/{id}/log/file?name=log.csv&columns={columns}",
                Table(text)
            );
            taken.EnsureSuccessStatusCode();
        }
        Console.WriteLine($"{lines} lines read in: {Stopwatch.GetElapsedTime(started).TotalSeconds:0.0} s");
    }

    private static StringContent Table(string text) => new(text, Encoding.UTF8, "text/csv");

    private static async Task GetAsync(LoopbackServer server, string path) =>
        (await server.Client.GetAsync(path)).EnsureSuccessStatusCode();

    /// <summary>What the page asks for when Check is opened.</summary>
    private static async Task OpenAsync(LoopbackServer server, long id)
    {
        await GetAsync(server, $"/api/machines/{id}");
        HttpResponseMessage answer = await server.Client.PostAsJsonAsync(
            "/api/evaluation",
            new
            {
                machineId = id,
                scope = new { loopKeys = (string[])["final"] },
                parts = new
                {
                    headlines = new { },
                    look = new { },
                    due = new { },
                    wear = new { },
                },
            }
        );
        answer.EnsureSuccessStatusCode();
    }

    private static async Task WriteAsync(LoopbackServer server, long id) =>
        (
            await server.Client.PostAsJsonAsync(
                $"/api/machines/{id}/log",
                new
                {
                    lines = (object[])
                        [
                            new
                            {
                                kind = "scoreGiven",
                                on = "2026-01-01",
                                odometerKm = (double?)null,
                                score = 4,
                            },
                        ],
                }
            )
        ).EnsureSuccessStatusCode();

    private static async Task CompareAsync(LoopbackServer server, long id) =>
        (
            await server.Client.PostAsJsonAsync($"/api/machines/{id}/comparison", new { measure = "fuel" })
        ).EnsureSuccessStatusCode();

    /// <summary>In turns, so that a neighbour slows both.</summary>
    /// <param name="changed">Where a line is written before each; null for none.</param>
    private static async Task BesideAsync(
        string what,
        long few,
        long many,
        Func<long, Task> call,
        LoopbackServer? changed = null,
        int times = Times
    )
    {
        long[] ids = [few, many];
        List<double>[] taken =
        [
            [],
            [],
        ];
        for (int i = 0; i < times; i++)
        for (int side = 0; side < 2; side++)
        {
            if (changed is not null)
                await WriteAsync(changed, ids[side]);
            long started = Stopwatch.GetTimestamp();
            await call(ids[side]);
            taken[side].Add(Stopwatch.GetElapsedTime(started).TotalMilliseconds);
        }
        double Median(int side) => taken[side].Order().ElementAt(times / 2);
        Console.WriteLine($"{what, -34}{Median(0), 10:0.0}{Median(1), 10:0.0}{Median(1) / Median(0), 8:0.00}");
    }

    private static void Trace()
    {
        string file = Path.GetTempFileName();
        try
        {
            using (StreamWriter to = new(file))
            {
                to.Write("<gpx version=\"1.1\"><trk><trkseg>");
                DateTime at = new(2026, 5, 2, 10, 0, 0, DateTimeKind.Utc);
                for (int i = 0; i < PointsOfTrace; i++)
                    to.Write(
                        string.Create(
                            CultureInfo.InvariantCulture,
                            $"<trkpt lat=\"{54 + i * 1e-6:0.000000}\" lon=\"0\"><ele>1</ele><time>{at.AddSeconds(i):yyyy-MM-dd'T'HH:mm:ss'Z'}</time></trkpt>\n"
                        )
                    );
                to.Write("</trkseg></trk></gpx>");
            }
            foreach (int share in (int[])[10, 1])
            {
                using FileStream stream = File.OpenRead(file);
                using Stream part = new Beginning(stream, stream.Length / share);
                GC.Collect();
                long before = GC.GetTotalMemory(true);
                long most = 0;
                using Timer look = new(_ => most = Math.Max(most, GC.GetTotalMemory(false)), null, 0, 20);
                long started = Stopwatch.GetTimestamp();
                SpeedTrace trace = SpeedTrace.Read(part, new(60, 100), [], (0, 1));
                Console.WriteLine(
                    $"trace of {trace.Points} points, {stream.Length / share / 1e6:0} MB: {Stopwatch.GetElapsedTime(started).TotalSeconds:0.0} s, at most {(most - before) / 1e6:0.0} MB beside it"
                );
            }
        }
        finally
        {
            File.Delete(file);
        }
    }

    /// <summary>The first bytes of a file, as if it were cut off.</summary>
    private sealed class Beginning(Stream of, long length) : Stream
    {
        public override bool CanRead => true;
        public override bool CanSeek => true;
        public override bool CanWrite => false;
        public override long Length => length;
        public override long Position
        {
            get => of.Position;
            set => of.Position = value;
        }

        public override int Read(byte[] buffer, int offset, int count) =>
            of.Read(buffer, offset, (int)Math.Min(count, length - of.Position));

        public override void Flush() => throw new NotSupportedException();

        public override long Seek(long offset, SeekOrigin origin) => of.Seek(offset, origin);

        public override void SetLength(long value) => throw new NotSupportedException();

        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
    }
}
