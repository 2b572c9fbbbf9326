using Wendrak.Core.Importing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Logs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>A part of a log.</summary>
/// <param name="Entries">Newest day first.</param>
/// <param name="Next">Give it as <c>after</c> for the next part; null at the end.</param>
public sealed record LogPage(IReadOnlyList<LogEntry> Entries, long? Next);

/// <summary>What was taken of a file.</summary>
/// <param name="Added">Lines that are in the log now.</param>
/// <param name="Known">Lines that were there already, or stood twice in the file: not taken again.</param>
/// <param name="Refused">The first of those that can’t be taken.</param>
/// <param name="RefusedCount">How many can’t.</param>
public sealed record LogTaken(int Added, int Known, IReadOnlyList<RefusedRow> Refused, int RefusedCount);

/// <summary>Logs of machines.</summary>
public sealed class LogStore(Database database, ChangeLog log, JobStore jobs)
{
    public const int MostOfPage = 500;
    private const int MostEarlier = 200;
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<LogLot> _lots = new(Kinds.LogLot);

    // What is told of a setup beside what it is compared by.
    private static readonly string[] Beside =
    [
        "meanTold",
        "scoreGiven",
        "partPaid",
        "upkeepDone",
        "odometerRead",
        "fuelFilled",
        "charged",
    ];

    /// <returns>Null when there is no such machine.</returns>
    public Task<LogPage?> PageAsync(long machineId, LogFilter filter, long? after, int most) =>
        database.ReadAsync(async session =>
        {
            if (await _machines.FindAsync(session, machineId) is null)
                return null;
            IReadOnlyList<LogRow> rows = await LogRows.PageAsync(session, machineId, filter, after, most + 1);
            bool hasMore = rows.Count > most;
            return new LogPage(
                [.. rows.Take(most).Select(r => EntryOf(session, r)).OfType<LogEntry>()],
                hasMore ? rows[most - 1].Id : null
            );
        });

    /// <summary>Every line that stands or is struck, in the order in which they were written.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<IReadOnlyList<LogEntry>?> AllAsync(long machineId) =>
        database.ReadAsync<IReadOnlyList<LogEntry>?>(async session =>
            await _machines.FindAsync(session, machineId) is null
                ? null
                : await EntriesAsync(session, machineId, LogRules.Kinds)
        );

    /// <summary>Lines of some kinds, in the order in which they were written.</summary>
    /// <param name="kinds">As they are told apart in a line.</param>
    /// <returns>Empty where there is no such machine.</returns>
    public Task<IReadOnlyList<LogEntry>> ListAsync(long machineId, IReadOnlyCollection<string> kinds) =>
        database.ReadAsync(session => EntriesAsync(session, machineId, kinds));

    /// <summary>Two setups of a machine against each other.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The question can't be.</exception>
    public Task<FairComparison?> CompareAsync(long machineId, FairComparisonQuestion question) =>
        database.ReadAsync(async session =>
        {
            if (await _machines.FindAsync(session, machineId) is null)
                return null;
            IReadOnlyList<JobContent> contents = await jobs.ContentsAsync(session, machineId);
            return FairComparison.Of(
                await _setups.ListOfMachineAsync(session, machineId),
                [.. contents.Select(j => j.Sheet)],
                await EntriesAsync(session, machineId, KindsFor(question.Measure)),
                question
            );
        });

    /// <summary>How files were read before, the newest first.</summary>
    public Task<IReadOnlyList<LogColumns>> EarlierColumnsAsync() =>
        database.ReadAsync<IReadOnlyList<LogColumns>>(async session =>
            [
                .. (await _lots.ListAsync(session))
                    .Reverse()
                    .Select(l => l.Columns)
                    .OfType<LogColumns>()
                    .Take(MostEarlier),
            ]
        );

    /// <summary>Writes lines into a log. What they say of the odometer is what the machine has run.</summary>
    /// <returns>The lot they came as; null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">A line can't be; none is written then.</exception>
    public Task<LogLot?> AddAsync(string? who, long machineId, IReadOnlyList<LogLine> lines, CancellationToken ct)
    {
        LogRules.Check(lines);
        return log.CommitAsync(
            who,
            lines.Count == 1 ? "wrote a line into the log" : $"wrote {lines.Count} lines into the log",
            async edit =>
                await _machines.FindAsync(edit.Session, machineId) is { } machine
                    ? await AddAsync(edit, machine, lines, null, null)
                    : null,
            ct
        );
    }

    /// <summary>Takes in what can be taken of a file; what is there already is not taken again.</summary>
    /// <param name="name">Of the file.</param>
    /// <param name="onlyTry">Nothing is stored; what would be is told.</param>
    /// <returns>Null when there is no such machine.</returns>
    public Task<LogTaken?> TakeInAsync(
        string? who,
        long machineId,
        string name,
        LogColumns columns,
        LogImport read,
        bool onlyTry,
        CancellationToken ct
    )
    {
        new Guard().Named(nameof(name), name).ThrowIfAny();
        return log.CommitAsync(
            who,
            $"read {name} into the log",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, machineId) is not { } machine)
                    return null;
                List<LogLine> fresh = await NewAmongAsync(edit.Session, machineId, read.Lines);
                if (fresh.Count > 0 && !onlyTry)
                    await AddAsync(edit, machine, fresh, name, columns);
                return new LogTaken(fresh.Count, read.Lines.Count - fresh.Count, read.Refused, read.RefusedCount);
            },
            ct
        );
    }

    /// <summary>Strikes a line out, or lets it stand again. It stays where it is.</summary>
    /// <returns>False when there is no such line.</returns>
    public Task<bool> StrikeAsync(
        string? who,
        long machineId,
        long lotId,
        int number,
        bool isStruck,
        CancellationToken ct
    ) =>
        log.CommitAsync(
            who,
            isStruck ? "struck a line of the log out" : "let a line of the log stand again",
            async edit =>
            {
                LogLot? lot = await _lots.FindAsync(edit.Session, lotId);
                if (lot is null || lot.MachineId != machineId || number < 0 || number >= lot.Count)
                    return false;
                edit.MachineId = machineId;
                int[] others = [.. (lot.Struck ?? []).Where(n => n != number)];
                int[] struck = isStruck ? [.. others.Append(number).Order()] : others;
                await _lots.ChangeAsync(edit, lot with { Struck = struck.Length == 0 ? null : struck }, lot);
                return true;
            },
            ct
        );

    /// <summary>A log as it goes into a file.</summary>
    internal async Task<IReadOnlyList<FiledLog>?> FiledAsync(Session session, long machineId)
    {
        IReadOnlyList<LogLot> lots = await _lots.ListOfMachineAsync(session, machineId);
        if (lots.Count == 0)
            return null;
        ILookup<long, LogRow> rows = await LogRows.ByLotAsync(session, machineId);
        return
        [
            .. lots.SelectMany(l =>
                new FiledLog(l.File, l.Columns, l.Struck, [.. rows[l.Id].Select(r => r.ToEntry().Line)]).InParts()
            ),
        ];
    }

    /// <summary>Takes a log in that came with its machine.</summary>
    internal async Task AddAsync(Edit edit, long machineId, FiledLog filed)
    {
        LogLot lot = new(0, 0, machineId, filed.Lines.Count, filed.File, filed.Columns, filed.Struck);
        LogLot added = await _lots.AddAsync(edit, lot);
        await LogRows.AddAsync(edit, added, filed.Lines.Select(LogJson.Write));
    }

    private async Task<LogLot> AddAsync(
        Edit edit,
        Machine machine,
        IReadOnlyList<LogLine> lines,
        string? file,
        LogColumns? columns
    )
    {
        edit.MachineId = machine.Id;
        Machine moved = LogRules.MachineAfter(machine, lines.Max(l => l.OdometerKm));
        if (moved != machine)
            await _machines.ChangeAsync(edit, moved, machine);
        LogLot lot = await _lots.AddAsync(edit, new(0, 0, machine.Id, lines.Count, file, columns));
        await LogRows.AddAsync(edit, lot, lines.Select(LogJson.Write));
        return lot;
    }

    private static async Task<List<LogLine>> NewAmongAsync(
        Session session,
        long machineId,
        IReadOnlyList<LogLine> lines
    )
    {
        if (lines.Count == 0)
            return [];
        HashSet<string> known = await LogRows.BodiesAsync(
            session,
            machineId,
            lines.Min(l => l.On),
            lines.Max(l => l.On)
        );
        return [.. lines.Where(l => known.Add(LogJson.Write(l)))];
    }

    private static string[] KindsFor(ComparedMeasure measure) =>
        measure switch
        {
            ComparedMeasure.Time => [.. Beside, "runTimed"],
            ComparedMeasure.Noise => [.. Beside, "noiseRead"],
            _ => Beside,
        };

    private static async Task<IReadOnlyList<LogEntry>> EntriesAsync(
        Session session,
        long machineId,
        IReadOnlyCollection<string> kinds
    )
    {
        List<LogEntry> entries = [];
        await foreach (LogRow row in LogRows.AllAsync(session, machineId, kinds))
            if (EntryOf(session, row) is { } entry)
                entries.Add(entry);
        return entries;
    }

    /// <summary>One that is damaged is left out and told.</summary>
    private static LogEntry? EntryOf(Session session, LogRow row)
    {
        try
        {
            return row.ToEntry();
        }
        catch (Exception e) when (e is DamagedException or UnreadableBodyException)
        {
            session.Damage.Add(LogRow.HashKind, row.LotId);
            return null;
        }
    }
}
