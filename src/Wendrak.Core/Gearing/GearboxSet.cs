using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>A named list of gear ratios, kept apart from machines and reused.</summary>
/// <param name="Id">Where it is stored; 0 for one that is not stored yet.</param>
/// <param name="Reductions">Input turns per output turn, first gear first, each above 0; 0 for a gear that nobody knows the ratio of.</param>
/// <param name="TurnsRound">
/// True when the output turns against the input (one pair of external gears in every gear, the usual two-shaft box).
/// </param>
/// <param name="Name">What people call it.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record GearboxSet(
    long Id,
    int Version,
    string Name,
    IReadOnlyList<double> Reductions,
    bool TurnsRound,
    string? Note
) : StoredRecord(Id, Version)
{
    /// <summary>Stands for a gear whose ratio nobody knows: it is left out of everything, and the others keep their numbers.</summary>
    public const double Gap = 0;
}
