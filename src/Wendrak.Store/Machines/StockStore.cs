using Microsoft.Data.Sqlite;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Wheels in the workshop's lists, and the gearbox sets that machines share.</summary>
public sealed class StockStore(Database database, ChangeLog log)
{
    public async Task<IReadOnlyList<StockItem>> ListAsync()
    {
        await using SqliteConnection connection = database.Open();
        return await StockShelf.ListAsync(new(connection, null));
    }

    public Task<StockItem> AddAsync(string who, StockItem item, CancellationToken ct)
    {
        MachineRules.Check(item);
        return log.MakeAsync(
            who,
            $"added to stock: {Described(item)}",
            writing => Shelves.RecordedStock.AddAsync(writing, item with { Id = 0 }),
            ct
        );
    }

    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<StockItem> ChangeAsync(string who, StockItem item, CancellationToken ct)
    {
        MachineRules.Check(item);
        return log.MakeAsync(
            who,
            $"stock: {Described(item)}, {item.Wheel.Count} on the shelf",
            writing => Shelves.RecordedStock.ChangeAsync(writing, item),
            ct
        );
    }

    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task RemoveAsync(string who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "took a wheel out of the stock list",
            async writing =>
            {
                await Shelves.RecordedStock.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    public async Task<IReadOnlyList<StockSpacer>> SpacersAsync()
    {
        await using SqliteConnection connection = database.Open();
        return await SpacerShelf.ListAsync(new(connection, null));
    }

    public Task<StockSpacer> AddSpacerAsync(string who, StockSpacer spacer, CancellationToken ct)
    {
        MachineRules.Check(spacer);
        return log.MakeAsync(
            who,
            $"added to stock: {Described(spacer)}",
            writing => Shelves.RecordedSpacers.AddAsync(writing, spacer with { Id = 0 }),
            ct
        );
    }

    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<StockSpacer> ChangeSpacerAsync(string who, StockSpacer spacer, CancellationToken ct)
    {
        MachineRules.Check(spacer);
        return log.MakeAsync(
            who,
            $"stock: {Described(spacer)}, {spacer.Count} in the drawer",
            writing => Shelves.RecordedSpacers.ChangeAsync(writing, spacer),
            ct
        );
    }

    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task RemoveSpacerAsync(string who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "took a spacer out of the stock list",
            async writing =>
            {
                await Shelves.RecordedSpacers.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    public async Task<IReadOnlyList<GearboxSet>> GearboxSetsAsync()
    {
        await using SqliteConnection connection = database.Open();
        return await GearboxSetShelf.ListAsync(new(connection, null));
    }

    public Task<GearboxSet> AddSetAsync(string who, GearboxSet set, CancellationToken ct)
    {
        DriveRules.CheckSet(set).ThrowIfAny();
        return log.MakeAsync(
            who,
            $"added gearbox set {set.Name}",
            writing => Shelves.RecordedGearboxSets.AddAsync(writing, set with { Id = 0 }),
            ct
        );
    }

    /// <summary>Changes a set for every machine that uses it.</summary>
    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<GearboxSet> ChangeSetAsync(string who, GearboxSet set, CancellationToken ct)
    {
        DriveRules.CheckSet(set).ThrowIfAny();
        return log.MakeAsync(
            who,
            $"changed gearbox set {set.Name}",
            writing => Shelves.RecordedGearboxSets.ChangeAsync(writing, set),
            ct
        );
    }

    /// <exception cref="StillUsedException">A machine uses it.</exception>
    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task RemoveSetAsync(string who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "removed a gearbox set",
            async writing =>
            {
                IReadOnlyList<string> users = await GearboxSetShelf.UsersAsync(writing.Session, id);
                if (users.Count > 0)
                    throw new StillUsedException($"Used by {string.Join(", ", users)}. Give those another set first.");
                await Shelves.RecordedGearboxSets.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    private static string Described(StockSpacer spacer) =>
        FormattableString.Invariant($"spacer {spacer.ThicknessMm} mm for {spacer.BoreMm} mm");

    private static string Described(StockItem item) =>
        FormattableString.Invariant(
            $"{item.Wheel.Side.ToString().ToLowerInvariant()} {item.Wheel.Size} for {item.Wheel.Standard}"
        );
}
