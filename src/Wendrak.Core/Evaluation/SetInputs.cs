using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>What is known of a stored machine, put together for one of its loops that is set.</summary>
internal static class SetInputs
{
    /// <returns>Null where the loop is not there any more.</returns>
    public static SetInput? For(
        Machine machine,
        IReadOnlyList<LoopChoice> fitted,
        IReadOnlyList<RoadWheelChoice> roadWheels,
        SetJob job
    )
    {
        Drive? drive = machine.Drives.FirstOrDefault(d => d.Stages.OfType<Loop>().Any(l => l.Key == job.LoopKey));
        if (drive is null)
            return null;
        HashSet<string> keys = [.. drive.Stages.Select(s => s.Key)];
        LoopLayout? layout = machine.Layouts?.FirstOrDefault(l => l.LoopKey == job.LoopKey);
        return new(
            drive,
            machine.Kind,
            [.. fitted.Where(c => keys.Contains(c.LoopKey))],
            roadWheels,
            layout,
            machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == drive.Key),
            machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == job.LoopKey),
            StartingSetting.StoredOr(machine.Settings, job.LoopKey, layout, machine.Kind),
            job.Rounds,
            job.Goal,
            job.Gauge
        );
    }
}
