using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Stock;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

public sealed class ShaftsAndSpacersTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private Task<StockSpacer> AddAsync(double thickness, double bore) =>
        _store.Stock.Spacers.AddAsync(TempStore.Who, new(0, 0, thickness, bore, 3), CancellationToken.None);

    [Fact]
    public async Task Spacers_are_kept_changed_and_brought_back()
    {
        StockSpacer thick = await AddAsync(5.5, 17.25);
        StockSpacer thin = await AddAsync(0.5, 12);
        Assert.Equal([thin, thick], await _store.Stock.Spacers.ListAsync());
        StockSpacer fewer = await _store.Stock.Spacers.ChangeAsync(
            TempStore.Who,
            thick with
            {
                Count = 2,
            },
            CancellationToken.None
        );
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Stock.Spacers.ChangeAsync(TempStore.Who, thick with { Count = 9 }, CancellationToken.None)
        );
        await _store.Stock.Spacers.RemoveAsync(TempStore.Who, fewer.Id, fewer.Version, CancellationToken.None);
        Assert.Equal([thin], await _store.Stock.Spacers.ListAsync());
        await _store.Undoing.UndoAsync(TempStore.Who, (await _store.LastChangeAsync()).Id, CancellationToken.None);
        StockSpacer back = (await _store.Stock.Spacers.ListAsync())[1];
        Assert.Equal((5.5, 17.25, 2), (back.ThicknessMm, back.BoreMm, back.Count));
    }

    [Fact]
    public async Task A_spacer_that_is_none_is_not_stored()
    {
        await Assert.ThrowsAsync<InvalidInputException>(() => AddAsync(0, 12));
        await Assert.ThrowsAsync<InvalidInputException>(() => AddAsync(double.NaN, 12));
        Assert.Empty(await _store.Stock.Spacers.ListAsync());
    }

    [Fact]
    public async Task Widths_of_shafts_are_kept_with_their_machine_and_refused_where_they_do_not_belong()
    {
        FittedMachine stored = await _store.AddMachineAsync();
        Drive drive = stored.Machine.Drives[0];
        Loop loop = drive.Stages.OfType<Loop>().First();
        ShaftWidths widths = new(
            drive.Key,
            loop.DrivingShaft,
            -3.5,
            60.5,
            25.25,
            [new(loop.Key, WheelSide.Front, 20.5, 8.25, 31.5, true)]
        );
        Task<FittedMachine> SaveAsync(params ShaftWidths[] shafts) =>
            _store.Machines.ChangeAsync(
                TempStore.Who,
                new(stored.Machine with { Shafts = shafts }, stored.Fitted.Loops),
                stored.Fitted.Version,
                CancellationToken.None
            );
        await Assert.ThrowsAsync<InvalidInputException>(() => SaveAsync(widths, widths));
        await Assert.ThrowsAsync<InvalidInputException>(() => SaveAsync(widths with { LengthMm = 1 }));
        await SaveAsync(widths);
        ShaftWidths read = Assert.Single((await _store.Machines.FindAsync(stored.Machine.Id))!.Machine.Shafts!);
        Assert.Equal(widths.Sprockets, read.Sprockets);
        Assert.Equal(widths with { Sprockets = [] }, read with { Sprockets = [] });
    }
}
