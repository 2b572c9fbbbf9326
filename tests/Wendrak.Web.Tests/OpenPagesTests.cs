using System.Net.Http.Json;
using System.Net.ServerSentEvents;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests;

/// <summary>What one page stores the others hear of, and it itself does not.</summary>
public sealed class OpenPagesTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private static readonly TimeSpan Soon = TimeSpan.FromSeconds(2);

    [Fact]
    public async Task Others_hear_of_it_and_not_the_page_that_stored_it()
    {
        await using Heard mine = await ListenAsync("mine");
        await using Heard others = await ListenAsync("others");
        Assert.Equal((OpenPages.Begun, OpenPages.Begun), (await mine.NextAsync(), await others.NextAsync()));
        await NoteAsync("mine", "chain is dry");
        Assert.Equal(OpenPages.Stored, await others.NextAsync());
        await NoteAsync("others", "oil it");
        // The first that the page hears is of what the other one stored.
        Assert.Equal(OpenPages.Stored, await mine.NextAsync());
        Assert.Equal(others.Count + 1, mine.Count);
    }

    [Fact]
    public async Task An_answer_tells_the_count_that_it_was_read_at()
    {
        string before = await CountAsync();
        await NoteAsync("a page", "noted");
        string after = await CountAsync();
        Assert.NotEqual(before, after);
        await using Heard heard = await ListenAsync("another");
        await heard.NextAsync();
        Assert.Equal(after, $"{heard.Count}");
    }

    [Fact]
    public async Task What_is_refused_is_told_to_nobody()
    {
        await using Heard heard = await ListenAsync("listens");
        await heard.NextAsync();
        long begun = heard.Count;
        await SendAsync("refused", new NoteWritten(""));
        await NoteAsync("stored", "noted");
        await heard.NextAsync();
        Assert.Equal(begun + 1, heard.Count);
    }

    private async Task<string> CountAsync() =>
        (await server.Client.GetAsync("/api/jobs")).Headers.GetValues(CommitCount.Header).Single();

    private async Task NoteAsync(string page, string text) =>
        (await SendAsync(page, new NoteWritten(text))).EnsureSuccessStatusCode();

    private async Task<HttpResponseMessage> SendAsync(string page, JobEvent happened)
    {
        JobSheet job = (await server.GetAsync<JobSheet[]>("/api/jobs"))[0];
        using HttpRequestMessage request = new(HttpMethod.Post, $"/api/jobs/{job.Id}/events");
        request.Headers.Add(OpenPages.Header, page);
        request.Content = JsonContent.Create(
            new HappenedAtJob([new SentEvent($"{Guid.NewGuid()}", happened)]),
            options: Json.Options
        );
        return await server.Client.SendAsync(request);
    }

    private async Task<Heard> ListenAsync(string page)
    {
        HttpRequestMessage request = new(HttpMethod.Get, $"/api/changes/stream?page={page}");
        HttpResponseMessage answer = await server.Client.SendAsync(request, HttpCompletionOption.ResponseHeadersRead);
        return new(answer, await answer.Content.ReadAsStreamAsync());
    }

    private sealed class Heard(HttpResponseMessage answer, Stream stream) : IAsyncDisposable
    {
        private readonly IAsyncEnumerator<SseItem<StoredMeanwhile>> _items = SseParser
            .Create(
                stream,
                (_, data) => System.Text.Json.JsonSerializer.Deserialize<StoredMeanwhile>(data, Json.Options)!
            )
            .EnumerateAsync()
            .GetAsyncEnumerator();

        public long Count => _items.Current.Data.Commits;

        public async Task<string> NextAsync()
        {
            Assert.True(await _items.MoveNextAsync().AsTask().WaitAsync(Soon));
            return _items.Current.EventType;
        }

        public ValueTask DisposeAsync()
        {
            answer.Dispose();
            return ValueTask.CompletedTask;
        }
    }
}
