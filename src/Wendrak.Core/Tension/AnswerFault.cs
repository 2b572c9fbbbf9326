namespace Wendrak.Core.Tension;

/// <summary>What is wrong with how a drive answered its adjusters.</summary>
public enum AnswerFaultKind
{
    /// <summary>It changed although nothing was turned: something slips or settles.</summary>
    ChangedByItself,

    /// <summary>It went the other way than it was turned: clamp, thread or axle.</summary>
    WrongWay,

    /// <summary>The gap went the other way than the axle was turned.</summary>
    GapWrongWay,

    /// <summary>A wedge tells exactly how far a belt goes with a shim, and it went less than half as far, or half as far again.</summary>
    NotAsTheWedge,
}

/// <summary>An answer that no sound drive gives. A larger one than supposed, the way it was turned, is only stiffness.</summary>
internal sealed record AnswerFault(AnswerFaultKind Kind)
{
    /// <summary>Part of the expected answer below which it does not move with its adjuster. Judgement.</summary>
    public const double FaintShare = 0.12;

    /// <summary>The same where the expectation itself is a guess.</summary>
    public const double FaintShareOfAGuess = 0.02;

    private const double Sure = 4; // standard deviations of reading it twice
    private const double TellableShare = 0.25; // of the window: less is no matter. Judgement.
    private const double WedgeShare = 0.5; // of what the wedge tells. Judgement.
    private const double TellableGapMm = 1; // what the eye sees wander: common practice

    /// <param name="meanMm">Way of the axle's middle.</param>
    /// <param name="isWedge">A millimetre of <paramref name="meanMm"/> is one of tightness, by geometry alone.</param>
    /// <param name="tightened">1 where the nut was torqued since, −1 where it was slackened: that moves what it holds.</param>
    public static AnswerFault? Find(
        double meanMm,
        double skewMm,
        int tightened,
        Tightness? change,
        double? gapChangeMm,
        LearnedResponse tension,
        LearnedResponse gap,
        TensionWindow? window,
        bool isWedge
    )
    {
        if (change is { } answer)
        {
            double shift = tightened == 0 ? 0 : tension.SigmaOf(0, tightened);
            double sure = Sure * Math.Sqrt(answer.Sigma * answer.Sigma + shift * shift);
            double tellable = TellableShare * ((window?.High - window?.Low) ?? 0);
            bool isSeen = Math.Abs(answer.Value) > Math.Max(sure, tellable);
            if (isSeen && meanMm == 0 && skewMm == 0 && tightened == 0)
                return new(AnswerFaultKind.ChangedByItself);
            if (isSeen && meanMm != 0 && answer.Value * meanMm < 0)
                return new(AnswerFaultKind.WrongWay);
            if (
                isWedge
                && meanMm != 0
                && Math.Abs(answer.Value - meanMm) > Math.Max(sure, WedgeShare * Math.Abs(meanMm))
            )
                return new(AnswerFaultKind.NotAsTheWedge);
        }
        if (gapChangeMm is double moved && Math.Abs(moved) > TellableGapMm)
        {
            if (meanMm == 0 && skewMm == 0 && tightened == 0)
                return new(AnswerFaultKind.ChangedByItself);
            if (tightened == 0 && moved * gap.Predict(skewMm, 0) < 0)
                return new(AnswerFaultKind.GapWrongWay);
        }
        return null;
    }
}
