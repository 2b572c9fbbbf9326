using System.Net.Http.Json;

namespace Wendrak.Web.Tests;

/// <summary>A server for all tests of a class.</summary>
public sealed class WendrakServer : IAsyncLifetime
{
    private readonly LoopbackServer _server = new();

    public HttpClient Client => _server.Client;
    public string Folder => _server.Folder;
    public int Port => _server.Port;

    public Task InitializeAsync() => _server.StartAsync();

    public async Task DisposeAsync() => await _server.DisposeAsync();

    public async Task<T> GetAsync<T>(string path) => (await Client.GetFromJsonAsync<T>(path, Json.Options))!;

    public Task<HttpResponseMessage> PostAsync<T>(string path, T body) =>
        Client.PostAsJsonAsync(path, body, Json.Options);

    public Task<HttpResponseMessage> PutAsync<T>(string path, T body) =>
        Client.PutAsJsonAsync(path, body, Json.Options);
}
