using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Faults;

/// <summary>What the words of the tables weigh. Judgement, and no measurement: the page says so, and the yard's own count stands beside.</summary>
internal static class FaultWeights
{
    /// <summary>Of a sign with a cause that has nothing to do with it.</summary>
    public const double Unrelated = 0.04;

    /// <summary>Of a sign with what is not listed here: that can do anything.</summary>
    public const double Unlisted = 0.25;

    /// <summary>Least that an answer is given by any cause: people misread, and tests mislead.</summary>
    public const double Slip = 0.03;

    /// <summary>The same of a look that stops a machine: it is looked at twice before that is said.</summary>
    public const double SlipOfStopLook = 0.01;

    /// <summary>Of an answer beside the usual one, with what is not listed here.</summary>
    public const double UnlistedAnswer = 0.2;

    /// <summary>Part of all odds, before anything is known, that it is nothing listed here.</summary>
    public const double PartUnlisted = 0.04;

    /// <summary>Of a pair, against a cause as usual as the word of the pair says.</summary>
    public const double Pair = 0.1;

    /// <summary>What a circumstance counts that the healthy one met too, as a power of what it counts alone.</summary>
    public const double SharedPower = 0.5;

    /// <summary>What a circumstance counts that the healthy one did not meet.</summary>
    public const double DifferingPower = 1.3;

    public static double Of(HowUsual usual) =>
        usual switch
        {
            HowUsual.Often => 8,
            HowUsual.Sometimes => 3,
            _ => 1,
        };

    public static double Of(ShowsItself shows) =>
        shows switch
        {
            ShowsItself.Mostly => 0.9,
            ShowsItself.Often => 0.6,
            ShowsItself.Sometimes => 0.3,
            _ => 0.08,
        };

    public static double Of(BearsOn bears) =>
        bears switch
        {
            BearsOn.MuchMore => 5,
            BearsOn.More => 2.2,
            BearsOn.Less => 0.45,
            _ => 0.2,
        };
}
