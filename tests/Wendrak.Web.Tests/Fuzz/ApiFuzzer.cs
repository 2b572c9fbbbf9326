using System.Diagnostics;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>What one made-up request got.</summary>
/// <param name="Body">As it was sent; null where none was.</param>
/// <param name="Told">Body of the answer.</param>
/// <param name="Fault">Null where the answer was one that may be given.</param>
public sealed record FuzzAnswer(
    ApiOperation Operation,
    string Request,
    string? Body,
    HttpStatusCode Status,
    double Ms,
    string Told,
    string? Fault
);

/// <summary>Asks what nobody should ask, of every operation that the description of the API names.</summary>
public sealed class ApiFuzzer
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(20);
    private readonly ApiDescription _api;
    private readonly KnownParts _parts;
    private readonly HttpClient _client;

    private ApiFuzzer(ApiDescription api, KnownParts parts, HttpClient client) =>
        (_api, _parts, _client) = (api, parts, client);

    public static async Task<ApiFuzzer> OfAsync(HttpClient client)
    {
        ApiDescription api = new(ApiDescription.Kept);
        return new(api, await KnownParts.ReadAsync(api, client), client);
    }

    /// <summary>Whether the body of an operation may have a member of that name.</summary>
    public bool MayHold(ApiOperation operation, string member) =>
        operation.Body is { } body
        && _api.Resolve(body) is var schema
        && (schema["properties"] is not JsonObject members || members.ContainsKey(member));

    public int Operations => _api.Operations.Count;

    /// <summary>One request; the same one for the same seed.</summary>
    public async Task<FuzzAnswer> AskAsync(int seed)
    {
        Random random = new(seed);
        ApiOperation operation = _api.Operations[seed % _api.Operations.Count];
        SchemaSample sample = new(_api, _parts.OfAny(random), random);
        string address = AddressOf(operation, sample, random);
        string? body = operation.Body is { } schema ? Spoiling.Spoil(sample.Of(schema), random) : null;
        using HttpRequestMessage request = new(new(operation.Method), address);
        if (body is not null)
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        else if (address.StartsWith("/api/set/listen", StringComparison.Ordinal))
            request.Content = Recording(random);
        string name = $"seed {seed}: {operation.Method} {address} {body}";
        long started = Stopwatch.GetTimestamp();
        using CancellationTokenSource late = new(Patience);
        try
        {
            using HttpResponseMessage response = await _client.SendAsync(
                request,
                HttpCompletionOption.ResponseHeadersRead,
                late.Token
            );
            // A stream of events has no end to wait for.
            bool isEndless = response.Content.Headers.ContentType?.MediaType == "text/event-stream";
            string result = isEndless ? "" : await response.Content.ReadAsStringAsync(late.Token);
            double ms = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
            return new(operation, name, body, response.StatusCode, ms, result, FaultOf(response, result));
        }
        catch (OperationCanceledException)
        {
            return new(
                operation,
                name,
                body,
                HttpStatusCode.RequestTimeout,
                Patience.TotalMilliseconds,
                "",
                "no answer in time"
            );
        }
    }

    private static string? FaultOf(HttpResponseMessage response, string result)
    {
        if ((int)response.StatusCode >= 500)
            return $"{(int)response.StatusCode}: {result}";
        if (
            result.Contains("   at ", StringComparison.Ordinal)
            || result.Contains("Exception", StringComparison.Ordinal)
        )
            return $"tells of its inside: {result}";
        bool isJson =
            response.Content.Headers.ContentType?.MediaType?.EndsWith("json", StringComparison.Ordinal) == true;
        if (!isJson)
            return null;
        JsonNode? answer = JsonNode.Parse(result);
        if (Refusal.IsOne(response.StatusCode) && answer?["issues"]?.AsArray() is not { Count: > 0 })
            return $"a refusal that names nothing: {result}";
        return Endless(answer) is { } text ? $"text without end was kept: {text[..80]}" : null;
    }

    private const int LongestText = 4_000;

    private static string? Endless(JsonNode? node) =>
        node switch
        {
            JsonObject thing => thing.Select(p => Endless(p.Value)).FirstOrDefault(t => t is not null),
            JsonArray list => list.Select(Endless).FirstOrDefault(t => t is not null),
            JsonValue value when value.TryGetValue(out string? text) && text.Length > LongestText => text[0] switch
            {
                '{' => Endless(JsonNode.Parse(text)), // a thing as it was, in the record of changes
                '<' or ' ' or '0' or '9' => null, // a drawing
                _ => text,
            },
            _ => null,
        };

    private static string AddressOf(ApiOperation operation, SchemaSample sample, Random random)
    {
        string path = operation.Path;
        List<string> query = [];
        foreach (JsonNode parameter in operation.Parameters)
        {
            string name = (string)parameter["name"]!;
            string value =
                random.Next(4) == 0 ? Odd[random.Next(Odd.Length)]
                : name is "id" or "version" or "machineId" ? random.Next(1, 12).ToString()
                : sample.Of(parameter["schema"]!)?.ToString() ?? "";
            if ((string)parameter["in"]! == "path")
                path = path.Replace($"{{{name}}}", Uri.EscapeDataString(value), StringComparison.Ordinal);
            else
                query.Add($"{name}={Uri.EscapeDataString(value)}");
        }
        return query.Count == 0 ? path : $"{path}?{string.Join('&', query)}";
    }

    private static readonly string[] Odd =
    [
        "0",
        "-1",
        "9223372036854775808",
        "-2147483648",
        "1e400",
        "NaN",
        "Infinity",
        "none",
        "%00",
        "5e-324",
    ];

    /// <summary>A short recording with some of its header's bytes at random.</summary>
    private static ByteArrayContent Recording(Random random)
    {
        byte[] wav = Core.Frequency.PluckSound.Wav(40 + random.Next(200));
        for (int i = random.Next(5); i > 0; i--)
            wav[random.Next(48)] = (byte)random.Next(256);
        ByteArrayContent content = new(random.Next(5) == 0 ? wav[..random.Next(wav.Length)] : wav);
        content.Headers.ContentType = new MediaTypeHeaderValue("audio/wav");
        return content;
    }
}
