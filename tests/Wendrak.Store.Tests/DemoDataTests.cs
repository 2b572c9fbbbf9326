using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Demo;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

public sealed class DemoDataTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task The_demo_machines_compute_and_nothing_about_them_is_odd()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        IReadOnlyList<FittedMachine> machines = await _store.Machines.ListAsync();
        Assert.Equal(
            ["Curlew", "Dunlin", "Godwit", "Knot", "Pipit", "Plover", "Turnstone"],
            machines.Select(m => m.Machine.Name)
        );
        Assert.All(machines, m => Assert.Empty(MachineSummary.From(m.Machine, m.Fitted, m.Visits).Findings));
    }

    [Fact]
    public async Task It_comes_into_an_empty_yard_only_and_onto_shelves_on_which_nothing_lies()
    {
        Task AddAsync() => DemoData.AddAsync(_store.Database, _store.Machines, _store.Stock, _store.Files);
        await AddAsync();
        IReadOnlyList<FittedMachine> machines = await _store.Machines.ListAsync();
        Assert.Equal(7, machines.Count);
        int wheels = (await _store.Stock.Wheels.ListAsync()).Count;
        await Assert.ThrowsAsync<InvalidInputException>(AddAsync);
        foreach (FittedMachine m in machines)
            await _store.Machines.RemoveAsync("Ann", m.Machine.Id, m.Machine.Version, default);
        await AddAsync();
        Assert.Equal(7, (await _store.Machines.ListAsync()).Count);
        Assert.Equal(wheels, (await _store.Stock.Wheels.ListAsync()).Count);
    }

    [Fact]
    public async Task Every_demo_aim_has_a_way_into_its_band()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        StockWheel[] stock = [.. (await _store.Stock.Wheels.ListAsync()).Select(s => s.Wheel)];
        foreach (FittedMachine m in await _store.Machines.ListAsync())
        foreach (Aim aim in await _store.Aims.ListAsync(m.Machine.Id))
        {
            Drive drive = m.Machine.Drives.First(d => d.Key == aim.DriveKey);
            Loop loop = drive.Stages.OfType<Loop>().Last();
            LoopSearch search = SearchAround.Fitted(
                loop,
                m.Fitted.Loops.First(c => c.LoopKey == loop.Key),
                m.Machine.Work
            );
            RatioSearchResult result = RatioSearch.Run(
                new(drive, m.Fitted.Loops, [], [search], aim.Target, [], RatioRanking.LeastWork, stock)
            );
            Assert.True(result.HitCount > 0, $"{m.Machine.Name}: {aim.Name}");
        }
    }

    [Fact]
    public async Task Every_demo_loop_closes_with_the_length_that_is_on_it()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        foreach (FittedMachine m in await _store.Machines.ListAsync())
        foreach (Drive drive in m.Machine.Drives)
        foreach (Loop loop in drive.Stages.OfType<Loop>())
        {
            LoopLayout layout = m.Machine.Layouts!.Single(l => l.LoopKey == loop.Key);
            LoopChoice choice = m.Fitted.Loops.First(c => c.LoopKey == loop.Key);
            LoopFitResult fit = LoopFit.Evaluate(new(drive, choice, choice, layout, null, false, null));
            string what = $"{m.Machine.Name}: {loop.Key}";
            Assert.True(Math.Abs(fit.ExactLength - fit.ChosenLength!.Value) * fit.UnitMm < 0.1, what);
            Assert.DoesNotContain(fit.Findings, f => f.Kind is FitFindingKind.OffTheTrack or FitFindingKind.TipsTouch);
        }
    }

    [Fact]
    public async Task The_demo_has_two_years_of_jobs_on_every_machine()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        List<JobSheet> jobs = [];
        foreach (FittedMachine m in await _store.Machines.ListAsync())
        {
            IReadOnlyList<JobSheet> own = await _store.Jobs.ListSheetsAsync(m.Machine.Id);
            Assert.True(own.Count >= 3, m.Machine.Name);
            Assert.All(
                own,
                j => Assert.True(j.OdometerKm is null || j.OdometerKm <= m.Machine.OdometerKm, m.Machine.Name)
            );
            jobs.AddRange(own);
        }
        Assert.True(jobs.Max(j => j.OpenedOn).DayNumber - jobs.Min(j => j.OpenedOn).DayNumber > 600);
        Assert.Single(jobs, j => j.State == JobState.Waits);
        Assert.Equal(2, jobs.Count(j => j.Deviations.Count > 0 && j.Signature?.Reason is not null));
        // One plan half done that waits for a part, one finished with a deviation.
        Assert.Single(jobs, j => j is { State: JobState.Waits, Plan: { Next: not null, Done: > 5 } });
        Assert.Single(jobs, j => j is { State: JobState.Ended, Plan.Next: null } && j.Deviations.Count > 0);
        Assert.Contains(jobs, j => j.Findings.Any(f => f.Grade == FindingGrade.Watch));
        Assert.Single(jobs, j => j.Photos.Count > 1);
        foreach (string hash in jobs.SelectMany(j => j.Photos).Select(p => p.Hash))
            Assert.Equal(hash, await Attachments.HashAsync(Attachments.Find(_store.Folder, hash)!, default));
        Assert.Contains(jobs, j => j.PartsCost?.Price > 0);
        Assert.Contains(jobs, j => j.Provisional.Any(p => p.ClearedAt is null));
    }

    [Fact]
    public async Task Every_machine_of_the_demo_has_changes_that_can_be_planned()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        MachineReader reader = new(_store.Database, _store.Jobs);
        Workshop workshop = await reader.WorkshopAndYardAsync();
        Assert.Equal((await _store.Machines.ListAsync()).Sum(m => m.Fitted.Loops.Count), workshop.OnMachines.Count);
        Assert.Contains(workshop.OnMachines, l => l is { Machine: "Dunlin", Choice.FrontSize: 28 });
        foreach (FittedMachine m in await _store.Machines.ListAsync())
        foreach (LoopChoice loop in m.Fitted.Loops)
        {
            StoredMachine stored = (await reader.FindAsync(m.Machine.Id))!;
            EvaluationParts ask = new() { Build = new() };
            BuildAnswer answer = MachineEvaluation.Answer(stored, workshop, new([loop.LoopKey]), ask).Build!.Answer!;
            Assert.True(answer.Families[0].Changes.Count >= 2, m.Machine.Name);
            foreach (ChangeKind change in answer.Families[0].Changes)
            {
                EvaluationParts one = new() { Build = new(Changes: [change]) };
                Part<BuildAnswer> plan = MachineEvaluation.Answer(stored, workshop, new([loop.LoopKey]), one).Build!;
                Assert.True(plan.Answer?.Steps.Count > 4, $"{m.Machine.Name} {change}");
            }
        }
    }

    [Fact]
    public async Task The_demo_is_read_through_the_same_history_as_a_person_s_machines()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        Assert.Equal("demo data", (await _store.LastChangeAsync()).Who);
    }
}
