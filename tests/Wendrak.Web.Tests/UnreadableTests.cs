using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Wendrak.Core.Frequency;

namespace Wendrak.Web.Tests;

/// <summary>What can't be read, or can't be represented, is refused with its path.</summary>
public sealed class UnreadableTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    /// <summary>A good question of the Ratio station as text, with one place of it set to another.</summary>
    private async Task<string> QuestionAsync(Action<JsonNode> spoil)
    {
        JsonNode question = System.Text.Json.JsonSerializer.SerializeToNode(
            await Questions.SearchAsync(server),
            Json.Options
        )!;
        spoil(question);
        return question.ToJsonString();
    }

    private async Task<(HttpStatusCode Status, string[] Fields)> AskAsync(string json, string charset = "utf-8")
    {
        using StringContent content = new(json, Encoding.UTF8);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/json") { CharSet = charset };
        HttpResponseMessage response = await server.Client.PostAsync("/api/ratio/search", content);
        JsonNode result = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        return (response.StatusCode, [.. result["issues"]?.AsArray().Select(i => (string)i!["field"]!) ?? []]);
    }

    [Fact]
    public async Task Null_inside_a_list_is_named_by_its_place()
    {
        string json = await QuestionAsync(q => q["drive"]!["stages"]!.AsArray()[1] = null);
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "drive.stages[1]"), await OnlyAsync(json));
        string whole = await QuestionAsync(q => q["fitted"]!.AsArray()[0] = null);
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "fitted[0]"), await OnlyAsync(whole));
    }

    private async Task<(HttpStatusCode, string)> OnlyAsync(string json)
    {
        (HttpStatusCode status, string[] fields) = await AskAsync(json);
        return (status, Assert.Single(fields));
    }

    [Fact]
    public async Task A_kind_that_is_not_said_is_asked_for()
    {
        string json = await QuestionAsync(q => q["drive"]!["stages"]![0]!.AsObject().Remove("kind"));
        Assert.Equal((HttpStatusCode.BadRequest, "drive.stages[0].kind"), await OnlyAsync(json));
        string target = await QuestionAsync(q => q["aim"]!.AsObject().Remove("kind"));
        Assert.Equal((HttpStatusCode.BadRequest, "aim.kind"), await OnlyAsync(target));
    }

    [Fact]
    public async Task A_number_beyond_all_numbers_is_named()
    {
        string json = await QuestionAsync(_ => { });
        string spoiled = json.Replace("\"frontSize\":15", "\"frontSize\":1e400", StringComparison.Ordinal);
        Assert.NotEqual(json, spoiled);
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "fitted[0].frontSize"), await OnlyAsync(spoiled));
    }

    [Fact]
    public async Task Text_without_end_is_named()
    {
        string json = await QuestionAsync(q => q["drive"]!["name"] = new string('x', 5_000));
        (HttpStatusCode status, string[] fields) = await AskAsync(json);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains("drive.name", fields);
        using HttpRequestMessage request = new(HttpMethod.Delete, "/api/jobs/1?version=1");
        request.Headers.Add("X-Wendrak-Who", new string('x', 500));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await server.Client.SendAsync(request)).StatusCode);
    }

    [Theory]
    [InlineData("bogus")]
    [InlineData("utf-16")]
    [InlineData("iso-8859-1")]
    public async Task Another_charset_is_refused(string charset) =>
        Assert.Equal(
            HttpStatusCode.UnsupportedMediaType,
            (await AskAsync(await QuestionAsync(_ => { }), charset)).Status
        );

    /// <summary>A WAV file whose header says what can't be.</summary>
    [Theory]
    [InlineData(22, 0)] // channels
    [InlineData(24, 0)] // rate
    [InlineData(24, -1)]
    [InlineData(32, 0)] // bytes of a frame
    [InlineData(34, 0)] // bits
    [InlineData(16, -1)] // length of the format
    public async Task A_recording_with_a_senseless_header_gets_a_sentence(int at, int value)
    {
        byte[] wav = PluckSound.Wav(80);
        BitConverter.GetBytes(value).AsSpan(0, at is 24 or 16 ? 4 : 2).CopyTo(wav.AsSpan(at));
        (HttpStatusCode status, string result) = await ListenAsync(wav);
        Assert.True(status == HttpStatusCode.UnprocessableEntity, $"{status}: {result}");
    }

    [Fact]
    public async Task A_header_that_claims_four_gigabytes_is_read_as_far_as_it_goes()
    {
        byte[] wav = PluckSound.Wav(80);
        BitConverter.GetBytes(-1).CopyTo(wav.AsSpan(4));
        BitConverter.GetBytes(-1).CopyTo(wav.AsSpan(40));
        (HttpStatusCode status, string result) = await ListenAsync(wav);
        Assert.True(status == HttpStatusCode.OK, result);
        Assert.Equal(80, (double)JsonNode.Parse(result)!["hz"]!, 0.5);
    }

    private async Task<(HttpStatusCode, string)> ListenAsync(byte[] wav)
    {
        using ByteArrayContent content = new(wav);
        content.Headers.ContentType = new MediaTypeHeaderValue("audio/wav");
        HttpResponseMessage response = await server.Client.PostAsync("/api/set/listen", content);
        return (response.StatusCode, await response.Content.ReadAsStringAsync());
    }
}
