using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using Wendrak.Store;

namespace Wendrak.Web.Tests;

/// <summary>Backup and restore from the page; each test has a server of its own, since it changes all there is.</summary>
public sealed class BackupApiTests : IAsyncLifetime
{
    private readonly WendrakServer _server = new();

    public Task InitializeAsync() => _server.InitializeAsync();

    public Task DisposeAsync() => _server.DisposeAsync();

    private async Task<string[]> MachinesAsync() =>
        [.. (await _server.GetAsync<MachineCard[]>("/api/machines")).Select(m => m.Machine.Name)];

    /// <summary>The backup that is made by itself soon after the start: what comes later is told from it.</summary>
    private async Task<BackupMade[]> OfTheDayAsync()
    {
        while (true)
        {
            if (await _server.GetAsync<BackupMade[]>("/api/backups") is { Length: > 0 } made)
                return made;
            await Task.Delay(100);
        }
    }

    private async Task<HttpResponseMessage> PreviewAsync(byte[] backup)
    {
        using ByteArrayContent content = new(backup);
        content.Headers.ContentType = new("application/octet-stream");
        return await _server.Client.PostAsync("/api/backups/preview", content);
    }

    [Fact]
    public async Task What_was_downloaded_is_shown_and_restored_and_an_old_page_stores_nothing_over_it()
    {
        BackupMade[] ofTheDay = await OfTheDayAsync();
        byte[] backup = await _server.Client.GetByteArrayAsync("/api/backups/whole");
        MachineCard curlew = (await _server.GetAsync<MachineCard[]>("/api/machines"))[0];
        string machine = $"/api/machines/{curlew.Machine.Id}";
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await _server.Client.DeleteAsync("/api/machines/999?version=1")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await _server.Client.DeleteAsync($"{machine}?version={curlew.Machine.Version}")).StatusCode
        );
        Assert.DoesNotContain("Curlew", await MachinesAsync());
        HttpResponseMessage shown = await PreviewAsync(backup);
        RestorePreview preview = (await shown.Content.ReadFromJsonAsync<RestorePreview>(Json.Options))!;
        Assert.Equal(["Curlew"], preview.Differences.Single(d => d.Word == "machine").Back);
        string before = shown.Headers.GetValues(SameDataOnly.Header).Single();

        HttpResponseMessage restored = await _server.PostAsync("/api/backups/restore", new RestoreToken(preview.Token));
        Assert.Equal(HttpStatusCode.OK, restored.StatusCode);
        Assert.Contains("Curlew", await MachinesAsync());
        BackupMade kept = Assert.Single((await _server.GetAsync<BackupMade[]>("/api/backups")).Except(ofTheDay));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await _server.PostAsync("/api/backups/restore", new RestoreToken(preview.Token))).StatusCode
        );

        // A page that was opened before says of which data it is.
        _server.Client.DefaultRequestHeaders.Add(SameDataOnly.Header, before);
        HttpResponseMessage stale = await _server.PutAsync(
            machine,
            new MachineSave(curlew.Machine with { Note = "old page" }, curlew.Fitted.Loops, curlew.Fitted.Version)
        );
        Assert.Equal(HttpStatusCode.Conflict, stale.StatusCode);
        Assert.Contains("Reload", await stale.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        _server.Client.DefaultRequestHeaders.Remove(SameDataOnly.Header);

        // What was there before is a backup like any other.
        preview = (
            await (
                await _server.PostAsync("/api/backups/preview-kept", new BackupName(kept.Name))
            ).Content.ReadFromJsonAsync<RestorePreview>(Json.Options)
        )!;
        Assert.Equal(["Curlew"], preview.Differences.Single(d => d.Word == "machine").Gone);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await _server.PostAsync("/api/backups/preview-kept", new BackupName("../wendrak.db"))).StatusCode
        );
    }

    [Fact]
    public async Task What_is_no_backup_is_refused_in_a_sentence_and_changes_nothing()
    {
        HttpResponseMessage refused = await PreviewAsync(new byte[3000]);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("not a Wendrak data file", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Equal(7, (await MachinesAsync()).Length);
    }

    [Fact]
    public async Task The_workshop_is_downloaded_as_open_JSON()
    {
        await using Stream open = await _server.Client.GetStreamAsync("/api/backups/open");
        using MemoryStream whole = new();
        await open.CopyToAsync(whole);
        using ZipArchive archive = new(whole);
        Assert.Contains(archive.Entries, e => e.FullName == "machines/Dunlin-2.json");
        // Its photos go with it.
        Assert.Contains(archive.Entries, e => e.FullName == "machines/Curlew-1.zip");
    }

    [Fact]
    public async Task Health_tells_live_and_ready_without_paths()
    {
        Assert.Equal(HttpStatusCode.OK, (await _server.Client.GetAsync("/health/live")).StatusCode);
        Health health = await _server.GetAsync<Health>("/health");
        Assert.True(health is { Status: "ok", Writes: true, FreeMb: > 0, Damaged: [] });
        Assert.DoesNotContain("/tmp", await _server.Client.GetStringAsync("/health"), StringComparison.Ordinal);
    }
}
