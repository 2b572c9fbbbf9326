using System.IO.Compression;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Demo;

namespace Wendrak.Store.Tests;

/// <summary>What is good of a damaged file is saved, whichever version wrote it.</summary>
public sealed class RescueTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 28, 9, 0, 0, TimeSpan.Zero);
    private readonly TempStore _store = new();
    private readonly string _aside = Directory.CreateTempSubdirectory("wendrak-aside-").FullName;

    public void Dispose()
    {
        _store.Dispose();
        Directory.Delete(_aside, recursive: true);
    }

    private static async Task<string[]> NamesAsync(TempStore store) =>
        [.. (await store.Machines.ListAsync()).Select(m => m.Machine.Name)];

    [Fact]
    public async Task What_is_good_of_a_damaged_file_is_saved_into_a_new_one()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        using (SqliteConnection connection = _store.Database.Open())
        using (SqliteCommand command = connection.CreateCommand())
        {
            command.CommandText = """
                UPDATE record SET body = replace(body, 'Curlew', 'Curfew') WHERE kind = 'machine' AND id = 1;
                UPDATE record SET body = '{}' WHERE kind = 'aim' AND id = 1;
                UPDATE change_item SET body = '{}' WHERE kind = 'aim' AND id = 1
                """;
            command.ExecuteNonQuery();
        }
        _store.Database.FoldJournalIn();
        byte[] damaged = await File.ReadAllBytesAsync(_store.Database.File);
        string into = Path.Combine(_aside, "rescued");
        Rescued rescued = Rescue.Run(_store.Folder, into, Now);
        Assert.Contains("record: aim 1", rescued.Lost);
        Assert.Equal(damaged, await File.ReadAllBytesAsync(_store.Database.File));
        using TempStore saved = new(into, keep: true);
        saved.Database.LookThrough();
        Assert.Empty(saved.Database.Damage.Found);
        // The machine's row was lost; its newest change still says what it was.
        Assert.Contains("Curlew", await NamesAsync(saved));
        Assert.Equal(7, (await NamesAsync(saved)).Length);
        Assert.DoesNotContain(await saved.Aims.ListAsync(1), a => a.Id == 1);
        await saved.AddMachineAsync("Goes on");
        Assert.Throws<DataFileException>(() => Rescue.Run(_store.Folder, into, Now));
    }

    [Fact]
    public async Task With_pages_gone_the_rest_is_saved()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        _store.Database.FoldJournalIn();
        byte[] whole = await File.ReadAllBytesAsync(_store.Database.File);
        int most = 0;
        for (int page = 40; page < whole.Length / 4096; page += 7)
        {
            string folder = Path.Combine(_aside, $"rotten-{page}");
            Directory.CreateDirectory(folder);
            byte[] rotten = [.. whole];
            Array.Clear(rotten, page * 4096, 4096);
            await File.WriteAllBytesAsync(Path.Combine(folder, Database.FileName), rotten);
            Rescued rescued = Rescue.Run(folder, Path.Combine(folder, "saved"), Now);
            using TempStore saved = new(Path.Combine(folder, "saved"), keep: true);
            saved.Database.LookThrough();
            Assert.Empty(saved.Database.Damage.Found);
            most = Math.Max(most, rescued.Saved["record"]);
            Assert.InRange((await NamesAsync(saved)).Length, 1, 7);
        }
        Assert.InRange(most, 80, 200);
    }

    public static TheoryData<string> Fixtures => EarlierVersionsTests.Fixtures;

    [Theory, MemberData(nameof(Fixtures))]
    public async Task A_file_of_an_earlier_version_is_saved_whole_or_with_pages_gone(string fixture)
    {
        string folder = Path.Combine(_aside, "earlier");
        ZipFile.ExtractToDirectory(Path.Combine(AppContext.BaseDirectory, "Fixtures", fixture), folder);
        File.Delete(Path.Combine(folder, Database.FileName + "-shm"));
        using (SqliteConnection connection = Backups.OpenAlone(Path.Combine(folder, Database.FileName)))
        using (SqliteCommand fold = connection.CreateCommand())
        {
            fold.CommandText = "PRAGMA wal_checkpoint(TRUNCATE)";
            fold.ExecuteNonQuery();
        }
        string[] all = await SavedAsync(folder, "whole");
        byte[] whole = await File.ReadAllBytesAsync(Path.Combine(folder, Database.FileName));
        int most = 0;
        for (int part = 1; part < 4; part++)
        {
            byte[] rotten = [.. whole];
            Array.Clear(rotten, whole.Length / 4096 * part / 4 * 4096, 4096);
            await File.WriteAllBytesAsync(Path.Combine(folder, Database.FileName), rotten);
            try
            {
                most = Math.Max(most, (await SavedAsync(folder, $"rotten-{part}")).Length);
            }
            catch (DataFileException e)
            {
                // The page that says which tables there are: without it no row can be found.
                Assert.Contains("malformed", e.Message, StringComparison.Ordinal);
            }
        }
        Assert.InRange(all.Length, 1, 10);
        Assert.InRange(most, 1, all.Length);
    }

    private async Task<string[]> SavedAsync(string folder, string name)
    {
        string into = Path.Combine(_aside, name);
        Rescue.Run(folder, into, Now);
        using TempStore saved = new(into, keep: true);
        saved.Database.LookThrough();
        Assert.Empty(saved.Database.Damage.Found);
        return await NamesAsync(saved);
    }

    [Fact]
    public async Task Where_nothing_can_be_read_it_says_so_and_leaves_nothing_behind()
    {
        await _store.AddMachineAsync();
        _store.Database.FoldJournalIn();
        byte[] rotten = await File.ReadAllBytesAsync(_store.Database.File);
        Array.Clear(rotten, 100, 4000);
        string folder = Path.Combine(_aside, "rotten");
        Directory.CreateDirectory(folder);
        await File.WriteAllBytesAsync(Path.Combine(folder, Database.FileName), rotten);
        string into = Path.Combine(_aside, "saved");
        DataFileException refused = Assert.Throws<DataFileException>(() => Rescue.Run(folder, into, Now));
        Assert.Contains("Nothing of", refused.Message, StringComparison.Ordinal);
        Assert.False(File.Exists(Path.Combine(into, Database.FileName)));
    }
}
