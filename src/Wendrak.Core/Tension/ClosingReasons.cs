namespace Wendrak.Core.Tension;

/// <summary>Something that asks for a reason before a visit is closed over it.</summary>
public enum ClosedDespite
{
    /// <summary>An instrument read outside its window, and nothing that counts has read it inside since.</summary>
    OutsideWindow,

    /// <summary>The advisor said stop: loose or bent, spread too wide, at its end, its spring is wrong, or not free at idle.</summary>
    AdvisorStopped,

    /// <summary>Nobody said that the cautions were so.</summary>
    CautionsNotConfirmed,

    /// <summary>The final torque is ticked off without a figure.</summary>
    NoTorque,
}

/// <summary>A visit as it would be closed.</summary>
/// <param name="Input">With all rounds of the visit.</param>
/// <param name="TorqueNm">As it was measured; null where nobody did.</param>
/// <param name="CautionsConfirmed">Who read the cautions, and when; null where nobody did.</param>
public sealed record ClosingQuestion(SetInput Input, bool CautionsConfirmed, double? TorqueNm);

/// <summary>A reading that lies outside its window as a visit is closed.</summary>
/// <param name="Method">How it was read; null for the gap between belt and flange, mm.</param>
/// <param name="Loosest">At the loosest place, in the unit of the method; of the gap, its width.</param>
/// <param name="Tightest">At the tightest place; of the gap, its width.</param>
/// <param name="WindowLoose">The loose end of the window in the same unit, of the gap its least; null where it has no figure.</param>
/// <param name="WindowTight">The tight end, of the gap its most; null where it has no figure.</param>
public sealed record OutsideReading(
    ReadingMethod? Method,
    double Loosest,
    double Tightest,
    double? WindowLoose,
    double? WindowTight
)
{
    /// <summary>Of every instrument that stands open, and of the gap as it was left: an average of them is no verdict.</summary>
    internal static IEnumerable<OutsideReading> AllOf(SetInput input, IEnumerable<InstrumentFinding> findings)
    {
        foreach (InstrumentFinding f in findings.Where(f => f.IsOpen))
            yield return new(f.Method, f.LoosestReading, f.TightestReading, f.WindowLooseReading, f.WindowTightReading);
        LoopSetting setting = input.Setting;
        if (
            input.Goal != SetGoal.TensionOnly
            && setting.GapSide is not null
            && input.Rounds.LastOrDefault(r => r.GapMm is not null)?.GapMm is double gap
            && (gap < setting.GapLow || gap > setting.GapHigh)
        )
            yield return new(null, gap, gap, setting.GapLow, setting.GapHigh);
    }
}

/// <summary>What a visit would be closed over.</summary>
/// <param name="Despite">What asks for a reason, in the order of the enumeration; empty for nothing.</param>
/// <param name="Outside">Readings outside their windows.</param>
public sealed record ClosingAnswer(IReadOnlyList<ClosedDespite> Despite, IReadOnlyList<OutsideReading> Outside);

/// <summary>What closing would pass over; it may be done, with a reason that stands in the record.</summary>
public static class ClosingReasons
{
    /// <summary>What asks for a reason, and which readings lie outside.</summary>
    /// <exception cref="Quantities.InvalidInputException">A part of the question is refused.</exception>
    public static ClosingAnswer Find(ClosingQuestion question)
    {
        SetAdvice advice = Quantities.Refusal.Under(
            nameof(question.Input),
            () => SetEvaluation.Advise(question.Input, false)
        );
        List<ClosedDespite> despite = [];
        OutsideReading[] outside = [.. OutsideReading.AllOf(question.Input, advice.Findings)];
        if (outside.Length > 0)
            despite.Add(ClosedDespite.OutsideWindow);
        if (
            advice.Next
            is NextStep.LooseOrBent
                or NextStep.SpreadTooWide
                or NextStep.AtItsEnd
                or NextStep.SpringIsWrong
                or NextStep.ReadAgain
                or NextStep.NotFreeAtIdle
        )
            despite.Add(ClosedDespite.AdvisorStopped);
        if (!question.CautionsConfirmed)
            despite.Add(ClosedDespite.CautionsNotConfirmed);
        if (question.TorqueNm is null)
            despite.Add(ClosedDespite.NoTorque);
        return new(despite, outside);
    }
}
