using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Records;

namespace Wendrak.Store;

/// <summary>What a rescue could save.</summary>
/// <param name="Saved">Rows by table.</param>
/// <param name="Lost">What could not be read, or is not what was written.</param>
public sealed record Rescued(IReadOnlyDictionary<string, int> Saved, IReadOnlyList<string> Lost);

/// <summary>Saves what is good of a damaged data file into a new one; the damaged one is only read.</summary>
public static class Rescue
{
    /// <summary>In an order in which each finds what it needs.</summary>
    private static readonly string[] Tables =
    [
        "change",
        "change_item",
        "record",
        "job_event",
        "reference",
        "number_given",
        "attachment",
    ];

    /// <param name="folder">Of the damaged file.</param>
    /// <param name="into">A folder that has no data yet.</param>
    /// <exception cref="DataFileException">Nothing of it can be read, or there is data already.</exception>
    public static Rescued Run(string folder, string into, DateTimeOffset now)
    {
        string damaged = Path.Combine(folder, Database.FileName);
        if (!File.Exists(damaged))
            throw new DataFileException($"There is no data in {folder}.");
        if (File.Exists(Path.Combine(into, Database.FileName)))
            throw new DataFileException($"There is data in {into} already: name another folder.");
        Dictionary<string, int> saved = [];
        List<string> lost = [];
        using (Database database = Database.Prepare(into, now))
        using (SqliteConnection to = database.Open())
        {
            // What something refers to may be among the lost.
            to.Execute("PRAGMA foreign_keys = OFF");
            foreach (string table in Tables)
                saved[table] = Save(damaged, to, table, lost);
            lost.AddRange(DropUnreadable(to));
            Whole(to);
        }
        return saved.Values.Sum() == 0
            ? throw new DataFileException($"Nothing of {damaged} can be read.")
            : new Rescued(saved, lost);
    }

    /// <summary>Row by row, so that one that can't be read costs no other.</summary>
    private static int Save(string damaged, SqliteConnection to, string table, List<string> lost)
    {
        int count = 0;
        string columns = string.Join(
            ", ",
            to.Query<string>("SELECT name FROM pragma_table_info(@table)", new { table })
        );
        using SqliteConnection from = Backups.OpenAlone(damaged, SqliteOpenMode.ReadOnly);
        foreach (string part in Parts(from, table, lost))
            try
            {
                foreach (
                    IDictionary<string, object?> row in from.Query($"SELECT {columns} FROM {table} {part}")
                        .Cast<IDictionary<string, object?>>()
                )
                {
                    string names = string.Join(", ", row.Keys.Select(k => "@" + k));
                    count += to.Execute(
                        $"INSERT OR IGNORE INTO {table} ({columns}) VALUES ({names})",
                        new DynamicParameters(row)
                    );
                }
            }
            catch (SqliteException e)
            {
                lost.Add($"{table} {part}: {e.Message}");
            }
        return count;
    }

    /// <summary>Each row by its number where the table has them, found however far the list of them can be read.</summary>
    private static List<string> Parts(SqliteConnection from, string table, List<string> lost)
    {
        if (table == "reference")
            return [""];
        List<string> parts = [];
        try
        {
            foreach (long row in from.Query<long>($"SELECT rowid FROM {table} ORDER BY rowid", buffered: false))
                parts.Add($"WHERE rowid = {row}");
        }
        catch (SqliteException)
        {
            // From the other end, down to the damage.
            HashSet<string> known = [.. parts];
            try
            {
                foreach (
                    long row in from.Query<long>($"SELECT rowid FROM {table} ORDER BY rowid DESC", buffered: false)
                )
                    if (known.Add($"WHERE rowid = {row}"))
                        parts.Add($"WHERE rowid = {row}");
            }
            catch (SqliteException e)
            {
                lost.Add($"a part of {table}: {e.Message}");
            }
        }
        return parts;
    }

    /// <summary>What can be read and is not what was written does not come along.</summary>
    private static List<string> DropUnreadable(SqliteConnection to)
    {
        List<BadBody> bad = [.. BodyScan.Of(to)];
        foreach (BadBody b in bad)
            to.Execute(
                b.Table == "job_event"
                    ? "DELETE FROM job_event WHERE id = @Id"
                    : $"DELETE FROM {b.Table} WHERE kind = @Kind AND id = @Id AND version = @Version",
                b
            );
        return [.. bad.Select(b => $"{b.Table.Replace('_', ' ')}: {b.Kind} {b.Id}")];
    }

    /// <summary>Makes a whole of what was saved: what belongs to something lost stays in the history only.</summary>
    private static void Whole(SqliteConnection to)
    {
        // A record whose row is lost is the one that its newest change left.
        to.Execute(
            """
            INSERT OR IGNORE INTO record (kind, id, version, schema, body, hash, at, actor)
            SELECT kind, i.id, version, schema, body, hash, change.at, change.actor
            FROM change_item AS i JOIN change ON change.id = i.change_id
            WHERE body IS NOT NULL AND kind <> 'setJob'
              AND version = (SELECT max(version) FROM change_item AS n WHERE n.kind = i.kind AND n.id = i.id)
            """
        );
        to.Execute("DELETE FROM reference");
        foreach (IStoredKind kind in Kinds.All)
        foreach (
            RecordRow row in to.Query<RecordRow>(
                "SELECT kind AS Kind, id AS Id, version AS Version, schema AS Schema, body AS Body, hash AS Hash FROM record WHERE kind = @Name",
                new { kind.Name }
            )
        )
        foreach (Reference r in kind.ReferencesOf(row.Newest(kind)))
            to.Execute(
                "INSERT OR IGNORE INTO reference (kind, id, hold, to_kind, to_id) VALUES (@Kind, @Id, @hold, @ToKind, @ToId)",
                new
                {
                    row.Kind,
                    row.Id,
                    hold = r.Hold.ToString(),
                    r.ToKind,
                    r.ToId,
                }
            );
        const string homeless = """
            SELECT DISTINCT kind AS Kind, id AS Id FROM reference AS r
            WHERE hold <> 'Mentions'
              AND NOT EXISTS (SELECT 1 FROM record WHERE record.kind = r.to_kind AND record.id = r.to_id)
            """;
        while (to.Query<(string Kind, long Id)>(homeless).ToList() is { Count: > 0 } left)
            foreach ((string kind, long id) in left)
            {
                to.Execute("DELETE FROM reference WHERE kind = @kind AND id = @id", new { kind, id });
                to.Execute("DELETE FROM record WHERE kind = @kind AND id = @id", new { kind, id });
            }
        to.Execute(
            """
            INSERT INTO number_given (kind, last) SELECT kind, max(id) FROM change_item GROUP BY kind
            ON CONFLICT (kind) DO UPDATE SET last = max(last, excluded.last)
            """
        );
        to.Execute("DELETE FROM change_item WHERE change_id NOT IN (SELECT id FROM change)");
        to.Execute("UPDATE job_event SET change_id = NULL WHERE change_id NOT IN (SELECT id FROM change)");
    }
}
