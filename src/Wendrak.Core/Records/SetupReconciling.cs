using Wendrak.Core.Gearing;

namespace Wendrak.Core.Records;

/// <summary>Keeps setups whole when loops are added to a machine or taken away.</summary>
public static class SetupReconciling
{
    /// <summary>
    /// Wheels for every loop the machine has now: the setup's own where they are still legal, else as fitted.
    /// </summary>
    public static IReadOnlyList<LoopChoice> ToLoops(
        IEnumerable<Loop> loops,
        IReadOnlyList<LoopChoice> own,
        IReadOnlyList<LoopChoice> fitted
    ) =>
        [
            .. loops.Select(loop =>
            {
                LoopChoice? kept = own.FirstOrDefault(c => c.LoopKey == loop.Key);
                bool legal = kept is not null && !DriveRules.CheckChoices([loop], [kept]).HasIssues;
                return legal ? kept! : fitted.First(c => c.LoopKey == loop.Key);
            }),
        ];

    /// <summary>Road wheels of the outputs that the machine still has.</summary>
    public static IReadOnlyList<RoadWheelChoice> ToOutputs(Machine machine, IReadOnlyList<RoadWheelChoice> own)
    {
        HashSet<string> outputs = [.. machine.Drives.SelectMany(d => d.Outputs).Select(o => o.Name)];
        return [.. own.Where(w => outputs.Contains(w.OutputName))];
    }
}
