using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>A store in a folder of its own, thrown away afterwards.</summary>
public sealed class TempStore : IDisposable
{
    public const string Who = "Tester";

    public string Folder { get; } = Directory.CreateTempSubdirectory("wendrak-store-").FullName;
    public Database Database { get; }
    public ChangeLog Log { get; }
    public MachineStore Machines { get; }
    public AimStore Aims { get; }
    public SetJobStore SetJobs { get; }
    public StockStore Stock { get; }

    public TempStore()
    {
        Database = Database.Prepare(Folder, DateTimeOffset.UnixEpoch);
        Log = new(Database, TimeProvider.System);
        Machines = new(Database, Log, TimeProvider.System);
        Aims = new(Database, Log);
        SetJobs = new(Database, Log);
        Stock = new(Database, Log);
    }

    public void Dispose()
    {
        Database.CloseAll();
        Directory.Delete(Folder, recursive: true);
    }

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
            await Machines.AddTrialAsync(
                Who,
                machineId,
                new(name, [new("final", front, rear, 112)], null, null),
                CancellationToken.None
            )
        )!;

    public async Task<Change> LastChangeAsync() => (await Log.ListAsync(null, 1, CancellationToken.None))[0];

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
