using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;
using Wendrak.Store.Demo;

namespace Wendrak.Store.Tests;

/// <summary>Hashes of bodies: those of form 8 are written anew where the body is what was written, and only there.</summary>
public sealed class BodyHashTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 30, 9, 0, 0, TimeSpan.Zero);
    private readonly TempStore _store = new();
    private readonly string _aside = Directory.CreateTempSubdirectory("wendrak-hashes-").FullName;

    public void Dispose()
    {
        _store.Dispose();
        Directory.Delete(_aside, recursive: true);
    }

    /// <summary>A data folder as form 8 has it.</summary>
    private async Task<string> EarlierAsync(string damage = "")
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        string folder = Directory.CreateDirectory(Path.Combine(_aside, "earlier")).FullName;
        _store.Database.FoldJournalIn();
        string file = Path.Combine(folder, Database.FileName);
        File.Copy(_store.Database.File, file);
        await using SqliteConnection connection = new($"Data Source={file};Pooling=false");
        connection.Open();
        connection.CreateFunction<string, long, long, long, string, byte[]>("earlier", BodyHash.ComputeEarlier);
        await connection.ExecuteAsync(
            """
            UPDATE record SET hash = earlier(kind, id, version, schema, body);
            UPDATE change_item SET hash = earlier(kind, id, version, schema, coalesce(body, ''));
            UPDATE job_event SET hash = earlier(kind, id, 1, schema, body);
            DELETE FROM SchemaVersions WHERE ScriptName LIKE '%0009%';
            """ + damage
        );
        return folder;
    }

    private const string OneAim = "UPDATE record SET body = replace(body, 'a', 'e') WHERE kind = 'aim' AND id = 1;";

    private static async Task<(long Records, long Earlier)> CountAsync(TempStore store) =>
        await store.Database.ReadAsync(async session =>
            await session.Connection.QuerySingleAsync<(long, long)>(
                """
                SELECT count(*), coalesce(sum(length(hash) = 32), 0) FROM (
                    SELECT hash FROM record UNION ALL SELECT hash FROM change_item UNION ALL SELECT hash FROM job_event)
                """,
                transaction: session.Transaction
            )
        );

    [Fact]
    public async Task All_of_form_8_is_brought_over()
    {
        using TempStore now = new(await EarlierAsync(), keep: true);
        (long rows, long earlier) = await CountAsync(now);
        Assert.InRange(rows, 300, int.MaxValue);
        Assert.Equal(0, earlier);
        now.Database.LookThrough();
        Assert.Empty(now.Database.Damage.Found);
        Assert.Equal(7, (await now.Machines.ListAsync()).Count);
        Assert.Equal((rows, 0), await CountAsync(_store));
    }

    [Fact]
    public async Task What_was_damaged_before_is_not_blessed_by_a_new_hash()
    {
        string folder = await EarlierAsync(OneAim);
        DataFileException refused = Assert.Throws<DataFileException>(() => Database.Prepare(folder, Now));
        Assert.Contains("aim 1", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_rescue_of_form_8_loses_nothing_but_what_was_damaged()
    {
        string into = Path.Combine(_aside, "rescued");
        Rescued rescued = Rescue.Run(await EarlierAsync(OneAim), into, Now);
        // Its photos lie in another folder.
        Assert.Equal(["record: aim 1"], rescued.Lost.Where(l => !l.StartsWith("photo ", StringComparison.Ordinal)));
        using TempStore saved = new(into, keep: true);
        saved.Database.LookThrough();
        Assert.Empty(saved.Database.Damage.Found);
        Assert.Equal(7, (await saved.Machines.ListAsync()).Count);
        Assert.Contains(await saved.Aims.ListAsync(1), a => a.Id == 1);
    }

    [Fact]
    public void It_is_of_the_body_and_of_where_it_belongs()
    {
        byte[] hash = BodyHash.Compute("aim", 1, 1, 1, "{}");
        Assert.True(BodyHash.IsOf(hash, "aim", 1, 1, 1, "{}"));
        Assert.False(BodyHash.IsOf(hash, "aim", 1, 1, 1, "{ }"));
        Assert.False(BodyHash.IsOf(hash, "aim", 2, 1, 1, "{}"));
        Assert.False(BodyHash.IsOf(hash, "aim", 1, 2, 1, "{}"));
        Assert.False(BodyHash.IsOf(hash, "aim", 1, 1, 2, "{}"));
        Assert.False(BodyHash.IsOf(hash, "set", 1, 1, 1, "{}"));
        Assert.False(BodyHash.IsOf([], "aim", 1, 1, 1, "{}"));
    }
}
