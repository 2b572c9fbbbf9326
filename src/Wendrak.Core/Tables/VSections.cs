namespace Wendrak.Core.Tables;

/// <summary>One V-belt section. Source: ISO 4183, table <c>v_sections.csv</c>.</summary>
public sealed record VSection
{
    public required string Section { get; init; }
    public required string Family { get; init; }

    /// <summary>Cut across on the inside: bends easier, runs cooler.</summary>
    public bool IsNotched => Family.StartsWith("notched", StringComparison.Ordinal);

    /// <summary>Taller than wide.</summary>
    public bool IsNarrow => Family.StartsWith("narrow", StringComparison.Ordinal);
    public required double MinDatumDiameterMm { get; init; }
    public required double TopWidthMm { get; init; }
    public required double HeightMm { get; init; }
    public required double MassKgPerM { get; init; }

    /// <summary>Groove angle of the smallest pulleys, degrees, up to the datum diameter beside it; null where one angle serves all.</summary>
    public double? GrooveAngle1Deg { get; init; }
    public double? GrooveAngle1UpToDatumMm { get; init; }
    public double? GrooveAngle2Deg { get; init; }
    public double? GrooveAngle2UpToDatumMm { get; init; }
    public double? GrooveAngle3Deg { get; init; }
    public double? GrooveAngle3UpToDatumMm { get; init; }
    public double? GrooveAngle4Deg { get; init; }

    /// <summary>Pitch length less inside length, mm; null where the table is silent. Source: Shigley Table 17-11.</summary>
    public double? InsideToPitchLengthAddMm { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static VSection Read(CsvRow row) =>
        new()
        {
            Section = row.Text("section"),
            Family = row.Text("family"),
            MinDatumDiameterMm = row.Number("min_datum_diameter_mm"),
            TopWidthMm = row.Number("top_width_mm"),
            HeightMm = row.Number("height_mm"),
            MassKgPerM = row.Number("mass_kg_per_m"),
            GrooveAngle1Deg = row.NumberOrNull("groove_angle_1_deg"),
            GrooveAngle1UpToDatumMm = row.NumberOrNull("groove_angle_1_up_to_datum_mm"),
            GrooveAngle2Deg = row.NumberOrNull("groove_angle_2_deg"),
            GrooveAngle2UpToDatumMm = row.NumberOrNull("groove_angle_2_up_to_datum_mm"),
            GrooveAngle3Deg = row.NumberOrNull("groove_angle_3_deg"),
            GrooveAngle3UpToDatumMm = row.NumberOrNull("groove_angle_3_up_to_datum_mm"),
            GrooveAngle4Deg = row.NumberOrNull("groove_angle_4_deg"),
            InsideToPitchLengthAddMm = row.NumberOrNull("inside_to_pitch_length_add_mm"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>V-belt sections, and the datum diameters pulleys are made in.</summary>
public static class VSections
{
    public static IReadOnlyList<VSection> All { get; } = CsvTable.Read("v_sections", VSection.Read);

    public static VSection? Find(string section) => All.FirstOrDefault(s => s.Section == section);

    /// <summary>Preferred datum diameters, mm. Source: ISO 4183 on the R20 series of ISO 3 (from memory).</summary>
    public static IReadOnlyList<double> PreferredDatumDiametersMm { get; } =
    [
        50,
        56,
        63,
        71,
        75,
        80,
        85,
        90,
        95,
        100,
        106,
        112,
        118,
        125,
        132,
        140,
        150,
        160,
        180,
        200,
        224,
        250,
        280,
        315,
        355,
        400,
        450,
        500,
        560,
        630,
        710,
        800,
        900,
        1000,
    ];
}
