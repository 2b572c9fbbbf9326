using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

public sealed class LoadsStoredTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private static readonly MachineLoads Loads = new(
        [new("drive", PeakTorqueNm: 28, MassKg: 255, BrakingTorqueNm: 3, LiftsOrFlies: true)],
        [new("final", "525", BreakingLoadN: 34_000, Strands: 2, School: LubricationSchool.Industrial)],
        [new("belt", DriveElement.ToothedBelt, "8M", 34, 102, new("final", WidthMm: 30))]
    );

    private async Task<FittedMachine> StoredAsync(MachineLoads? loads)
    {
        FittedMachine machine = await _store.AddMachineAsync();
        MachineDraft draft = new(machine.Machine with { Loads = loads }, machine.Fitted.Loops);
        return await _store.Machines.ChangeAsync("Ann", draft, machine.Fitted.Version, default);
    }

    private async Task<MachineLoads?> LoadsOfAsync(long id) => (await _store.Machines.FindAsync(id))!.Machine.Loads;

    [Fact]
    public async Task Loads_are_stored_with_their_machine_and_undone_with_it()
    {
        FittedMachine stored = await StoredAsync(Loads);
        MachineLoads read = (await LoadsOfAsync(stored.Machine.Id))!;
        Assert.Equal(Loads.Sources, read.Sources);
        Assert.Equal(Loads.Strengths, read.Strengths);
        Assert.Equal(Loads.Alternatives, read.Alternatives);
        await _store.Undoing.UndoAsync("Ann", (await _store.LastChangeAsync()).Id, default);
        Assert.Null(await LoadsOfAsync(stored.Machine.Id));
    }

    [Fact]
    public async Task They_go_into_the_machine_file_and_a_copy()
    {
        FittedMachine stored = await StoredAsync(Loads);
        MachineFile file = (await _store.Files.WriteAsync(stored.Machine.Id))!;
        FittedMachine read = await _store.Files.ReadAsync("Ann", file, default);
        Assert.Equal(Loads.Strengths, read.Machine.Loads!.Strengths);
        FittedMachine copy = (await _store.Machines.CopyAsync("Ann", stored.Machine.Id, "Copy", default))!;
        Assert.Equal(Loads.Sources, (await LoadsOfAsync(copy.Machine.Id))!.Sources);
    }

    [Fact]
    public async Task A_removed_loop_takes_its_chain_along()
    {
        FittedMachine stored = await StoredAsync(Loads);
        Drive drive = stored.Machine.Drives[0];
        Drive direct = drive with
        {
            Stages = [.. drive.Stages.Where(s => s is not Loop)],
            Outputs = [drive.Outputs[0] with { Shaft = drive.Stages.Last(s => s is not Loop).DrivenShaft }],
        };
        MachineDraft draft = new(stored.Machine with { Drives = [direct], Layouts = null }, []);
        FittedMachine changed = await _store.Machines.ChangeAsync("Ann", draft, stored.Fitted.Version, default);
        Assert.Empty(changed.Machine.Loads!.Strengths);
        Assert.Null(changed.Machine.Loads.Alternatives);
        Assert.Single(changed.Machine.Loads.Sources);
    }

    [Theory]
    [InlineData("nowhere", "final")]
    [InlineData("drive", "nowhere")]
    public async Task A_drive_or_loop_that_is_not_there_is_dropped_not_kept(string drive, string loop)
    {
        MachineLoads wrong = new([new(drive, PeakTorqueNm: 28)], [new(loop)]);
        MachineLoads kept = (await StoredAsync(wrong)).Machine.Loads!;
        Assert.Equal((drive == "drive", loop == "final"), (kept.Sources.Count == 1, kept.Strengths.Count == 1));
    }

    [Fact]
    public async Task Values_that_are_not_physical_are_refused_and_the_old_ones_stay()
    {
        FittedMachine stored = await StoredAsync(Loads);
        MachineLoads wrong = new([new("drive", PeakTorqueNm: -1)], [new("final", BreakingLoadN: 0)]);
        MachineDraft draft = new(stored.Machine with { Loads = wrong }, stored.Fitted.Loops);
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Machines.ChangeAsync("Ann", draft, stored.Fitted.Version, default)
        );
        Assert.Equal(
            ["Machine.Loads.Sources[0].PeakTorqueNm", "Machine.Loads.Strengths[0].BreakingLoadN"],
            refused.Issues.Select(i => i.Field)
        );
        Assert.Equal(Loads.Sources, (await LoadsOfAsync(stored.Machine.Id))!.Sources);
    }
}
