namespace Wendrak.Core.Gearing;

/// <summary>Which shafts of a drive turn with which.</summary>
internal static class DriveShafts
{
    /// <summary>A shaft and all that it turns without a loop between.</summary>
    public static HashSet<string> TurnedWith(Drive drive, string shaft) =>
        Behind(drive, shaft, stage => stage is not Loop);

    /// <summary>A shaft and all that it turns, loops included.</summary>
    public static HashSet<string> TurnedBy(Drive drive, string shaft) => Behind(drive, shaft, _ => true);

    private static HashSet<string> Behind(Drive drive, string shaft, Func<Stage, bool> counts)
    {
        HashSet<string> shafts = [shaft];
        // Stages come in any order; each round may reach one further.
        for (int i = 0; i < drive.Stages.Count; i++)
            foreach (Stage stage in drive.Stages)
                if (shafts.Contains(stage.DrivingShaft) && counts(stage))
                    shafts.Add(stage.DrivenShaft);
        return shafts;
    }
}
