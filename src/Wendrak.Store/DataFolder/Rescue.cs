using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>What a rescue could save.</summary>
/// <param name="Saved">Rows by table.</param>
/// <param name="Lost">What could not be read, or is not what was written.</param>
public sealed record Rescued(IReadOnlyDictionary<string, int> Saved, IReadOnlyList<string> Lost);

/// <summary>Saves what is good of a damaged data file into a new one; the damaged one is only read.</summary>
public static class Rescue
{
    /// <param name="folder">Of the damaged file, of this version or of an earlier one.</param>
    /// <param name="into">A folder that has no data yet.</param>
    /// <exception cref="DataFileException">Nothing of it can be read, or there is data already.</exception>
    public static Rescued Run(string folder, string into, DateTimeOffset now)
    {
        string damaged = Path.Combine(folder, Database.FileName);
        string saved = Path.Combine(into, Database.FileName);
        if (!File.Exists(damaged))
            throw new DataFileException($"There is no data in {folder}.");
        if (File.Exists(saved))
            throw new DataFileException($"There is data in {into} already: name another folder.");
        try
        {
            Rescued rescued = Salvaged(damaged, saved, now);
            List<string> lost = [.. rescued.Lost];
            using Database database = Database.Prepare(into, now); // brings one of an earlier version up to date
            using SqliteConnection to = database.Open();
            to.Execute("PRAGMA foreign_keys = OFF");
            lost.AddRange(DropUnreadable(to));
            Whole(to);
            Attachments.CopyAll(folder, into);
            lost.AddRange(MissingPictures(to, into));
            return rescued with { Lost = lost };
        }
        catch (Exception e) when (e is SqliteException or DataFileException)
        {
            File.Delete(saved);
            throw new DataFileException($"Nothing of {damaged} can be saved: {e.Message}", e);
        }
    }

    /// <summary>Rows into tables like those of the damaged file.</summary>
    private static Rescued Salvaged(string damaged, string saved, DateTimeOffset now)
    {
        using (Database.Prepare(Path.GetDirectoryName(saved)!, now)) { }
        // What a new file says of itself is right where its tables are the same, and need not be saved.
        string[] known = ["SchemaVersions", "generation"];
        if (!Salvage.AreAlike(damaged, saved))
        {
            known = [];
            File.Delete(saved);
            Salvage.MakeAlike(damaged, saved);
        }
        Rescued rescued = Salvage.Rows(damaged, saved, known);
        return rescued.Saved.Values.Sum() == 0 ? throw new DataFileException("No row of it can be read.") : rescued;
    }

    /// <summary>What can be read and is not what was written does not come along.</summary>
    private static List<string> DropUnreadable(SqliteConnection to)
    {
        List<BadBody> bad = [.. BodyScan.Find(to)];
        foreach (BadBody b in bad)
            to.Execute(
                b.Table switch
                {
                    "job_event" => "DELETE FROM job_event WHERE id = @Id",
                    "log_line" => "DELETE FROM log_line WHERE lot_id = @Id AND number = @Version",
                    _ => $"DELETE FROM {b.Table} WHERE kind = @Kind AND id = @Id AND version = @Version",
                },
                b
            );
        return [.. bad.Select(b => $"{b.Table.Replace('_', ' ')}: {b.Kind} {b.Id}")];
    }

    private static IEnumerable<string> MissingPictures(SqliteConnection to, string into) =>
        to.Query<string>("SELECT hash FROM attachment")
            .Where(hash => Attachments.Find(into, hash) is null)
            .Select(hash => $"photo {hash}");

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
    }
}
