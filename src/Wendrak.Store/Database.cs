using System.Reflection;
using Dapper;
using DbUp;
using DbUp.Engine;
using DbUp.Engine.Output;
using DbUp.Sqlite.Helpers;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Jobs;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store;

/// <summary>The data file could not be used; the message is one line for the person who started the program.</summary>
public sealed class DataFileException(string message, Exception? inner = null) : Exception(message, inner);

/// <summary>The one SQLite file of a workshop: WAL, foreign keys on, every commit on the disk before it is answered.</summary>
public sealed class Database
{
    public const string FileName = "wendrak.db";
    public const string BackupFolderName = "backups";

    private const int NotADatabase = 26;
    private readonly string _connectionString;

    /// <summary>What was found damaged since the start.</summary>
    public Damage Damage { get; } = new();

    private Database(string file) =>
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = file,
            ForeignKeys = true,
            DefaultTimeout = 10,
        }.ToString();

    /// <summary>Opens or creates the data file and brings it up to date, after a copy of what was there.</summary>
    /// <param name="folder">Folder of the data file; made when missing.</param>
    /// <param name="now">Goes into the name of the copy.</param>
    /// <exception cref="DataFileException">The folder can't be written, or the file is no data file of ours.</exception>
    public static Database Prepare(string folder, DateTimeOffset now)
    {
        string file = Path.Combine(folder, FileName);
        try
        {
            Directory.CreateDirectory(folder);
            bool isNew = !File.Exists(file);
            Database database = new(file);
            using (SqliteConnection connection = database.Open())
                connection.Execute("PRAGMA journal_mode = WAL");
            database.Migrate(isNew, folder, now);
            return database;
        }
        catch (SqliteException e) when (e.SqliteErrorCode == NotADatabase)
        {
            throw new DataFileException(
                $"{file} is not a Wendrak data file. It was left as it is; name another folder with --data.",
                e
            );
        }
        catch (Exception e) when (e is SqliteException or IOException or UnauthorizedAccessException)
        {
            throw new DataFileException(
                $"The data folder {folder} can't be used: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
    }

    public SqliteConnection Open()
    {
        SqliteConnection connection = new(_connectionString);
        connection.Open();
        connection.Execute("PRAGMA synchronous = FULL");
        return connection;
    }

    /// <summary>Reads in one transaction: everything in the answer is of one moment.</summary>
    public async Task<T> ReadAsync<T>(Func<Session, Task<T>> read)
    {
        await using SqliteConnection connection = Open();
        await using SqliteTransaction transaction = connection.BeginTransaction(deferred: true);
        return await read(new(connection, transaction, Damage));
    }

    internal SqliteConnection OpenToWrite() => Open();

    /// <summary>Closes pooled connections, which folds the write-ahead logs into their files.</summary>
    public static void CloseAll() => SqliteConnection.ClearAllPools();

    private void Migrate(bool isNew, string folder, DateTimeOffset now)
    {
        using SqliteConnection connection = Open();
        // Asked here rather than by the upgrader, which takes half a second to say that there is nothing to do.
        string[] scripts = [.. ScriptNames().Order(StringComparer.Ordinal)];
        string[] applied = [.. AppliedScripts(connection)];
        string[] unknown = [.. applied.Except(scripts)];
        if (unknown.Length > 0)
            throw new DataFileException(
                $"The data in {folder} was written by a newer Wendrak ({unknown[0]}). Update the program; nothing was changed."
            );
        if (applied.Length == scripts.Length)
            return;
        if (!isNew)
            Backup(connection, Path.Combine(folder, BackupFolderName), now);
        // What scripts call to bring over what earlier versions held.
        connection.CreateFunction<string, long, long, long, string, byte[]>("body_hash", BodyHash.Of, isDeterministic: true);
        connection.CreateFunction<string, string>("visit_entries", EarlierVisits.ToEntries, isDeterministic: true);
        using SharedConnection shared = new(connection);
        UpgradeEngine upgrader = DeployChanges
            .To.SqliteDatabase(shared)
            .WithScriptsEmbeddedInAssembly(Assembly.GetExecutingAssembly(), IsScript)
            .WithTransactionPerScript()
            .WithVariablesDisabled()
            .LogTo(new NoOpUpgradeLog())
            .Build();
        DatabaseUpgradeResult result = upgrader.PerformUpgrade();
        if (!result.Successful)
            throw new DataFileException(
                $"The data in {folder} could not be brought up to date ({result.ErrorScript?.Name}): {result.Error.Message}",
                result.Error
            );
    }

    private static IEnumerable<string> ScriptNames() =>
        Assembly.GetExecutingAssembly().GetManifestResourceNames().Where(IsScript);

    private static bool IsScript(string name) => name.EndsWith(".sql", StringComparison.Ordinal);

    private static IEnumerable<string> AppliedScripts(SqliteConnection connection)
    {
        const string exists = "SELECT count(*) FROM sqlite_master WHERE type = 'table' AND name = 'SchemaVersions'";
        return connection.ExecuteScalar<long>(exists) == 0
            ? []
            : connection.Query<string>("SELECT ScriptName FROM SchemaVersions");
    }

    /// <summary>SQLite's own copy, which is whole even while the write-ahead log holds pages.</summary>
    private static void Backup(SqliteConnection connection, string folder, DateTimeOffset now)
    {
        Directory.CreateDirectory(folder);
        string file = Path.Combine(folder, FormattableString.Invariant($"wendrak-{now:yyyyMMdd-HHmmss}.db"));
        using SqliteConnection copy = new(
            new SqliteConnectionStringBuilder { DataSource = file, Pooling = false }.ToString()
        );
        copy.Open();
        connection.BackupDatabase(copy);
    }
}
