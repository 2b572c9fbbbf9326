using Wendrak.Core.Records;
using Wendrak.Core.Stock;

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
);
