using System.IO.Pipelines;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Net.Http.Headers;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Machines to files and from files: JSON, or a zip of it where photos go with it.</summary>
internal static class MachineFileEndpoints
{
    private const string JsonType = "application/json; charset=utf-8";
    private const string ZipType = "application/zip";

    public static void MapMachineFiles(this RouteGroupBuilder machines)
    {
        machines
            .MapGet("/{id:long}/file", ToFileAsync)
            .Produces<MachineFile>()
            .Produces(StatusCodes.Status404NotFound)
            .WithName("writeMachineFile")
            .WithSummary("A machine as a file, with its setups, aims and jobs; a zip where photos go with it");
        machines
            .MapPost("/file", FromFileAsync)
            .Accepts<MachineFile>("application/json", ZipType)
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostFileBytes))
            .WithName("readMachineFile")
            .WithSummary("Adds a machine from a file of this or an earlier version");
    }

    private static async Task ToFileAsync(
        long id,
        MachineFiles files,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (await files.WriteAsync(id) is not { } file)
            await Results.NotFound().ExecuteAsync(context);
        else if (MachineFileZip.PicturesOf(file).Count == 0)
        {
            context.Response.ContentType = JsonType;
            await MachineFileText.WriteAsync(context.Response.BodyWriter, file, ct);
        }
        else
            await SendZipAsync(file, database, context, ct);
    }

    private static async Task SendZipAsync(
        MachineFile file,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        string zip = PassingFile.Name(database, context, ".zip");
        await using (FileStream to = File.Create(zip))
            await MachineFileZip.WriteAsync(to, file, database.Folder, ct);
        ContentDispositionHeaderValue named = new("attachment");
        named.SetHttpFileName($"{file.Machine.Name}.zip");
        context.Response.Headers.ContentDisposition = named.ToString();
        await Results.File(zip, ZipType).ExecuteAsync(context);
    }

    private static async Task<Created<MachineCard>> FromFileAsync(
        MachineFiles files,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        (MachineFile file, IReadOnlyDictionary<string, string> pictures) = await ReadAsync(database, context, ct);
        InputDoor.Check(file);
        FittedMachine added = await files.ReadAsync(context.Who(), file, ct, pictures);
        return TypedResults.Created($"/api/machines/{added.Machine.Id}", MachineEndpoints.CardOf(added));
    }

    private static async Task<(MachineFile, IReadOnlyDictionary<string, string>)> ReadAsync(
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        try
        {
            return await IsZipAsync(context.Request.BodyReader, ct)
                ? await ReadZipAsync(database, context, ct)
                : (await MachineFileText.ReadAsync(context.Request.BodyReader, ct), new Dictionary<string, string>());
        }
        catch (InvalidDataException)
        {
            throw NotWhole("It is no whole machine file: perhaps it was cut off. Nothing of it was stored.");
        }
        // What the reader of text refuses is no JSON at all; what the reader of records refuses is named with its place.
        catch (JsonException e) when (e.GetType() != typeof(JsonException) || e.InnerException is JsonException)
        {
            throw NotWhole("It is not whole JSON: perhaps it was cut off. Nothing of it was stored.");
        }
        catch (JsonException e)
        {
            // In the words of any other body that can't be read.
            throw new BadHttpRequestException("This is no machine file.", e);
        }
    }

    private static InvalidInputException NotWhole(string message) => new("", "not_whole", message);

    private static async Task<(MachineFile, IReadOnlyDictionary<string, string>)> ReadZipAsync(
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        string sent = PassingFile.Name(database, context, ".upload");
        string unpacked = PassingFile.Folder(database, context);
        await using FileStream zip = File.Create(sent);
        await context.Request.BodyReader.CopyToAsync(zip, ct);
        zip.Position = 0;
        return await MachineFileZip.ReadAsync(zip, unpacked, ct);
    }

    /// <summary>By its first bytes; whoever reads it next begins at them again.</summary>
    private static async Task<bool> IsZipAsync(PipeReader body, CancellationToken ct)
    {
        ReadResult start = await body.ReadAtLeastAsync(4, ct);
        byte[] bytes = new byte[Math.Min(4, start.Buffer.Length)];
        System.Buffers.BuffersExtensions.CopyTo(start.Buffer.Slice(0, bytes.Length), bytes);
        body.AdvanceTo(start.Buffer.Start);
        return bytes.AsSpan().SequenceEqual("PK\x3\x4"u8);
    }
}
