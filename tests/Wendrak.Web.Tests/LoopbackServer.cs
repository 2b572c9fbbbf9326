using System.Net.NetworkInformation;
using Microsoft.AspNetCore.Builder;

namespace Wendrak.Web.Tests;

/// <summary>A real server on a free port of the loopback address, with a throw-away data folder.</summary>
/// <param name="folder">With data that is kept; null for a throw-away folder.</param>
public sealed class LoopbackServer(string? folder = null) : IAsyncDisposable
{
    private readonly string _folder = folder ?? Directory.CreateTempSubdirectory("wendrak-web-").FullName;
    private WebApplication? _app;

    public HttpClient Client { get; private set; } = new();
    public int Port { get; private set; }

    public async Task StartAsync()
    {
        Port = FreePort();
        _app = await WendrakApp.BuildAsync(new(_folder, Port, Fresh: false, Empty: false), TimeProvider.System);
        await _app.StartAsync();
        Client = new() { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
    }

    public async ValueTask DisposeAsync()
    {
        Client.Dispose();
        if (_app is not null)
            await _app.DisposeAsync();
        if (folder is null)
            Directory.Delete(_folder, recursive: true);
    }

    public static int FreePort()
    {
        HashSet<int> taken =
        [
            .. IPGlobalProperties.GetIPGlobalProperties().GetActiveTcpListeners().Select(e => e.Port),
        ];
        return Enumerable.Range(20000 + Random.Shared.Next(20000), 1000).First(p => !taken.Contains(p));
    }
}
