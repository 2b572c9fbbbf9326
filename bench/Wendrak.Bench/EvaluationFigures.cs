using System.Diagnostics;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.Logging;

namespace Wendrak.Bench;

/// <summary>
/// How often the one question of a page is answered under load, beside a bare server of the same framework that takes in and
/// gives back as many bytes. Both are processes of their own; they are asked in turns, and what counts is the median of the turns.
/// </summary>
internal static class EvaluationFigures
{
    private static readonly string[] Final = ["final"];
    private const int Clients = 16;
    private const int Turns = 7;
    private static readonly TimeSpan Turn = TimeSpan.FromSeconds(1);

    // The program compiles anew what was called 10 000 times: load is what lasts longer than that.
    private static readonly TimeSpan Warming = TimeSpan.FromSeconds(20);

    public const string EchoServer = "echo-server";

    /// <param name="only">Of the questions those whose name has this in it.</param>
    public static async Task PrintAsync(string only)
    {
        using TempFolder folder = new();
        string built = Path.Combine(Root(), "build/app/Wendrak.Web.dll");
        using Server app = await Server.StartAsync(built, "--data", folder.Path);
        using Server echo = await Server.StartAsync(typeof(EvaluationFigures).Assembly.Location, EchoServer);
        Console.WriteLine(
            $"{"question", -32} {"up", 5} {"down", 6} {"new, a second", 14} {"again", 7} {"echo", 7} {"new/echo", 9} {"again/echo", 11}"
        );
        foreach (
            (string name, string[] questions) in (await QuestionsAsync(app)).Where(q =>
                q.Name.Contains(only, StringComparison.Ordinal)
            )
        )
        {
            (double up, double down) = (questions.Average(q => q.Length), await AnswerBytesAsync(app, questions));
            string echoPath = FormattableString.Invariant($"/echo?bytesOut={down:0}");
            List<(double New, double Again, double Echo)> rates = [];
            string New(int n) => Unseen(questions[n % questions.Length]);
            string Again(int n) => questions[n % questions.Length];
            await RateAsync(app, "/api/evaluation", New, Warming);
            await RateAsync(echo, echoPath, Again, Turn);
            for (int i = 0; i < Turns; i++)
                rates.Add(
                    (
                        await RateAsync(app, "/api/evaluation", New, Turn),
                        await RateAsync(app, "/api/evaluation", Again, Turn),
                        await RateAsync(echo, echoPath, Again, Turn)
                    )
                );
            Console.WriteLine(
                FormattableString.Invariant(
                    $"{name, -32} {up, 5:0} {down, 6:0} {Median(rates.Select(r => r.New)), 14:0} {Median(rates.Select(r => r.Again)), 7:0} {Median(rates.Select(r => r.Echo)), 7:0} {Median(rates.Select(r => r.New / r.Echo)), 9:0.00} {Median(rates.Select(r => r.Again / r.Echo)), 11:0.00}"
                )
            );
        }
    }

    private static long _unseen;

    /// <summary>The same question in other letters, which the server has never read: it works it out anew.</summary>
    private static string Unseen(string question) =>
        FormattableString.Invariant($"{question[..^1]},\"n\":{Interlocked.Increment(ref _unseen)}}}");

    /// <summary>Takes a body in whole and answers with as many bytes as it is asked for.</summary>
    public static async Task EchoAsync(int port)
    {
        WebApplicationBuilder builder = WebApplication.CreateSlimBuilder();
        builder.Logging.ClearProviders();
        WebApplication app = builder.Build();
        byte[] bytes = new byte[1 << 20];
        Array.Fill(bytes, (byte)'a');
        app.MapGet("/health/live", () => "up");
        app.MapPost(
            "/echo",
            async (HttpContext context, int bytesOut) =>
            {
                using MemoryStream body = new();
                await context.Request.Body.CopyToAsync(body);
                context.Response.ContentType = "application/json";
                context.Response.ContentLength = bytesOut;
                await context.Response.Body.WriteAsync(bytes.AsMemory(0, bytesOut));
            }
        );
        await app.RunAsync(FormattableString.Invariant($"http://127.0.0.1:{port}"));
    }

    private static async Task<IReadOnlyList<(string Name, string[] Questions)>> QuestionsAsync(Server app)
    {
        JsonArray machines = (await app.Http.GetFromJsonAsync<JsonArray>("/api/machines"))!;
        JsonNode curlew = machines.First(m => (string)m!["machine"]!["name"]! == "Curlew")!;
        long id = (long)curlew["machine"]!["id"]!;
        JsonArray visits = (await app.Http.GetFromJsonAsync<JsonArray>($"/api/machines/{id}/set-jobs"))!;
        JsonArray aims = (await app.Http.GetFromJsonAsync<JsonArray>($"/api/machines/{id}/aims"))!;
        string Question(object parts, object[]? picks = null) =>
            JsonSerializer.Serialize(
                new
                {
                    machineId = id,
                    scope = new
                    {
                        loopKeys = Final,
                        aimId = (long)aims[0]!["id"]!,
                        picks,
                    },
                    parts,
                }
            );
        string[] PerTooth(object parts) =>
            [
                .. from frontSize in Enumerable.Range(13, 5)
                from rearSize in Enumerable.Range(40, 11)
                select Question(
                    parts,
                    [
                        new
                        {
                            loopKey = "final",
                            frontSize,
                            rearSize,
                        },
                    ]
                ),
            ];
        object nothing = new { };
        string drive = (string)curlew["machine"]!["drives"]![0]!["key"]!;
        return
        [
            (
                "another tooth at Ratio",
                PerTooth(
                    new
                    {
                        headlines = nothing,
                        comparison = nothing,
                        followUps = nothing,
                    }
                )
            ),
            ("another tooth, the strip alone", PerTooth(new { headlines = nothing })),
            (
                "another tooth at Fit",
                PerTooth(
                    new
                    {
                        headlines = nothing,
                        fit = nothing,
                        neighbours = nothing,
                        suspension = nothing,
                        followUps = nothing,
                    }
                )
            ),
            (
                "another tooth at Loads",
                PerTooth(
                    new
                    {
                        headlines = nothing,
                        loads = nothing,
                        mends = nothing,
                        fit = nothing,
                    }
                )
            ),
            (
                "the adjuster dragged",
                [.. Enumerable.Range(0, 40).Select(travelMm => Question(new { fit = new { travelMm } }))]
            ),
            (
                "a mass typed at Loads",
                [
                    .. Enumerable
                        .Range(200, 40)
                        .Select(massKg =>
                            Question(
                                new
                                {
                                    loads = new
                                    {
                                        source = new
                                        {
                                            driveKey = drive,
                                            peakTorqueNm = 60,
                                            massKg,
                                            liftsOrFlies = false,
                                        },
                                    },
                                }
                            )
                        ),
                ]
            ),
            (
                "a visit at Set",
                [
                    Question(
                        new
                        {
                            headlines = nothing,
                            set = new
                            {
                                visit = new
                                {
                                    jobId = (long)visits[0]!["id"]!,
                                    loopKey = (string)visits[0]!["loopKey"]!,
                                },
                            },
                        }
                    ),
                ]
            ),
        ];
    }

    private static async Task<double> AnswerBytesAsync(Server app, string[] questions)
    {
        List<long> sizes = [];
        foreach (string question in questions)
        {
            using HttpResponseMessage answer = await app.Http.PostAsync("/api/evaluation", Body(question));
            answer.EnsureSuccessStatusCode();
            sizes.Add((await answer.Content.ReadAsByteArrayAsync()).Length);
        }
        return sizes.Average();
    }

    private static async Task<double> RateAsync(
        Server server,
        string path,
        Func<int, string> question,
        TimeSpan duration
    )
    {
        long answered = 0;
        Stopwatch clock = Stopwatch.StartNew();
        await Task.WhenAll(
            Enumerable
                .Range(0, Clients)
                .Select(async client =>
                {
                    for (int i = client; clock.Elapsed < duration; i++)
                    {
                        using HttpResponseMessage answer = await server.Http.PostAsync(path, Body(question(i)));
                        answer.EnsureSuccessStatusCode();
                        await answer.Content.ReadAsByteArrayAsync();
                        Interlocked.Increment(ref answered);
                    }
                })
        );
        return answered / clock.Elapsed.TotalSeconds;
    }

    private static StringContent Body(string question) => new(question, Encoding.UTF8, "application/json");

    private static double Median(IEnumerable<double> values)
    {
        double[] sorted = [.. values.Order()];
        return sorted[sorted.Length / 2];
    }

    private static string Root()
    {
        string folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Wendrak.slnx")))
            folder = Path.GetDirectoryName(folder)!;
        return folder;
    }

    private sealed class TempFolder : IDisposable
    {
        public string Path { get; } = Directory.CreateTempSubdirectory("wendrak-bench-").FullName;

        public void Dispose() => Directory.Delete(Path, true);
    }

    private sealed class Server(Process process, HttpClient http) : IDisposable
    {
        private static int _port = 5391;

        public HttpClient Http => http;

        public static async Task<Server> StartAsync(string program, params string[] arguments)
        {
            int port = _port++;
            Process process = Process.Start(
                new ProcessStartInfo("dotnet", [program, .. arguments, "--port", $"{port}"])
                {
                    RedirectStandardOutput = true,
                    RedirectStandardError = true,
                }
            )!;
            HttpClient http = new(new SocketsHttpHandler { MaxConnectionsPerServer = Clients })
            {
                BaseAddress = new Uri($"http://127.0.0.1:{port}"),
            };
            for (int i = 0; i < 300; i++)
            {
                try
                {
                    if ((await http.GetAsync("/health/live")).IsSuccessStatusCode)
                        return new(process, http);
                }
                catch (HttpRequestException)
                {
                    await Task.Delay(50);
                }
            }
            throw new InvalidOperationException($"{program} did not come up.");
        }

        public void Dispose()
        {
            http.Dispose();
            process.Kill();
            process.WaitForExit();
            process.Dispose();
        }
    }
}
