using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>Steps of a machine’s own, with torque, thread and measured way: carried by its file, taken back and brought again.</summary>
public sealed class OwnStepsTests : IDisposable
{
    private static readonly OwnProcedure Own = new(
        ProcedureFamily.FinalChain,
        [
            new("front-nut-tight", "Nut on, third gear in.", 9, 98, TorqueThread.Dry),
            new("front-on", null, null, null, null, 4.5),
        ],
        [new("paint", StepPhase.Close, "set", "Paint line over the nut.", "It shows when it moves.", 1, true)]
    );

    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private async Task<FittedMachine> ChangeAsync(FittedMachine found, IReadOnlyList<OwnProcedure>? own) =>
        (
            await _store.Machines.ChangeAsync(
                "Ann",
                new(found.Machine with { Procedures = own }, found.Fitted.Loops),
                found.Fitted.Version,
                default
            )
        )!;

    private static string Text(IReadOnlyList<OwnProcedure>? own) => Bodies.EarlierJson.ToJson(own ?? []);

    private async Task<string> OwnOfAsync(long id) => Text((await _store.Machines.FindAsync(id))!.Machine.Procedures);

    private async Task UndoNewestAsync()
    {
        Change newest = (await _store.History.ListAsync(null, null, 1))[0];
        await _store.Undoing.UndoAsync("Ben", newest.Id, default);
    }

    [Fact]
    public async Task Each_of_their_fields_is_taken_back_and_brought_again()
    {
        FittedMachine found = await ChangeAsync(await _store.AddMachineAsync(), [Own]);
        OwnProcedure[] changes =
        [
            Own with
            {
                Reworded = [Own.Reworded[0] with { TorqueFor = TorqueThread.Wet }, Own.Reworded[1]],
            },
            Own with
            {
                Reworded = [Own.Reworded[0] with { TorqueNm = 108 }, Own.Reworded[1]],
            },
            Own with
            {
                Reworded = [Own.Reworded[0], Own.Reworded[1] with { WayMm = 6 }],
            },
            Own with
            {
                Added = [],
            },
        ];
        foreach (OwnProcedure change in changes)
        {
            FittedMachine now = (await _store.Machines.FindAsync(found.Machine.Id))!;
            await ChangeAsync(now, [change]);
            Assert.Equal(Text([change]), await OwnOfAsync(found.Machine.Id));
            await UndoNewestAsync();
            Assert.Equal(Text([Own]), await OwnOfAsync(found.Machine.Id));
            await UndoNewestAsync();
            Assert.Equal(Text([change]), await OwnOfAsync(found.Machine.Id));
            await UndoNewestAsync();
        }
    }

    [Fact]
    public async Task Its_file_carries_them_and_reads_back_the_same()
    {
        FittedMachine found = await ChangeAsync(await _store.AddMachineAsync(), [Own]);
        string text = await FileText.WriteAsync((await _store.Files.WriteAsync(found.Machine.Id))!);
        FittedMachine read = await _store.Files.ReadAsync("Ben", await FileText.ReadAsync(text), default);
        Assert.Equal(Text([Own]), Text(read.Machine.Procedures));
    }
}
