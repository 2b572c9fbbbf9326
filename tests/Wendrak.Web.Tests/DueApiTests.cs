using System.Net;
using System.Text.Json.Nodes;
using Ical.Net;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests;

public sealed class DueApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<JsonArray> DueAsync() => (await server.GetAsync<JsonNode>("/api/due")).AsArray();

    private async Task<string> CalendarAsync()
    {
        HttpResponseMessage response = await server.Client.GetAsync("/api/due.ics");
        Assert.Equal("text/calendar", response.Content.Headers.ContentType!.MediaType);
        return await response.Content.ReadAsStringAsync();
    }

    private static long IdOf(JsonArray due, string machine) =>
        (long)due.Single(d => (string)d!["machine"]! == machine)!["machineId"]!;

    [Fact]
    public async Task The_demo_has_something_due_of_every_kind_but_a_change_of_parts()
    {
        JsonArray due = await DueAsync();
        string[] kinds = [.. due.SelectMany(d => d!["due"]!["items"]!.AsArray()).Select(i => (string)i!["kind"]!)];
        Assert.Equal(["event", "forecast", "interval", "reading", "stop", "watch"], kinds.Distinct().Order());
        Assert.All(
            due.SelectMany(d => d!["due"]!["items"]!.AsArray()),
            i => Assert.False(string.IsNullOrWhiteSpace((string)i!["why"]!))
        );
    }

    [Fact]
    public async Task The_calendar_has_each_day_once_under_an_identity_that_stays()
    {
        string today = DateOnly.FromDateTime(DateTime.Now).ToString("yyyy-MM-dd", null);
        JsonNode[] items = [.. (await DueAsync()).SelectMany(d => d!["due"]!["items"]!.AsArray()).Select(i => i!)];
        string[] expected =
        [
            .. items
                .Select(i => (bool)i["isNow"]! ? today : (string?)i["expected"])
                .Concat(items.Select(i => (string?)(i["order"] as JsonObject)?["orderOn"]))
                .OfType<string>()
                .Order(),
        ];
        string text = await CalendarAsync();
        Calendar calendar = Calendar.Load(text)!;
        Assert.Equal(expected, calendar.Events.Select(e => e.Start!.Value.ToString("yyyy-MM-dd", null)).Order());
        Assert.All(calendar.Events, e => Assert.True(e.IsAllDay));
        string?[] ids = [.. calendar.Events.Select(e => e.Uid)];
        Assert.Equal(ids.Length, ids.Distinct().Count());
        Assert.Equal(ids, Calendar.Load(await CalendarAsync())!.Events.Select(e => e.Uid));
        int before = calendar.Events[0]!.Sequence;
        await server.PostAsync(
            $"/api/machines/{IdOf(await DueAsync(), "Knot")}/log",
            new NewLogLines([new OdometerRead(new(2026, 11, 30), 12)])
        );
        Assert.True(Calendar.Load(await CalendarAsync())!.Events[0]!.Sequence > before);
    }

    [Fact]
    public async Task What_happened_is_written_down_and_asks_for_its_looks()
    {
        long id = IdOf(await DueAsync(), "Knot");
        NewUseEvent sent = new(new(2026, 11, 30), new UseEventNoted(UseEvent.Storage, null));
        HttpResponseMessage response = await server.PostAsync($"/api/machines/{id}/use-events", sent);
        Assert.Equal(HttpStatusCode.OK, response.StatusCode);
        JsonArray items = (await DueAsync()).Single(d => (long)d!["machineId"]! == id)!["due"]!["items"]!.AsArray();
        Assert.Contains(items, i => (string?)i!["event"] == "storage" && (bool)i["isNow"]!);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.PostAsync("/api/machines/9999/use-events", sent)).StatusCode
        );
    }
}
