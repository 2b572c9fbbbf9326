using System.Net;
using System.Net.Http.Json;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Logging;
using Wendrak.Core.Quantities;
using Wendrak.Store;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests;

/// <summary>A list of something that this program does not have is served by one line.</summary>
public sealed class NewKindEndpointsTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-kind-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    public sealed record Lamp(long Id, int Version, string Name) : StoredRecord(Id, Version);

    private static readonly StoredKind<Lamp> Lamps = new()
    {
        Name = "lamp",
        Word = "lamp",
        NameOf = l => l.Name,
    };

    [Fact]
    public async Task It_is_listed_added_changed_and_removed_over_http()
    {
        int port = LoopbackServer.FreePort();
        using Database database = Database.Prepare(_folder, DateTimeOffset.UnixEpoch);
        WebApplicationBuilder builder = WebApplication.CreateSlimBuilder();
        builder.Logging.ClearProviders();
        builder.WebHost.UseUrls($"http://127.0.0.1:{port}");
        builder.Services.AddSingleton(
            new ListStore<Lamp>(
                database,
                new ChangeLog(database, TimeProvider.System, new KindRegistry([Lamps])),
                new(Lamps),
                lamp => new Guard().Named(nameof(lamp.Name), lamp.Name).ThrowIfAny(),
                lamp => $"lamp {lamp.Name}",
                lamps => lamps
            )
        );
        await using WebApplication app = builder.Build();
        RouteGroupBuilder lamps = app.MapStored("/api/lamps", "Lamps");
        // Named first: the framework's analyzer fails on them where nothing writes how they are read.
        (Delegate list, Delegate add, Delegate change, Delegate remove) = (
            ListEndpoints<Lamp>.ListAsync,
            ListEndpoints<Lamp>.AddAsync,
            ListEndpoints<Lamp>.ChangeAsync,
            ListEndpoints<Lamp>.RemoveAsync
        );
        new ListWords("Lamp", "listLamps", "a lamp", "lamps").Give(
            lamps.MapGet("/", list),
            lamps.MapPost("/", add),
            lamps.MapPut("/{id:long}", change),
            lamps.MapDelete("/{id:long}", remove)
        );
        await app.StartAsync();

        using HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        Lamp added = (
            await (
                await client.PostAsJsonAsync("/api/lamps", new Lamp(0, 0, "red"), Json.Options)
            ).Content.ReadFromJsonAsync<Lamp>(Json.Options)
        )!;
        HttpResponseMessage changed = await client.PutAsJsonAsync(
            $"/api/lamps/{added.Id}",
            added with
            {
                Name = "green",
            },
            Json.Options
        );
        Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        Lamp stored = Assert.Single((await client.GetFromJsonAsync<Lamp[]>("/api/lamps", Json.Options))!);
        Assert.Equal(("green", 2), (stored.Name, stored.Version));
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await client.DeleteAsync($"/api/lamps/{stored.Id}?version=2")).StatusCode
        );
        Assert.Empty((await client.GetFromJsonAsync<Lamp[]>("/api/lamps", Json.Options))!);
    }
}
