using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Records;
using Wendrak.Store.Demo;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>The restore drill: what was backed up comes back whole, and what was there is kept.</summary>
public sealed class BackupTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 28, 9, 0, 0, TimeSpan.Zero);
    private readonly TempStore _store = new();
    private readonly string _aside = Directory.CreateTempSubdirectory("wendrak-aside-").FullName;

    public void Dispose()
    {
        _store.Dispose();
        Directory.Delete(_aside, recursive: true);
    }

    private Restoring Restoring => new(_store.Database, TimeProvider.System);

    private string Zip()
    {
        string zip = Path.Combine(_aside, $"{Guid.NewGuid():N}.zip");
        BackupZip.Write(_store.Folder, zip);
        return zip;
    }

    private static async Task<string[]> NamesAsync(TempStore store) =>
        [.. (await store.Machines.ListAsync()).Select(m => m.Machine.Name)];

    [Fact]
    public async Task A_backup_is_shown_then_restored_and_what_was_there_can_be_brought_back()
    {
        FittedMachine kept = await _store.AddMachineAsync("Kept");
        FittedMachine removed = await _store.AddMachineAsync("Removed since");
        string zip = Zip();
        await _store.Machines.RemoveAsync("Ann", removed.Machine.Id, removed.Machine.Version, default);
        MachineDraft renamed = new(kept.Machine with { Name = "Renamed since" }, kept.Fitted.Loops);
        await _store.Machines.ChangeAsync("Ann", renamed, kept.Fitted.Version, default);
        long added = (await _store.AddMachineAsync("Added since")).Machine.Id;

        RestorePreview preview = Restoring.Stage(zip);
        RestoreDifference machines = preview.Differences.Single(d => d.Word == "machine");
        Assert.Equal(["Removed since"], machines.Back);
        Assert.Equal(["Added since"], machines.Gone);
        Assert.Equal(["Renamed since"], machines.Other);
        Assert.Equal(["Added since", "Renamed since"], await NamesAsync(_store));

        string before = _store.Database.DataId;
        Assert.Null(await Restoring.RestoreAsync("no such", "Ann"));
        Backups.Made made = (await Restoring.RestoreAsync(preview.Token, "Ann"))!;
        Assert.Equal(["Kept", "Removed since"], await NamesAsync(_store));
        Assert.NotEqual(before, _store.Database.DataId);
        Assert.Equal(("restored a backup", "Ann"), await LastAsync());
        // No number that was given is given again.
        Assert.True((await _store.AddMachineAsync("Next")).Machine.Id > added);
        _store.Database.LookThrough();
        Assert.Empty(_store.Database.Damage.Found);

        await Restoring.RestoreAsync(Restoring.Stage(made.File).Token, "Ann");
        Assert.Equal(["Added since", "Renamed since"], await NamesAsync(_store));
    }

    private async Task<(string, string)> LastAsync() =>
        await _store.LastChangeAsync() is var change ? (change.What, change.Who) : default;

    [Fact]
    public async Task After_a_restore_and_a_crash_the_journal_belongs_to_the_file()
    {
        await _store.AddMachineAsync("First");
        string zip = Zip();
        await _store.AddMachineAsync("Second");
        _store.Database.FoldJournalIn();
        await _store.AddMachineAsync("Third");
        await Restoring.RestoreAsync(Restoring.Stage(zip).Token, null);
        await _store.AddMachineAsync("After");
        foreach (string part in new[] { "", "-wal" })
            await using (
                FileStream from = File.Open(
                    _store.Database.File + part,
                    FileMode.Open,
                    FileAccess.Read,
                    FileShare.ReadWrite
                )
            )
            await using (FileStream to = File.Create(Path.Combine(_aside, Database.FileName + part)))
                await from.CopyToAsync(to);
        using TempStore crashed = new(_aside, keep: true);
        Assert.Null(crashed.Database.StrayJournal);
        Assert.Equal(["After", "First"], await NamesAsync(crashed));
    }

    [Fact]
    public async Task A_damaged_file_is_kept_as_it_is_and_a_backup_restored_over_it()
    {
        await _store.AddMachineAsync("Good");
        string zip = Zip();
        using (SqliteConnection connection = _store.Database.Open())
        using (SqliteCommand command = connection.CreateCommand())
        {
            command.CommandText = "UPDATE record SET version = 99 WHERE kind = 'machine'";
            command.ExecuteNonQuery();
        }
        _store.Database.LookThrough();
        await Assert.ThrowsAsync<StorageException>(() => _store.AddMachineAsync());
        Backups.Made kept = (await Restoring.RestoreAsync(Restoring.Stage(zip).Token, null))!;
        Assert.StartsWith("damaged-", Path.GetFileName(kept.File), StringComparison.Ordinal);
        Assert.Equal(["Good"], await NamesAsync(_store));
        await _store.AddMachineAsync("Goes on");
    }

    [Fact]
    public async Task A_copy_with_a_row_less_is_no_backup()
    {
        await _store.AddMachineAsync("Kept");
        Backups.Made made = Backups.Make(_store.Database, Now);
        using SqliteConnection copy = Backups.OpenAlone(made.File);
        (string Table, long Count)[] rows = Backups.Rows(copy);
        Backups.Verify(copy, rows);
        using SqliteCommand less = copy.CreateCommand();
        less.CommandText = "DELETE FROM number_given WHERE kind = 'machine'";
        less.ExecuteNonQuery();
        DataFileException refused = Assert.Throws<DataFileException>(() => Backups.Verify(copy, rows));
        Assert.Contains("rows of number_given", refused.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("a letter", "not a Wendrak data file")]
    [InlineData("", "is empty")]
    [InlineData("PK\u0003\u0004 cut off", "no backup of Wendrak")]
    public void What_is_no_backup_changes_nothing(string content, string result)
    {
        string file = Path.Combine(_aside, "x");
        File.WriteAllText(file, content.PadRight(content.Length == 0 ? 0 : 500));
        DataFileException refused = Assert.Throws<DataFileException>(() => Restoring.Stage(file));
        Assert.Contains(result, refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_zip_that_climbs_out_of_its_folder_is_refused()
    {
        string file = Path.Combine(_aside, "climbs.zip");
        using (ZipArchive archive = ZipFile.Open(file, ZipArchiveMode.Create))
            archive.CreateEntry("attachments/../../climbed.txt");
        Assert.Throws<DataFileException>(() => Restoring.Stage(file));
        Assert.False(File.Exists(Path.Combine(_store.Folder, "climbed.txt")));
    }

    [Fact]
    public async Task A_backup_of_an_earlier_version_is_brought_up_to_date_when_it_is_restored()
    {
        string fixture = Path.Combine(AppContext.BaseDirectory, "Fixtures", "1-machines.zip");
        RestorePreview preview = Restoring.Stage(fixture);
        Assert.Contains("Curlew", preview.Differences.Single(d => d.Word == "machine").Back);
        await Restoring.RestoreAsync(preview.Token, null);
        Assert.Contains("Curlew", await NamesAsync(_store));
    }

    [Fact]
    public async Task The_workshop_as_open_JSON_can_be_read_without_this_program_and_back()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        string zip = Path.Combine(_aside, "open.zip");
        await using (FileStream file = File.Create(zip))
            await new WorkshopExport(_store.Machines, _store.Files, _store.Stock, _store.History).WriteAsync(file);
        using ZipArchive archive = ZipFile.OpenRead(zip);
        Assert.Equal(7, archive.Entries.Count(e => e.FullName.StartsWith("machines/", StringComparison.Ordinal)));
        Assert.All(
            archive.Entries.Where(e => e.Name.EndsWith(".json", StringComparison.Ordinal)),
            e => JsonDocument.Parse(e.Open()).Dispose()
        );
        using TempStore other = new();
        foreach (
            ZipArchiveEntry entry in archive.Entries.Where(e =>
                e.FullName.StartsWith("machines/", StringComparison.Ordinal)
            )
        )
        {
            await using Stream content = entry.Open();
            if (entry.Name.EndsWith(".zip", StringComparison.Ordinal))
            {
                using MemoryStream zipped = new();
                await content.CopyToAsync(zipped);
                zipped.Position = 0;
                (MachineFile file, IReadOnlyDictionary<string, string> pictures) = await MachineFileZip.ReadAsync(
                    zipped,
                    Path.Combine(_aside, entry.Name),
                    default
                );
                await other.Files.ReadAsync("Ann", file, default, pictures);
                continue;
            }
            using StreamReader reader = new(content);
            await other.Files.ReadAsync("Ann", await FileText.ReadAsync(await reader.ReadToEndAsync()), default);
        }
        Assert.Equal(await NamesAsync(_store), await NamesAsync(other));
    }
}
