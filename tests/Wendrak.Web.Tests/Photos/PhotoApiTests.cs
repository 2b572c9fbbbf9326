using System.Net;
using System.Net.Http.Headers;
using SkiaSharp;
using Wendrak.Core.Photos;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests.Photos;

public sealed class PhotoApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private static byte[] Picture(int width = 320) => TestPictures.Draw(width, 240);

    [Fact]
    public async Task A_photo_goes_with_the_job_and_is_read_by_its_hash()
    {
        JobSheet job = await OpenAsync();
        JobSheet after = await AddAsync(job, TestPictures.WithExif(Picture(), 8), "&about=as%20it%20came");
        JobPhoto photo = Assert.Single(after.Photos);
        Assert.Equal((240, 320, "as it came"), (photo.WidthPx, photo.HeightPx, photo.About));
        Assert.Equal(new DateTimeOffset(2026, 4, 18, 9, 30, 0, TimeSpan.FromHours(2)), photo.TakenAt);
        foreach (string size in new[] { "", "?small=true" })
        {
            HttpResponseMessage read = await server.Client.GetAsync($"/api/photos/{photo.Hash}{size}");
            Assert.Equal("image/jpeg", read.Content.Headers.ContentType!.MediaType);
            Assert.Contains("immutable", $"{read.Headers.CacheControl}", StringComparison.Ordinal);
            byte[] picture = await read.Content.ReadAsByteArrayAsync();
            Assert.Equal([1, 2, 3, 0], TestPictures.CornersOf(picture));
        }
    }

    [Fact]
    public async Task The_same_picture_is_stored_once_and_sent_twice_counts_once()
    {
        JobSheet first = await OpenAsync();
        JobSheet second = await OpenAsync();
        byte[] picture = Picture(400);
        string hash = (await AddAsync(first, picture)).Photos[0].Hash;
        int stored = Attachments.PlacesIn(server.Folder).Count();
        Assert.Equal(hash, (await AddAsync(second, picture)).Photos[0].Hash);
        Assert.Equal(stored, Attachments.PlacesIn(server.Folder).Count());
        Assert.Contains("\"stands\"", await RefusedAsync(first, picture), StringComparison.Ordinal);

        JobSheet third = await OpenAsync();
        foreach (int _ in new[] { 1, 2 })
            Assert.Single((await AddAsync(third, Picture(420), key: "the same")).Photos);
    }

    [Theory]
    [InlineData("no_picture")]
    [InlineData("not_whole")]
    [InlineData("too_large")]
    public async Task What_is_no_picture_is_refused_at_its_field_and_leaves_nothing(string code)
    {
        byte[] sent = code switch
        {
            "no_picture" => TestPictures.Pdf,
            "not_whole" => Picture()[..^900],
            _ => TestPictures.PngThatSays(61_000, 1000),
        };
        JobSheet job = await OpenAsync();
        int stored = Attachments.PlacesIn(server.Folder).Count();
        string refusal = await RefusedAsync(job, sent);
        Assert.Contains("\"field\":\"picture\"", refusal, StringComparison.Ordinal);
        Assert.Contains($"\"{code}\"", refusal, StringComparison.Ordinal);
        Assert.Equal(stored, Attachments.PlacesIn(server.Folder).Count());
    }

    [Theory]
    [InlineData("loopKey=no-such", "loopKey")]
    [InlineData("round=0", "loopKey")]
    [InlineData("loopKey=final&round=3", "round")]
    public async Task A_photo_of_what_is_not_there_is_refused_and_its_file_not_kept(string query, string field)
    {
        JobSheet job = await OpenAsync();
        int stored = Attachments.PlacesIn(server.Folder).Count();
        Assert.Contains(
            $"\"field\":\"{field}\"",
            await RefusedAsync(job, Picture(333), "&" + query),
            StringComparison.Ordinal
        );
        Assert.Equal(stored, Attachments.PlacesIn(server.Folder).Count());
    }

    [Fact]
    public async Task A_photo_is_removed_and_brought_back_with_what_was_drawn_on_it()
    {
        JobSheet job = await AddAsync(await OpenAsync(), Picture(500));
        JobPhoto photo = job.Photos[0];
        // 100 px are 50 mm: 40 px are 20 mm.
        await HappensAsync(job, new PhotoLineDrawn(photo.Hash, new(10, 10, 110, 10), 50, "a ruler"));
        JobSheet measured = await HappensAsync(job, new PhotoLineDrawn(photo.Hash, new(20, 20, 20, 60), null, "sag"));
        PhotoLine line = measured.Photos[0].Lines[1];
        Assert.Equal(20, line.Measured!.LengthMm, 9);
        Assert.Equal((line.About, line.Measured.Working.Result.Unit), ("sag", "mm"));

        HttpResponseMessage removed = await UndoAsync(photo.Entry);
        Assert.True(removed.IsSuccessStatusCode);
        Assert.Empty((await FindAsync(job)).Photos);
        // Its picture stays for whoever brings it back.
        long undoing = (await server.GetAsync<IdOnly[]>($"/api/changes?machineId={job.MachineId}"))[0].Id;
        Assert.True((await UndoAsync(undoing)).IsSuccessStatusCode);
        JobPhoto back = (await FindAsync(job)).Photos[0];
        Assert.Equal((photo.Hash, 2), (back.Hash, back.Lines.Count));
        Assert.Equal(HttpStatusCode.OK, (await server.Client.GetAsync($"/api/photos/{photo.Hash}")).StatusCode);
    }

    [Fact]
    public async Task One_that_was_removed_and_is_sent_again_with_its_key_stays_removed()
    {
        JobSheet job = await AddAsync(await OpenAsync(), Picture(450), key: "once");
        await UndoAsync(job.Photos[0].Entry);
        Assert.Empty((await AddAsync(job, Picture(450), key: "once")).Photos);
    }

    [Fact]
    public async Task An_event_names_no_picture_that_is_not_stored()
    {
        JobSheet job = await OpenAsync();
        PhotoTaken taken = new(new string('a', 64), 10, 10, null, PhotoShows.Anything, null, null, null);
        HttpResponseMessage refused = await SendAsync(job, taken);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
        Assert.Contains("events[0].event.hash", await refused.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        foreach (string hash in new[] { new string('a', 64), "..%2Fwendrak.db", "x" })
            Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"/api/photos/{hash}")).StatusCode);
    }

    [Fact]
    public async Task Ten_at_once_are_all_stored()
    {
        JobSheet job = await OpenAsync();
        await Task.WhenAll(Enumerable.Range(0, 10).Select(i => AddAsync(job, Picture(600 + i))));
        Assert.Equal(10, (await FindAsync(job)).Photos.DistinctBy(p => p.Hash).Count());
    }

    private sealed record IdOnly(long Id);

    private async Task<JobSheet> OpenAsync()
    {
        MachineDraft draft = await server.GetAsync<MachineDraft>("/api/machines/starting/motorcycle");
        MachineSave save = new(draft.Machine with { Name = $"Photo {Guid.NewGuid():N}" }, draft.Fitted, 0);
        MachineCard card = await ReadAsync<MachineCard>(await server.PostAsync("/api/machines", save));
        NewJob job = new(new(2026, 4, 18), JobReason.Visit);
        return await ReadAsync<JobSheet>(await server.PostAsync($"/api/machines/{card.Machine.Id}/jobs", job));
    }

    private async Task<JobSheet> FindAsync(JobSheet job) =>
        (await server.GetAsync<JobSheet[]>($"/api/machines/{job.MachineId}/jobs")).Single(j => j.Id == job.Id);

    private async Task<JobSheet> AddAsync(JobSheet job, byte[] picture, string more = "", string? key = null) =>
        await ReadAsync<JobSheet>(await PostAsync(job, picture, more, key));

    private async Task<string> RefusedAsync(JobSheet job, byte[] picture, string more = "")
    {
        HttpResponseMessage answer = await PostAsync(job, picture, more);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        return await answer.Content.ReadAsStringAsync();
    }

    private Task<HttpResponseMessage> PostAsync(JobSheet job, byte[] picture, string more, string? key = null)
    {
        ByteArrayContent content = new(picture);
        content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        return server.Client.PostAsync($"/api/jobs/{job.Id}/photos?key={key ?? $"{Guid.NewGuid()}"}{more}", content);
    }

    private Task<HttpResponseMessage> UndoAsync(long entry) =>
        server.Client.PostAsync($"/api/changes/{entry}/undo", null);

    private Task<HttpResponseMessage> SendAsync(JobSheet job, JobEvent happened) =>
        server.PostAsync(
            $"/api/jobs/{job.Id}/events",
            new HappenedAtJob([new SentEvent($"{Guid.NewGuid()}", happened)])
        );

    private async Task<JobSheet> HappensAsync(JobSheet job, JobEvent happened) =>
        (await ReadAsync<JobAfter>(await SendAsync(job, happened))).Job;

    private static async Task<T> ReadAsync<T>(HttpResponseMessage answer)
    {
        string body = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, body);
        return System.Text.Json.JsonSerializer.Deserialize<T>(body, Json.Options)!;
    }
}
