using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Net.Http.Headers;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Importing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Traces;
using Wendrak.Store;
using Wendrak.Store.Logs;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Lines to be written into a log.</summary>
/// <param name="Lines">One at least.</param>
public sealed record NewLogLines(IReadOnlyList<LogLine> Lines);

/// <summary>A line that is struck out, or stands again.</summary>
/// <param name="LotId">Of the lot it came with.</param>
/// <param name="Number">Of the line in its lot, from 0.</param>
/// <param name="IsStruck">False lets it stand again.</param>
public sealed record StruckLine(long LotId, int Number, bool IsStruck);

public static class LogEndpoints
{
    private const int UsualOfPage = 50;
    private const string Text = "text/csv";

    public static void MapLog(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder log = app.MapStored("/api/machines/{id:long}", "Log");
        log.MapGet("/log", PageAsync).WithName("listLog").WithSummary("A part of a machine’s log, newest day first");
        log.MapPost("/log", AddAsync).WithName("addToLog").WithSummary("Writes lines into a machine’s log");
        log.MapPost("/log/struck", StrikeAsync)
            .WithName("strikeLogLine")
            .WithSummary("Strikes a line of a log out, or lets it stand again");
        log.MapPost("/log/look", LookAsync)
            .Accepts<Stream>(Text)
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostLogBytes))
            .WithName("lookAtLogFile")
            .WithSummary("What a table of text looks like, and how it may be read; nothing of it is stored");
        log.MapPost("/log/file", TakeAsync)
            .Accepts<Stream>(Text)
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostLogBytes))
            .WithName("takeLogFile")
            .WithSummary("Takes a table of text into a log, as far as it can be read");
        log.MapGet("/log.csv", WriteAsync)
            .Produces<string>(contentType: Text)
            .Produces(StatusCodes.Status404NotFound)
            .WithName("writeLog")
            .WithSummary("A machine’s log as a table of text");
        log.MapPost("/trace", TraceAsync)
            .Accepts<Stream>(Text, "application/gpx+xml")
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostTraceBytes))
            .WithName("readTrace")
            .WithSummary("Times between two speeds in a trace, GPX or a table of text; nothing of it is stored");
        app.MapComputing("/api/log", "Log")
            .MapPost("/film-time", (FilmInput input) => TypedResults.Ok(FilmTime.Of(input)))
            .WithName("timeFilm")
            .WithSummary("Time between two frames of a film");
        log.MapPost("/comparison", CompareAsync)
            .WithName("compareByLog")
            .WithSummary("What a change of setup brought, by the log, and how sure that is");
    }

    /// <param name="kind">Of the lines, as it stands in them; left out for all.</param>
    /// <param name="from">First day; left out for the first there is.</param>
    /// <param name="to">Last day; left out for the last there is.</param>
    /// <param name="after">Where the last part ended; left out for the newest.</param>
    /// <param name="most">How many at once.</param>
    private static async Task<Results<Ok<LogPage>, NotFound>> PageAsync(
        long id,
        LogStore store,
        string? kind = null,
        DateOnly? from = null,
        DateOnly? to = null,
        long? after = null,
        int? most = null
    )
    {
        new Guard()
            .Between(nameof(most), most ?? UsualOfPage, 1, LogStore.MostOfPage, "")
            .That(
                kind is null || LogRules.Kinds.Contains(kind),
                nameof(kind),
                "unknown",
                $"Give one of: {string.Join(", ", LogRules.Kinds)}."
            )
            .ThrowIfAny();
        return await store.PageAsync(id, new(kind, from, to), after, most ?? UsualOfPage) is { } page
            ? TypedResults.Ok(page)
            : TypedResults.NotFound();
    }

    private static async Task<Results<Created<LogLot>, NotFound>> AddAsync(
        long id,
        NewLogLines sent,
        LogStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), id, sent.Lines, ct) is { } lot
            ? TypedResults.Created($"/api/machines/{id}/log", lot)
            : TypedResults.NotFound();

    private static async Task<Results<NoContent, NotFound>> StrikeAsync(
        long id,
        StruckLine sent,
        LogStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.StrikeAsync(context.Who(), id, sent.LotId, sent.Number, sent.IsStruck, ct)
            ? TypedResults.NoContent()
            : TypedResults.NotFound();

    private static async Task<Ok<LogFileLook>> LookAsync(
        long id,
        Stream file,
        LogStore store,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        await using FileStream kept = await KeepAsync(file, database, context, ct);
        return TypedResults.Ok(LogFileLook.Of(kept, await store.EarlierColumnsAsync()));
    }

    /// <param name="name">Of the file.</param>
    /// <param name="columns">How it is read, as JSON of LogColumns.</param>
    /// <param name="onlyTry">Whether nothing is stored: what would be taken is told.</param>
    private static async Task<Results<Ok<LogTaken>, NotFound>> TakeAsync(
        long id,
        string name,
        string columns,
        Stream file,
        LogStore store,
        Database database,
        HttpContext context,
        CancellationToken ct,
        bool onlyTry = false
    )
    {
        LogColumns form = ReadJson<LogColumns>(nameof(columns), columns);
        await using FileStream kept = await KeepAsync(file, database, context, ct);
        LogImport read = LogImport.Read(kept, form, ct);
        return await store.TakeInAsync(context.Who(), id, name, form, read, onlyTry, ct) is { } taken
            ? TypedResults.Ok(taken)
            : TypedResults.NotFound();
    }

    private static async Task WriteAsync(long id, LogStore store, HttpContext context)
    {
        if (await store.AllAsync(id) is not { } entries)
        {
            await Results.NotFound().ExecuteAsync(context);
            return;
        }
        StringWriter text = new();
        LogTable.Write(text, entries.OrderBy(e => e.Line.On));
        ContentDispositionHeaderValue named = new("attachment");
        named.SetHttpFileName("log.csv");
        context.Response.Headers.ContentDisposition = named.ToString();
        // With a mark: a spreadsheet takes it for another alphabet otherwise.
        await Results.Text($"\ufeff{text}", Text, Encoding.UTF8).ExecuteAsync(context);
    }

    private static async Task<Results<Ok<FairComparison>, NotFound>> CompareAsync(
        long id,
        FairComparisonQuestion question,
        LogStore store
    ) =>
        await store.CompareAsync(id, question) is { } comparison
            ? TypedResults.Ok(comparison)
            : TypedResults.NotFound();

    /// <param name="question">What is asked of it, as JSON of TraceQuestion.</param>
    private static async Task<Results<Ok<SpeedTrace>, NotFound>> TraceAsync(
        long id,
        string question,
        Stream file,
        MachineReader machines,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (await machines.FindAsync(id) is not { } stored)
            return TypedResults.NotFound();
        TraceQuestion asked = ReadJson<TraceQuestion>(nameof(question), question);
        await using FileStream kept = await KeepAsync(file, database, context, ct);
        return TypedResults.Ok(GearsOfTrace.Read(stored, kept, asked, ct));
    }

    /// <summary>What goes beside a file stands in the address.</summary>
    /// <exception cref="InvalidInputException">It is none.</exception>
    private static T ReadJson<T>(string name, string sent)
    {
        try
        {
            T read = JsonSerializer.Deserialize<T>(sent, Json.Options) ?? throw new JsonException("null");
            InputDoor.Check(read);
            return read;
        }
        catch (JsonException)
        {
            throw new InvalidInputException(name, "unreadable", $"Give it as JSON of {typeof(T).Name}.");
        }
    }

    /// <summary>On the disk while it is read: it may be long.</summary>
    private static async Task<FileStream> KeepAsync(
        Stream file,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        FileStream kept = new(PassingFile.Name(database, context, ".table"), FileMode.CreateNew, FileAccess.ReadWrite);
        await file.CopyToAsync(kept, ct);
        kept.Position = 0;
        return kept;
    }
}
