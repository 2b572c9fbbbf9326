using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>A round of somebody who decided alone, beside what the advisor would have said before it.</summary>
/// <param name="Index">Of the round; as found is 0 and is not decided.</param>
/// <param name="LeftUnits">Turned by whoever decided, positive tightens; of a single adjuster all of it.</param>
/// <param name="RightUnits">The same of the right end.</param>
/// <param name="Moves">What it would have had turned; empty where nothing.</param>
/// <param name="IsLikeAdvised">True where the same was turned at each adjuster, within half of what a hand can make.</param>
public sealed record DecidedRound(
    int Index,
    double LeftUnits,
    double RightUnits,
    NextStep Advised,
    IReadOnlyList<AdjusterMove> Moves,
    bool IsLikeAdvised
);

/// <summary>What the simulated drive hid, in the method it was read by, where it stands now.</summary>
/// <param name="Tightest">As it really is at the tight place, in the unit of tightness.</param>
/// <param name="TightestReading">The same as it would be read without a hand’s error; null where no method can tell it, as of a taut chain.</param>
/// <param name="LoosestReading">The same at the loosest place.</param>
/// <param name="PerStepReading">What the smallest step of the adjuster, of both ends where there are two, does to that.</param>
/// <param name="StifferBy">How many times as much it answers as such a drive usually does.</param>
/// <param name="NutReading">What bringing its nut to torque adds to it.</param>
/// <param name="GapMm">As it really is; null where none is read.</param>
/// <param name="PerStepGapMm">What the smallest step of the right end alone does to the gap; null where none is read.</param>
/// <param name="NutGapMm">What the nut adds to the gap; null where none is read.</param>
public sealed record HiddenFacts(
    ReadingMethod Method,
    double Tightest,
    double? TightestReading,
    double? LoosestReading,
    double? PerStepReading,
    double StifferBy,
    double? NutReading,
    double? GapMm,
    double? PerStepGapMm,
    double? NutGapMm
);

/// <summary>How somebody who decided alone fared, and what the advisor would have made of the same drive.</summary>
/// <param name="Master">The advisor from the same state as found; its readings have a hand’s error, too.</param>
/// <param name="MasterEnd">What it said last.</param>
/// <param name="Rounds">After as found, in order.</param>
public sealed record PracticeScore(
    PracticeTally Own,
    PracticeTally Master,
    NextStep MasterEnd,
    IReadOnlyList<DecidedRound> Rounds,
    HiddenFacts Hidden,
    IReadOnlyList<Working> Workings
);

/// <summary>Scores a visit to a simulated drive.</summary>
public static class PracticeScoring
{
    private static readonly Formula<Func<double, double, double, double, double, double>> Tight = new(
        "Tight place of the simulated drive",
        "T",
        ("as it really stands", ""),
        (T_0, k, x, N, r) => T_0 + k * x + N + r,
        [
            ("as found, mean of the round", ""),
            ("gained for each mm of axle", ""),
            ("way of the axle since", "mm"),
            ("what the nut adds", ""),
            ("tight place above the mean", ""),
        ],
        "how the simulated drive is made; its figures are invented",
        "Of the simulated drive only."
    );

    private static readonly Formula<Func<double, double, double, double>> Over = new(
        "Past the window at the worst",
        "o",
        ("of the adjuster", ""),
        (T, T_tight, k) => (T - T_tight) / k,
        [("at the tight place", ""), ("tight end of the window", ""), ("gained for one unit of the adjuster", "")],
        "how the simulated drive is made; its figures are invented",
        "What was found too tight is no overshoot until it was inside once."
    );

    /// <param name="seed">Tells one practice drive from another.</param>
    /// <param name="loop">Its rounds are those of somebody who decided, as they were read; the first is as found.</param>
    /// <exception cref="InvalidInputException">Nothing was read as found, the loop has no window to practise for, or is refused.</exception>
    public static PracticeScore Of(int seed, SetInput loop)
    {
        if (loop.Rounds is not [{ } found, ..])
            throw new InvalidInputException("Loop.Rounds", "missing", "Read it as found first.");
        (PracticeDrive.HiddenDrive hidden, TightnessScale scale, TensionWindow window) = PracticeDrive.Behind(
            seed,
            loop
        );
        PracticeBench bench = new(hidden, loop, window, scale);
        PracticeCount count = new(bench);
        Explained? worst = null;
        foreach (SetRound round in loop.Rounds)
            if (count.Add(round))
                worst = Over.With(
                    hidden.Tightest(count.Rounds, round.Lock),
                    window.High,
                    hidden.SlopePerUnit(count.Rounds)
                );
        PracticeRun master = Refusal.Under("Loop", () => PracticeRuns.Run(seed, loop with { Rounds = [found] }));
        (HiddenFacts facts, Working tight) = Revealed(hidden, scale, loop);
        return new(
            count.Tally,
            master.Tally,
            master.End,
            [.. Enumerable.Range(1, loop.Rounds.Count - 1).Select(i => Decided(loop, i))],
            facts,
            worst is { } past ? [tight, past.Working] : [tight]
        );
    }

    private static DecidedRound Decided(SetInput loop, int index)
    {
        SetRound done = loop.Rounds[index];
        SetAdvice advice = SetEvaluation.Advise(loop with { Rounds = [.. loop.Rounds.Take(index)] }, explains: false);
        double half = loop.Setting.Adjuster.Step / 2;
        bool IsLike(double turned, bool isRight) =>
            Math.Abs(turned - AdjusterMove.UnitsOf(advice.Moves, isRight)) < half;
        return new(
            index,
            done.LeftUnits,
            done.RightUnits,
            advice.Next,
            advice.Moves,
            IsLike(done.LeftUnits, isRight: false) && IsLike(done.RightUnits, isRight: true)
        );
    }

    private static (HiddenFacts Facts, Working Tight) Revealed(
        PracticeDrive.HiddenDrive hidden,
        TightnessScale scale,
        SetInput loop
    )
    {
        IReadOnlyList<SetRound> rounds = loop.Rounds;
        LockState locked = rounds[^1].Lock;
        Explained tight = Tight.With(
            hidden.Start,
            hidden.Slope,
            hidden.WayMm(rounds),
            locked == LockState.Torqued ? hidden.Nut : 0,
            hidden.RunOut
        );
        ReadingMethod method = ReadingMethods.For(loop.Loop.DriveElement, loop.Setting.Adjuster.Kind)[0];
        double? Read(double tightness) => scale.ToReading(method, tightness);
        Adjuster adjuster = loop.Setting.Adjuster;
        double step = hidden.SlopePerUnit(rounds) * adjuster.Step;
        double? now = Read(tight.Value);
        (double expected, _, _) = ExpectedAnswer.OfTension(scale, loop.Setting, tight.Value);
        bool hasGap = loop.Setting.GapSide is not null;
        HiddenFacts facts = new(
            method,
            tight.Value,
            now,
            Read(hidden.Loosest(rounds, locked)),
            Read(tight.Value + step) - now,
            hidden.Slope / expected,
            Read(tight.Value + hidden.Nut) - now,
            hasGap ? hidden.Gap(rounds, locked) : null,
            hasGap ? hidden.GapSlope * adjuster.TravelMm * adjuster.Step : null,
            hasGap ? hidden.GapNut : null
        );
        string unit = SetWorkings.UnitOf(scale.Unit);
        Working working = tight.Working with
        {
            Result = tight.Working.Result with { Unit = unit },
            Values =
            [
                .. tight.Working.Values.Select(v =>
                    v.Symbol switch
                    {
                        "x" => v,
                        "k" => v with { Unit = $"{unit}/mm" },
                        _ => v with { Unit = unit },
                    }
                ),
            ],
        };
        return (facts, working);
    }
}
