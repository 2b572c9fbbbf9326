using System.Globalization;
using System.IO.Compression;
using System.Text.Json;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>The whole workshop as open JSON in a zip: one file a machine, one for each list. Readable without this program.</summary>
public sealed class WorkshopExport(MachineStore machines, MachineFiles files, StockStore stock, History history)
{
    private const int HistoryPage = 500;
    private static readonly JsonSerializerOptions Indented = new(BodyJson.Numbered) { WriteIndented = true };

    /// <summary>Writes file after file, so that a large workshop needs no large memory.</summary>
    public async Task WriteAsync(Stream to)
    {
        await using ZipArchive archive = new(to, ZipArchiveMode.Create, leaveOpen: true);
        await AddAsync(archive, "README.txt", ReadMe);
        foreach (FittedMachine machine in await machines.ListAsync())
            if (await files.WriteAsync(machine.Machine.Id) is { } file)
                await AddAsync(archive, $"machines/{NameOf(machine.Machine)}", file);
        await AddAsync(archive, "stock.json", await stock.Wheels.ListAsync());
        await AddAsync(archive, "spacers.json", await stock.Spacers.ListAsync());
        await AddAsync(archive, "parts.json", await stock.Parts.ListAsync());
        await AddAsync(archive, "tools.json", await stock.Tools.ListAsync());
        await AddAsync(archive, "gearbox-sets.json", await stock.GearboxSets.ListAsync());
        long? before = null;
        for (int page = 1; ; page++)
        {
            IReadOnlyList<Change> changes = await history.ListAsync(null, before, HistoryPage);
            if (changes.Count == 0)
                break;
            await AddAsync(archive, $"history/{page.ToString("0000", CultureInfo.InvariantCulture)}.json", changes);
            before = changes[^1].Id;
        }
    }

    private const string ReadMe = """
        A workshop as Wendrak wrote it. machines/ has one file for each machine, with its setups, aims and visits, in the
        form of docs/machine-file.md, as a zip where photos go with it; each can be read into another Wendrak. history/ has every change, newest first.
        Lengths are in mm, speeds in km/h or rpm, as the names of the fields say; null is “not said”.
        """;

    private static async Task AddAsync<T>(ZipArchive archive, string name, T content)
    {
        await using Stream entry = await archive.CreateEntry(name, CompressionLevel.Fastest).OpenAsync();
        if (content is string text)
            await entry.WriteAsync(System.Text.Encoding.UTF8.GetBytes(text));
        else
            await JsonSerializer.SerializeAsync(entry, content, Indented);
    }

    /// <summary>As it is written by itself: JSON, or a zip of it where photos go with it.</summary>
    private async Task AddAsync(ZipArchive archive, string name, MachineFile file)
    {
        if (MachineFileZip.PicturesOf(file).Count == 0)
        {
            await AddAsync<MachineFile>(archive, $"{name}.json", file);
            return;
        }
        await using Stream entry = await archive.CreateEntry($"{name}.zip", CompressionLevel.NoCompression).OpenAsync();
        await MachineFileZip.WriteAsync(entry, file, files.Folder, default);
    }

    /// <summary>“Curlew-1”: letters and figures of its name, so that every disk takes it, and its number.</summary>
    private static string NameOf(Machine machine) =>
        FormattableString.Invariant(
            $"{string.Concat(machine.Name.Select(c => char.IsAsciiLetterOrDigit(c) ? c : '_')).Trim('_')}-{machine.Id}"
        );
}
