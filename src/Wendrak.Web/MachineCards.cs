using System.Collections.Concurrent;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Cards of the yard. What the core says of a machine is kept while nothing of it has changed.</summary>
public sealed class MachineCards(Database database)
{
    private readonly ConcurrentDictionary<long, (string State, MachineSummary Summary)> _known = [];

    /// <summary>In the order of the machines; a large yard that nobody asked for yet takes every core there is.</summary>
    public List<MachineCard> Make(IReadOnlyList<FittedMachine> machines)
    {
        MachineCard[] cards = new MachineCard[machines.Count];
        Parallel.For(0, cards.Length, i => cards[i] = Make(machines[i]));
        return [.. cards];
    }

    public MachineCard Make(FittedMachine m)
    {
        string state = StateOf(m);
        if (!_known.TryGetValue(m.Machine.Id, out (string State, MachineSummary Summary) known) || known.State != state)
            _known[m.Machine.Id] = known = (state, MachineSummary.From(m.Machine, m.Fitted, m.Visits, m.Stops));
        return new(m.Machine, m.Fitted, known.Summary);
    }

    /// <summary>Versions of all that a summary is made from; numbers and versions are never given twice in the same data.</summary>
    private string StateOf(FittedMachine m)
    {
        IEnumerable<string> sets = m
            .Machine.Drives.SelectMany(d => d.Stages)
            .OfType<Gearbox>()
            .Select(g => FormattableString.Invariant($"{g.Set.Id}.{g.Set.Version}"));
        IEnumerable<string> jobs = m.Jobs.Select(j => FormattableString.Invariant($"{j.Job.Id}.{j.Sheet.Version}"));
        return FormattableString.Invariant(
            $"{database.DataId}/{m.Machine.Version}/{m.Fitted.Id}.{m.Fitted.Version}/{string.Join(',', sets)}/{string.Join(',', jobs)}"
        );
    }
}
