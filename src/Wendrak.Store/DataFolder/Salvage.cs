using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>Copies what can be read of a damaged SQLite file, whatever tables it has, row by row.</summary>
internal static class Salvage
{
    private sealed record Made(string Type, string Name, string Sql);

    /// <summary>Makes a file of the same tables, without a row.</summary>
    /// <exception cref="SqliteException">It can't even be read which tables there are.</exception>
    public static void MakeAlike(string damaged, string into)
    {
        using SqliteConnection from = Backups.OpenAlone(damaged, SqliteOpenMode.ReadOnly);
        using SqliteConnection to = Backups.OpenAlone(into);
        to.Execute($"PRAGMA application_id = {from.ExecuteScalar<long>("PRAGMA application_id")}");
        foreach (Made made in MadeIn(from))
            to.Execute(made.Sql);
    }

    /// <exception cref="SqliteException">It can't even be read which tables there are.</exception>
    public static bool AreAlike(string one, string other)
    {
        using SqliteConnection a = Backups.OpenAlone(one, SqliteOpenMode.ReadOnly);
        using SqliteConnection b = Backups.OpenAlone(other, SqliteOpenMode.ReadOnly);
        return MadeIn(a).SequenceEqual(MadeIn(b));
    }

    /// <summary>Tables first.</summary>
    private static IReadOnlyList<Made> MadeIn(SqliteConnection connection) =>
        [
            .. connection.Query<Made>(
                """
                SELECT type AS Type, name AS Name, sql AS Sql FROM sqlite_master
                WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%'
                ORDER BY type <> 'table', name
                """
            ),
        ];

    /// <param name="damaged">Only read.</param>
    /// <param name="into">Has the same tables.</param>
    /// <param name="except">Tables that are left as they are.</param>
    public static Rescued Rows(string damaged, string into, IReadOnlyCollection<string> except)
    {
        using SqliteConnection from = Backups.OpenAlone(damaged, SqliteOpenMode.ReadOnly);
        using SqliteConnection to = Backups.OpenAlone(into);
        // What something refers to may be among the lost.
        to.Execute("PRAGMA foreign_keys = OFF");
        List<string> lost = [];
        Dictionary<string, int> saved = MadeIn(to)
            .Where(m => m.Type == "table" && !except.Contains(m.Name))
            .ToDictionary(m => m.Name, m => Copy(from, to, m.Name, lost));
        LetGoOfOrphans(to, lost);
        return new(saved, lost);
    }

    /// <summary>Row by row, so that one that can't be read costs no other.</summary>
    private static int Copy(SqliteConnection from, SqliteConnection to, string table, List<string> lost)
    {
        int count = 0;
        string columns = string.Join(
            ", ",
            to.Query<string>("SELECT name FROM pragma_table_info(@table)", new { table })
        );
        using SqliteTransaction transaction = to.BeginTransaction();
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
                        new DynamicParameters(row),
                        transaction
                    );
                }
            }
            catch (SqliteException e)
            {
                lost.Add($"{table} {part}: {e.Message}");
            }
        transaction.Commit();
        return count;
    }

    /// <summary>Each row by its number where the table has them, found however far the list of them can be read.</summary>
    private static List<string> Parts(SqliteConnection from, string table, List<string> lost)
    {
        const string numbered = "SELECT count(*) FROM pragma_table_list WHERE name = @table AND wr = 0";
        if (from.ExecuteScalar<long>(numbered, new { table }) == 0)
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

    /// <summary>What can't be without a row that is lost goes too; what can is no longer said to refer to it.</summary>
    private static void LetGoOfOrphans(SqliteConnection to, List<string> lost)
    {
        const string orphans = """
            SELECT o."table" AS InTable, o.rowid AS Row, o.parent AS Parent, f."from" AS Via, c."notnull" AS IsNeeded
            FROM pragma_foreign_key_check AS o
            JOIN pragma_foreign_key_list(o."table") AS f ON f.id = o.fkid
            JOIN pragma_table_info(o."table") AS c ON c.name = f."from"
            WHERE o.rowid IS NOT NULL
            """;
        while (to.Query<Orphan>(orphans).ToList() is { Count: > 0 } found)
            foreach (Orphan o in found)
            {
                if (o.IsNeeded != 0)
                    lost.Add($"{o.InTable} {o.Row}: its {o.Parent} is lost");
                to.Execute(
                    o.IsNeeded != 0
                        ? $"DELETE FROM {o.InTable} WHERE rowid = @Row"
                        : $"UPDATE {o.InTable} SET {o.Via} = NULL WHERE rowid = @Row",
                    o
                );
            }
    }

    private sealed record Orphan
    {
        public required string InTable { get; init; }
        public required long Row { get; init; }
        public required string Parent { get; init; }

        /// <summary>The column that refers to what is lost.</summary>
        public required string Via { get; init; }
        public required long IsNeeded { get; init; }
    }
}
