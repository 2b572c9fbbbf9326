using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Upkeep;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>All that is stored of one machine, read at one moment.</summary>
/// <param name="Fitted">One of <paramref name="Setups"/>.</param>
/// <param name="Setups">Trials, former ones and what was delivered, too.</param>
/// <param name="Visits">To its loops, newest first.</param>
/// <param name="Plan">Of the newest job that is not ended and has one; null for none.</param>
public sealed record StoredMachine(
    Machine Machine,
    Setup Fitted,
    IReadOnlyList<Setup> Setups,
    IReadOnlyList<Aim> Aims,
    IReadOnlyList<SetJob> Visits,
    PlanAtJob? Plan = null
)
{
    /// <summary>Oldest first.</summary>
    public IReadOnlyList<JobContent> Jobs { get; init; } = [];

    /// <summary>Of its log, what the usual distance is learned from.</summary>
    public IReadOnlyList<OdometerEntry> Odometer { get; init; } = [];

    public bool HasLoop(string key) => MachineRules.LoopsOf(Machine).Any(l => l.Key == key);

    /// <summary>A machine to practise on, as if it were stored.</summary>
    public static StoredMachine From(MachineDraft draft, DateOnly today)
    {
        Setup fitted = new(
            0,
            0,
            0,
            Setup.FittedName,
            SetupStatus.AsFitted,
            draft.Fitted,
            [],
            MadeOn: today,
            FittedOn: null,
            FittedAtKm: null,
            Note: null
        );
        return new(draft.Machine, fitted, [fitted], [], []);
    }
}

/// <summary>What the workshop has, for whatever machine.</summary>
public sealed record Workshop(
    IReadOnlyList<StockItem> Wheels,
    IReadOnlyList<StockSpacer> Spacers,
    IReadOnlyList<HandTool> Tools,
    IReadOnlyList<StockPart> Parts
)
{
    /// <summary>What is on the machines of the yard; empty where it is not asked for.</summary>
    public IReadOnlyList<LoopOnMachine> OnMachines { get; init; } = [];
}

/// <summary>A loop as it stands on a machine of the yard.</summary>
/// <param name="Machine">Name of that machine.</param>
/// <param name="Kind">As what it goes wrong.</param>
public sealed record LoopOnMachine(long MachineId, string Machine, Loop Loop, LoopChoice Choice, FaultKind Kind)
{
    /// <summary>What is written on the machine’s road wheels, as fitted.</summary>
    public IReadOnlyList<string> RoadWheels { get; init; } = [];

    /// <summary>Loops of a machine that are wholly known; a damaged one has none.</summary>
    public static IEnumerable<LoopOnMachine> Of(Machine machine, Setup? fitted) =>
        from loop in MachineRules.LoopsOf(machine)
        let choice = fitted?.Loops.FirstOrDefault(c => c.LoopKey == loop.Key)
        where choice is not null
        select new LoopOnMachine(machine.Id, machine.Name, loop, choice, FaultOfLoop.KindOf(machine, loop))
        {
            RoadWheels =
            [
                .. machine
                    .Drives.SelectMany(d => d.Outputs)
                    .Select(o =>
                        (fitted!.RoadWheels.FirstOrDefault(w => w.OutputName == o.Name)?.RoadWheel ?? o.RoadWheel)?.Size
                    )
                    .OfType<string>()
                    .Distinct(),
            ],
        };
}
