namespace Wendrak.Core.Gearing;

/// <summary>One gear of a whole drive: which gear each of its shiftable stages is in.</summary>
/// <param name="Index">Place in the list, 0 for the first.</param>
/// <param name="Label">“3” for third; “2·5” where a crank box and a hub are shifted both; “” for a drive without gears.</param>
/// <param name="StageGears">Gear index of every stage of the drive, in stage order; 0 where it can't be shifted.</param>
public sealed record DriveGear(int Index, string Label, IReadOnlyList<int> StageGears);

public static class DriveGears
{
    /// <summary>All gears of a drive in shifting order, the first shiftable stage turning slowest.</summary>
    public static IReadOnlyList<DriveGear> List(Drive drive)
    {
        List<int[]> combinations = [new int[drive.Stages.Count]];
        for (int s = 0; s < drive.Stages.Count; s++)
        {
            int stage = s;
            int gears = StageRatio.GearCount(drive.Stages[s]);
            if (gears == 1)
                continue;
            combinations =
            [
                .. combinations.SelectMany(c =>
                    StageRatio.KnownGears(drive.Stages[stage]).Select(g => With(c, stage, g))
                ),
            ];
        }
        int[] shiftable =
        [
            .. Enumerable.Range(0, drive.Stages.Count).Where(s => StageRatio.GearCount(drive.Stages[s]) > 1),
        ];
        return
        [
            .. combinations.Select((c, i) => new DriveGear(i, string.Join('·', shiftable.Select(s => c[s] + 1)), c)),
        ];
    }

    private static int[] With(int[] gears, int stage, int gear)
    {
        int[] copy = [.. gears];
        copy[stage] = gear;
        return copy;
    }
}
