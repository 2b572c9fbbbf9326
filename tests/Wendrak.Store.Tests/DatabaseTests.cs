using System.IO.Compression;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store.Tests;

/// <summary>What a start does with the file it finds.</summary>
public sealed class DatabaseTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 24, 12, 30, 15, TimeSpan.Zero);
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-db-").FullName;

    public void Dispose()
    {
        if (Directory.Exists(_folder))
            Directory.Delete(_folder, recursive: true);
    }

    private string DataFile => Path.Combine(_folder, Database.FileName);

    private Database Prepare() => Database.Prepare(_folder, Now);

    [Fact]
    public void The_file_is_in_WAL_with_foreign_keys_and_full_synchronisation()
    {
        using Database database = Prepare();
        using SqliteConnection connection = database.Open();
        Assert.Equal("wal", connection.ExecuteScalar<string>("PRAGMA journal_mode"));
        Assert.Equal(1, connection.ExecuteScalar<long>("PRAGMA foreign_keys"));
        Assert.Equal(2, connection.ExecuteScalar<long>("PRAGMA synchronous"));
    }

    [Fact]
    public void A_new_file_needs_no_copy_and_an_up_to_date_one_neither()
    {
        Prepare().Dispose();
        Prepare().Dispose();
        Assert.False(Directory.Exists(Path.Combine(_folder, Backups.FolderName)));
    }

    [Fact]
    public void Before_a_migration_a_whole_copy_is_made()
    {
        ZipFile.ExtractToDirectory(Path.Combine(AppContext.BaseDirectory, "Fixtures", "1-machines.zip"), _folder);
        byte[] before = File.ReadAllBytes(DataFile);
        Prepare().Dispose();
        string copy = Path.Combine(_folder, Backups.FolderName, "wendrak-20261124-123015.db");
        using SqliteConnection opened = new($"Data Source={copy};Pooling=False;Mode=ReadOnly");
        Assert.Equal("ok", opened.ExecuteScalar<string>("PRAGMA integrity_check"));
        Assert.Equal(9, opened.ExecuteScalar<long>("SELECT count(*) FROM machine"));
        Assert.NotEqual(before.Length, new FileInfo(DataFile).Length);
    }

    private DataFileException Refused(byte[] content)
    {
        File.WriteAllBytes(DataFile, content);
        DataFileException refused = Assert.Throws<DataFileException>(Prepare);
        Assert.DoesNotContain('\n', refused.Message);
        Assert.Equal(content, File.ReadAllBytes(DataFile));
        return refused;
    }

    [Fact]
    public void A_file_that_is_not_SQLite_is_refused_and_left_as_it_is() =>
        Assert.Contains(
            "not a Wendrak data file",
            Refused([.. "This is a letter, not a database. "u8, .. new byte[5000]]).Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void An_empty_file_is_no_empty_workshop() =>
        Assert.Contains("is empty", Refused([]).Message, StringComparison.Ordinal);

    [Theory]
    [InlineData("CREATE TABLE notes (words TEXT)")]
    [InlineData("CREATE TABLE notes (words TEXT); PRAGMA application_id = 12345")]
    public void A_database_of_another_program_gets_none_of_our_tables(string sql)
    {
        string other = Path.Combine(_folder, "other.db");
        using (SqliteConnection connection = new($"Data Source={other};Pooling=False"))
            connection.Execute(sql);
        Assert.Contains(
            "belongs to another program",
            Refused(File.ReadAllBytes(other)).Message,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('9999-from-the-future.sql', '')", "form 12")]
    [InlineData(
        "INSERT INTO record (kind, id, version, schema, body, hash, at) VALUES ('aim', 1, 1, 77, '{}', x'', '')",
        "form 77; this program knows 3"
    )]
    public void A_file_of_a_newer_program_is_refused_with_both_numbers(string sql, string result)
    {
        using (Database database = Prepare())
        using (SqliteConnection connection = database.Open())
            connection.Execute(sql);
        DataFileException refused = Assert.Throws<DataFileException>(Prepare);
        Assert.Contains(result, refused.Message, StringComparison.Ordinal);
        Assert.Contains("newer Wendrak", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_folder_that_cannot_be_made_is_refused_in_one_line()
    {
        string file = Path.Combine(_folder, "plain-file");
        File.WriteAllText(file, "");
        DataFileException refused = Assert.Throws<DataFileException>(() =>
            Database.Prepare(Path.Combine(file, "below"), DateTimeOffset.UnixEpoch)
        );
        Assert.Contains("can't be used", refused.Message, StringComparison.Ordinal);
        Assert.DoesNotContain('\n', refused.Message);
    }

    [Fact]
    public void A_folder_is_held_by_one_and_the_next_is_told_by_whom()
    {
        using (FolderLock.Take(_folder, "Wendrak, process 17"))
        {
            DataFileException refused = Assert.Throws<DataFileException>(() => FolderLock.Take(_folder, "another"));
            Assert.Contains("process 17", refused.Message, StringComparison.Ordinal);
        }
        FolderLock.Take(_folder, "free again").Dispose();
    }

    [Fact]
    public async Task A_copy_made_by_hand_while_it_runs_holds_everything_once_the_journal_is_folded_in()
    {
        using TempStore store = new();
        await store.AddMachineAsync("Copied");
        store.Database.FoldJournalIn();
        File.Copy(store.Database.File, DataFile);
        using TempStore copy = new(_folder);
        Assert.Equal("Copied", Assert.Single(await copy.Machines.ListAsync()).Machine.Name);
    }

    /// <summary>What a crash leaves: the file, and a journal with the newest changes.</summary>
    private static (byte[] File, byte[] Journal) AsLeftByCrash(TempStore store) =>
        (Read(store.Database.File), Read(store.Database.File + "-wal"));

    private static byte[] Read(string file)
    {
        using FileStream stream = File.Open(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
        byte[] content = new byte[stream.Length];
        stream.ReadExactly(content);
        return content;
    }

    [Fact]
    public async Task After_a_crash_the_journal_is_replayed_but_never_onto_an_older_copy()
    {
        using TempStore store = new();
        await store.AddMachineAsync("First");
        store.Database.FoldJournalIn();
        byte[] older = Read(store.Database.File);
        await store.AddMachineAsync("Second");
        store.Database.FoldJournalIn();
        await store.AddMachineAsync("Third");
        (byte[] file, byte[] journal) = AsLeftByCrash(store);

        await OpensWithAsync(file, journal, ["First", "Second", "Third"], isStray: false);
        await OpensWithAsync(older, journal, ["First"], isStray: true);
    }

    private static async Task OpensWithAsync(byte[] file, byte[] journal, string[] names, bool isStray)
    {
        string folder = Directory.CreateTempSubdirectory("wendrak-left-").FullName;
        await File.WriteAllBytesAsync(Path.Combine(folder, Database.FileName), file);
        await File.WriteAllBytesAsync(Path.Combine(folder, Database.FileName + "-wal"), journal);
        using TempStore store = new(folder);
        Assert.Equal(names, (await store.Machines.ListAsync()).Select(m => m.Machine.Name).Order());
        Assert.Equal(isStray, store.Database.StrayJournal is not null);
        if (store.Database.StrayJournal is { } stray)
            Assert.Equal(journal.Length, new FileInfo(stray).Length);
        store.Database.LookThrough();
        Assert.Empty(store.Database.Damage.Found);
        await store.AddMachineAsync("Goes on");
    }

    [Fact]
    public void The_file_itself_allows_only_one_setup_as_fitted()
    {
        using Database database = Prepare();
        using SqliteConnection connection = database.Open();
        const string insert = """
            INSERT INTO record (kind, id, version, schema, body, hash, at)
            VALUES ('setup', @id, 1, 1, '{"machineId":1,"status":"asFitted"}', x'', '')
            """;
        connection.Execute(insert, new { id = 1 });
        Assert.Throws<SqliteException>(() => connection.Execute(insert, new { id = 2 }));
    }

    [Theory]
    [InlineData("2026-11-28", "2026-11-27", "2026-11-26", 3)]
    [InlineData("2026-11-28", "2026-11-28", "2026-11-28", 3)] // what was kept before a restore is not let go by the next
    [InlineData("2026-11-28", "2020-01-05", "2019-03-01", 3)] // a workshop that rested loses none
    public void Days_weeks_and_months_are_kept(string one, string two, string three, int kept)
    {
        DateTimeOffset[] made =
        [
            .. new[] { one, two, three }.Select(
                (d, hour) =>
                    DateTimeOffset.Parse($"{d}T{hour:00}:00:00Z", System.Globalization.CultureInfo.InvariantCulture)
            ),
        ];
        Assert.Equal(kept, Retention.Kept(made).Count);
    }

    [Fact]
    public void Of_two_years_of_daily_backups_those_of_days_weeks_and_months_are_kept()
    {
        DateTimeOffset[] made = [.. Enumerable.Range(0, 730).Select(day => Now.AddDays(-day))];
        HashSet<DateTimeOffset> kept = Retention.Kept(made);
        Assert.All(made[..7], m => Assert.Contains(m, kept));
        // 24 November 2026 is a Tuesday: the Sundays before it end its last weeks, month ends its last months.
        Assert.Contains(kept, m => m.Date == new DateTime(2026, 11, 8));
        Assert.Contains(kept, m => m.Date == new DateTime(2025, 12, 31));
        Assert.DoesNotContain(kept, m => m.Date < new DateTime(2025, 12, 31));
        Assert.InRange(kept.Count, 7 + 3 + 10, 7 + 4 + 12);
    }
}
