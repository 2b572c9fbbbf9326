namespace Wendrak.Core.Tables;

/// <summary>One chain size. Source: ISO 606, ISO 10190, ISO 9633 as printed in table <c>chains.csv</c>.</summary>
public sealed record ChainSize
{
    public required string ChainId { get; init; }
    public required string Family { get; init; }
    public required double PitchMm { get; init; }
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
}

/// <summary>Chain sizes by their designation.</summary>
public static class Chains
{
    public static IReadOnlyList<ChainSize> All { get; } = CsvTable.Read<ChainSize>("chains");

    public static ChainSize? Find(string chainId) => All.FirstOrDefault(c => c.ChainId == chainId);
}
