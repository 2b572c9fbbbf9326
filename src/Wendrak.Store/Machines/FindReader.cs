using Dapper;
using Wendrak.Core.Records;

namespace Wendrak.Store.Machines;

/// <summary>Names of all that can be found: read without the records they stand in, and kept until something is written.</summary>
public sealed class FindReader(Database database, JobStore jobs)
{
    private const string Whole = "";
    private readonly SinceCommit<string, FindIndex> _read = new(database, 1);

    /// <exception cref="StorageException">The file can't be read.</exception>
    public Task<FindIndex> ReadAsync() => _read.GetAsync(Whole, MakeAsync);

    private async Task<FindIndex> MakeAsync()
    {
        // Changes and what happened at jobs share one order.
        const string machines = """
            SELECT id AS Id, json_extract(body, '$.name') AS Name, json_extract(body, '$.retiredOn') IS NOT NULL AS IsRetired
            FROM record AS machine
            WHERE kind = 'machine'
            ORDER BY max(
                coalesce((SELECT max(id) FROM change WHERE machine_id = machine.id), 0),
                coalesce((SELECT max(id) FROM job_event WHERE machine_id = machine.id), 0)
            ) DESC, id DESC
            """;
        const string loops = """
            SELECT r.id AS MachineId, json_extract(s.value, '$.key') AS Key, json_extract(s.value, '$.name') AS Name
            FROM record AS r, json_each(r.body, '$.drives') AS d, json_each(d.value, '$.stages') AS s
            WHERE r.kind = 'machine' AND json_extract(s.value, '$.kind') = 'loop'
            """;
        const string trials = """
            SELECT id AS Id, machine_id AS MachineId, json_extract(body, '$.name') AS Name
            FROM record WHERE kind = 'setup' AND status = 'trial' ORDER BY at DESC, id DESC
            """;
        const string aims = """
            SELECT id AS Id, machine_id AS MachineId, json_extract(body, '$.name') AS Name
            FROM record WHERE kind = 'aim' ORDER BY at DESC, id DESC
            """;
        IReadOnlyList<JobSheet> open = await jobs.ListOpenAsync();
        return await database.ReadAsync(async session =>
        {
            Task<IEnumerable<T>> Rows<T>(string sql) =>
                session.Connection.QueryAsync<T>(sql, transaction: session.Transaction);
            ILookup<long, LoopName> ofMachines = (await Rows<LoopName>(loops)).ToLookup(l => l.MachineId);
            return new FindIndex(
                [
                    .. (await Rows<MachineName>(machines)).Select(m => new FoundMachine(
                        m.Id,
                        m.Name,
                        m.IsRetired != 0,
                        [.. ofMachines[m.Id].Select(l => new FoundLoop(l.Key, l.Name))]
                    )),
                ],
                [.. await Rows<FoundThing>(trials)],
                [.. await Rows<FoundThing>(aims)],
                [
                    .. open.OrderByDescending(j => j.Id)
                        .Select(j => new FoundJob(j.Id, j.MachineId, j.Reason, j.WaitsFor)),
                ]
            );
        });
    }

    private sealed record MachineName(long Id, string Name, long IsRetired);

    private sealed record LoopName(long MachineId, string Key, string Name);
}
