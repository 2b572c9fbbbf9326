using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>Copies of the data file, each looked through after it was written.</summary>
public static class Backups
{
    public const string FolderName = "backups";
    private const string Prefix = "wendrak-";
    private const string Stamp = "yyyyMMdd-HHmmss";
    private const string Unfinished = ".unfinished";

    /// <summary>A backup made by itself; attachments stay where they are and are shared by their hash.</summary>
    public sealed record Made(string File, DateTimeOffset At);

    /// <summary>Newest first.</summary>
    public static IReadOnlyList<Made> List(string folder)
    {
        string backups = Path.Combine(folder, FolderName);
        return !Directory.Exists(backups)
            ? []
            :
            [
                .. Directory
                    .GetFiles(backups, $"{Prefix}*.db")
                    .Select(f => (File: f, At: MadeAt(f)))
                    .Where(f => f.At is not null)
                    .Select(f => new Made(f.File, f.At!.Value))
                    .OrderByDescending(m => m.At),
            ];
    }

    /// <summary>Makes a backup among the others and lets go of those that are not kept.</summary>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">What was written is not what was there; nothing was let go.</exception>
    public static Made Make(Database database, DateTimeOffset now, Action<string>? between = null)
    {
        string backups = Path.Combine(database.Folder, FolderName);
        Directory.CreateDirectory(backups);
        foreach (string left in Directory.GetFiles(backups, $"*{Unfinished}"))
            File.Delete(left);
        between?.Invoke("swept");
        string file;
        // Two in one second are two.
        for (DateTimeOffset at = now.ToUniversalTime(); ; at = at.AddSeconds(1))
            if (
                !File.Exists(
                    file = Path.Combine(backups, Prefix + at.ToString(Stamp, CultureInfo.InvariantCulture) + ".db")
                )
            )
                break;
        using (SqliteConnection from = database.Open())
            Copy(from, file, between);
        HashSet<DateTimeOffset> kept = Retention.Kept([.. List(database.Folder).Select(m => m.At)]);
        foreach (Made made in List(database.Folder).Where(m => !kept.Contains(m.At)))
        {
            File.Delete(made.File);
            between?.Invoke("let go of one");
        }
        return new(file, MadeAt(file)!.Value);
    }

    /// <summary>Keeps a damaged file as it is, under a name that is no backup's.</summary>
    internal static Made KeepDamaged(Database database, DateTimeOffset now)
    {
        string backups = Path.Combine(database.Folder, FolderName);
        Directory.CreateDirectory(backups);
        string stamp = now.ToUniversalTime().ToString(Stamp, CultureInfo.InvariantCulture);
        string file = Path.Combine(backups, $"damaged-{stamp}-{Guid.NewGuid():N}.db");
        File.Copy(database.File, file);
        if (File.Exists(database.File + Journal.Suffix))
            File.Copy(database.File + Journal.Suffix, file + Journal.Suffix);
        return new(file, now);
    }

    /// <summary>SQLite's own copy, whole while others write, under its name only once it was found good.</summary>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">What was written is not what was there.</exception>
    internal static void Copy(SqliteConnection from, string file, Action<string>? between = null)
    {
        string unfinished = file + Unfinished;
        File.Delete(unfinished);
        try
        {
            using (SqliteConnection to = OpenAlone(unfinished))
            {
                (string, long)[] rows;
                using (from.BeginTransaction(deferred: true)) // what is counted is what is copied
                {
                    rows = Rows(from);
                    from.BackupDatabase(to);
                }
                between?.Invoke("copied");
                // One file, and no journal of the original belongs to it.
                to.Execute("PRAGMA journal_mode = DELETE");
                if (to.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'generation'") > 0)
                    to.Execute("UPDATE generation SET n = -100");
                Verify(to, rows);
            }
            between?.Invoke("looked through");
            using (FileStream written = File.OpenWrite(unfinished))
                written.Flush(flushToDisk: true);
            File.Move(unfinished, file, overwrite: true);
            between?.Invoke("named");
        }
        finally
        {
            File.Delete(unfinished);
        }
    }

    /// <summary>What to do when the data can't be used, in a few words.</summary>
    public static string Advice(string folder) =>
        List(folder) is [var newest, ..]
            ? $"save what is good with --rescue, or go back to the newest backup with --restore {newest.File}"
            : "save what is good with --rescue";

    /// <summary>How many rows each table has.</summary>
    internal static (string Table, long Count)[] Rows(SqliteConnection connection) =>
        [
            .. connection
                .Query<string>("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
                .Select(t => (t, connection.ExecuteScalar<long>($"SELECT count(*) FROM \"{t}\""))),
        ];

    /// <param name="rows">Of what was copied.</param>
    /// <exception cref="DataFileException">It is not whole.</exception>
    internal static void Verify(SqliteConnection copy, (string Table, long Count)[] rows)
    {
        string found = copy.ExecuteScalar<string>("PRAGMA integrity_check(1)") ?? "";
        if (found != "ok")
            throw new DataFileException($"The backup is not whole: {found}.");
        if (rows.Except(Rows(copy)).ToList() is [var (table, count), ..])
            throw new DataFileException($"The backup is not whole: it does not hold the {count} rows of {table}.");
        if (copy.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'record'") == 0)
            return; // of a version before the records
        if (BodyScan.Find(copy).ToList() is { Count: > 0 } damaged)
            throw new DataFileException(
                $"The backup is not whole: {string.Join(", ", damaged.Select(d => $"{d.Kind} {d.Id}"))}."
            );
    }

    internal static SqliteConnection OpenAlone(string file, SqliteOpenMode mode = SqliteOpenMode.ReadWriteCreate)
    {
        SqliteConnection connection = new(
            new SqliteConnectionStringBuilder
            {
                DataSource = file,
                Pooling = false,
                Mode = mode,
            }.ToString()
        );
        connection.Open();
        return connection;
    }

    private static DateTimeOffset? MadeAt(string file)
    {
        string stamp = Path.GetFileNameWithoutExtension(file)[Prefix.Length..];
        return DateTimeOffset.TryParseExact(
            stamp,
            Stamp,
            CultureInfo.InvariantCulture,
            DateTimeStyles.AssumeUniversal,
            out DateTimeOffset at
        )
            ? at
            : null;
    }
}
