using System.Collections.Concurrent;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>Something was put on the disk: what a page shows may be old.</summary>
/// <param name="Commits">How often something was, since the server's start.</param>
public sealed record StoredMeanwhile(long Commits);

/// <summary>Pages that are open. Each is told when another one has stored something, and nothing of what it stored itself.</summary>
public sealed class OpenPages : IDisposable
{
    /// <summary>Header by which a page tells which one it is.</summary>
    public const string Header = "X-Wendrak-Page";

    /// <summary>The first event of a stream, with the count at its beginning.</summary>
    public const string Begun = "begun";

    /// <summary>Another page stored something.</summary>
    public const string Stored = "stored";

    // How soon a page asks again after the server was stopped.
    private static readonly TimeSpan AskAgain = TimeSpan.FromMilliseconds(500);

    private readonly Database _database;
    private readonly IHttpContextAccessor _request;
    private readonly CancellationToken _stopping;
    private readonly ConcurrentDictionary<Channel<long>, string> _listening = new();

    public OpenPages(Database database, IHttpContextAccessor request, IHostApplicationLifetime lifetime)
    {
        (_database, _request, _stopping) = (database, request, lifetime.ApplicationStopping);
        database.Committed += TellOthers;
    }

    public void Dispose() => _database.Committed -= TellOthers;

    /// <summary>Runs until the page goes or the server stops.</summary>
    /// <param name="page">Of whose own doing nothing is told.</param>
    public async IAsyncEnumerable<SseItem<StoredMeanwhile>> ListenAsync(
        string page,
        [EnumeratorCancellation] CancellationToken ct
    )
    {
        // What comes while the page still reads the last one is told as one.
        Channel<long> commits = Channel.CreateBounded<long>(
            new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropOldest }
        );
        using CancellationTokenSource ends = CancellationTokenSource.CreateLinkedTokenSource(ct, _stopping);
        _listening[commits] = page;
        try
        {
            yield return new(new(_database.Commits), Begun) { ReconnectionInterval = AskAgain };
            while (await NextAsync(commits.Reader, ends.Token) is long count)
                yield return new(new(count), Stored);
        }
        finally
        {
            _listening.TryRemove(commits, out _);
        }
    }

    private static async Task<long?> NextAsync(ChannelReader<long> commits, CancellationToken ct)
    {
        try
        {
            return await commits.ReadAsync(ct);
        }
        catch (OperationCanceledException)
        {
            return null;
        }
    }

    private void TellOthers(long count)
    {
        string? own = _request.HttpContext?.Request.Headers[Header];
        foreach ((Channel<long> commits, string page) in _listening)
            if (page != own)
                commits.Writer.TryWrite(count);
    }
}
