using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>A store in a folder of its own, thrown away afterwards.</summary>
public sealed class TempStore : IDisposable
{
    public const string Who = "Tester";

    private readonly bool _keep;

    public string Folder { get; }
    public Database Database { get; }
    public ChangeLog Log { get; }
    public MachineStore Machines { get; }
    public AimStore Aims { get; }
    public SetupStore Setups { get; }
    public MachineFiles Files { get; }
    public JobStore Jobs { get; }
    public History History { get; }
    public Undoing Undoing { get; }
    public StockStore Stock { get; }
    public LogStore Logs { get; }

    public TempStore()
        : this(Directory.CreateTempSubdirectory("wendrak-store-").FullName) { }

    /// <param name="folder">May hold the data of an earlier version.</param>
    /// <param name="keep">It is left as it is afterwards.</param>
    public TempStore(string folder, bool keep = false)
    {
        (Folder, _keep) = (folder, keep);
        Database = Database.Prepare(Folder, DateTimeOffset.UnixEpoch);
        Log = new(Database, TimeProvider.System);
        History = new(Database);
        Undoing = new(Log, History);
        Jobs = new(Database, Log, TimeProvider.System);
        Machines = new(Database, Log, Jobs, TimeProvider.System);
        Setups = new(Database, Log, Jobs, TimeProvider.System);
        Files = new(Database, Log, Jobs);
        Aims = new(Database, Log);
        Stock = new(Database, Log);
        Logs = new(Database, Log, Jobs);
    }

    public void Dispose()
    {
        Database.Dispose();
        if (!_keep && Directory.Exists(Folder))
            Directory.Delete(Folder, recursive: true);
    }

    /// <summary>Takes the newest entry of the history back.</summary>
    public async Task UndoLastAsync() => await Undoing.UndoAsync("Undoer", (await LastChangeAsync()).Id, default);

    public Task<FittedMachine> AddMachineAsync(string name = "Test machine")
    {
        MachineDraft draft = StartingMachines.For(MachineKind.Motorcycle);
        return Machines.AddAsync(
            Who,
            draft with
            {
                Machine = draft.Machine with { Name = name },
            },
            CancellationToken.None
        );
    }

    public async Task<Setup> AddTrialAsync(long machineId, string name, double front, double rear) =>
        (
            await Setups.AddTrialAsync(
                Who,
                machineId,
                new(name, [new("final", front, rear, 112)], null, null),
                CancellationToken.None
            )
        )!;

    public async Task<Change> LastChangeAsync() => (await History.ListAsync(null, null, 1))[0];

    public static Aim AimFor(long machineId) =>
        new(
            0,
            0,
            machineId,
            "Dyke road",
            "drive",
            new CruiseSpeed(90, 5, 5020, 5330),
            new("asphalt", "windy", "panniers"),
            new(1, 2, 3, 0, 1, 2),
            "a note",
            [
                new(
                    new(2026, 3, 28),
                    7,
                    "as fitted",
                    [new("final", 15, 45, 112)],
                    new("gravel", "wet", "empty"),
                    4,
                    "went well"
                ),
            ]
        );
}
