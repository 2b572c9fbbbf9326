using System.Collections.Frozen;

namespace Wendrak.Core.Tables;

/// <summary>One chain size. Source: ISO 606, ISO 1275, ISO 10190, ISO 9633 as printed in table <c>chains.csv</c>.</summary>
public sealed record ChainSize
{
    public required string ChainId { get; init; }
    public required string Family { get; init; }

    /// <summary>Its name in another system; null where it has none.</summary>
    public required string? AlsoCalled { get; init; }
    public required double PitchMm { get; init; }

    /// <summary>Between its inner plates, mm.</summary>
    public required double InnerWidthMm { get; init; }
    public required double RollerDiameterMm { get; init; }

    /// <summary>Height of the plates, mm; null where the table is silent.</summary>
    public double? PlateHeightMm { get; init; }

    /// <summary>Least breaking load of one strand, N.</summary>
    public required double MinTensileN { get; init; }
    public required double MassKgPerM { get; init; }

    /// <summary>Pin diameter times bush length, mm²; null where the table is silent, as for motorcycle chains.</summary>
    public double? BearingAreaMm2 { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    /// <summary>Long plates on the pins and rollers of the chain of half its pitch. Source: ISO 1275.</summary>
    public bool IsDoublePitch => Family == "double pitch";

    /// <summary>Gaps of a wheel that one link takes up.</summary>
    public int GapsPerLink => IsDoublePitch ? 2 : 1;

    internal static ChainSize Read(CsvRow row) =>
        new()
        {
            ChainId = row.Text("chain_id"),
            Family = row.Text("family"),
            AlsoCalled = row.TextOrNull("also_called"),
            PitchMm = row.Number("pitch_mm"),
            InnerWidthMm = row.Number("inner_width_mm"),
            RollerDiameterMm = row.Number("roller_diameter_mm"),
            PlateHeightMm = row.NumberOrNull("plate_height_mm"),
            MinTensileN = row.Number("min_tensile_n"),
            MassKgPerM = row.Number("mass_kg_per_m"),
            BearingAreaMm2 = row.NumberOrNull("bearing_area_mm2"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>Chain sizes by their designation.</summary>
public static class Chains
{
    public static IReadOnlyList<ChainSize> All { get; } = CsvTable.Read("chains", ChainSize.Read);

    private static readonly FrozenDictionary<string, ChainSize> ById = All.ToFrozenDictionary(c => c.ChainId);

    public static ChainSize? Find(string chainId) => ById.GetValueOrDefault(chainId);
}
