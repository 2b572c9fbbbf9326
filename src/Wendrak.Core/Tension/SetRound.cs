using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What of a round may stand there without anybody having said it.</summary>
public enum AssumedPart
{
    /// <summary>Turned as it was told.</summary>
    Turned,

    /// <summary>Nut or clamp as it usually is at that round.</summary>
    Lock,
}

/// <summary>One cycle of turning and measuring; the first one, with nothing turned, is as found and is never edited.</summary>
/// <param name="LeftUnits">Turns, clicks or shims on the left (or only) adjuster before these readings; positive tightens.</param>
/// <param name="GapMm">Between belt and flange, where it is read.</param>
/// <param name="At">When; null where nobody noted it.</param>
/// <param name="TurnsRolled">Of the wheel between turning and measuring.</param>
/// <param name="Run">The run that was read; null for the usual one: of a chain the slack one, of a belt the longest.</param>
/// <param name="LoadKg">That lay or sat on it; null where nobody noted it.</param>
/// <param name="OnStand">False when it stood on its wheels; null where nobody said.</param>
/// <param name="WayLeftMm">Left on the adjuster at these readings, by its marks or thread; null where nobody looked.</param>
/// <param name="Assumed">What stands here as it usually is, or as it was told, and nobody said that it was so; null for nothing.</param>
/// <param name="LearnAnew">Something was looked at and mended before these readings: what was learned of its answers counts no more.</param>
/// <param name="RightUnits">The same on the right, where there are two.</param>
/// <param name="Who">Whose hand it was; null where nobody said.</param>
/// <param name="TemperatureC">Of the belt or chain; null where nobody noted it.</param>
/// <param name="ShimsIn">At each bolt of a sheave, counted at these readings; null where nobody counted.</param>
/// <param name="FreeAtIdle">Whether the driving sheave turned free of the belt at idle; null where nobody looked.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record SetRound(
    double LeftUnits,
    double RightUnits,
    LockState Lock,
    IReadOnlyList<Reading> Readings,
    double? GapMm = null,
    DateTimeOffset? At = null,
    string? Who = null,
    double? TemperatureC = null,
    int? TurnsRolled = null,
    bool? OnStand = null,
    string? Note = null,
    LoopRun? Run = null,
    double? LoadKg = null,
    double? WayLeftMm = null,
    IReadOnlyList<AssumedPart>? Assumed = null,
    bool LearnAnew = false,
    int? ShimsIn = null,
    bool? FreeAtIdle = null
)
{
    public const int MostReadings = 36;
    private const int MostRounds = 60;

    /// <summary>Rounds of a visit: the first is as found, and nothing is turned before it.</summary>
    /// <param name="inHand">After those; null for none.</param>
    internal static Guard Check(IReadOnlyList<SetRound> rounds, SetRound? inHand = null)
    {
        Guard guard = new();
        SetRound[] all = inHand is null ? [.. rounds] : [.. rounds, inHand];
        string At(int i) => i < rounds.Count ? $"Rounds[{i}]." : "InHand.Round.";
        guard
            .Count("Rounds", all.Length, 0, MostRounds, "rounds")
            .That(
                all is [] or [{ LeftUnits: 0, RightUnits: 0 }, ..],
                At(0) + nameof(LeftUnits),
                "as_found",
                "The first round is as found: nothing is turned before it."
            );
        for (int i = 0; i < all.Length; i++)
            guard.Include(new Guard(At(i)).Include(all[i].Check()));
        return guard;
    }

    private Guard Check()
    {
        Guard guard = new();
        guard
            .Between(nameof(LeftUnits), LeftUnits, -50, 50, "")
            .Between(nameof(RightUnits), RightUnits, -50, 50, "")
            .OneOf(nameof(Lock), Lock)
            .Count(nameof(Readings), Readings.Count, 0, MostReadings, "readings")
            .BetweenIfGiven(nameof(GapMm), GapMm, 0, 50, "mm")
            .BetweenIfGiven(nameof(TemperatureC), TemperatureC, -40, 120, "°C")
            .BetweenIfGiven(nameof(TurnsRolled), TurnsRolled, 0, 100, "turns")
            .BetweenIfGiven(nameof(LoadKg), LoadKg, 0, 5_000, "kg")
            .BetweenIfGiven(nameof(WayLeftMm), WayLeftMm, 0, 500, "mm")
            .BetweenIfGiven(nameof(ShimsIn), ShimsIn, 0, SheaveShims.MostShims, "shims")
            .Note(nameof(Note), Note);
        if (Run is LoopRun run)
            guard.OneOf(nameof(Run), run);
        guard.Count(nameof(Assumed), Assumed?.Count ?? 0, 0, Enum.GetValues<AssumedPart>().Length, "parts");
        foreach (AssumedPart part in Assumed ?? [])
            guard.OneOf(nameof(Assumed), part);
        for (int i = 0; i < Readings.Count; i++)
        {
            Reading reading = Readings[i];
            string at = $"{nameof(Readings)}[{i}].";
            (double low, double high, string unit) = Bounds(reading.Method);
            guard
                .OneOf(at + nameof(reading.Method), reading.Method)
                .That(
                    reading.Value >= low && reading.Value <= high,
                    at + nameof(reading.Value),
                    "out_of_range",
                    FormattableString
                        .Invariant($"Give {low} to {high} {unit}.")
                        .Replace(" .", ".", StringComparison.Ordinal),
                    reading.Value < low ? low : high
                )
                .Between(at + nameof(reading.Position), reading.Position, 0, MostReadings - 1, "")
                .BetweenIfGiven(at + nameof(reading.ForceN), reading.ForceN, 0.5, 1_000, "N")
                .That(
                    reading.Method != ReadingMethod.Push || reading.ForceN is not null,
                    at + nameof(reading.ForceN),
                    "missing",
                    "Give the force it was pushed with."
                );
        }
        return guard;
    }

    private static (double, double, string) Bounds(ReadingMethod method) =>
        method switch
        {
            ReadingMethod.Pluck => (SpanVibration.LeastHz, SpanVibration.MostHz, "Hz"),
            ReadingMethod.Push => (0.1, 200, "mm"),
            ReadingMethod.FreePlay => (0, 200, "mm"),
            ReadingMethod.BeltHeight => (-SheaveShims.MostAboveMm, SheaveShims.MostAboveMm, "mm"),
            ReadingMethod.Feel => (1, 3, "(loose, about right, tight)"),
            _ => (0, 1e6, ""),
        };
}
