using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What goes round with a spread.</summary>
public enum SpreadCause
{
    /// <summary>It comes and goes once a turn of the wheel: a wheel runs out or sits off its centre.</summary>
    WheelRunsOut,

    /// <summary>It does not: links, cords or joint differ along the loop, or links are stiff.</summary>
    LoopIsUneven,
}

/// <summary>What a slip test told round the wheel: a person's hand, which knows loose, about right and tight.</summary>
/// <param name="HasLoose">True where a place felt loose.</param>
/// <param name="HasTight">True where a place felt tight.</param>
public sealed record FeltGrades(bool HasLoose, bool HasTight)
{
    private const double Loose = 1;
    private const double Tight = 3;

    /// <returns>Null where nothing was felt.</returns>
    internal static FeltGrades? From(SetRound round)
    {
        double[] felt = [.. round.Readings.Where(r => r.Method == ReadingMethod.Feel).Select(r => r.Value)];
        return felt.Length == 0 ? null : new(felt.Any(f => f <= Loose), felt.Any(f => f >= Tight));
    }
}

/// <summary>A round as read: its ends, and where they lie.</summary>
/// <param name="Method">Of most of its readings.</param>
/// <param name="LoosestReading">In the unit of the method.</param>
/// <param name="TightestReading">The same at the other end.</param>
/// <param name="LoosestAt">Wheel position.</param>
/// <param name="SetAt">Wheel position to set at.</param>
/// <param name="Loosest">In the scale of the loop; null where the readings can't be turned into it.</param>
/// <param name="LoosestSigma">One standard deviation of <paramref name="Loosest"/>, from reading it by hand.</param>
/// <param name="SpreadReading">Between both ends, in the unit of the method.</param>
/// <param name="SpreadPercent">The same as a share of the mean tension; null where tension is not told.</param>
/// <param name="Cause">What a spread that a hand can tell comes from; null for fewer than four positions, or none.</param>
/// <param name="RunOutMm">What a wheel must run out to give what goes round once a turn; null for fewer than four positions.</param>
/// <param name="Mean">Of all places, in the scale of the loop; null where none can be told.</param>
/// <param name="FirstHarmonic">Amplitude of what goes round once a turn, in the same scale; null for fewer than four positions.</param>
/// <param name="Grades">What a hand told that is not tied to another reading; null where it was read otherwise.</param>
/// <param name="Inside">Each reading of the round in its order; null for one that can't be told.</param>
/// <param name="IsInside">Both ends inside the window; null without one.</param>
/// <param name="Index">Counted from 0, which is as found.</param>
/// <param name="TightestAt">Wheel position of the other end.</param>
/// <param name="Tightest">The same at the other end.</param>
/// <param name="GapMm">Between belt and flange, mm; null where it was not read.</param>
public sealed record RoundResult(
    int Index,
    ReadingMethod? Method,
    double? LoosestReading,
    double? TightestReading,
    int? LoosestAt,
    int? TightestAt,
    int? SetAt,
    double? Loosest,
    double? LoosestSigma,
    double? Tightest,
    double? SpreadReading,
    double? SpreadPercent,
    SpreadCause? Cause,
    double? RunOutMm,
    double? Mean,
    double? FirstHarmonic,
    double? GapMm,
    FeltGrades? Grades,
    bool? IsInside,
    IReadOnlyList<bool?> Inside
)
{
    internal Explained? RunOut { get; init; }

    /// <param name="slope">Tightness for each mm of axle.</param>
    internal static RoundResult From(int index, SetRound round, TightnessScale any, TensionWindow? window, double slope)
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
        Tightness[] tightness = [.. round.Readings.Select(scale.Read).OfType<Tightness>()];
        Tightness? lowest = tightness.MinBy(t => t.Value);
        double? low = lowest?.Value;
        Tightness? highest = tightness.MaxBy(t => t.Value);
        double? high = highest?.Value;
        Explained? runOut = scale.Unit is TightnessUnit.Newton or TightnessUnit.LoopMm
            ? RunOutOf(same, scale, slope)
            : null;
        return new(
            index,
            method,
            loosest?.Value,
            tightest?.Value,
            loosest?.Position,
            tightest?.Position,
            // A chain is set where it is tightest; of a belt the loosest place must come in first. Common practice.
            scale.IsChain
                ? tightest?.Position
                : loosest?.Position,
            low,
            lowest?.Sigma,
            high,
            most?.Value - least?.Value,
            scale.Unit == TightnessUnit.Newton && high + low > 0 ? (high - low) / (high + low) * 200 : null,
            CauseOf(same, scale),
            runOut?.Value,
            tightness.Length == 0 ? null : tightness.Average(t => t.Value),
            AllRound(same, scale) is { } allRound ? OncePerTurn(allRound) : null,
            round.GapMm,
            low is null ? FeltGrades.From(round) : null,
            window is null || low is not double l || high is not double h ? null : window.Holds(scale, l, h),
            [.. round.Readings.Select(r => scale.Read(r) is { } t ? window?.HoldsOne(scale, t.Value, high) : null)]
        )
        {
            RunOut = runOut,
            SpreadSigma = Math.Sqrt(Square(lowest?.Sigma) + Square(highest?.Sigma)),
        };
    }

    /// <summary>Null as well where it is less than the readings can tell: no figure is finer than its instrument.</summary>
    private static Explained? RunOutOf(Reading[] readings, TightnessScale scale, double slope) =>
        slope > 0
        && AllRound(readings, scale) is { } tightness
        && OncePerTurn(tightness) is var amplitude
        && amplitude > tightness.Average(t => t.Sigma) * Math.Sqrt(2.0 / tightness.Length)
            ? AsRunOut.With(
                new(amplitude, Unit: SetWorkings.UnitOf(scale.Unit)),
                new(slope, Unit: SetWorkings.UnitOf(scale.Unit) + "/mm")
            )
            : null;

    private static readonly Formula<Func<double, double, double>> AsRunOut = new(
        "As if a wheel ran out by",
        "r",
        ("run-out", "mm"),
        (A, k) => A / k,
        [("what goes round once a turn: first harmonic of the readings", ""), ("for each mm of axle", "")],
        "discrete Fourier sum",
        "Read at equal steps of the wheel. A sprocket, its seat or the axle may be what runs out."
    );

    private static SpreadCause? CauseOf(Reading[] readings, TightnessScale scale)
    {
        const double tellable = 2; // standard deviations of the difference of two readings
        const double mostly = 0.7; // of the spread that goes round once a turn: judgement, from memory
        if (AllRound(readings, scale) is not { } tightness)
            return null;
        double spread = tightness.Max(t => t.Value) - tightness.Min(t => t.Value);
        double sigma = Math.Sqrt(2) * tightness.Average(t => t.Sigma);
        return spread <= tellable * sigma ? null
            : 2 * OncePerTurn(tightness) >= mostly * spread ? SpreadCause.WheelRunsOut
            : SpreadCause.LoopIsUneven;
    }

    /// <summary>In the order of the wheel; null unless every place was read once and can be told.</summary>
    private static Tightness[]? AllRound(Reading[] readings, TightnessScale scale)
    {
        Reading[] inOrder = [.. readings.OrderBy(r => r.Position)];
        Tightness[] tightness = [.. inOrder.Select(scale.Read).OfType<Tightness>()];
        bool isRound =
            inOrder.Length >= RoundTheWheel.FewestForHarmonic
            && inOrder.Select((r, i) => r.Position == i).All(isIt => isIt);
        return isRound && tightness.Length == inOrder.Length ? tightness : null;
    }

    /// <summary>Amplitude of what goes round once a turn.</summary>
    private static double OncePerTurn(Tightness[] tightness)
    {
        // Tightness of a chain is below 0: only what goes round counts.
        double least = tightness.Min(t => t.Value);
        return RoundTheWheel.Analyze([.. tightness.Select(t => t.Value - least)]).Amplitude!.Value;
    }

    private static double Square(double? sigma) => (sigma * sigma) ?? 0;

    internal double? Spread => Tightest - Loosest;

    /// <summary>One standard deviation of <see cref="Spread"/>, from reading both ends by hand.</summary>
    internal double SpreadSigma { get; private init; }

    /// <summary>What of the spread is no matter of reading it.</summary>
    internal double? SureSpread => Spread is double spread ? Math.Max(0, spread - SpreadSigma) : null;
}
