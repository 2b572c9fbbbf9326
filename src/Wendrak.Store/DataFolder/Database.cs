using System.Reflection;
using Dapper;
using DbUp;
using DbUp.Engine;
using DbUp.Engine.Output;
using DbUp.Sqlite.Helpers;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>The one SQLite file of a workshop: WAL, foreign keys on, every commit on the disk before it is answered.</summary>
public sealed class Database : IDisposable
{
    public const string FileName = "wendrak.db";

    private readonly string _connectionString;
    private readonly SqliteConnection _anchor; // keeps the journal from being folded in whenever nobody is at work
    private readonly OpenFile _opened;
    private readonly SemaphoreSlim _writing = new(1);

    private Database(string file)
    {
        File = file;
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = file,
            ForeignKeys = true,
            DefaultTimeout = 10,
        }.ToString();
        _anchor = Open();
        _anchor.Execute("PRAGMA journal_mode = WAL");
        _opened = new(file);
    }

    public string File { get; }
    public string Folder => Path.GetDirectoryName(File)!;

    /// <summary>What was found damaged since the start; while there is any, nothing is written.</summary>
    public Damage Damage { get; } = new();

    /// <summary>Why the last attempt to write failed; null once one succeeded.</summary>
    public StorageTrouble? Trouble { get; private set; }

    /// <summary>Of what this data is: another one once a backup was restored.</summary>
    public string DataId { get; private set; } = "";

    /// <summary>How often something was put on the disk since the start: what was read before the last time may be old.</summary>
    public long Commits => Interlocked.Read(ref _commits);
    private long _commits;

    /// <summary>Something was put on the disk, as the count says; called where it was done, before others may write.</summary>
    public event Action<long>? Committed;

    /// <summary>Where a journal was put that lay beside the file and did not belong to it; null when there was none.</summary>
    public string? StrayJournal { get; private init; }

    /// <summary>Opens or creates the data file and brings it up to date, after a copy of what was there.</summary>
    /// <param name="folder">Folder of the data file; made when missing.</param>
    /// <param name="now">Goes into the name of the copy.</param>
    /// <exception cref="DataFileException">The folder can't be written, or the file is no data file of ours.</exception>
    public static Database Prepare(string folder, DateTimeOffset now)
    {
        string file = Path.Combine(folder, FileName);
        Database? database = null;
        try
        {
            Directory.CreateDirectory(folder);
            string? stray = Journal.PutStrayAside(file, now);
            bool isNew = !System.IO.File.Exists(file);
            if (!isNew)
                DataFileLook.Check(file);
            database = new(file) { StrayJournal = stray };
            database.Migrate(isNew, now);
            database.CheckForms();
            database.DataId = database.ReadDataId();
            return database;
        }
        catch (Exception e) when (e is SqliteException or IOException or UnauthorizedAccessException)
        {
            database?.Dispose();
            bool isDamaged = e is SqliteException s && StorageException.From(s)?.Trouble == StorageTrouble.Damaged;
            throw new DataFileException(
                isDamaged
                    ? $"{file} is damaged ({e.Message.ReplaceLineEndings(" ")}). It was left as it is: {Backups.Advice(folder)}."
                    : $"The data folder {folder} can't be used: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
        catch (DataFileException)
        {
            database?.Dispose();
            throw;
        }
    }

    public void Dispose()
    {
        _writing.Dispose();
        _anchor.Close();
        SqliteConnection.ClearPool(_anchor);
    }

    public SqliteConnection Open()
    {
        SqliteConnection connection = new(_connectionString);
        connection.Open();
        // The journal is folded in by us, so that each one begins by counting.
        connection.Execute("PRAGMA synchronous = FULL; PRAGMA wal_autocheckpoint = 0");
        return connection;
    }

    /// <summary>Reads in one transaction: everything in the answer is of one moment.</summary>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public async Task<T> ReadAsync<T>(Func<Session, Task<T>> read)
    {
        try
        {
            await using SqliteConnection connection = Open();
            await using SqliteTransaction transaction = connection.BeginTransaction(deferred: true);
            return await read(new(connection, transaction, Damage));
        }
        catch (SqliteException e) when (StorageException.From(e) is { } trouble)
        {
            Note(trouble);
            throw trouble;
        }
    }

    /// <summary>Runs something in a transaction that holds the write lock from the start. It is on the disk when this returns.</summary>
    /// <exception cref="StorageException">Nothing can be written just now; nothing was.</exception>
    internal async Task<T> WriteAsync<T>(Func<Session, Task<T>> write, CancellationToken ct)
    {
        await _writing.WaitAsync(ct);
        try
        {
            CheckWritable();
            await using SqliteConnection connection = Open();
            await using SqliteTransaction transaction = connection.BeginTransaction();
            await Journal.CountAsync(connection, transaction, File);
            T result = await write(new(connection, transaction, Damage));
            ct.ThrowIfCancellationRequested();
            await transaction.CommitAsync(CancellationToken.None);
            CountCommit();
            Trouble = null;
            return result;
        }
        catch (SqliteException e) when (StorageException.From(e) is { } trouble)
        {
            Note(trouble);
            throw trouble;
        }
        catch (StorageException e)
        {
            Note(e);
            throw;
        }
        finally
        {
            _writing.Release();
        }
    }

    /// <summary>Puts the content of another data file in the place of this one's, whole or not at all.</summary>
    /// <param name="prepare">Given the newest state of this file while nobody writes; the other one is ready after it.</param>
    internal async Task ReplaceAsync(string with, Action<SqliteConnection> prepare)
    {
        await _writing.WaitAsync();
        try
        {
            using SqliteConnection connection = Open();
            prepare(connection);
            using SqliteConnection other = Backups.OpenAlone(with, SqliteOpenMode.ReadOnly);
            other.BackupDatabase(connection);
            DataId = ReadDataId();
            CountCommit();
            Damage.Clear();
        }
        catch (SqliteException e) when (StorageException.From(e) is { } trouble)
        {
            throw trouble;
        }
        finally
        {
            _writing.Release();
        }
    }

    private void CountCommit()
    {
        // Counted whether or not somebody listens.
        long count = Interlocked.Increment(ref _commits);
        Committed?.Invoke(count);
    }

    private string ReadDataId() => _anchor.ExecuteScalar<string>("SELECT data_id FROM generation")!;

    /// <summary>Folds the journal into the file, so that a copy of it made by hand holds everything; not while something is written.</summary>
    public void FoldJournalIn()
    {
        if (Damage.IsAny || !IsInPlace || !_writing.Wait(0))
            return;
        try
        {
            _anchor.Execute("PRAGMA wal_checkpoint(TRUNCATE)");
        }
        finally
        {
            _writing.Release();
        }
    }

    /// <summary>Whether the file is the one that was opened.</summary>
    public bool IsInPlace => _opened.IsInPlace;

    /// <summary>Looks through the whole file; what is damaged is told in <see cref="Damage"/>. Others go on meanwhile.</summary>
    public void LookThrough()
    {
        try
        {
            using SqliteConnection connection = Open();
            using SqliteTransaction transaction = connection.BeginTransaction(deferred: true);
            if (connection.ExecuteScalar<string>("PRAGMA quick_check(1)") != "ok")
                Damage.Add("data_file", 0);
            if (connection.Query("PRAGMA foreign_key_check").Any())
                Damage.Add("reference", 0);
            foreach (BadBody bad in BodyScan.Find(connection))
                Damage.Add(bad.Kind, bad.Id);
        }
        catch (SqliteException e) when (StorageException.From(e) is { } trouble)
        {
            Note(trouble);
        }
    }

    /// <summary>What is in the way of writing; what was and has passed is forgotten.</summary>
    public async Task<StorageTrouble?> TroubleNowAsync(CancellationToken ct)
    {
        try
        {
            if (Trouble is null)
                CheckWritable();
            else
                await WriteAsync(TryRoomAsync, ct);
            return null;
        }
        catch (StorageException e)
        {
            return e.Trouble;
        }
    }

    /// <summary>Whether the disk takes as much as an edit needs; nothing of it stays.</summary>
    private async Task<bool> TryRoomAsync(Session session)
    {
        const int bytes = 256 * 1024;
        string file = Path.Combine(Folder, "room");
        try
        {
            await System.IO.File.WriteAllBytesAsync(file, new byte[bytes]);
            return true;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new StorageException(Trouble ?? StorageTrouble.Failing, e);
        }
        finally
        {
            System.IO.File.Delete(file);
        }
    }

    private void CheckWritable()
    {
        if (Damage.IsAny)
            throw new StorageException(StorageTrouble.Damaged);
        if (!IsInPlace)
            throw new StorageException(StorageTrouble.Gone);
    }

    private void Note(StorageException trouble)
    {
        Trouble = trouble.Trouble;
        if (trouble is { Trouble: StorageTrouble.Damaged, InnerException: not null })
            Damage.Add("data_file", 0);
    }

    private void Migrate(bool isNew, DateTimeOffset now)
    {
        using SqliteConnection connection = Open();
        // Asked here rather than by the upgrader, which takes half a second to say that there is nothing to do.
        string[] scripts = [.. ScriptNames().Order(StringComparer.Ordinal)];
        string[] applied = [.. AppliedScripts(connection)];
        string[] unknown = [.. applied.Except(scripts)];
        if (unknown.Length > 0)
            throw new DataFileException(
                $"The data in {Folder} was written by a newer Wendrak (form {applied.Length}, {unknown[^1]}; this program knows {scripts.Length}). Update the program; nothing was changed."
            );
        if (applied.Length == scripts.Length)
            return;
        if (!isNew)
            Backups.Make(this, now);
        // What scripts call to bring over what earlier versions held.
        connection.CreateFunction<string, long, long, long, string, byte[]>(
            "body_hash",
            BodyHash.Compute,
            isDeterministic: true
        );
        connection.CreateFunction<string, long, long, long, string, byte[]>(
            "earlier_body_hash",
            BodyHash.ComputeEarlier,
            isDeterministic: true
        );
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
                $"The data in {Folder} could not be brought up to date ({result.ErrorScript?.Name}): {result.Error.Message}",
                result.Error
            );
    }

    /// <summary>Refuses records that a newer program wrote: this one would not know all of what they say.</summary>
    private void CheckForms()
    {
        const string sql = "SELECT kind AS Kind, max(schema) AS Newest FROM record GROUP BY kind";
        foreach ((string kind, long newest) in _anchor.Query<(string, long)>(sql))
            if (Kinds.All.FirstOrDefault(k => k.Name == kind) is { } known && newest > known.Schema)
                throw new DataFileException(
                    $"The data in {Folder} was written by a newer Wendrak (a {known.Word} in form {newest}; this program knows {known.Schema}). Update the program; nothing was changed."
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
            : connection.Query<string>("SELECT ScriptName FROM SchemaVersions ORDER BY ScriptName");
    }
}
