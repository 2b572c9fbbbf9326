using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>What restoring would do to one kind of record.</summary>
/// <param name="Word">What people call the kind.</param>
/// <param name="Back">Would come back: in the backup and not here.</param>
/// <param name="Gone">Would go: here and not in the backup.</param>
/// <param name="Other">Would be as it was then.</param>
/// <param name="Same">How many are the same here and there.</param>
public sealed record RestoreDifference(
    string Word,
    int Same,
    IReadOnlyList<string> Back,
    IReadOnlyList<string> Gone,
    IReadOnlyList<string> Other
);

/// <summary>A backup that was unpacked and looked through, and what it would change.</summary>
/// <param name="Token">Names it when it is to be restored.</param>
/// <param name="Newest">When the last thing in it was done; null when nothing ever was.</param>
/// <param name="Events">Entries of visits here and in it.</param>
/// <param name="EventsHere">Entries of visits that are here.</param>
public sealed record RestorePreview(
    string Token,
    DateTimeOffset? Newest,
    IReadOnlyList<RestoreDifference> Differences,
    long EventsHere,
    long Events
);

/// <summary>Goes back to a backup while the server is up: first it is shown what that would change.</summary>
public sealed class Restoring(Database database, TimeProvider clock)
{
    internal const string StagedName = "restore";

    /// <summary>Unpacks and looks through a backup; nothing of the data changes.</summary>
    /// <exception cref="DataFileException">It is no backup, a newer program made it, or it is damaged.</exception>
    public RestorePreview Stage(string backup)
    {
        string staged = Path.Combine(database.Folder, StagedName);
        if (Directory.Exists(staged))
            Directory.Delete(staged, recursive: true);
        string token = Guid.NewGuid().ToString("N");
        string folder = Path.Combine(staged, token);
        BackupZip.Unpack(backup, folder);
        using Database other = Database.Prepare(folder, clock.GetUtcNow());
        other.LookThrough();
        if (other.Damage.IsAny)
            throw new DataFileException($"This backup is damaged: {string.Join(", ", other.Damage.Found)}.");
        using SqliteConnection here = database.Open();
        using SqliteConnection there = other.Open();
        const string events = "SELECT count(*) FROM job_event";
        string? newest = there.ExecuteScalar<string?>(
            "SELECT max(at) FROM (SELECT at FROM change UNION ALL SELECT at FROM job_event)"
        );
        return new(
            token,
            newest is null ? null : DateTimeOffset.Parse(newest, System.Globalization.CultureInfo.InvariantCulture),
            [.. Kinds.All.Select(k => Difference(k, here, there))],
            here.ExecuteScalar<long>(events),
            there.ExecuteScalar<long>(events)
        );
    }

    /// <summary>Puts a staged backup in the place of the data; what was there is kept as a backup of its own.</summary>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <returns>The backup of what was there; null when nothing is staged under the name.</returns>
    /// <exception cref="DataFileException">What is there can't be kept: nothing was restored then.</exception>
    public async Task<Backups.Made?> RestoreAsync(string token, string? who, Action<string>? between = null)
    {
        string folder = Path.Combine(database.Folder, StagedName, Path.GetFileName(token));
        string file = Path.Combine(folder, Database.FileName);
        if (!File.Exists(file))
            return null;
        Backups.Made? kept = null;
        Attachments.CopyAll(folder, database.Folder);
        between?.Invoke("attachments copied");
        await database.ReplaceAsync(
            file,
            here =>
            {
                DateTimeOffset now = clock.GetUtcNow();
                kept = database.Damage.IsAny ? Backups.KeepDamaged(database, now) : Backups.Make(database, now);
                between?.Invoke("kept");
                Prepare(file, here, who, now);
                between?.Invoke("prepared");
            }
        );
        between?.Invoke("replaced");
        Directory.Delete(Path.Combine(database.Folder, StagedName), recursive: true);
        return kept;
    }

    /// <summary>Numbers that were given since the backup are never given again, and the history says what was done.</summary>
    private static void Prepare(string file, SqliteConnection here, string? who, DateTimeOffset now)
    {
        using SqliteConnection staged = Backups.OpenAlone(file);
        using SqliteTransaction transaction = staged.BeginTransaction();
        foreach ((string kind, long last) in here.Query<(string, long)>("SELECT kind, last FROM number_given"))
            staged.Execute(
                """
                INSERT INTO number_given (kind, last) VALUES (@kind, @last)
                ON CONFLICT (kind) DO UPDATE SET last = max(last, @last)
                """,
                new { kind, last },
                transaction
            );
        const string newest =
            "SELECT max(id) FROM (SELECT max(id) AS id FROM change UNION ALL SELECT max(id) FROM job_event)";
        long number =
            1
            + Math.Max(here.ExecuteScalar<long>(newest), staged.ExecuteScalar<long>(newest, transaction: transaction));
        staged.Execute(
            "INSERT INTO change (id, at, actor, name) VALUES (@number, @at, @who, 'restored a backup')",
            new
            {
                number,
                at = Moment.Text(now),
                who = string.IsNullOrWhiteSpace(who) ? null : who,
            },
            transaction
        );
        // The journal it is written to goes on counting where it is.
        staged.Execute(
            "UPDATE generation SET n = @n, data_id = lower(hex(randomblob(8)))",
            new { n = here.ExecuteScalar<long>("SELECT n FROM generation") },
            transaction
        );
        transaction.Commit();
        staged.Execute("PRAGMA wal_checkpoint(TRUNCATE)");
    }

    private static RestoreDifference Difference(IStoredKind kind, SqliteConnection here, SqliteConnection there)
    {
        Dictionary<long, string> now = Bodies(kind, here);
        Dictionary<long, string> then = Bodies(kind, there);
        string[] Names(IEnumerable<long> ids, Dictionary<long, string> of) =>
            [.. ids.Order().Select(id => kind.NameIn(of[id]))];
        long[] both = [.. now.Keys.Intersect(then.Keys)];
        return new(
            kind.Word,
            both.Count(id => now[id] == then[id]),
            Names(then.Keys.Except(now.Keys), then),
            Names(now.Keys.Except(then.Keys), now),
            Names(both.Where(id => now[id] != then[id]), now)
        );
    }

    private static Dictionary<long, string> Bodies(IStoredKind kind, SqliteConnection of)
    {
        const string sql = "SELECT id AS Id, schema AS Schema, body AS Body FROM record WHERE kind = @Name";
        return of.Query<(long Id, long Schema, string Body)>(sql, new { kind.Name })
            .ToDictionary(r => r.Id, r => kind.Newest((int)r.Schema, r.Body));
    }
}
