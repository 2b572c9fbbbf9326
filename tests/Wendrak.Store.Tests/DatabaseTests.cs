using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store.Tests;

public sealed class DatabaseTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-db-").FullName;

    public void Dispose()
    {
        Database.CloseAll();
        Directory.Delete(_folder, recursive: true);
    }

    private Database Prepare() => Database.Prepare(_folder, new(2026, 11, 24, 12, 30, 15, TimeSpan.Zero));

    [Fact]
    public void The_file_is_in_WAL_with_foreign_keys_and_full_synchronisation()
    {
        using SqliteConnection connection = Prepare().Open();
        Assert.Equal("wal", connection.ExecuteScalar<string>("PRAGMA journal_mode"));
        Assert.Equal(1, connection.ExecuteScalar<long>("PRAGMA foreign_keys"));
        Assert.Equal(2, connection.ExecuteScalar<long>("PRAGMA synchronous"));
    }

    [Fact]
    public void A_new_file_needs_no_copy_and_an_up_to_date_one_neither()
    {
        Prepare();
        Prepare();
        Assert.False(Directory.Exists(Path.Combine(_folder, Database.BackupFolderName)));
    }

    [Fact]
    public void Before_a_migration_a_whole_copy_is_made()
    {
        using (SqliteConnection connection = Prepare().Open())
        {
            // An older file: it has data, and does not know of the migration.
            connection.Execute("CREATE TABLE kept (value TEXT); INSERT INTO kept VALUES ('precious')");
            connection.Execute("DELETE FROM SchemaVersions");
            connection.Execute(
                """
                DROP VIEW reading; DROP TABLE job_event; DROP TABLE change_item; DROP TABLE change;
                DROP TABLE reference; DROP TABLE number_given; DROP TABLE record
                """
            );
        }
        Prepare();
        string copy = Path.Combine(_folder, Database.BackupFolderName, "wendrak-20261124-123015.db");
        using SqliteConnection opened = new($"Data Source={copy};Pooling=False");
        Assert.Equal("precious", opened.ExecuteScalar<string>("SELECT value FROM kept"));
        Assert.Equal("ok", opened.ExecuteScalar<string>("PRAGMA integrity_check"));
    }

    [Fact]
    public void A_file_that_is_not_SQLite_is_refused_and_left_as_it_is()
    {
        string file = Path.Combine(_folder, Database.FileName);
        File.WriteAllText(file, "This is a letter, not a database. " + new string('x', 5000));
        DataFileException refused = Assert.Throws<DataFileException>(Prepare);
        Assert.Contains("not a Wendrak data file", refused.Message, StringComparison.Ordinal);
        Assert.DoesNotContain('\n', refused.Message);
        Assert.StartsWith("This is a letter", File.ReadAllText(file), StringComparison.Ordinal);
    }

    [Fact]
    public void A_file_of_a_newer_program_is_refused_and_left_as_it_is()
    {
        using (SqliteConnection connection = Prepare().Open())
            connection.Execute(
                "INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('9999-from-the-future.sql', '2030-01-01')"
            );
        DataFileException refused = Assert.Throws<DataFileException>(Prepare);
        Assert.Contains("9999-from-the-future", refused.Message, StringComparison.Ordinal);
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
    public void The_file_itself_allows_only_one_setup_as_fitted()
    {
        using SqliteConnection connection = Prepare().Open();
        const string insert = """
            INSERT INTO record (kind, id, version, schema, body, hash, at)
            VALUES ('setup', @id, 1, 1, '{"machineId":1,"status":"asFitted"}', x'', '')
            """;
        connection.Execute(insert, new { id = 1 });
        Assert.Throws<SqliteException>(() => connection.Execute(insert, new { id = 2 }));
    }
}
