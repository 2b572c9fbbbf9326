using System.IO.Compression;
using System.IO.Pipelines;
using System.Text.Json;
using Wendrak.Core.Records;

namespace Wendrak.Store.Machines;

/// <summary>A machine file with its photos: <c>machine.json</c> and the pictures beside it, in one zip.</summary>
public static class MachineFileZip
{
    private const string TextName = "machine.json";

    /// <summary>Pictures that the jobs of a file name, each once.</summary>
    public static IReadOnlyList<string> PicturesOf(MachineFile file) =>
        [
            .. (file.Jobs ?? [])
                .SelectMany(j => j.Events)
                .Select(e => e.Event)
                .OfType<PhotoTaken>()
                .Select(p => p.Hash)
                .Distinct(),
        ];

    /// <param name="folder">Of the data that the pictures lie beside.</param>
    public static async Task WriteAsync(Stream to, MachineFile file, string folder, CancellationToken ct)
    {
        await using ZipArchive archive = new(to, ZipArchiveMode.Create, leaveOpen: true);
        await using (Stream text = await archive.CreateEntry(TextName, CompressionLevel.Fastest).OpenAsync(ct))
            await MachineFileText.WriteAsync(PipeWriter.Create(text), file, ct);
        foreach (string hash in PicturesOf(file))
            if (Attachments.Find(folder, hash) is { } picture)
                await archive.CreateEntryFromFileAsync(picture, NameOf(hash), CompressionLevel.NoCompression, ct);
    }

    /// <param name="into">A folder of its own, where its pictures are unpacked.</param>
    /// <returns>The file, and where its pictures lie now, by hash.</returns>
    /// <exception cref="InvalidDataException">It is no such zip, or a picture in it is not what it is named for.</exception>
    /// <exception cref="JsonException">What it tells of the machine can't be read.</exception>
    public static async Task<(MachineFile File, IReadOnlyDictionary<string, string> Pictures)> ReadAsync(
        Stream zip,
        string into,
        CancellationToken ct
    )
    {
        Directory.CreateDirectory(into);
        await using ZipArchive archive = new(zip, ZipArchiveMode.Read, leaveOpen: true);
        ZipArchiveEntry text = archive.GetEntry(TextName) ?? throw new InvalidDataException(TextName);
        MachineFile file;
        await using (Stream content = await text.OpenAsync(ct))
            file = await MachineFileText.ReadAsync(PipeReader.Create(content), ct);
        Dictionary<string, string> pictures = [];
        foreach (string hash in PicturesOf(file).Where(Attachments.IsHash))
            if (archive.GetEntry(NameOf(hash)) is { } entry)
            {
                string picture = Path.Combine(into, hash);
                await entry.ExtractToFileAsync(picture, overwrite: true, ct);
                if (!await IsPictureAsync(picture, hash, ct))
                    throw new InvalidDataException(entry.FullName);
                pictures[hash] = picture;
            }
        return (file, pictures);
    }

    /// <summary>Whether a file is what its name is the hash of, and begins as a JPEG does (ISO/IEC 10918-1: SOI, then a marker).</summary>
    private static async Task<bool> IsPictureAsync(string file, string hash, CancellationToken ct)
    {
        byte[] start = new byte[3];
        await using (FileStream content = File.OpenRead(file))
            await content.ReadAtLeastAsync(start, start.Length, throwOnEndOfStream: false, ct);
        return start is [0xFF, 0xD8, 0xFF] && await Attachments.HashAsync(file, ct) == hash;
    }

    private static string NameOf(string hash) => $"photos/{hash}.jpg";
}
