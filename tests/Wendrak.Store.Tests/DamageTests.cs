using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;
using Wendrak.Store.Demo;

namespace Wendrak.Store.Tests;

/// <summary>A data file that is not what was written: it is noticed, named, and nothing is written over it.</summary>
public sealed class DamageTests : IAsyncLifetime, IDisposable
{
    private const int Places = 50;
    private readonly TempStore _store = new();
    private byte[] _whole = [];
    private string _answers = "";

    public async Task InitializeAsync()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        _store.Database.FoldJournalIn();
        _whole = await File.ReadAllBytesAsync(_store.Database.File);
        _answers = await AnswersAsync(_store);
    }

    public Task DisposeAsync() => Task.CompletedTask;

    public void Dispose() => _store.Dispose();

    /// <summary>Everything there is to read, one line a record.</summary>
    private static async Task<string> AnswersAsync(TempStore store)
    {
        List<string> lines = [];
        foreach (Machines.FittedMachine m in await store.Machines.ListAsync())
        {
            lines.Add(EarlierJson.ToJson(m.Machine));
            lines.AddRange((await store.Setups.ListAsync(m.Machine.Id)).Select(EarlierJson.ToJson));
            lines.AddRange((await store.Aims.ListAsync(m.Machine.Id)).Select(EarlierJson.ToJson));
            lines.AddRange(m.Visits.Select(EarlierJson.ToJson));
        }
        lines.AddRange((await store.Stock.Wheels.ListAsync()).Select(EarlierJson.ToJson));
        lines.AddRange((await store.Stock.GearboxSets.ListAsync()).Select(EarlierJson.ToJson));
        return string.Join('\n', lines);
    }

    private static string NewFolder() => Directory.CreateTempSubdirectory("wendrak-damaged-").FullName;

    [Fact]
    public async Task Cut_off_anywhere_it_is_refused_and_left_as_it_is()
    {
        for (int place = 0; place < Places; place++)
        {
            string folder = NewFolder();
            byte[] cut = _whole[..(int)((long)_whole.Length * place / Places)];
            string file = Path.Combine(folder, Database.FileName);
            await File.WriteAllBytesAsync(file, cut);
            DataFileException refused = Assert.Throws<DataFileException>(() =>
                Database.Prepare(folder, DateTimeOffset.UnixEpoch)
            );
            Assert.Matches("is empty|not a Wendrak data file|is cut off", refused.Message);
            Assert.Contains("--rescue", refused.Message, StringComparison.Ordinal);
            Assert.Equal(cut, await File.ReadAllBytesAsync(file));
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public async Task With_a_rotten_page_nothing_wrong_is_told_and_nothing_is_written()
    {
        const int pageSize = 4096;
        int noticed = 0;
        Random random = new(17);
        for (int place = 0; place < Places; place++)
        {
            string folder = NewFolder();
            byte[] rotten = [.. _whole];
            int page = place == 0 ? 0 : random.Next(rotten.Length / pageSize);
            random.NextBytes(rotten.AsSpan((page * pageSize) + (place == 0 ? 100 : 0), pageSize - 100));
            string file = Path.Combine(folder, Database.FileName);
            await File.WriteAllBytesAsync(file, rotten);
            if (await IsNoticedAsync(folder))
            {
                noticed++;
                Assert.Equal(rotten, await File.ReadAllBytesAsync(file));
            }
            if (Directory.Exists(folder))
                Directory.Delete(folder, recursive: true);
        }
        // A page that holds nothing may rot unnoticed; most hold something.
        Assert.InRange(noticed, Places * 3 / 4, Places);
    }

    private async Task<bool> IsNoticedAsync(string folder)
    {
        TempStore store;
        try
        {
            store = new TempStore(folder, keep: true);
        }
        catch (DataFileException e)
        {
            Assert.Contains("damaged", e.Message, StringComparison.Ordinal);
            return true;
        }
        using (store)
        {
            try
            {
                string[] result = (await AnswersAsync(store)).Split('\n');
                Assert.Subset(new HashSet<string>(_answers.Split('\n')), new HashSet<string>(result));
                Assert.True(result.Length == _answers.Split('\n').Length || store.Database.Damage.IsAny);
            }
            catch (Exception e) when (e is StorageException or DamagedException or UnreadableBodyException) { }
            store.Database.LookThrough();
            if (!store.Database.Damage.IsAny)
                return false;
            StorageException refused = await Assert.ThrowsAsync<StorageException>(() => store.AddMachineAsync());
            Assert.Equal(StorageTrouble.Damaged, refused.Trouble);
            Assert.NotEmpty(store.Database.Damage.Found);
            return true;
        }
    }

    /// <summary>A value that was changed in the file is a good value to the database; its body's hash tells.</summary>
    [Theory]
    [InlineData("UPDATE record SET body = replace(body, '\"frontSize\":15', '\"frontSize\":16') WHERE kind = 'setup'")]
    [InlineData("UPDATE record SET version = version + 1 WHERE kind = 'aim' AND id = 1")]
    [InlineData("UPDATE job_event SET body = replace(body, '104.8', '14.8')")]
    [InlineData("UPDATE change_item SET body = replace(body, 'Curlew', 'Curfew') WHERE kind = 'machine'")]
    public async Task A_changed_value_is_named_when_it_is_read_or_looked_for(string sql)
    {
        using (SqliteConnection connection = _store.Database.Open())
        using (SqliteCommand command = connection.CreateCommand())
        {
            command.CommandText = sql;
            Assert.NotEqual(0, command.ExecuteNonQuery());
        }
        _store.Database.LookThrough();
        Assert.NotEmpty(_store.Database.Damage.Found);
        StorageException refused = await Assert.ThrowsAsync<StorageException>(() => _store.AddMachineAsync());
        Assert.Contains("damaged", refused.Message, StringComparison.Ordinal);
    }

    /// <summary>Result codes: https://www.sqlite.org/rescode.html.</summary>
    [Theory]
    [InlineData(5, 5, StorageTrouble.Busy)]
    [InlineData(8, 8, StorageTrouble.ReadOnly)]
    [InlineData(10, 778, StorageTrouble.Failing)] // SQLITE_IOERR_WRITE
    [InlineData(11, 11, StorageTrouble.Damaged)]
    [InlineData(13, 13, StorageTrouble.Full)]
    [InlineData(14, 14, StorageTrouble.Gone)]
    [InlineData(26, 26, StorageTrouble.Damaged)]
    [InlineData(1, 1, null)] // a mistake of ours
    [InlineData(19, 19, null)]
    public void What_the_database_refuses_is_said_in_a_sentence(int code, int extended, StorageTrouble? trouble)
    {
        StorageException? result = StorageException.From(new SqliteException("refused", code, extended));
        Assert.Equal(trouble, result?.Trouble);
        Assert.True(result is null || result.Message.Length > 40);
    }

    [Fact]
    public async Task One_damaged_record_is_told_at_its_reading_and_the_others_are_read()
    {
        using (SqliteConnection connection = _store.Database.Open())
        using (SqliteCommand command = connection.CreateCommand())
        {
            command.CommandText = "UPDATE record SET body = replace(body, 'Curlew', 'Curfew') WHERE kind = 'machine'";
            command.ExecuteNonQuery();
        }
        DamagedException result = await Assert.ThrowsAsync<DamagedException>(() => _store.Machines.FindAsync(1));
        Assert.Contains("machine 1", result.Message, StringComparison.Ordinal);
        Assert.DoesNotContain(await _store.Machines.ListAsync(), m => m.Machine.Id == 1);
        Assert.Equal(6, (await _store.Machines.ListAsync()).Count);
        Assert.Equal(["machine 1"], _store.Database.Damage.Found);
    }

    [Fact]
    public async Task A_file_that_is_taken_away_while_it_runs_takes_no_edits()
    {
        File.Move(_store.Database.File, _store.Database.File + ".away");
        StorageException refused = await Assert.ThrowsAsync<StorageException>(() => _store.AddMachineAsync());
        Assert.Equal(StorageTrouble.Gone, refused.Trouble);
        File.Copy(_store.Database.File + ".away", _store.Database.File); // another file in its place is not it
        Assert.Equal(
            StorageTrouble.Gone,
            (await Assert.ThrowsAsync<StorageException>(() => _store.AddMachineAsync())).Trouble
        );
        File.Move(_store.Database.File + ".away", _store.Database.File, overwrite: true);
        await _store.AddMachineAsync();
        Assert.Null(_store.Database.Trouble);
    }

    [Fact]
    public void A_backup_that_is_not_whole_is_none()
    {
        using (SqliteConnection connection = _store.Database.Open())
        using (SqliteCommand command = connection.CreateCommand())
        {
            command.CommandText = "UPDATE record SET version = 99 WHERE kind = 'aim' AND id = 1";
            command.ExecuteNonQuery();
        }
        DataFileException refused = Assert.Throws<DataFileException>(() =>
            Backups.Make(_store.Database, DateTimeOffset.UnixEpoch)
        );
        Assert.Contains("aim", refused.Message, StringComparison.Ordinal);
        Assert.Empty(Backups.List(_store.Folder));
        Assert.Empty(Directory.GetFiles(Path.Combine(_store.Folder, Backups.FolderName)));
    }
}
