using System.IO.Compression;
using System.Security.Cryptography;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>Pictures that go with jobs: stored once by what they are, and there again after every way a data folder can go.</summary>
public sealed class PhotoTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 29, 12, 0, 0, TimeSpan.Zero);
    private readonly TempStore _store = new();
    private readonly string _aside = Directory.CreateTempSubdirectory("wendrak-aside-").FullName;

    public void Dispose()
    {
        _store.Dispose();
        Directory.Delete(_aside, recursive: true);
    }

    [Fact]
    public async Task They_go_with_the_backup_and_come_back_with_it()
    {
        JobSheet job = await AddAsync(await OpenAsync(), 1);
        string zip = Path.Combine(_aside, "whole.zip");
        BackupZip.Write(_store.Folder, zip);
        Directory.Delete(Path.Combine(_store.Folder, Attachments.FolderName), recursive: true);
        Restoring restoring = new(_store.Database, TimeProvider.System);
        await restoring.RestoreAsync(restoring.Stage(zip).Token, null);
        Assert.Equal(Bytes(1), Read(_store.Folder, job.Photos[0].Hash));
        Assert.Equal(Bytes(101), Read(_store.Folder, job.Photos[0].Hash, isSmall: true));
    }

    [Fact]
    public async Task They_come_along_when_damaged_data_is_rescued_and_the_missing_ones_are_named()
    {
        JobSheet job = await AddAsync(await AddAsync(await OpenAsync(), 1), 2);
        File.Delete(Attachments.Find(_store.Folder, job.Photos[1].Hash)!);
        string into = Path.Combine(_aside, "saved");
        Rescued rescued = Rescue.Run(_store.Folder, into, Now);
        Assert.Equal(Bytes(1), Read(into, job.Photos[0].Hash));
        Assert.Equal([$"photo {job.Photos[1].Hash}"], rescued.Lost);
    }

    [Fact]
    public async Task A_machine_file_carries_them_to_another_workshop_and_reads_back_the_same()
    {
        JobSheet job = await AddAsync(await AddAsync(await OpenAsync(), 1), 2);
        await HappensAsync(job, new PhotoLineDrawn(job.Photos[1].Hash, new(0, 0, 30, 40), 25, "a coin"));
        using TempStore other = new();
        using MemoryStream zip = await WriteAsync(job.MachineId);
        (MachineFile file, IReadOnlyDictionary<string, string> pictures) = await MachineFileZip.ReadAsync(
            zip,
            Path.Combine(_aside, "unpacked"),
            default
        );
        long copy = (await other.Files.ReadAsync("Ben", file, default, pictures)).Machine.Id;
        JobSheet read = (await other.Jobs.ListSheetsAsync(copy))[0];
        JobSheet was = (await _store.Jobs.ListSheetsAsync(job.MachineId))[0];
        Assert.Equal(Text(was.Photos), Text(read.Photos));
        foreach (JobPhoto photo in read.Photos)
            Assert.Equal(
                Read(_store.Folder, photo.Hash),
                await File.ReadAllBytesAsync(Attachments.Find(other.Folder, photo.Hash, isSmall: true)!)
            );
    }

    [Fact]
    public async Task A_file_whose_photo_is_missing_or_another_one_is_refused()
    {
        JobSheet job = await AddAsync(await OpenAsync(), 1);
        MachineFile file = (await _store.Files.WriteAsync(job.MachineId))!;
        // Here the picture is, whatever comes with the file.
        await _store.Files.ReadAsync("Ben", file, default);
        using TempStore other = new();
        InvalidInputException missing = await Assert.ThrowsAsync<InvalidInputException>(() =>
            other.Files.ReadAsync("Ben", file, default)
        );
        Assert.Equal("Jobs[0].Events[1].Event.Hash", missing.Issues[0].Field);
        Assert.Empty(await other.Machines.ListAsync());

        using MemoryStream zip = await WriteAsync(job.MachineId);
        using (ZipArchive archive = new(zip, ZipArchiveMode.Update, leaveOpen: true))
        {
            ZipArchiveEntry entry = archive.Entries.Single(e =>
                e.FullName.StartsWith("photos/", StringComparison.Ordinal)
            );
            using Stream changed = entry.Open();
            changed.Write(Bytes(9));
        }
        zip.Position = 0;
        await Assert.ThrowsAsync<InvalidDataException>(() =>
            MachineFileZip.ReadAsync(zip, Path.Combine(_aside, "other"), default)
        );
    }

    [Fact]
    public async Task What_is_no_picture_under_its_right_hash_does_not_come_in()
    {
        string text = Path.Combine(_aside, "text");
        await File.WriteAllTextAsync(text, "no picture");
        JobSheet job = await AddFileAsync(await OpenAsync(), text, null);
        using MemoryStream zip = await WriteAsync(job.MachineId);
        await Assert.ThrowsAsync<InvalidDataException>(() =>
            MachineFileZip.ReadAsync(zip, Path.Combine(_aside, "other"), default)
        );
    }

    [Fact]
    public async Task A_file_carries_no_line_of_a_photo_that_was_removed()
    {
        JobSheet job = await AddAsync(await OpenAsync(), 1);
        await HappensAsync(job, new PhotoLineDrawn(job.Photos[0].Hash, new(0, 0, 30, 40), 25, null));
        await _store.Undoing.UndoAsync("Ann", job.Photos[0].Entry, default);
        MachineFile file = (await _store.Files.WriteAsync(job.MachineId))!;
        Assert.IsType<JobOpened>(Assert.Single(file.Jobs![0].Events).Event);
        file.Check();
    }

    private async Task<MemoryStream> WriteAsync(long machine)
    {
        MemoryStream zip = new();
        await MachineFileZip.WriteAsync(zip, (await _store.Files.WriteAsync(machine))!, _store.Folder, default);
        zip.Position = 0;
        return zip;
    }

    private async Task<JobSheet> OpenAsync()
    {
        long machine = (await _store.AddMachineAsync()).Machine.Id;
        JobOpened opened = new(JobReason.Visit, null, null, null);
        return (await _store.Jobs.OpenAsync("Ann", machine, new(2026, 11, 29), opened, default))!;
    }

    private async Task<JobSheet> AddAsync(JobSheet job, byte mark)
    {
        string[] files = [Path.Combine(_aside, $"{mark}"), Path.Combine(_aside, $"{mark}-small")];
        await File.WriteAllBytesAsync(files[0], Bytes(mark));
        await File.WriteAllBytesAsync(files[1], Bytes((byte)(mark + 100)));
        JobSheet after = await AddFileAsync(job, files[0], files[1]);
        Assert.Equal(Convert.ToHexStringLower(SHA256.HashData(Bytes(mark))), after.Photos[^1].Hash);
        return after;
    }

    private async Task<JobSheet> AddFileAsync(JobSheet job, string file, string? small)
    {
        PhotoTaken taken = new("", 0, 0, null, PhotoShows.FreePlay, "final", null, "as it came");
        PictureFile picture = new(file, small, 640, 480, Now);
        return (await _store.Jobs.AddPhotoAsync("Ann", job.Id, $"{Guid.NewGuid()}", taken, picture, default))!;
    }

    private Task<JobAfterEvents?> HappensAsync(JobSheet job, JobEvent happened) =>
        _store.Jobs.AppendAsync("Ann", job.Id, [new($"{Guid.NewGuid()}", happened)], default);

    /// <summary>Begins as a JPEG does.</summary>
    private static byte[] Bytes(byte mark) => [0xFF, 0xD8, 0xFF, 0xE0, .. Enumerable.Repeat(mark, 5_000)];

    private static byte[] Read(string folder, string hash, bool isSmall = false) =>
        File.ReadAllBytes(Attachments.Find(folder, hash, isSmall)!);

    /// <summary>Without the numbers of the entries, which every workshop gives anew.</summary>
    private static string Text(IEnumerable<JobPhoto> photos) =>
        EarlierJson.ToJson(
            photos.Select(p => p with { Entry = 0, Lines = [.. p.Lines.Select(l => l with { Entry = 0 })] }).ToList()
        );
}
