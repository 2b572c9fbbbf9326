using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Gearbox sets that a machine brings along.</summary>
internal static class BroughtSets
{
    private static readonly Repository<GearboxSet> Sets = new(Kinds.GearboxSet);

    /// <summary>
    /// The machine with stored sets: one with an id is the shared set; one without is matched by name and ratios, and
    /// added when there is none like it.
    /// </summary>
    public static async Task<Machine> StoreAsync(Writing writing, Machine machine)
    {
        IReadOnlyList<GearboxSet> known = await Sets.ListAsync(writing.Session);
        List<Drive> drives = [];
        foreach (Drive drive in machine.Drives)
        {
            List<Stage> stages = [];
            foreach (Stage stage in drive.Stages)
                stages.Add(stage is Gearbox box ? box with { Set = await StoredAsync(box.Set) } : stage);
            drives.Add(drive with { Stages = stages });
        }
        return machine with { Drives = drives };

        async Task<GearboxSet> StoredAsync(GearboxSet set)
        {
            GearboxSet? same =
                known.FirstOrDefault(k => k.Id == set.Id && IsAlike(k, set))
                ?? known.FirstOrDefault(k => IsAlike(k, set));
            if (same is not null)
                return same;
            GearboxSet added = await Sets.AddAsync(writing, set);
            known = [.. known, added];
            return added;
        }
    }

    private static bool IsAlike(GearboxSet a, GearboxSet b) =>
        a.Name == b.Name && a.TurnsRound == b.TurnsRound && a.Reductions.SequenceEqual(b.Reductions);
}
