using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
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
    /// <param name="before">The machine as it is stored: sets it has already need no search; null for a new one.</param>
    public static async Task<Machine> StoreAsync(Edit edit, Machine machine, Machine? before = null)
    {
        GearboxSet[] own = [.. (before?.Drives ?? []).SelectMany(d => d.Stages).OfType<Gearbox>().Select(g => g.Set)];
        IReadOnlyList<GearboxSet>? known = null;
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
            if (own.FirstOrDefault(o => o.Id == set.Id && IsAlike(o, set)) is { } had)
                return had;
            known ??= await Sets.ListAsync(edit.Session);
            GearboxSet? same =
                known.FirstOrDefault(k => k.Id == set.Id && IsAlike(k, set))
                ?? known.FirstOrDefault(k => IsAlike(k, set));
            if (same is not null)
                return same;
            GearboxSet added = await Sets.AddAsync(edit, set);
            known = [.. known, added];
            return added;
        }
    }

    private static bool IsAlike(GearboxSet a, GearboxSet b) =>
        a.Name == b.Name && a.TurnsRound == b.TurnsRound && a.Reductions.SequenceEqual(b.Reductions);
}
