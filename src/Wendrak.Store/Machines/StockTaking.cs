using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>What is used at a job and comes from Stock is there no more, in one change.</summary>
internal static class StockTaking
{
    private static readonly Repository<StockItem> Wheels = new(Kinds.StockItem);
    private static readonly Repository<StockPart> Parts = new(Kinds.StockPart);
    private static readonly Repository<StockSpacer> Spacers = new(Kinds.StockSpacer);

    /// <param name="path">Where the event stands in what was sent.</param>
    /// <returns>The event as the record takes it, and the number of the change it goes with.</returns>
    /// <exception cref="InvalidInputException">There is no such line of Stock, or there are not so many.</exception>
    public static async Task<(PartUsed Used, long Change)> TakeAsync(
        Edit edit,
        long machineId,
        PartUsed sent,
        string path
    )
    {
        PartUsed used = sent.From!.List switch
        {
            StockList.Wheels => await TakeAsync(edit, Wheels, sent, path),
            StockList.Spacers => await TakeAsync(edit, Spacers, sent, path),
            _ => await TakeAsync(edit, Parts, sent, path),
        };
        edit.MachineId = machineId;
        edit.What = $"used {used.Count} × {used.What}";
        return (used, await edit.NumberAsync());
    }

    private static async Task<PartUsed> TakeAsync<T>(Edit edit, Repository<T> stock, PartUsed sent, string path)
        where T : StockRecord
    {
        T there =
            await stock.FindAsync(edit.Session, sent.From!.Id)
            ?? throw new InvalidInputException(
                path.Length == 0 ? "From.Id" : $"{path}.From.Id",
                "unknown",
                "This is not in Stock any more: choose another one."
            );
        (T left, PartUsed used) = PartRules.Take(there, sent, path);
        await stock.ChangeAsync(edit, left, there);
        return used;
    }
}
