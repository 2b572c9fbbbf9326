using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>Machines with the gearbox sets they use.</summary>
internal sealed class MachineRepository() : Repository<Machine>(Kinds.Machine)
{
    private readonly Repository<GearboxSet> _sets = new(Kinds.GearboxSet);

    protected override async Task<IReadOnlyList<Machine>> CompleteAsync(Session session, IReadOnlyList<Machine> values)
    {
        long[] used =
        [
            .. values
                .SelectMany(m => m.Drives)
                .SelectMany(d => d.Stages)
                .OfType<Gearbox>()
                .Select(g => g.Set.Id)
                .Distinct(),
        ];
        if (used.Length == 0)
            return values;
        Dictionary<long, GearboxSet> sets = (await _sets.ListAsync(session, used)).ToDictionary(s => s.Id);
        return
        [
            .. values.Select(m =>
                m with
                {
                    Drives = [.. m.Drives.Select(d => d with { Stages = [.. d.Stages.Select(Full)] })],
                }
            ),
        ];

        Stage Full(Stage stage) =>
            stage is Gearbox box && sets.TryGetValue(box.Set.Id, out GearboxSet? set) ? box with { Set = set } : stage;
    }
}
