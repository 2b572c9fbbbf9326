using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Wheels, spacers, other parts and tools in the workshop's lists, and the gearbox sets that machines share.</summary>
public sealed class StockStore(Database database, ChangeLog log)
{
    public ListStore<StockItem> Wheels { get; } =
        new(
            database,
            log,
            new(Kinds.StockItem),
            i => i.Check(),
            i => $"{i.Describe()}, {i.Wheel.Count} on the shelf",
            items =>
                items
                    .OrderBy(i => i.Wheel.Standard, StringComparer.Ordinal)
                    .ThenBy(i => i.Wheel.Side.ToString(), StringComparer.Ordinal)
                    .ThenBy(i => i.Wheel.Mounting, StringComparer.Ordinal)
                    .ThenBy(i => i.Wheel.Size)
                    .ThenBy(i => i.Id)
        );

    public ListStore<StockSpacer> Spacers { get; } =
        new(
            database,
            log,
            new(Kinds.StockSpacer),
            s => s.Check(),
            s => $"{s.Describe()}, {s.Count} in the drawer",
            spacers => spacers.OrderBy(s => s.BoreMm).ThenBy(s => s.ThicknessMm).ThenBy(s => s.Id)
        );

    public ListStore<StockPart> Parts { get; } =
        new(
            database,
            log,
            new(Kinds.StockPart),
            p => p.Check(),
            p => $"{p.Describe()}, {p.Count} on the shelf",
            parts =>
                parts
                    .OrderBy(p => p.Kind)
                    .ThenBy(p => p.GoesWith, StringComparer.Ordinal)
                    .ThenBy(p => p.Name, StringComparer.Ordinal)
                    .ThenBy(p => p.Id)
        );

    public ListStore<HandTool> Tools { get; } =
        new(
            database,
            log,
            new(Kinds.HandTool),
            t => t.Check(),
            t => t.Describe(),
            tools => tools.OrderBy(t => t.Kind).ThenBy(t => t.Size, StringComparer.Ordinal).ThenBy(t => t.Id)
        );

    /// <summary>A change of a set reaches every machine that uses it; one that is used can't be removed.</summary>
    public ListStore<GearboxSet> GearboxSets { get; } =
        new(
            database,
            log,
            new(Kinds.GearboxSet),
            set => DriveRules.CheckSet(set).ThrowIfAny(),
            set => $"gearbox set {set.Name}",
            sets => sets.OrderBy(s => s.Name, StringComparer.Ordinal).ThenBy(s => s.Id)
        );
}
