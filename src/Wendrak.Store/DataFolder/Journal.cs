using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>
/// The write-ahead journal beside the data file. SQLite replays whatever lies there; one that belongs to another state of
/// the file (an older copy was laid in its place) would spoil it. So each journal begins by counting the generation up.
/// </summary>
internal static class Journal
{
    public const string Suffix = "-wal";
    private const string IndexSuffix = "-shm";

    /// <summary>Counts up in the first commit of a journal. The write lock is held, so nobody else begins it.</summary>
    public static async Task CountAsync(SqliteConnection connection, SqliteTransaction transaction, string file)
    {
        FileInfo journal = new(file + Suffix);
        if (!journal.Exists || journal.Length == 0)
            await connection.ExecuteAsync("UPDATE generation SET n = n + 1", transaction: transaction);
    }

    /// <summary>Puts a journal away that lies beside a file it does not belong to.</summary>
    /// <returns>Where it is now; null when all is well.</returns>
    public static string? PutStrayAside(string file, DateTimeOffset now)
    {
        string journal = file + Suffix;
        if (!File.Exists(journal))
            return null;
        bool belongs = new FileInfo(journal).Length == 0 || (File.Exists(file) && Belongs(file));
        if (belongs)
            return null;
        string aside = Path.Combine(
            Path.GetDirectoryName(file)!,
            Backups.FolderName,
            $"stray-{now:yyyyMMdd-HHmmss}{Suffix}"
        );
        Directory.CreateDirectory(Path.GetDirectoryName(aside)!);
        File.Move(journal, aside, overwrite: true);
        File.Delete(file + IndexSuffix);
        return aside;
    }

    /// <summary>It was begun on this very file: it counts one further, or the same where it was folded in already.</summary>
    private static bool Belongs(string file) =>
        Generation(file, withJournal: false) is not long inFile
        || Generation(file, withJournal: true) is not long inJournal
        || inJournal == inFile
        || inJournal == inFile + 1;

    /// <returns>Null where the file is of a version that did not count.</returns>
    private static long? Generation(string file, bool withJournal)
    {
        // A connection that may only read leaves file and journal as they are, also when it is closed.
        string source = withJournal ? file : $"file:{Uri.EscapeDataString(file)}?immutable=1";
        using SqliteConnection connection = new(
            new SqliteConnectionStringBuilder
            {
                DataSource = source,
                Mode = SqliteOpenMode.ReadOnly,
                Pooling = false,
            }.ToString()
        );
        try
        {
            connection.Open();
            return connection.ExecuteScalar<long>("SELECT n FROM generation");
        }
        catch (SqliteException e) when (e.SqliteErrorCode == 1)
        {
            return null;
        }
    }
}
