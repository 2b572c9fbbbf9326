using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Does things to a store in an order drawn by lot: every kind, what hangs on it, undo and redo of anything.</summary>
public sealed class EveryOrder(TempStore store, int seed)
{
    private readonly Random _random = new(seed);
    private int _count;

    /// <summary>Things that were done, by what was done.</summary>
    public Dictionary<string, int> Done { get; } = [];

    /// <summary>One step. Only refusals may come of it, and then nothing has changed.</summary>
    /// <returns>What was done; null when it was refused.</returns>
    public async Task<string?> StepAsync()
    {
        (string Name, Func<Task>)[] all = All();
        (string name, Func<Task> step) = all[_random.Next(all.Length)];
        string before = await EverythingAsync(store);
        try
        {
            await step();
            Done[name] = Done.GetValueOrDefault(name) + 1;
            return name;
        }
        catch (Exception e)
            when (e is InvalidInputException or ChangedMeanwhileException or CannotUndoException or StillUsedException)
        {
            Assert.False(string.IsNullOrWhiteSpace(e.Message));
            Assert.Equal(before, await EverythingAsync(store));
            return null;
        }
    }

    /// <summary>What can be done, by name.</summary>
    public IEnumerable<string> Kinds => All().Select(k => k.Name);

    private (string Name, Func<Task>)[] All() =>
        [
            ("add machine", AddMachineAsync),
            ("change machine", ChangeMachineAsync),
            ("copy machine", CopyMachineAsync),
            ("remove machine", RemoveMachineAsync),
            ("read file", ReadFileAsync),
            ("add trial", AddTrialAsync),
            ("change setup", ChangeSetupAsync),
            ("fit", FitAsync),
            ("try kind", TryKindAsync),
            ("deliver", DeliverAsync),
            ("add aim", AddAimAsync),
            ("add aim", AddAimAsync),
            ("change aim", ChangeAimAsync),
            ("remove aim", RemoveAimAsync),
            ("remove aim", RemoveAimAsync),
            ("write log", WriteLogAsync),
            ("strike log", StrikeLogAsync),
            ("begin visit", BeginVisitAsync),
            ("happen", HappenAsync),
            ("happen", HappenAsync),
            ("search", SearchAsync),
            ("search", SearchAsync),
            ("remove visit", RemoveVisitAsync),
            (
                "add set",
                () => store.Stock.GearboxSets.AddAsync("Ann", new(0, 0, Name("set"), [2, 1], false, null), default)
            ),
            ("change set", ChangeSetAsync),
            ("remove set", RemoveSetAsync),
            ("add stock", () => store.Stock.Wheels.AddAsync("Ann", new(0, 0, Wheel(), null), default)),
            ("change stock", ChangeStockAsync),
            ("remove stock", RemoveStockAsync),
            ("add spacer", () => store.Stock.Spacers.AddAsync("Ann", new(0, 0, 1 + _random.Next(9), 17, 3), default)),
            ("add part", () => store.Stock.Parts.AddAsync("Ann", Part(), default)),
            ("change part", ChangePartAsync),
            ("count part", CountPartAsync),
            ("remove part", RemovePartAsync),
            ("add tool", () => store.Stock.Tools.AddAsync("Ann", new(0, 0, ToolKind.Spanner, Name("size")), default)),
            ("remove tool", RemoveToolAsync),
            ("use part", UsePartAsync),
            ("use part", UsePartAsync),
            ("plan", PlanAsync),
            ("work", WorkAsync),
            ("work", WorkAsync),
            ("change wheels", ChangeWheelsAsync),
            ("undo", UndoAsync),
            ("undo", UndoAsync),
            ("undo last", UndoLastAsync),
            ("undo last", UndoLastAsync),
        ];

    /// <summary>Everything that is stored, whatever versions it has: one line each.</summary>
    public static async Task<string> EverythingAsync(TempStore store)
    {
        List<string> lines = [];
        foreach (FittedMachine m in (await store.Machines.ListAsync()).OrderBy(m => m.Machine.Id))
        {
            lines.Add(Line(m.Machine with { Version = 0, Drives = [.. m.Machine.Drives.Select(WithoutSetVersions)] }));
            lines.AddRange((await store.Setups.ListAsync(m.Machine.Id)).Select(s => Line(s with { Version = 0 })));
            lines.AddRange((await store.Aims.ListAsync(m.Machine.Id)).Select(a => Line(a with { Version = 0 })));
            lines.AddRange(m.Visits.OrderBy(v => v.Id).Select(v => Line(v with { Version = 0 })));
            lines.AddRange((await store.Logs.AllAsync(m.Machine.Id))!.Select(Line));
        }
        foreach (FittedMachine m in (await store.Machines.ListAsync()).OrderBy(m => m.Machine.Id))
            lines.AddRange(
                (await store.Jobs.ListSheetsAsync(m.Machine.Id))
                    .Where(s => s.Parts.Count > 0)
                    .Select(s => $"{s.Id}: " + string.Join(", ", s.Parts.Select(p => $"{p.Count} × {p.What}").Order()))
            );
        foreach (FittedMachine m in (await store.Machines.ListAsync()).OrderBy(m => m.Machine.Id))
        foreach (JobSheet s in await store.Jobs.ListSheetsAsync(m.Machine.Id))
        {
            if (await store.Jobs.FindPlanAsync(s.Id) is { } plan)
                lines.Add($"{s.Id}: {Line(plan.Plan)}");
            // What came back has another number and stands last.
            lines.AddRange(s.Findings.Select(f => $"{s.Id}: {Line(f with { Entry = 0 })}").Order());
            lines.AddRange(s.Faults.Select(f => $"{s.Id}: {Line(Unnumbered(f))}"));
        }
        lines.AddRange((await store.Stock.Parts.ListAsync()).Select(s => Line(s with { Version = 0 })));
        lines.AddRange((await store.Stock.Tools.ListAsync()).Select(s => Line(s with { Version = 0 })));
        lines.AddRange((await store.Stock.Wheels.ListAsync()).Select(s => Line(s with { Version = 0 })));
        lines.AddRange((await store.Stock.Spacers.ListAsync()).Select(s => Line(s with { Version = 0 })));
        lines.AddRange((await store.Stock.GearboxSets.ListAsync()).Select(s => Line(s with { Version = 0 })));
        return string.Join('\n', lines);

        static string Line<T>(T value) => EarlierJson.ToJson(value);
        static FaultAtJob Unnumbered(FaultAtJob f) =>
            f with
            {
                Entry = 0,
                Answers = [.. f.Answers.OrderBy(a => a.Test, StringComparer.Ordinal).Select(a => a with { Entry = 0 })],
                Found = f.Found is { } found ? found with { Entry = 0 } : null,
            };
        static Drive WithoutSetVersions(Drive d) =>
            d with
            {
                Stages = [.. d.Stages.Select(s => s is Gearbox g ? g with { Set = g.Set with { Version = 0 } } : s)],
            };
    }

    private string Name(string what) => $"{what} {++_count}";

    private StockWheel Wheel() => new("520", WheelSide.Front, 13 + _random.Next(5), null, 1, 20, true);

    private async Task<T> OneAsync<T>(Task<IReadOnlyList<T>> of) =>
        await of is { Count: > 0 } list
            ? list[_random.Next(list.Count)]
            : throw new InvalidInputException("", "none", "There is none.");

    private Task<FittedMachine> MachineAsync() => OneAsync(store.Machines.ListAsync());

    private async Task<Setup> SetupAsync() => await OneAsync(store.Setups.ListAsync((await MachineAsync()).Machine.Id));

    private async Task AddMachineAsync()
    {
        MachineKind[] kinds = Enum.GetValues<MachineKind>();
        MachineDraft draft = StartingMachines.For(kinds[_random.Next(kinds.Length)]);
        await store.Machines.AddAsync(
            "Ann",
            draft with
            {
                Machine = draft.Machine with { Name = Name("machine") },
            },
            default
        );
    }

    private async Task ChangeMachineAsync()
    {
        FittedMachine m = await MachineAsync();
        Machine machine = m.Machine with { Note = Name("note") };
        Drive drive = machine.Drives[0];
        MachineDraft draft = _random.Next(4) switch
        {
            0 => new(
                machine with
                {
                    Drives = [drive with { Key = Name("key") }, .. machine.Drives.Skip(1)],
                },
                m.Fitted.Loops
            ),
            1 => new(machine, [.. m.Fitted.Loops.Select(l => l with { RearSize = l.RearSize + 1 })]),
            2 when drive.Stages.OfType<Loop>().LastOrDefault() is { } last => WithAnotherLoop(m, machine, drive, last),
            _ => new(machine, m.Fitted.Loops),
        };
        await store.Machines.ChangeAsync("Ann", draft, m.Fitted.Version, default);
    }

    private MachineDraft WithAnotherLoop(FittedMachine m, Machine machine, Drive drive, Loop like)
    {
        string key = Name("loop");
        Loop more = like with { Key = key, DrivingShaft = like.DrivenShaft, DrivenShaft = Name("shaft") };
        LoopChoice choice = m.Fitted.Loops.First(l => l.LoopKey == like.Key) with { LoopKey = key };
        return new(
            machine with
            {
                Drives = [drive with { Stages = [.. drive.Stages, more] }, .. machine.Drives.Skip(1)],
            },
            [.. m.Fitted.Loops, choice]
        );
    }

    private async Task CopyMachineAsync() =>
        await store.Machines.CopyAsync("Ann", (await MachineAsync()).Machine.Id, Name("copy"), default);

    private async Task RemoveMachineAsync()
    {
        FittedMachine m = await MachineAsync();
        await store.Machines.RemoveAsync("Ann", m.Machine.Id, m.Machine.Version, default);
    }

    private async Task ReadFileAsync() =>
        await store.Files.ReadAsync("Ann", (await store.Files.WriteAsync((await MachineAsync()).Machine.Id))!, default);

    private async Task AddTrialAsync()
    {
        FittedMachine m = await MachineAsync();
        NewTrial trial = new(
            Name("trial"),
            [.. m.Fitted.Loops.Take(1).Select(l => l with { RearSize = l.RearSize + _random.Next(3) })],
            null,
            null
        );
        await store.Setups.AddTrialAsync("Ann", m.Machine.Id, trial, default);
    }

    private async Task ChangeSetupAsync()
    {
        Setup setup = await SetupAsync();
        await store.Setups.ChangeAsync("Ann", setup with { Note = Name("note") }, default);
    }

    /// <summary>A belt in the place of a chain, and back: fitted later, or not.</summary>
    private async Task TryKindAsync()
    {
        FittedMachine m = await MachineAsync();
        LoopChoice loop = await OneAsync(Task.FromResult(m.Fitted.Loops));
        KindTrial kind = KindTrial.Of(
            new(m.Machine, m.Fitted, [m.Fitted], [], []),
            loop.LoopKey,
            _random.Next(2) == 0 ? "toothedBelt" : "plainChain"
        );
        NewTrial trial = new(Name("kind"), kind.Loops, null, null);
        await store.Setups.AddTrialAsync("Ann", m.Machine.Id, trial, default, kind.Kinds);
    }

    private async Task FitAsync()
    {
        Setup setup = await SetupAsync();
        await store.Setups.FitAsync("Ann", setup.Id, setup.Version, default);
    }

    private async Task DeliverAsync()
    {
        FittedMachine m = await MachineAsync();
        await store.Setups.SetDeliveredAsync("Ann", m.Machine.Id, new(m.Fitted.Loops, []), default);
    }

    private async Task AddAimAsync()
    {
        FittedMachine m = await MachineAsync();
        Aim aim = TempStore.AimFor(m.Machine.Id) with
        {
            Name = Name("aim"),
            DriveKey = m.Machine.Drives[0].Key,
            Target = new MatchSetup(m.Fitted.Id, "as fitted", m.Fitted.Loops, [], 2),
        };
        await store.Aims.AddAsync("Ann", aim, default);
    }

    private async Task WriteLogAsync()
    {
        long machine = (await MachineAsync()).Machine.Id;
        await store.Logs.AddAsync("Ann", machine, [new OdometerRead(new(2026, 3, 1), _random.Next(20_000))], default);
    }

    private async Task StrikeLogAsync()
    {
        long machine = (await MachineAsync()).Machine.Id;
        LogEntry entry = await OneAsync(store.Logs.AllAsync(machine)!);
        await store.Logs.StrikeAsync("Ann", machine, entry.LotId, entry.Number, !entry.IsStruck, default);
    }

    private async Task<Aim> AimAsync() => await OneAsync(store.Aims.ListAsync((await MachineAsync()).Machine.Id));

    private async Task ChangeAimAsync() =>
        await store.Aims.ChangeAsync("Ann", await AimAsync() with { Note = Name("note") }, default);

    private async Task RemoveAimAsync()
    {
        Aim aim = await AimAsync();
        await store.Aims.RemoveAsync("Ann", aim.Id, aim.Version, default);
    }

    private async Task BeginVisitAsync()
    {
        FittedMachine m = await MachineAsync();
        LoopChoice loop = await OneAsync(Task.FromResult(m.Fitted.Loops));
        await store.Jobs.AddAsync(
            "Ann",
            new(0, 0, m.Machine.Id, loop.LoopKey, new(2026, 11, 28), null, SetGoal.Both, [], [], null),
            default
        );
    }

    private async Task<SetJob> VisitAsync() => await OneAsync(store.Jobs.ListAsync((await MachineAsync()).Machine.Id));

    private async Task SearchAsync()
    {
        FittedMachine machine = await OneAsync(store.Machines.ListAsync());
        JobEvent said = _random.Next(5) switch
        {
            0 => new FaultTested("final", "lookChain", _random.Next(2) == 0 ? "clip" : "no"),
            1 => new FaultTested("final", "bendLinks", "aLink"),
            2 => new FaultFound("final", ["clipLost"]),
            3 => new CureJudged("final", true),
            _ => new FaultDescribed("final", ["knocksOnce"], [], IsNew: _random.Next(4) == 0 ? true : null),
        };
        await store.Jobs.SearchAsync(
            "Ann",
            machine.Machine.Id,
            "final",
            new(2026, 11, 28),
            new(Name("key"), said),
            default
        );
    }

    private async Task HappenAsync()
    {
        SetJob visit = await VisitAsync();
        JobEvent happens = _random.Next(6) switch
        {
            0 => new RoundKept(visit.LoopKey, null),
            1 => new CautionsSeen(visit.LoopKey),
            2 => new StepTicked(visit.LoopKey, ClosingStep.FinalTorque, _random.Next(2) == 0),
            3 => new VisitClosed(
                visit.LoopKey,
                new(2026, 11, 28),
                null,
                Enum.GetValues<ClosingStep>(),
                null,
                null,
                null,
                "so"
            ),
            _ => new ReadingTaken(visit.LoopKey, new(ReadingMethod.FreePlay, 20 + _random.Next(20), _random.Next(4))),
        };
        await store.Jobs.AppendAsync("Ann", visit.Id, [new(Name("key"), happens)], default);
    }

    private async Task RemoveVisitAsync()
    {
        SetJob visit = await VisitAsync();
        await store.Jobs.RemoveAsync("Ann", visit.Id, visit.Version, default);
    }

    private async Task ChangeSetAsync() =>
        await store.Stock.GearboxSets.ChangeAsync(
            "Ann",
            await OneAsync(store.Stock.GearboxSets.ListAsync()) with
            {
                Note = Name("note"),
            },
            default
        );

    private async Task RemoveSetAsync()
    {
        GearboxSet set = await OneAsync(store.Stock.GearboxSets.ListAsync());
        await store.Stock.GearboxSets.RemoveAsync("Ann", set.Id, set.Version, default);
    }

    private async Task ChangeStockAsync() =>
        await store.Stock.Wheels.ChangeAsync(
            "Ann",
            await OneAsync(store.Stock.Wheels.ListAsync()) with
            {
                Note = Name("note"),
            },
            default
        );

    private async Task RemoveStockAsync()
    {
        StockItem item = await OneAsync(store.Stock.Wheels.ListAsync());
        await store.Stock.Wheels.RemoveAsync("Ann", item.Id, item.Version, default);
    }

    private StockPart Part() => new(0, 0, PartKind.Seal, Name("seal"), null, 5, 2.5, true, null);

    private Task<StockPart> PartAsync() => OneAsync(store.Stock.Parts.ListAsync());

    private async Task ChangePartAsync() =>
        await store.Stock.Parts.ChangeAsync("Ann", await PartAsync() with { Note = Name("note") }, default);

    private async Task CountPartAsync() =>
        await store.Stock.Parts.ChangeAsync("Ann", await PartAsync() with { Count = _random.Next(6) }, default);

    private async Task RemovePartAsync()
    {
        StockPart part = await PartAsync();
        await store.Stock.Parts.RemoveAsync("Ann", part.Id, part.Version, default);
    }

    private async Task RemoveToolAsync()
    {
        HandTool tool = await OneAsync(store.Stock.Tools.ListAsync());
        await store.Stock.Tools.RemoveAsync("Ann", tool.Id, tool.Version, default);
    }

    private async Task UsePartAsync()
    {
        SetJob visit = await VisitAsync();
        StockPart part = await PartAsync();
        PartUsed used = new("", 1 + _random.Next(2), null, new(StockList.Parts, part.Id));
        await store.Jobs.AppendAsync("Ann", visit.Id, [new(Name("key"), used)], default);
    }

    private async Task PlanAsync()
    {
        JobSheet[] open = [.. (await store.Jobs.ListOpenAsync()).Where(j => j.Plan is null)];
        JobSheet job = await OneAsync(Task.FromResult<IReadOnlyList<JobSheet>>(open));
        Machine machine = (await store.Machines.FindAsync(job.MachineId))!.Machine;
        Loop loop = MachineRules.LoopsOf(machine).First();
        ProcedureFamily family =
            loop.DriveElement == DriveElement.Chain ? ProcedureFamily.FinalChain : ProcedureFamily.FinalBelt;
        PlanMade plan = new(ChangeKind.TensionOnly, loop.Key, family, null);
        await store.Jobs.AppendAsync("Ann", job.Id, [new(Name("key"), plan)], default);
    }

    private async Task WorkAsync()
    {
        JobSheet[] planned = [.. (await store.Jobs.ListOpenAsync()).Where(j => j.Plan is not null)];
        JobSheet job = await OneAsync(Task.FromResult<IReadOnlyList<JobSheet>>(planned));
        IReadOnlyList<PlanStep> steps = (await store.Jobs.FindPlanAsync(job.Id))!.Plan.Steps;
        ProcedureStep step = steps[_random.Next(steps.Count)].Step;
        JobEvent happens = _random.Next(6) switch
        {
            0 => new StepReopened(step.Key),
            1 => new StepMoved(step.Key, steps[_random.Next(steps.Count)].Step.Key),
            2 => new StepDone(step.Key, StepOutcome.LeftOut, "no time", null, [], null),
            _ => new StepDone(
                step.Key,
                StepOutcome.Done,
                null,
                step.Way?.Right,
                [],
                step.Fastener is null ? null : new(4, 4, 20, TorqueBy.Maker, LockCondition.Fresh)
            ),
        };
        await store.Jobs.AppendAsync("Ann", job.Id, [new(Name("key"), happens)], default);
    }

    /// <summary>A job that puts another front wheel on, up to where the machine is told.</summary>
    private async Task ChangeWheelsAsync()
    {
        FittedMachine[] all = [.. await store.Machines.ListAsync()];
        FittedMachine[] chains =
        [
            .. all.Where(m => MachineRules.LoopsOf(m.Machine).First().DriveElement == DriveElement.Chain),
        ];
        FittedMachine machine = await OneAsync(Task.FromResult<IReadOnlyList<FittedMachine>>(chains));
        JobSheet job = (
            await store.Jobs.OpenAsync(
                "Ann",
                machine.Machine.Id,
                new(2026, 11, 28),
                new(JobReason.AnotherGearing, null, null, null),
                default
            )
        )!;
        try
        {
            await PlannedWork.PutPartsOnAsync(store, job, () => Name("key"));
            await store.Setups.PutPlanOnAsync("Ann", job.Id, default);
            Done["put on"] = Done.GetValueOrDefault("put on") + 1;
        }
        catch (InvalidInputException)
        {
            // No front wheel that can be changed: the job stands, and goes on as far as it came.
        }
    }

    private async Task UndoLastAsync()
    {
        Change last = await OneAsync(store.History.ListAsync(null, null, 1));
        await store.Undoing.UndoAsync("Ben", last.Id, default);
    }

    private async Task UndoAsync()
    {
        Change any = await OneAsync(store.History.ListAsync(null, null, 12));
        await store.Undoing.UndoAsync("Ben", any.Id, default);
    }
}
