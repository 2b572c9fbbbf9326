using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>What is used at a job is in Stock no more; both are one change, and both come back with it.</summary>
public sealed class PartsUsedTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 30);
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private async Task<JobSheet> OpenAsync()
    {
        long machine = (await _store.AddMachineAsync()).Machine.Id;
        return (await _store.Jobs.OpenAsync("Ann", machine, Today, new(JobReason.Visit, null, null, null), default))!;
    }

    private Task<StockPart> LinksAsync(int count = 4) =>
        _store.Stock.Parts.AddAsync(
            "Ann",
            new(0, 0, PartKind.JoiningLink, "rivet", "520", count, 3.5, true, null),
            default
        );

    private async Task<JobSheet> UseAsync(JobSheet job, StockList list, long id, int count, string who = "Ann") =>
        (
            await _store.Jobs.AppendAsync(
                who,
                job.Id,
                [new($"key {_key++}", new PartUsed("", count, null, new(list, id)))],
                default
            )
        )!.Job;

    private async Task<int> CountAsync() => (await _store.Stock.Parts.ListAsync())[0].Count;

    private Task<Change> UndoAsync(long id) => _store.Undoing.UndoAsync("Undoer", id, default);

    private async Task<JobSheet> ReadAsync(JobSheet job) => (await _store.Jobs.ListSheetsAsync(job.MachineId))[0];

    [Fact]
    public async Task A_part_from_stock_is_called_and_priced_as_it_is_there()
    {
        StockPart links = await LinksAsync();
        JobSheet job = await UseAsync(await OpenAsync(), StockList.Parts, links.Id, 3);
        JobPart part = Assert.Single(job.Parts);
        Assert.Equal(("joining link rivet for 520", 3, 3.5, 10.5), (part.What, part.Count, part.UnitPrice, part.Price));
        Assert.Equal(1, await CountAsync());
        Change change = (await _store.History.ListAsync(job.MachineId, null, 1))[0];
        Assert.Equal("used 3 × joining link rivet for 520", change.What);
        Assert.Equal("stock_part", Assert.Single(change.Things).Thing);
    }

    [Fact]
    public async Task Each_list_of_stock_is_taken_from()
    {
        JobSheet job = await OpenAsync();
        StockItem wheel = await _store.Stock.Wheels.AddAsync(
            "Ann",
            new(0, 0, new("520", Core.Gearing.WheelSide.Front, 15, null, 2, 20, true), null),
            default
        );
        StockSpacer spacer = await _store.Stock.Spacers.AddAsync("Ann", new(0, 0, 2, 17, 6, 0.5), default);
        await UseAsync(job, StockList.Wheels, wheel.Id, 1);
        JobSheet after = await UseAsync(job, StockList.Spacers, spacer.Id, 4);
        Assert.Equal(["front 15 for 520", "spacer 2 mm for 17 mm"], after.Parts.Select(p => p.What));
        Assert.Equal(new(22, 0), after.PartsCost);
        Assert.Equal(1, (await _store.Stock.Wheels.ListAsync())[0].Wheel.Count);
        Assert.Equal(2, (await _store.Stock.Spacers.ListAsync())[0].Count);
    }

    [Fact]
    public async Task More_than_there_are_or_what_is_not_there_is_refused_and_nothing_is_taken()
    {
        StockPart links = await LinksAsync(1);
        JobSheet job = await OpenAsync();
        InvalidInputException many = await Assert.ThrowsAsync<InvalidInputException>(() =>
            UseAsync(job, StockList.Parts, links.Id, 2)
        );
        Assert.Equal("Events[0].Event.Count", many.Issues[0].Field);
        InvalidInputException none = await Assert.ThrowsAsync<InvalidInputException>(() =>
            UseAsync(job, StockList.Wheels, links.Id, 1)
        );
        Assert.Equal("Events[0].Event.From.Id", none.Issues[0].Field);
        Assert.Equal(1, await CountAsync());
        Assert.Empty((await ReadAsync(job)).Parts);
    }

    [Fact]
    public async Task Sent_twice_it_is_taken_once()
    {
        StockPart links = await LinksAsync();
        JobSheet job = await OpenAsync();
        SentEvent sent = new("same", new PartUsed("", 1, null, new(StockList.Parts, links.Id)));
        await _store.Jobs.AppendAsync("Ann", job.Id, [sent], default);
        await _store.Jobs.AppendAsync("Ann", job.Id, [sent], default);
        Assert.Equal(3, await CountAsync());
        Assert.Single((await ReadAsync(job)).Parts);
    }

    [Fact]
    public async Task Taken_back_it_is_in_stock_again_whatever_was_used_counted_or_priced_since()
    {
        StockPart links = await LinksAsync();
        JobSheet mine = await UseAsync(await OpenAsync(), StockList.Parts, links.Id, 1);
        JobSheet other = await UseAsync(await OpenAsync(), StockList.Parts, links.Id, 2, "Ben");
        StockPart now = (await _store.Stock.Parts.ListAsync())[0];
        await _store.Stock.Parts.ChangeAsync("Ben", now with { Price = 4 }, default);
        // By the number of the part at the job, as its page sends it.
        Change undoing = await UndoAsync(mine.Parts[0].Entry);
        Assert.Equal("undone: used 1 × joining link rivet for 520", undoing.What);
        Assert.Equal((2, 4), (await CountAsync(), (await _store.Stock.Parts.ListAsync())[0].Price));
        Assert.Empty((await ReadAsync(mine)).Parts);
        Assert.Single((await ReadAsync(other)).Parts);
        await UndoAsync(undoing.Id);
        Assert.Equal(1, await CountAsync());
        Assert.Single((await ReadAsync(mine)).Parts);
    }

    [Fact]
    public async Task Of_a_signed_job_and_of_a_line_that_is_gone_nothing_comes_back()
    {
        StockPart links = await LinksAsync();
        JobSheet job = await UseAsync(await OpenAsync(), StockList.Parts, links.Id, 1);
        StockPart left = (await _store.Stock.Parts.ListAsync())[0];
        await _store.Stock.Parts.RemoveAsync("Ben", left.Id, left.Version, default);
        CannotUndoException gone = await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(job.Parts[0].Entry));
        Assert.Contains("part in stock", gone.Message, StringComparison.Ordinal);
        await _store.UndoLastAsync();
        await _store.Jobs.AppendAsync("Ann", job.Id, [new("s", new JobSigned(Today, null, null, null, null))], default);
        await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(job.Parts[0].Entry));
        Assert.Equal(3, await CountAsync());
    }

    [Fact]
    public async Task A_job_of_a_file_keeps_its_parts_and_touches_no_stock_here()
    {
        // The longest words that Stock takes: the file must not be refused for them.
        StockPart links = await LinksAsync();
        links = await _store.Stock.Parts.ChangeAsync(
            "Ann",
            links with
            {
                Name = new('n', Guard.LongestName),
                GoesWith = new('g', Guard.LongestName),
            },
            default
        );
        JobSheet job = await UseAsync(await OpenAsync(), StockList.Parts, links.Id, 1);
        FittedMachine read = await _store.Files.ReadAsync(
            "Ann",
            (await _store.Files.WriteAsync(job.MachineId))!,
            default
        );
        JobSheet copy = (await _store.Jobs.ListSheetsAsync(read.Machine.Id))[0];
        Assert.Equal((1, false), (copy.Parts[0].Count, copy.Parts[0].IsFromStock));
        // One thing of it can be taken back alone, and the reading of the file after it.
        await UndoAsync(copy.Parts[0].Entry);
        Assert.Empty((await ReadAsync(copy)).Parts);
        Assert.Equal(3, await CountAsync());
    }
}
