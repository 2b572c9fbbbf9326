namespace Wendrak.Core.Tension;

/// <summary>A round as read: its ends, and where they lie.</summary>
/// <param name="Method">Of most of its readings.</param>
/// <param name="LoosestReading">In the unit of the method.</param>
/// <param name="TightestReading">The same at the other end.</param>
/// <param name="LoosestAt">Wheel position.</param>
/// <param name="SetAt">Wheel position to set at.</param>
/// <param name="Loosest">In the scale of the loop; null where the readings can't be turned into it.</param>
/// <param name="RunOutMm">What a wheel must run out to give what goes round once a turn; null for fewer than four positions.</param>
/// <param name="Inside">Each reading of the round in its order; null for one that can't be told.</param>
/// <param name="IsInside">Both ends inside the window; null without one.</param>
public sealed record RoundResult(
    int Index,
    ReadingMethod? Method,
    double? LoosestReading,
    double? TightestReading,
    int? LoosestAt,
    int? TightestAt,
    int? SetAt,
    double? Loosest,
    double? Tightest,
    double? RunOutMm,
    double? GapMm,
    bool? IsInside,
    IReadOnlyList<bool?> Inside
)
{
    /// <param name="slope">Tightness for each mm of axle.</param>
    internal static RoundResult Of(int index, SetRound round, TightnessScale any, TensionWindow? window, double slope)
    {
        TightnessScale scale = any.In(round);
        ReadingMethod? method = round
            .Readings.GroupBy(r => r.Method)
            .OrderByDescending(g => g.Count())
            .Select(g => (ReadingMethod?)g.Key)
            .FirstOrDefault();
        Reading[] same = [.. round.Readings.Where(r => r.Method == method)];
        // Deflection and play are small where it is tight.
        bool smallIsTight = method is ReadingMethod.FreePlay or ReadingMethod.Push;
        Reading? least = same.MinBy(r => r.Value);
        Reading? most = same.MaxBy(r => r.Value);
        (Reading? loosest, Reading? tightest) = smallIsTight ? (most, least) : (least, most);
        Tightness[] told = [.. round.Readings.Select(scale.Of).OfType<Tightness>()];
        double? low = told.Length == 0 ? null : told.Min(t => t.Value);
        double? high = told.Length == 0 ? null : told.Max(t => t.Value);
        return new(
            index,
            method,
            loosest?.Value,
            tightest?.Value,
            loosest?.Position,
            tightest?.Position,
            // A chain is set where it is tightest; of a belt the loosest place must come in first. Common practice.
            scale.Unit == TightnessUnit.LoopMm
                ? tightest?.Position
                : loosest?.Position,
            low,
            high,
            scale.Unit is TightnessUnit.Newton or TightnessUnit.LoopMm ? RunOut(same, scale, slope) : null,
            round.GapMm,
            window is null || low is not double l || high is not double h ? null : window.Holds(scale, l, h),
            [.. round.Readings.Select(r => scale.Of(r) is { } t ? window?.HoldsOne(scale, t.Value) : null)]
        );
    }

    private static double? RunOut(Reading[] readings, TightnessScale scale, double slope)
    {
        Reading[] inOrder = [.. readings.OrderBy(r => r.Position)];
        bool isRound = inOrder.Length >= 4 && inOrder.Select((r, i) => r.Position == i).All(is_ => is_);
        double[] values = [.. inOrder.Select(scale.Of).OfType<Tightness>().Select(t => t.Value)];
        if (!isRound || values.Length != inOrder.Length || slope <= 0)
            return null;
        // Tightness of a chain is below 0: only what goes round counts.
        double least = values.Min();
        return RoundTheWheel.Of([.. values.Select(v => v - least)]).Amplitude / slope;
    }

    internal double? Spread => Tightest - Loosest;
}
