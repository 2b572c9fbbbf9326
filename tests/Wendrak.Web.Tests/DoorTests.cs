using System.Net;
using System.Net.Sockets;
using System.Text;

namespace Wendrak.Web.Tests;

/// <summary>Who is let in, and with how much.</summary>
public sealed class DoorTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<HttpStatusCode> AskAsync(string? host, string? origin, HttpMethod? method = null)
    {
        using HttpRequestMessage request = new(method ?? HttpMethod.Get, "/health");
        request.Headers.Host = host;
        if (origin is not null)
            request.Headers.Add("Origin", origin);
        return (await server.Client.SendAsync(request)).StatusCode;
    }

    [Fact]
    public async Task Its_own_page_is_answered()
    {
        Assert.Equal(HttpStatusCode.OK, await AskAsync($"127.0.0.1:{server.Port}", $"http://127.0.0.1:{server.Port}"));
        Assert.Equal(HttpStatusCode.OK, await AskAsync($"localhost:{server.Port}", null));
    }

    [Theory]
    [InlineData("evil.example", null)]
    [InlineData("evil.example:5210", null)]
    [InlineData("127.0.0.1.evil.example", null)]
    [InlineData(null, "http://evil.example")]
    [InlineData(null, "http://127.0.0.1:1")]
    [InlineData(null, "null")]
    public async Task A_foreign_host_or_origin_is_refused(string? host, string? origin) =>
        Assert.Equal(HttpStatusCode.Forbidden, await AskAsync(host ?? $"127.0.0.1:{server.Port}", origin));

    [Fact]
    public async Task A_write_that_another_site_started_is_refused()
    {
        using HttpRequestMessage request = new(HttpMethod.Post, "/api/changes/1/undo");
        request.Headers.Add("Sec-Fetch-Site", "cross-site");
        Assert.Equal(HttpStatusCode.Forbidden, (await server.Client.SendAsync(request)).StatusCode);
    }

    [Fact]
    public async Task It_listens_on_the_loopback_address_only()
    {
        string[] others =
        [
            .. Dns.GetHostAddresses(Dns.GetHostName())
                .Where(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a))
                .Select(a => a.ToString()),
        ];
        foreach (string address in others)
        {
            using TcpClient client = new();
            await Assert.ThrowsAsync<SocketException>(() => client.ConnectAsync(address, server.Port));
        }
        using TcpClient own = new();
        await own.ConnectAsync("127.0.0.1", server.Port);
    }

    [Fact]
    public async Task Pages_may_run_nothing_that_did_not_ship_with_them()
    {
        HttpResponseMessage response = await server.Client.GetAsync("/health");
        string policy = response.Headers.GetValues("Content-Security-Policy").Single();
        string scripts = policy.Split(';').Single(p => p.Trim().StartsWith("script-src", StringComparison.Ordinal));
        Assert.Equal("script-src 'self'", scripts.Trim());
        Assert.StartsWith("default-src 'none'", policy, StringComparison.Ordinal);
        Assert.Equal("nosniff", response.Headers.GetValues("X-Content-Type-Options").Single());
        Assert.False(response.Headers.Contains("Server"));
    }

    /// <summary>Answers, refusals, conflicts with the door and what is not there: all of them.</summary>
    [Theory]
    [InlineData("GET", "/health", null)]
    [InlineData("GET", "/api/machines", null)]
    [InlineData("GET", "/api/nowhere", null)]
    [InlineData("GET", "/api/machines/99999", null)]
    [InlineData("POST", "/api/ratio/search", "{}")]
    [InlineData("POST", "/api/ratio/search", "{\"drive\":")]
    [InlineData("DELETE", "/api/ratio/search", null)]
    [InlineData("GET", "/health", null, "evil.example")]
    public async Task Every_answer_has_the_headers_of_the_good_ones(
        string method,
        string path,
        string? body,
        string? host = null
    )
    {
        using HttpRequestMessage request = new(new(method), path);
        request.Headers.Host = host ?? $"127.0.0.1:{server.Port}";
        if (body is not null)
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.SendAsync(request);
        string Of(string header) => response.Headers.GetValues(header).Single();
        Assert.StartsWith("default-src 'none'", Of("Content-Security-Policy"), StringComparison.Ordinal);
        Assert.Equal("nosniff", Of("X-Content-Type-Options"));
        Assert.Equal("no-referrer", Of("Referrer-Policy"));
        Assert.Equal("same-origin", Of("Cross-Origin-Resource-Policy"));
        Assert.StartsWith("microphone=(self), camera=(self)", Of("Permissions-Policy"), StringComparison.Ordinal);
        Assert.True(response.Headers.CacheControl!.NoStore);
    }

    [Fact]
    public async Task A_compute_call_above_a_megabyte_is_refused()
    {
        using StringContent content = new(
            $"{{\"note\":\"{new string('x', 1_100_000)}\"}}",
            Encoding.UTF8,
            "application/json"
        );
        // Told the limit before all of it was sent: otherwise the door may close while the caller still speaks.
        HttpRequestMessage request = new(HttpMethod.Post, "/api/ratio/search") { Content = content };
        request.Headers.ExpectContinue = true;
        HttpResponseMessage response = await server.Client.SendAsync(request);
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, response.StatusCode);
        Assert.Contains("1000 kB", await response.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }
}
