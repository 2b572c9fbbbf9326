namespace Wendrak.Core.Tension;

/// <summary>Something that asks for a reason before a visit is closed over it.</summary>
public enum ClosedDespite
{
    /// <summary>An instrument read outside its window, and nothing that counts has read it inside since.</summary>
    OutsideWindow,

    /// <summary>The advisor said stop: loose or bent, spread too wide, at its end, or its spring is wrong.</summary>
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

/// <summary>What closing would pass over; it may be done, with a reason that stands in the record.</summary>
public static class ClosingReasons
{
    /// <returns>In the order of the enumeration; empty where nothing asks for a reason.</returns>
    /// <exception cref="Quantities.InvalidInputException">A part of the question is refused.</exception>
    public static IReadOnlyList<ClosedDespite> Find(ClosingQuestion question)
    {
        SetAdvice advice = Quantities.Refusal.Under(
            nameof(question.Input),
            () => SetEvaluation.Advise(question.Input, false)
        );
        List<ClosedDespite> despite = [];
        if (advice.Findings.Any(f => f.IsOpen))
            despite.Add(ClosedDespite.OutsideWindow);
        if (
            advice.Next
            is NextStep.LooseOrBent
                or NextStep.SpreadTooWide
                or NextStep.AtItsEnd
                or NextStep.SpringIsWrong
                or NextStep.ReadAgain
        )
            despite.Add(ClosedDespite.AdvisorStopped);
        if (!question.CautionsConfirmed)
            despite.Add(ClosedDespite.CautionsNotConfirmed);
        if (question.TorqueNm is null)
            despite.Add(ClosedDespite.NoTorque);
        return despite;
    }
}
