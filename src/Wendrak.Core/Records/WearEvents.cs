using Wendrak.Core.Wear;

namespace Wendrak.Core.Records;

/// <summary>A chain was measured over many pitches, pulled taut, at one to twelve places.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Pitches">That were measured at once.</param>
/// <param name="Over">Between which faces.</param>
/// <param name="MeasuredMm">As read, one for each place, mm.</param>
/// <param name="RollerPlayMm">Of a roller on its bush, mm; null where nobody felt for it.</param>
/// <param name="IsNewChain">The first reading of another chain: its record begins anew.</param>
/// <param name="ChainId">Designation of the chain. The core says it by the machine, whoever sends what.</param>
/// <param name="IsNewUse">From here on it is used otherwise, harder or easier: the line of its wear begins here; null for no.</param>
/// <param name="ReadsShortMm">What the instrument reads less than a known length, mm; null where nobody compared it.</param>
/// <param name="Pull">What it was pulled with; null for about a hundredth of its breaking load.</param>
public sealed record ElongationMeasured(
    string LoopKey,
    int Pitches,
    MeasuredOver Over,
    IReadOnlyList<double> MeasuredMm,
    double? RollerPlayMm = null,
    bool IsNewChain = false,
    string? ChainId = null,
    bool? IsNewUse = null,
    double? ReadsShortMm = null,
    MeasuringPull? Pull = null
) : JobEvent
{
    /// <exception cref="Quantities.InvalidInputException">No chain of the table, or no elongation a chain can have.</exception>
    internal ChainGrowthResult Compute() =>
        ChainGrowth.Compute(new(ChainId ?? "", Pitches, Over, MeasuredMm, RollerPlayMm, ReadsShortMm, Pull));
}

/// <summary>How long a chain had become, as a job tells it.</summary>
/// <param name="Entry">Number of the entry that says so: undone by it.</param>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="ChainId">Designation of the chain it was.</param>
/// <param name="Pitches">That were measured at once.</param>
/// <param name="Over">Between which faces.</param>
/// <param name="MeasuredMm">As read, one for each place, mm.</param>
/// <param name="RollerPlayMm">Of a roller on its bush, mm; null where nobody felt for it.</param>
/// <param name="ReadsShortMm">What the instrument reads less than a known length, mm; null where nobody compared it.</param>
/// <param name="Pull">What it was pulled with; null for about a hundredth of its breaking load.</param>
/// <param name="OfLoadPercent">What was taken off for another load than that, %; null where how it gives was not measured.</param>
/// <param name="Percent">Longer than new at each place, %.</param>
/// <param name="WorstPercent">The largest of them, %.</param>
/// <param name="SpreadPercent">Between the largest and the smallest, %.</param>
/// <param name="IsNewChain">The first reading of another chain.</param>
/// <param name="IsNewUse">The first one since it is used otherwise.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was measured.</param>
public sealed record ElongationAtJob(
    long Entry,
    string LoopKey,
    string ChainId,
    int Pitches,
    MeasuredOver Over,
    IReadOnlyList<double> MeasuredMm,
    double? RollerPlayMm,
    double? ReadsShortMm,
    MeasuringPull? Pull,
    double? OfLoadPercent,
    IReadOnlyList<double> Percent,
    double WorstPercent,
    double SpreadPercent,
    bool IsNewChain,
    bool IsNewUse,
    string? Who,
    DateTimeOffset At
)
{
    internal static ElongationAtJob From(JobEntry entry, ElongationMeasured measured)
    {
        ChainGrowthResult growth = measured.Compute();
        return new(
            entry.Sequence,
            measured.LoopKey,
            measured.ChainId ?? "",
            measured.Pitches,
            measured.Over,
            measured.MeasuredMm,
            measured.RollerPlayMm,
            measured.ReadsShortMm,
            measured.Pull,
            growth.OfLoadPercent,
            growth.Percent,
            growth.WorstPercent,
            growth.SpreadPercent,
            measured.IsNewChain,
            measured.IsNewUse == true,
            entry.Actor,
            entry.At
        );
    }
}
