using System.Net.Http.Json;
using System.Net.NetworkInformation;
using Microsoft.AspNetCore.Builder;

namespace Wendrak.Web.Tests;

/// <summary>A real server on a free port of the loopback address, with a throw-away data folder.</summary>
public sealed class WendrakServer : IAsyncLifetime
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-web-").FullName;
    private WebApplication? _app;

    public HttpClient Client { get; private set; } = new();
    public int Port { get; private set; }

    public async Task InitializeAsync()
    {
        Port = FreePort();
        _app = await WendrakApp.BuildAsync(new(_folder, Port, Fresh: false, Empty: false), TimeProvider.System);
        await _app.StartAsync();
        Client = new() { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
    }

    public async Task DisposeAsync()
    {
        Client.Dispose();
        if (_app is not null)
            await _app.DisposeAsync();
        Store.Database.CloseAll();
        Directory.Delete(_folder, recursive: true);
    }

    public async Task<T> GetAsync<T>(string path) => (await Client.GetFromJsonAsync<T>(path, Json.Options))!;

    public Task<HttpResponseMessage> PostAsync<T>(string path, T body) =>
        Client.PostAsJsonAsync(path, body, Json.Options);

    public Task<HttpResponseMessage> PutAsync<T>(string path, T body) =>
        Client.PutAsJsonAsync(path, body, Json.Options);

    public static int FreePort()
    {
        HashSet<int> taken =
        [
            .. IPGlobalProperties.GetIPGlobalProperties().GetActiveTcpListeners().Select(e => e.Port),
        ];
        return Enumerable.Range(20000 + Random.Shared.Next(20000), 1000).First(p => !taken.Contains(p));
    }
}
