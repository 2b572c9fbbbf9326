namespace Wendrak.Core.Tables;

/// <summary>One toothed-belt profile. Source: ISO 5294, ISO 13050, table <c>synchronous_profiles.csv</c>.</summary>
public sealed record SynchronousProfile
{
    public required string ProfileId { get; init; }
    public required double PitchMm { get; init; }

    /// <summary>How far the pitch line lies outside the pulley's rim, mm.</summary>
    public required double PitchLineDifferentialMm { get; init; }

    /// <summary>Whole thickness, teeth and back, mm.</summary>
    public required double BeltThicknessMm { get; init; }
    public required double ToothHeightMm { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    /// <summary>Fewest teeth the makers advise at low speed; null when the table is silent.</summary>
    public int? MinTeethBelow900Rpm { get; init; }
}

/// <summary>Toothed-belt profiles by their designation.</summary>
public static class SynchronousProfiles
{
    public static IReadOnlyList<SynchronousProfile> All { get; } =
        CsvTable.Read<SynchronousProfile>("synchronous_profiles");

    public static SynchronousProfile? Find(string profileId) => All.FirstOrDefault(p => p.ProfileId == profileId);
}
