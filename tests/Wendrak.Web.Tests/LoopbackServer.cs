using System.Net.NetworkInformation;
using Microsoft.AspNetCore.Builder;

namespace Wendrak.Web.Tests;

/// <summary>A real server on a free port of the loopback address, with a throw-away data folder.</summary>
/// <param name="folder">With data that is kept; null for a throw-away folder.</param>
/// <param name="describesItself">Whether it makes the description of its calls.</param>
public sealed class LoopbackServer(string? folder = null, bool describesItself = false) : IAsyncDisposable
{
    private readonly string _folder = folder ?? Directory.CreateTempSubdirectory("wendrak-web-").FullName;
    private WebApplication? _app;

    public HttpClient Client { get; private set; } = new();
    public string Folder => _folder;
    public int Port { get; private set; }
    public IServiceProvider Services => _app!.Services;

    public async Task StartAsync()
    {
        Port = FreePort();
        StartOptions options = new(_folder, Port, Fresh: false, Empty: false);
        _app = await WendrakApp.BuildAsync(options, TimeProvider.System, describesItself);
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
