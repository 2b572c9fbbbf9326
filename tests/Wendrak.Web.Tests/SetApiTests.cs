using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests;

public sealed class SetApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<SetInput> QuestionAsync(params SetRound[] rounds)
    {
        RatioSearchInput q = await Questions.SearchAsync(server);
        return new(
            q.Drive,
            MachineKind.Motorcycle,
            q.Fitted,
            [],
            null,
            null,
            null,
            new(q.Fitted[0].LoopKey, new(AdjusterKind.TwoEnds), SpanMm: 580, Suspension: RearSuspension.SwingArm),
            rounds
        );
    }

    private Task<HttpResponseMessage> ListenAsync(byte[] recording, string query = "")
    {
        ByteArrayContent body = new(recording);
        body.Headers.ContentType = new MediaTypeHeaderValue("audio/wav");
        HttpRequestMessage request = new(HttpMethod.Post, "/api/set/listen" + query) { Content = body };
        request.Headers.ExpectContinue = true; // told the limit before all of it was sent
        return server.Client.SendAsync(request);
    }

    [Fact]
    public async Task Advice_comes_with_its_working()
    {
        SetRound found = new(0, 0, LockState.Nipped, [new(ReadingMethod.FreePlay, 55)]);
        HttpResponseMessage response = await server.PostAsync("/api/set/advice", await QuestionAsync(found));
        JsonNode answer = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        Assert.Equal("turn", (string)answer["next"]!);
        Assert.NotEmpty(answer["workings"]!.AsArray());
        SetRound wrong = found with { Readings = [new(ReadingMethod.FreePlay, -1)] };
        HttpResponseMessage refused = await server.PostAsync("/api/set/advice", await QuestionAsync(wrong));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains(
            "rounds[0].readings[0].value",
            await refused.Content.ReadAsStringAsync(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task What_the_practice_belt_sounds_is_heard()
    {
        byte[] wav = await server.Client.GetByteArrayAsync("/api/set/pluck?hz=58.2");
        HttpResponseMessage response = await ListenAsync(wav, "?lowHz=50&highHz=70");
        JsonNode answer = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        Assert.Equal("clear", (string)answer["quality"]!);
        Assert.Equal(58.2, (double)answer["hz"]!, 0.5);
        Assert.True((bool)answer["isAsExpected"]!);
    }

    [Fact]
    public async Task What_is_no_recording_gets_a_sentence()
    {
        foreach (byte[] body in new[] { Array.Empty<byte>(), new byte[300] })
        {
            HttpResponseMessage response = await ListenAsync(body);
            Assert.Equal(HttpStatusCode.UnprocessableEntity, response.StatusCode);
            Assert.Contains("WAV", await response.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        }
        HttpResponseMessage long_ = await ListenAsync(new byte[RequestLimits.MostSoundBytes + 1_000]);
        string result = await long_.Content.ReadAsStringAsync();
        Assert.True(long_.StatusCode == HttpStatusCode.RequestEntityTooLarge, result);
        Assert.Contains("12000 kB", result, StringComparison.Ordinal);
        // Beyond the megabyte of other calls, but a recording.
        HttpResponseMessage big = await ListenAsync(new byte[2_000_000]);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, big.StatusCode);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.Client.GetAsync("/api/set/pluck?hz=9999")).StatusCode
        );
    }

    [Fact]
    public async Task A_visit_is_kept_changed_and_refused_over_http()
    {
        MachineCard machine = (await server.GetAsync<MachineCard[]>("/api/machines"))[0];
        string loop = machine.Fitted.Loops[0].LoopKey;
        SetRound found = new(0, 0, LockState.Nipped, [new(ReadingMethod.FreePlay, 48)]);
        SetJob job = new(0, 0, 0, loop, new(2026, 11, 26), "Ann", SetGoal.Both, [found], [], null);
        string path = $"/api/machines/{machine.Machine.Id}/set-jobs";
        HttpResponseMessage added = await server.PostAsync(path, job);
        Assert.Equal(HttpStatusCode.Created, added.StatusCode);
        SetJob stored = (await server.GetAsync<SetJob[]>(path)).First(j => j.OpenedOn == job.OpenedOn);
        string events = $"/api/jobs/{stored.Id}/events";
        SentEvent read = new("once", new ReadingTaken(loop, new(ReadingMethod.FreePlay, 40, 2)));
        for (int i = 0; i < 2; i++)
            Assert.Equal(HttpStatusCode.OK, (await server.PostAsync<HappenedAtJob>(events, new([read]))).StatusCode);
        stored = (await server.GetAsync<SetJob[]>(path)).First(j => j.Id == stored.Id);
        Assert.Equal(40, Assert.Single(stored.InHand!.Round!.Readings).Value);
        SentEvent again = new("again", new VisitBegun(loop, SetGoal.Both));
        HttpResponseMessage refused = await server.PostAsync<HappenedAtJob>(events, new([again]));
        Assert.Contains("begun already", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.PostAsync<HappenedAtJob>("/api/jobs/99999/events", new([read]))).StatusCode
        );
        HttpResponseMessage gone = await server.Client.DeleteAsync($"/api/jobs/{stored.Id}?version={stored.Version}");
        Assert.Equal(HttpStatusCode.NoContent, gone.StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.PostAsync("/api/machines/99999/set-jobs", job)).StatusCode);
    }
}
