using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests;

public sealed class StoredApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private static readonly string Newest = $"\"formatVersion\":{MachineFile.NewestVersion}";

    private sealed record Refused(InputIssue[] Issues);

    private sealed record Conflict(string Thing, JsonElement? Current, string Detail);

    private static async Task<T> ReadAsync<T>(HttpResponseMessage response)
    {
        Assert.True(response.IsSuccessStatusCode, await response.Content.ReadAsStringAsync());
        return (await response.Content.ReadFromJsonAsync<T>(Json.Options))!;
    }

    private async Task<MachineCard> AddAsync(string name, MachineKind kind = MachineKind.Motorcycle)
    {
        MachineDraft draft = await server.GetAsync<MachineDraft>($"/api/machines/starting/{kind}");
        MachineSave save = new(draft.Machine with { Name = name }, draft.Fitted, 0);
        return await ReadAsync<MachineCard>(await server.PostAsync("/api/machines", save));
    }

    /// <summary>Of a machine that was only typed everything may still be a correction; once a trial went on it, it is asked.</summary>
    [Fact]
    public async Task A_machine_has_a_history_once_something_was_fitted()
    {
        MachineCard card = await AddAsync("Just typed");
        Assert.False(card.Summary.HasHistory);
        Assert.Null(card.Fitted.FittedOn);
        NewTrial other = new("Other rear", [card.Fitted.Loops[0] with { RearSize = 42 }], [], null);
        Setup trial = await ReadAsync<Setup>(await server.PostAsync($"/api/machines/{card.Machine.Id}/setups", other));
        await server.PostAsync($"/api/setups/{trial.Id}/fit", new ReadVersion(trial.Version));
        card = await server.GetAsync<MachineCard>($"/api/machines/{card.Machine.Id}");
        Assert.True(card.Summary.HasHistory);
    }

    [Fact]
    public async Task What_a_change_would_ask_for_is_told_and_nothing_is_stored()
    {
        MachineCard card = await AddAsync("To be changed");
        string path = $"/api/machines/{card.Machine.Id}/follow-ups";
        MachineSave other = new(card.Machine, [card.Fitted.Loops[0] with { RearSize = 42 }], card.Fitted.Version);
        FollowUpTask[] items = await ReadAsync<FollowUpTask[]>(await server.PostAsync(path, other));
        Assert.Contains(items, i => i.Because.Contains(ChangedPart.RearWheel));
        Assert.Equal(1, (await server.GetAsync<MachineCard>($"/api/machines/{card.Machine.Id}")).Fitted.Version);
        // A setup's own road wheel goes with its output: another name of that is no refusal.
        Drive drive = card.Machine.Drives[0];
        RoadWheelChoice tyre = new(drive.Outputs[0].Name, new("180/55ZR17", null));
        NewTrial trial = new("Other tyre", card.Fitted.Loops, [tyre], null);
        Setup added = await ReadAsync<Setup>(await server.PostAsync($"/api/machines/{card.Machine.Id}/setups", trial));
        await server.PostAsync($"/api/setups/{added.Id}/fit", new ReadVersion(added.Version));
        Machine renamed = card.Machine with
        {
            Drives = [drive with { Outputs = [drive.Outputs[0] with { Name = "renamed" }] }],
        };
        await ReadAsync<FollowUpTask[]>(await server.PostAsync(path, other with { Machine = renamed }));
        HttpResponseMessage refused = await server.PostAsync(
            path,
            other with
            {
                Machine = card.Machine with { Name = "" },
            }
        );
        Assert.Contains("\"machine.name\"", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_file_of_many_megabytes_is_written_and_read_whole()
    {
        MachineFile file = (await server.Client.GetFromJsonAsync<MachineFile>("/api/machines/2/file", Json.Options))!;
        SetRound[] rounds =
        [
            .. Enumerable
                .Range(0, 12)
                .Select(r => new SetRound(
                    0,
                    0,
                    LockState.Nipped,
                    [.. Enumerable.Range(0, 8).Select(p => new Reading(ReadingMethod.FreePlay, 30 + r, p))],
                    Note: new string('n', 1_500)
                )),
        ];
        SetJob[] visits =
        [
            .. Enumerable
                .Range(0, 100)
                .Select(v => new SetJob(
                    v,
                    0,
                    1,
                    "final",
                    new DateOnly(2025, 1, 1).AddDays(v),
                    "Ann",
                    SetGoal.Both,
                    rounds,
                    [],
                    null
                )),
        ];
        MachineFile large = file with
        {
            Machine = file.Machine with { Name = "Long kept" },
            Jobs = [.. visits.Select(FiledJob.From)],
        };
        HttpResponseMessage added = await server.PostAsync("/api/machines/file", large);
        long id = (await ReadAsync<MachineCard>(added)).Machine.Id;
        byte[] written = await server.Client.GetByteArrayAsync($"/api/machines/{id}/file");
        Assert.InRange(written.Length, 2_000_000, 20_000_000);
        using ByteArrayContent again = new(written);
        again.Headers.ContentType = new("application/json");
        long copy = (await ReadAsync<MachineCard>(await server.Client.PostAsync("/api/machines/file", again)))
            .Machine
            .Id;
        Assert.Equal(visits.Length, (await server.GetAsync<SetJob[]>($"/api/machines/{copy}/set-jobs")).Length);
    }

    [Theory]
    [InlineData("""{"format":"wendrak-machine","formatVersion":7,"mach""", "not whole JSON")]
    [InlineData("""{"format":"wendrak-machine","formatVersion":7}""", "required field is missing")]
    [InlineData("""{"format":"wendrak-machine","formatVersion":7,"colour":"red"}""", "not the JSON")]
    [InlineData("""{"format":"wendrak-machine","formatVersion":3,"colour":"red"}""", "not the JSON")]
    [InlineData("""{"format":"wendrak-machine","formatVersion":2,"colour":"red"}""", "not the JSON")]
    [InlineData("""[1]""", "not the JSON")]
    public async Task A_file_that_is_none_is_refused_in_a_sentence(string text, string result)
    {
        using StringContent content = new(text, Encoding.UTF8, "application/json");
        HttpResponseMessage refused = await server.Client.PostAsync("/api/machines/file", content);
        Assert.True(Refusal.IsOne(refused.StatusCode), $"{refused.StatusCode}");
        Assert.Contains(result, await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_file_of_a_newer_program_is_refused_with_both_numbers()
    {
        string text = (await server.Client.GetStringAsync("/api/machines/2/file")).Replace(
            Newest,
            $"\"formatVersion\":{MachineFile.NewestVersion + 1}",
            StringComparison.Ordinal
        );
        using StringContent content = new(text, Encoding.UTF8, "application/json");
        HttpResponseMessage refused = await server.Client.PostAsync("/api/machines/file", content);
        string result = await refused.Content.ReadAsStringAsync();
        Assert.Contains(
            $"version {MachineFile.NewestVersion + 1}; this program knows {MachineFile.NewestVersion}",
            result,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task The_yard_shows_the_demo_machines_with_their_ratio()
    {
        MachineCard[] cards = await server.GetAsync<MachineCard[]>("/api/machines");
        MachineCard curlew = cards.Single(c => c.Machine.Name == "Curlew");
        Assert.Equal(3, curlew.Summary.Loops[0].Ratio);
        Assert.Equal(["1", "2", "3", "4", "5", "6"], curlew.Summary.Drives[0].GearLabels);
    }

    [Fact]
    public async Task A_name_with_script_tags_and_emoji_is_kept_as_it_is()
    {
        const string name = "<script>alert('x')</script> 🛵 \"quoted\"";
        MachineCard card = await AddAsync(name);
        Assert.Equal(name, (await server.GetAsync<MachineCard>($"/api/machines/{card.Machine.Id}")).Machine.Name);
    }

    [Fact]
    public async Task A_machine_without_a_name_is_refused_at_the_name()
    {
        MachineDraft draft = await server.GetAsync<MachineDraft>("/api/machines/starting/bicycle");
        HttpResponseMessage response = await server.PostAsync(
            "/api/machines",
            new MachineSave(draft.Machine, draft.Fitted, 0)
        );
        Refused refused = (await response.Content.ReadFromJsonAsync<Refused>(Json.Options))!;
        Assert.Equal("machine.name", Assert.Single(refused.Issues).Field);
    }

    [Fact]
    public async Task A_trial_is_made_named_fitted_and_undone()
    {
        MachineCard card = await AddAsync("Trial machine");
        string path = $"/api/machines/{card.Machine.Id}/setups";
        NewTrial made = new("Trial A", [new("final", 15, 43, 112)], null, null);
        Setup trial = await ReadAsync<Setup>(await server.PostAsync(path, made));
        Setup renamed = await ReadAsync<Setup>(
            await server.PutAsync($"/api/setups/{trial.Id}", trial with { Name = "Tall" })
        );
        Setup[] fitted = await ReadAsync<Setup[]>(
            await server.PostAsync($"/api/setups/{trial.Id}/fit", new ReadVersion(renamed.Version))
        );
        Assert.Equal("Tall", fitted.Single(s => s.Status == SetupStatus.AsFitted).Name);
        Change[] changes = await server.GetAsync<Change[]>($"/api/changes?machineId={card.Machine.Id}");
        await ReadAsync<Change>(await server.Client.PostAsync($"/api/changes/{changes[0].Id}/undo", null));
        Setup[] after = await server.GetAsync<Setup[]>(path);
        Assert.Equal("As fitted", after.Single(s => s.Status == SetupStatus.AsFitted).Name);
    }

    [Fact]
    public async Task The_second_of_two_windows_is_shown_what_is_stored()
    {
        MachineCard card = await AddAsync("Two windows");
        Machine mine = card.Machine with { Note = "mine" };
        Machine theirs = card.Machine with { Note = "theirs" };
        string path = $"/api/machines/{card.Machine.Id}";
        await ReadAsync<MachineCard>(
            await server.PutAsync(path, new MachineSave(theirs, card.Fitted.Loops, card.Fitted.Version))
        );
        HttpResponseMessage response = await server.PutAsync(
            path,
            new MachineSave(mine, card.Fitted.Loops, card.Fitted.Version)
        );
        Assert.Equal(HttpStatusCode.Conflict, response.StatusCode);
        Conflict conflict = (await response.Content.ReadFromJsonAsync<Conflict>(Json.Options))!;
        Assert.Equal("machine", conflict.Thing);
        Assert.Equal("theirs", conflict.Current!.Value.GetProperty("note").GetString());
    }

    [Fact]
    public async Task A_change_carries_the_name_of_who_made_it_whatever_the_alphabet()
    {
        using HttpRequestMessage request = new(HttpMethod.Post, "/api/stock")
        {
            Content = JsonContent.Create(
                new StockItem(0, 0, new("520", WheelSide.Front, 16, null, 1, 20, true), null),
                options: Json.Options
            ),
        };
        request.Headers.Add("X-Wendrak-Who", Uri.EscapeDataString("Jörg 工"));
        await ReadAsync<StockItem>(await server.Client.SendAsync(request));
        Assert.Equal("Jörg 工", (await server.GetAsync<Change[]>("/api/changes"))[0].Who);
    }

    [Fact]
    public async Task An_aim_is_kept_with_what_was_tried_and_can_go()
    {
        MachineCard card = await AddAsync("Aimed");
        string path = $"/api/machines/{card.Machine.Id}/aims";
        AimOutcome outcome = new(
            new(2026, 11, 1),
            card.Fitted.Id,
            "As fitted",
            card.Fitted.Loops,
            new("gravel", null, null),
            4,
            "ok"
        );
        Aim aim = new(
            0,
            0,
            0,
            "Ridge",
            "drive",
            new FinalRatio(2.8, 3.2),
            new(null, null, null),
            new(0, 0, 0, 0, 0, 0),
            null,
            [outcome]
        );
        Aim added = await ReadAsync<Aim>(await server.PostAsync(path, aim));
        Assert.Equal(4, (await server.GetAsync<Aim[]>(path)).Single().Outcomes[0].Score);
        HttpResponseMessage removed = await server.Client.DeleteAsync($"/api/aims/{added.Id}?version={added.Version}");
        Assert.Equal(HttpStatusCode.NoContent, removed.StatusCode);
        Assert.Empty(await server.GetAsync<Aim[]>(path));
    }

    [Fact]
    public async Task A_machine_goes_out_as_a_file_and_comes_in_again()
    {
        long id = (await server.GetAsync<MachineCard[]>("/api/machines"))
            .Single(c => c.Machine.Name == "Curlew")
            .Machine.Id;
        HttpResponseMessage written = await server.Client.GetAsync($"/api/machines/{id}/file");
        // Photos go with it: it is a zip by its bytes, whatever it is sent as.
        Assert.Equal("Curlew.zip", written.Content.Headers.ContentDisposition!.FileName);
        using ByteArrayContent content = new(await written.Content.ReadAsByteArrayAsync());
        MachineCard read = await ReadAsync<MachineCard>(await server.Client.PostAsync("/api/machines/file", content));
        Assert.Equal(3, (await server.GetAsync<Aim[]>($"/api/machines/{read.Machine.Id}/aims")).Length);
        JobSheet[] jobs = await server.GetAsync<JobSheet[]>($"/api/machines/{read.Machine.Id}/jobs");
        Assert.Equal(2, jobs.Sum(j => j.Photos.Count));
    }

    [Theory]
    [InlineData("cut")]
    [InlineData("other kind")]
    [InlineData("newer")]
    public async Task A_file_that_is_not_whole_or_of_another_kind_is_refused_and_nothing_is_stored(string fault)
    {
        int before = (await server.GetAsync<MachineCard[]>("/api/machines")).Length;
        long id = (await server.GetAsync<MachineCard[]>("/api/machines"))[0].Machine.Id;
        string text = await server.Client.GetStringAsync($"/api/machines/{id}/file");
        string spoiled = fault switch
        {
            "cut" => text[..(text.Length / 2)],
            "other kind" => text.Replace("wendrak-machine", "shopping-list", StringComparison.Ordinal),
            _ => text.Replace(Newest, "\"formatVersion\":99", StringComparison.Ordinal),
        };
        using StringContent content = new(spoiled, Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.PostAsync("/api/machines/file", content);
        Assert.True(Refusal.IsOne(response.StatusCode), $"{response.StatusCode}");
        Assert.NotEmpty((await response.Content.ReadFromJsonAsync<Refused>(Json.Options))!.Issues);
        Assert.Equal(before, (await server.GetAsync<MachineCard[]>("/api/machines")).Length);
    }

    [Fact]
    public async Task A_machine_of_fifty_megabytes_is_refused_before_it_is_sent()
    {
        using TcpClient connection = new();
        await connection.ConnectAsync("127.0.0.1", server.Port);
        string head =
            $"POST /api/machines HTTP/1.1\r\nHost: 127.0.0.1:{server.Port}\r\n"
            + "Content-Type: application/json\r\nContent-Length: 50000000\r\n\r\n{\"format\":";
        await connection.GetStream().WriteAsync(Encoding.ASCII.GetBytes(head));
        using StreamReader answer = new(connection.GetStream());
        Assert.Equal(
            "HTTP/1.1 413 Payload Too Large",
            await answer.ReadLineAsync().WaitAsync(TimeSpan.FromSeconds(20))
        );
    }

    [Fact]
    public async Task A_set_in_use_stays_and_says_who_uses_it()
    {
        GearboxSet set = (await server.GetAsync<GearboxSet[]>("/api/gearbox-sets")).First(s => s.Name == "Courier six");
        HttpResponseMessage response = await server.Client.DeleteAsync(
            $"/api/gearbox-sets/{set.Id}?version={set.Version}"
        );
        Assert.Equal(HttpStatusCode.Conflict, response.StatusCode);
        Assert.Contains(
            "Curlew",
            (await response.Content.ReadFromJsonAsync<Conflict>(Json.Options))!.Detail,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("/api/machines/99999")]
    [InlineData("/api/machines/99999/file")]
    [InlineData("/api/nothing")]
    public async Task What_is_not_there_is_not_found(string path) =>
        Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync(path)).StatusCode);
}
