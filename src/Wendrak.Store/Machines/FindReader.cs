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
            Task<IEnumerable<Named>> Rows(string sql) =>
                session.Connection.QueryAsync<Named>(sql, transaction: session.Transaction);
            static FoundThing Thing(Named row) => new(row.Id, row.MachineId, row.Name);
            ILookup<long, Named> ofMachines = (await Rows(loops)).ToLookup(l => l.MachineId);
            return new FindIndex(
                [
                    .. (await Rows(machines)).Select(m => new FoundMachine(
                        m.Id,
                        m.Name,
                        m.IsRetired,
                        [.. ofMachines[m.Id].Select(l => new FoundLoop(l.Key, l.Name))]
                    )),
                ],
                [.. (await Rows(trials)).Select(Thing)],
                [.. (await Rows(aims)).Select(Thing)],
                [
                    .. open.OrderByDescending(j => j.Id)
                        .Select(j => new FoundJob(j.Id, j.MachineId, j.Reason, j.WaitsFor)),
                ]
            );
        });
    }

    /// <summary>A row of any of them. Set member by member: of an empty list SQLite tells no types to make a record from.</summary>
    private sealed class Named
    {
        public long Id { get; init; }
        public long MachineId { get; init; }
        public string Key { get; init; } = "";
        public string Name { get; init; } = "";
        public bool IsRetired { get; init; }
    }
}
