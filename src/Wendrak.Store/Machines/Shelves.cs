using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Every kind of thing that is stored with a history.</summary>
internal static class Shelves
{
    public static MachineShelf Machines { get; } = new();
    public static SetupShelf Setups { get; } = new();
    public static AimShelf Aims { get; } = new();
    public static SetJobShelf SetJobs { get; } = new();
    public static StockShelf Stock { get; } = new();
    public static SpacerShelf Spacers { get; } = new();
    public static GearboxSetShelf GearboxSets { get; } = new();

    public static Recorder<Machine> RecordedMachines { get; } = new(Machines);
    public static Recorder<Setup> RecordedSetups { get; } = new(Setups);
    public static Recorder<Aim> RecordedAims { get; } = new(Aims);
    public static Recorder<SetJob> RecordedSetJobs { get; } = new(SetJobs);
    public static Recorder<StockItem> RecordedStock { get; } = new(Stock);
    public static Recorder<StockSpacer> RecordedSpacers { get; } = new(Spacers);
    public static Recorder<GearboxSet> RecordedGearboxSets { get; } = new(GearboxSets);

    public static Task RestoreAsync(Writing writing, ChangedThing change) =>
        change.Thing switch
        {
            MachineShelf.Name => RecordedMachines.RestoreAsync(writing, change),
            SetupShelf.Name => RecordedSetups.RestoreAsync(writing, change),
            AimShelf.Name => RecordedAims.RestoreAsync(writing, change),
            SetJobShelf.Name => RecordedSetJobs.RestoreAsync(writing, change),
            StockShelf.Name => RecordedStock.RestoreAsync(writing, change),
            SpacerShelf.Name => RecordedSpacers.RestoreAsync(writing, change),
            GearboxSetShelf.Name => RecordedGearboxSets.RestoreAsync(writing, change),
            _ => throw new CannotUndoException($"A {change.Thing} can't be put back by this program."),
        };
}
