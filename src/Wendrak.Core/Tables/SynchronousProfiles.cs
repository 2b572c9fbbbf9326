namespace Wendrak.Core.Tables;

/// <summary>One toothed-belt profile. Source: ISO 5294, ISO 13050, table <c>synchronous_profiles.csv</c>.</summary>
public sealed record SynchronousProfile
{
    public required string ProfileId { get; init; }

    /// <summary>Form of its teeth, in a few words.</summary>
    public required string Description { get; init; }
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
    public int? MinTeethTo1200Rpm { get; init; }
    public int? MinTeethTo1800Rpm { get; init; }
    public int? MinTeethTo3600Rpm { get; init; }
    public int? MinTeethAbove3600Rpm { get; init; }
    public required double MassKgPerMPerMmWidth { get; init; }

    /// <summary>Angle of a tooth's flank from the radius, degrees.</summary>
    public required double FlankHalfAngleDeg { get; init; }

    /// <summary>Width that the allowed tension holds for, mm; null where only the maker tells.</summary>
    public double? BaseWidthMm { get; init; }
    public double? AllowedTensionAtBaseWidthN { get; init; }

    /// <summary>Fewest teeth advised at a speed; null where the table is silent.</summary>
    public int? FewestTeethAt(double rpm) =>
        rpm switch
        {
            < 900 => MinTeethBelow900Rpm,
            < 1_200 => MinTeethTo1200Rpm,
            < 1_800 => MinTeethTo1800Rpm,
            < 3_600 => MinTeethTo3600Rpm,
            _ => MinTeethAbove3600Rpm,
        };

    internal static SynchronousProfile Read(CsvRow row) =>
        new()
        {
            ProfileId = row.Text("profile_id"),
            Description = row.Text("description"),
            PitchMm = row.Number("pitch_mm"),
            PitchLineDifferentialMm = row.Number("pitch_line_differential_mm"),
            BeltThicknessMm = row.Number("belt_thickness_mm"),
            ToothHeightMm = row.Number("tooth_height_mm"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
            MinTeethBelow900Rpm = row.WholeOrNull("min_teeth_below_900_rpm"),
            MinTeethTo1200Rpm = row.WholeOrNull("min_teeth_900_1200_rpm"),
            MinTeethTo1800Rpm = row.WholeOrNull("min_teeth_1200_1800_rpm"),
            MinTeethTo3600Rpm = row.WholeOrNull("min_teeth_1800_3600_rpm"),
            MinTeethAbove3600Rpm = row.WholeOrNull("min_teeth_above_3600_rpm"),
            MassKgPerMPerMmWidth = row.Number("mass_kg_per_m_per_mm_width"),
            FlankHalfAngleDeg = row.Number("flank_half_angle_deg"),
            BaseWidthMm = row.NumberOrNull("base_width_mm"),
            AllowedTensionAtBaseWidthN = row.NumberOrNull("allowed_tension_at_base_width_n"),
        };
}

/// <summary>Toothed-belt profiles by their designation.</summary>
public static class SynchronousProfiles
{
    public static IReadOnlyList<SynchronousProfile> All { get; } =
        CsvTable.Read("synchronous_profiles", SynchronousProfile.Read);

    public static SynchronousProfile? Find(string profileId) => All.FirstOrDefault(p => p.ProfileId == profileId);
}
