using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Sharing;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>What one yard writes, another reads in: once, undone as one, nothing half.</summary>
public sealed class SharedFilesTests : IDisposable
{
    private readonly TempStore _store = new();
    private readonly SharedFiles _files;

    public SharedFilesTests() => _files = new(_store.Database, _store.Log, _store.History, TimeProvider.System);

    public void Dispose() => _store.Dispose();

    private static StepWording Torque(double torqueNm)
    {
        ProcedureStep nut = ProcedureLibrary.Get(ProcedureFamily.FinalChain).Steps.First(s => s.Fastener is not null);
        return new(nut.Key, null, null, torqueNm);
    }

    private async Task<FittedMachine> WithTorqueAsync(FittedMachine machine, double torqueNm) =>
        await _store.Machines.ChangeAsync(
            "Ann",
            new(
                machine.Machine with
                {
                    Procedures = [new(ProcedureFamily.FinalChain, [Torque(torqueNm)], [])],
                },
                machine.Fitted.Loops
            ),
            machine.Fitted.Version,
            default
        );

    private async Task<IReadOnlyList<OwnProcedure>> ProceduresAsync(long id) =>
        (await _store.Machines.FindAsync(id))!.Machine.Procedures ?? [];

    [Fact]
    public async Task A_procedure_of_one_machine_goes_to_another_and_comes_off_it_again()
    {
        FittedMachine from = await WithTorqueAsync(await _store.AddMachineAsync("From"), 98);
        FittedMachine to = await _store.AddMachineAsync("To");
        SharedFile file = (await _files.WriteProcedureAsync(from.Machine.Id, ProcedureFamily.FinalChain, "Ann"))!;
        Assert.Equal(("Ann", from.Machine.Version), (file.Author, file.Version));
        Assert.Contains("From", file.Title, StringComparison.Ordinal);
        Assert.Null(await _files.WriteProcedureAsync(to.Machine.Id, ProcedureFamily.FinalChain, "Ann"));

        SharedTake take = new(file, to.Machine.Id, null, false);
        Assert.Equal(1, (await _files.CompareAsync(take)).Adds);
        Assert.Empty(await ProceduresAsync(to.Machine.Id));
        Assert.Equal(1, (await _files.TakeAsync("Ben", take, default)).Adds);
        Assert.Equal(98, (await ProceduresAsync(to.Machine.Id))[0].Reworded[0].TorqueNm);
        Change last = (await _store.History.ListAsync(to.Machine.Id, null, 1))[0];
        Assert.Contains($"version {file.Version} by Ann", last.What, StringComparison.Ordinal);

        // Once more is nothing more.
        Assert.Equal(0, (await _files.TakeAsync("Ben", take, default)).Adds);
        Assert.Equal(last.Id, (await _store.History.ListAsync(to.Machine.Id, null, 1))[0].Id);
        await _store.UndoLastAsync();
        Assert.Empty(await ProceduresAsync(to.Machine.Id));
    }

    [Fact]
    public async Task A_gearbox_set_is_changed_or_stands_beside_the_one_of_its_name()
    {
        GearboxSet kept = await _store.Stock.GearboxSets.AddAsync(
            "Ann",
            new(0, 0, "Six", [2.5, 1.5], true, null),
            default
        );
        SharedFile file = (await _files.WriteSetAsync(kept.Id, "Ann"))!;
        SharedFile later = file with { Version = 4, Content = new SharedGearboxSet("Six", [2.6, 1.5], true, null) };
        Assert.Equal(0, (await _files.CompareAsync(new(file, null, null, false))).ChangesHere);
        Assert.Equal(1, (await _files.CompareAsync(new(later, null, null, false))).ChangesHere);

        await _files.TakeAsync("Ben", new(later, null, null, true), default);
        Assert.Equal(
            ["Six: 2.5", "Six (Ann, 4): 2.6"],
            (await _store.Stock.GearboxSets.ListAsync()).OrderBy(s => s.Id).Select(s => $"{s.Name}: {s.Reductions[0]}")
        );
        // Once more is nothing more.
        Assert.Equal(0, (await _files.TakeAsync("Ben", new(later, null, null, true), default)).Adds);
        Assert.Equal(2, (await _store.Stock.GearboxSets.ListAsync()).Count);
        await _store.UndoLastAsync();
        await _files.TakeAsync("Ben", new(later, null, null, false), default);
        GearboxSet now = Assert.Single(await _store.Stock.GearboxSets.ListAsync());
        Assert.Equal((kept.Id, 2.6), (now.Id, now.Reductions[0]));
        await _store.UndoLastAsync();
        Assert.Equal(2.5, (await _store.Stock.GearboxSets.ListAsync())[0].Reductions[0]);
        Assert.Null(await _files.WriteSetAsync(kept.Id + 100, "Ann"));
    }

    [Fact]
    public async Task Aims_of_a_venue_come_to_another_machine_as_one_change()
    {
        Machine from = (await _store.AddMachineAsync("From")).Machine;
        Machine to = (await _store.AddMachineAsync("To")).Machine;
        string drive = from.Drives[0].Key;
        Aim Made(string name, double high) =>
            new(
                0,
                0,
                from.Id,
                name,
                drive,
                new FinalRatio(2, high),
                new(null, null, null),
                new(0, 0, 0, 0, 0, 0),
                null,
                [],
                "Dyke road"
            );
        await _store.Aims.AddAsync("Ann", Made("Fast", 2.5), default);
        await _store.Aims.AddAsync("Ann", Made("Slow", 3), default);
        Assert.Null(await _files.WriteAimsAsync(from.Id + 50, drive, "Dyke road", "Ann"));
        InvalidInputException none = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _files.WriteAimsAsync(from.Id, drive, "Harbour", "Ann")
        );
        Assert.Equal("Venue", none.Issues[0].Field);
        SharedFile file = (await _files.WriteAimsAsync(from.Id, drive, "Dyke road", "Ann"))!;
        // Later, though there is one aim less.
        Aim gone = (await _store.Aims.ListAsync(from.Id)).First(a => a.Name == "Fast");
        await _store.Aims.RemoveAsync("Ann", gone.Id, gone.Version, default);
        Assert.True((await _files.WriteAimsAsync(from.Id, drive, "Dyke road", "Ann"))!.Version > file.Version);

        SharedTake take = new(file, to.Id, to.Drives[0].Key, false);
        Assert.Equal(2, (await _files.TakeAsync("Ben", take, default)).Adds);
        Assert.All(await _store.Aims.ListAsync(to.Id), a => Assert.Equal("Dyke road", a.Venue));
        Aim slow = (await _store.Aims.ListAsync(to.Id)).First(a => a.Name == "Slow");
        await _store.Aims.ChangeAsync("Ben", slow with { Target = new FinalRatio(2, 4) }, default);
        Assert.Equal(1, (await _files.TakeAsync("Ben", take, default)).ChangesHere);
        Assert.Equal(3, ((FinalRatio)(await _store.Aims.ListAsync(to.Id)).First(a => a.Id == slow.Id).Target).High);
        await _store.UndoLastAsync();
        Assert.Equal(4, ((FinalRatio)(await _store.Aims.ListAsync(to.Id)).First(a => a.Id == slow.Id).Target).High);
    }

    [Fact]
    public async Task A_file_for_what_is_not_here_is_refused_and_nothing_is_stored()
    {
        Machine machine = (await _store.AddMachineAsync()).Machine;
        SharedAims aims = new(
            "Dyke road",
            [new("A", new FinalRatio(2, 3), new(null, null, null), new(0, 0, 0, 0, 0, 0), null)],
            []
        );
        SharedFile file = new(SharedFile.FormatName, 1, "Aims", 1, "Ann", new(2026, 11, 30), aims);
        async Task RefusedAsync(string field, SharedTake take)
        {
            InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
                _files.TakeAsync("Ben", take, default)
            );
            Assert.Contains(refused.Issues, i => i.Field == field);
        }
        await RefusedAsync("MachineId", new(file, machine.Id + 50, machine.Drives[0].Key, false));
        await RefusedAsync("DriveKey", new(file, machine.Id, "nowhere", false));
        await RefusedAsync("File.Version", new(file with { Version = 0 }, machine.Id, machine.Drives[0].Key, false));
        Assert.Empty(await _store.Aims.ListAsync(machine.Id));
    }
}
