using System.Net;
using System.Net.Http.Json;
using System.Net.ServerSentEvents;
using System.Text.Json;
using Wendrak.Core.Records;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests.TwoPages;

/// <summary>
/// A page with one job open, as a browser keeps it: what it sends it sends until the server is back, and it reads the job
/// again when it hears that another page stored something.
/// </summary>
public sealed class OpenPage(string name, HttpClient client, long machine, long job) : IAsyncDisposable
{
    private static readonly TimeSpan Pause = TimeSpan.FromMilliseconds(50);
    private readonly CancellationTokenSource _closed = new();

    /// <summary>One reading after the other: an answer that comes late must not overwrite a newer one.</summary>
    private readonly SemaphoreSlim _reading = new(1);
    private Task _follows = Task.CompletedTask;
    private volatile string _shown = "";

    /// <summary>Keys of what was answered as stored, with the kind.</summary>
    public Dictionary<string, string> Stored { get; } = [];

    /// <summary>What it shows of the job.</summary>
    public string Shown => _shown;

    public void Open() => _follows = FollowAsync();

    /// <returns>Whether it was stored; else it was refused.</returns>
    public async Task<bool> HappensAsync(JobEvent happened)
    {
        string key = $"{Guid.NewGuid()}";
        bool isStored = await SendAsync($"/api/jobs/{job}/events", new HappenedAtJob([new SentEvent(key, happened)]));
        if (isStored)
            Stored[key] = happened.GetType().Name;
        await ReadAsync();
        return isStored;
    }

    /// <returns>Whether it was taken back; else it was refused.</returns>
    public async Task<bool> UndoAsync(long entry)
    {
        bool isDone = await SendAsync($"/api/changes/{entry}/undo", new { });
        await ReadAsync();
        return isDone;
    }

    /// <summary>Entries of the history since the job was opened that are no undoing and stand, newest first.</summary>
    public async Task<IReadOnlyList<Change>> EntriesAsync()
    {
        List<Change> entries = [];
        while (true)
        {
            string before = entries.Count == 0 ? "" : $"&before={entries[^1].Id}";
            Change[] page = (
                await client.GetFromJsonAsync<Change[]>($"/api/changes?machineId={machine}{before}", Json.Options)
            )!;
            Change[] since = [.. page.TakeWhile(c => c.What != "opened a job")];
            entries.AddRange(since);
            if (since.Length < page.Length || page.Length == 0)
                return [.. entries.Where(c => c is { Undoes: null, UndoneBy: null })];
        }
    }

    public async Task<JobSheet> SheetAsync() =>
        (await client.GetFromJsonAsync<JobSheet[]>($"/api/machines/{machine}/jobs", Json.Options))!.Single(j =>
            j.Id == job
        );

    /// <summary>What a page of the job shows: its sheet and its plan.</summary>
    public async Task<string> StoredAsync()
    {
        using HttpResponseMessage plan = await client.GetAsync($"/api/jobs/{job}/plan");
        return JsonSerializer.Serialize(await SheetAsync(), Json.Options)
            + (plan.IsSuccessStatusCode ? await plan.Content.ReadAsStringAsync() : "");
    }

    public async ValueTask DisposeAsync()
    {
        await _closed.CancelAsync();
        await _follows;
        _closed.Dispose();
        _reading.Dispose();
    }

    /// <summary>Sends it until there is an answer: what got lost on the way is sent again as it was.</summary>
    private async Task<bool> SendAsync<T>(string path, T body)
    {
        while (true)
        {
            using HttpRequestMessage request = new(HttpMethod.Post, path);
            request.Headers.Add(OpenPages.Header, name);
            request.Content = JsonContent.Create(body, options: Json.Options);
            try
            {
                using HttpResponseMessage answer = await client.SendAsync(request, _closed.Token);
                if (answer.StatusCode != HttpStatusCode.ServiceUnavailable)
                {
                    string text = await answer.Content.ReadAsStringAsync();
                    Assert.True((int)answer.StatusCode < 500, text);
                    return answer.IsSuccessStatusCode;
                }
            }
            catch (HttpRequestException) { }
            await Task.Delay(Pause);
        }
    }

    private async Task ReadAsync()
    {
        await _reading.WaitAsync();
        try
        {
            _shown = await StoredAsync();
        }
        catch (HttpRequestException) { }
        finally
        {
            _reading.Release();
        }
    }

    private async Task FollowAsync()
    {
        while (!_closed.IsCancellationRequested)
            try
            {
                using Stream stream = await client.GetStreamAsync($"/api/changes/stream?page={name}", _closed.Token);
                // It begins anew with what is there now; then each that another page stored.
                await foreach (SseItem<string> _ in SseParser.Create(stream).EnumerateAsync(_closed.Token))
                    await ReadAsync();
            }
            catch (Exception e) when (e is HttpRequestException or IOException or OperationCanceledException)
            {
                await Task.Delay(Pause);
            }
    }
}
