using System.Net;
using Microsoft.AspNetCore.Http.Json;
using Wendrak.Store;
using Wendrak.Store.Demo;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Puts the parts together: data file, stores, endpoints, the built front end.</summary>
public static class WendrakApp
{
    /// <param name="describesItself">
    /// Whether it makes the description of its calls anew, for the one that is kept and served (<c>tools/refresh-api</c>). What
    /// makes it is not loaded otherwise.
    /// </param>
    /// <exception cref="DataFileException">The data folder or file can't be used.</exception>
    public static async Task<WebApplication> BuildAsync(
        StartOptions options,
        TimeProvider clock,
        bool describesItself = false
    )
    {
        // Empty: what this program listens on is its own to say, not a variable's of the web server.
        WebApplicationBuilder builder = WebApplication.CreateEmptyBuilder(new());
        builder.Services.AddRouting();
        builder.WebHost.UseKestrelCore();
        builder.WebHost.ConfigureKestrel(k =>
        {
            // Loopback only: whoever else is on the network sees nothing.
            k.Listen(IPAddress.Loopback, options.Port);
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = RequestLimits.MostBytes;
        });
        builder.Logging.ClearProviders().AddSimpleConsole(c => c.SingleLine = true).SetMinimumLevel(LogLevel.Warning);
        AddServices(builder.Services, clock, describesItself);
        if (describesItself)
            ApiReference.AddDescription(builder.Services);
        FolderLock held = FolderLock.Take(
            options.DataFolder,
            FormattableString.Invariant(
                $"Wendrak, process {Environment.ProcessId}, on port {options.Port} since {clock.GetLocalNow():yyyy-MM-dd HH:mm}"
            )
        );
        try
        {
            Database database = await PrepareDataAsync(options, clock);
            // In the order in which they are let go: the folder last.
            builder.Services.AddSingleton(_ => held);
            builder.Services.AddSingleton(p =>
            {
                p.GetRequiredService<FolderLock>();
                return database;
            });
        }
        catch
        {
            held.Dispose();
            throw;
        }
        builder.Services.AddHostedService<DataKeeper>();
        builder.Services.AddHostedService<MemoryKeeper>();
        WebApplication app = builder.Build();
        Map(app);
        if (describesItself)
            ApiReference.MapDescription(app);
        return app;
    }

    private static void AddServices(IServiceCollection services, TimeProvider clock, bool describesItself)
    {
        services.AddSingleton(clock);
        services.AddSingleton(p => new ChangeLog(p.GetRequiredService<Database>(), clock));
        services.AddSingleton<History>();
        services.AddSingleton<Undoing>();
        services.AddSingleton<JobStore>();
        services.AddSingleton<PictureDesk>();
        services.AddSingleton<MachineStore>();
        services.AddSingleton<MachineReader>();
        services.AddSingleton<FindReader>();
        services.AddSingleton<KnownAnswers>();
        services.AddSingleton<OptionsReader>();
        services.AddSingleton<DueReader>();
        services.AddSingleton<MachineCards>();
        services.AddSingleton<MachineFiles>();
        services.AddSingleton<SharedFiles>();
        services.AddSingleton<SetupStore>();
        services.AddSingleton<AimStore>();
        services.AddSingleton<LogStore>();
        services.AddSingleton<StockStore>();
        services.AddSingleton(p => p.GetRequiredService<StockStore>().Wheels);
        services.AddSingleton(p => p.GetRequiredService<StockStore>().Spacers);
        services.AddSingleton(p => p.GetRequiredService<StockStore>().Parts);
        services.AddSingleton(p => p.GetRequiredService<StockStore>().Tools);
        services.AddSingleton(p => p.GetRequiredService<StockStore>().GearboxSets);
        services.AddSingleton<WorkshopExport>();
        services.AddSingleton<Restoring>();
        services.AddHttpContextAccessor();
        services.AddSingleton<OpenPages>();
        services.Configure<JsonOptions>(o => Json.ConfigureWire(o.SerializerOptions, isLater: !describesItself));
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        services.AddExceptionHandler<RefusalHandler>();
        services.AddProblemDetails(o => o.CustomizeProblemDetails = RequestLimits.Explain);
    }

    private static void Map(WebApplication app)
    {
        app.UseMiddleware<SecurityHeaders>();
        app.UseMiddleware<BuildId>();
        app.UseMiddleware<SentText>();
        app.UseMiddleware<SameOriginOnly>();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseMiddleware<Utf8Only>();
        app.UseMiddleware<SameDataOnly>();
        app.UseMiddleware<CommitCount>();
        app.UseMiddleware<AddressValues>();
        app.MapApiReference();
        app.MapHealth();
        app.MapEvaluation();
        app.MapRatio();
        app.MapFit();
        app.MapLoads();
        app.MapBuild();
        app.MapSet();
        app.MapFollowUps();
        app.MapDue();
        app.MapFind();
        app.MapGlossary();
        app.MapChoice();
        app.MapFaults();
        app.MapMarkings();
        app.MapLog();
        app.MapMachines();
        app.MapSetups();
        app.MapJobs();
        app.MapPhotos();
        app.MapAims();
        app.MapStock();
        app.MapSharedFiles();
        app.MapChanges();
        app.MapBackups();
        app.MapFrontEnd();
    }

    private static async Task<Database> PrepareDataAsync(StartOptions options, TimeProvider clock)
    {
        DateTimeOffset now = clock.GetUtcNow();
        RestoreAtStart.Finish(options.DataFolder, now);
        Beginning.Sweep(options.DataFolder);
        if (options.Fresh)
            Beginning.PutAside(options.DataFolder, now);
        if (!File.Exists(Path.Combine(options.DataFolder, Database.FileName)))
            await Beginning.WithAsync(
                options.DataFolder,
                now,
                database => options.Empty ? Task.CompletedTask : DemoData.FillAsync(database, clock)
            );
        return Database.Prepare(options.DataFolder, now);
    }
}
