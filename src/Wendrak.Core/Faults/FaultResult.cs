using Wendrak.Core.Quantities;

namespace Wendrak.Core.Faults;

/// <summary>Odds in a word; the number stands in the working.</summary>
public enum OddsWord
{
    Likely,
    Possible,
    Unlikely,
}

/// <summary>One way in which it can be, and how likely that is.</summary>
/// <param name="Key">Of the cause; of two, both with a plus between; “notListed” for something else.</param>
/// <param name="Causes">Keys of the causes; none for what is not listed.</param>
/// <param name="What">In words.</param>
/// <param name="Probability">0 to 1; of all ways together 1.</param>
/// <param name="Word">The same in a word.</param>
/// <param name="Cure">What mends it; of two causes both; null for what is not listed.</param>
/// <param name="IsStop">The machine does not go out with it.</param>
/// <param name="IsNormal">It is no fault.</param>
public sealed record FaultOdds(
    string Key,
    IReadOnlyList<string> Causes,
    string What,
    double Probability,
    OddsWord Word,
    string? Cure,
    bool IsStop,
    bool IsNormal
);

/// <summary>What the odds of one way would be.</summary>
/// <param name="Key">As in <see cref="FaultOdds.Key"/>.</param>
/// <param name="Word">In a word.</param>
public sealed record OddsThen(string Key, OddsWord Word);

/// <summary>What one answer of a test would make of it.</summary>
/// <param name="Answer">Of the test.</param>
/// <param name="What">The same in words.</param>
/// <param name="Probability">That it comes, 0 to 1.</param>
/// <param name="Odds">Then, in the order of the odds now.</param>
public sealed record FaultOutcome(string Answer, string What, double Probability, IReadOnlyList<OddsThen> Odds);

/// <summary>How much a test tells for its minutes.</summary>
public enum TellsMuch
{
    Much,
    Some,
    Little,
}

/// <summary>A test that is not answered yet.</summary>
/// <param name="Key">Of the test.</param>
/// <param name="Ask">What is asked.</param>
/// <param name="How">How it is done.</param>
/// <param name="Minutes">It takes, min.</param>
/// <param name="Caution">Where a hand can be hurt; null for nothing to say.</param>
/// <param name="Tool">Needed; null for none.</param>
/// <param name="People">It takes.</param>
/// <param name="CanBeDone">With the tools on hand and the people there.</param>
/// <param name="WhoHasIt">Who has the tool, where it is not on hand; null where none is missing.</param>
/// <param name="IsStopLook">With “yes” the machine does not go out.</param>
/// <param name="GainBits">What it takes away of what is open, on average, bits.</param>
/// <param name="Tells">For its minutes, beside the others.</param>
public sealed record TestLeft(
    string Key,
    string Ask,
    string How,
    double Minutes,
    string? Caution,
    string? Tool,
    int People,
    bool CanBeDone,
    string? WhoHasIt,
    bool IsStopLook,
    double GainBits,
    TellsMuch Tells
);

/// <summary>The test to do next.</summary>
/// <param name="Test">Which.</param>
/// <param name="Outcomes">One for each of its answers.</param>
public sealed record NextTest(TestLeft Test, IReadOnlyList<FaultOutcome> Outcomes);

/// <summary>A way that was thinkable by what was said, and what took it out.</summary>
/// <param name="What">The way, in words.</param>
/// <param name="Test">Key of the test whose answer speaks most against it beside the first way.</param>
/// <param name="Ask">What was asked.</param>
/// <param name="Answer">What came of it, in words.</param>
public sealed record RuledOut(string What, string Test, string Ask, string Answer);

/// <summary>Where a search for a fault stands.</summary>
/// <param name="IsStop">Do not ride or drive it: a stop look said yes, or what stops it is likelier than not.</param>
/// <param name="StopUnseen">Keys of looks that would stop it and that nobody could make or tell: nothing here says that it may go out.</param>
/// <param name="IsFound">One listed way stands far before all others.</param>
/// <param name="Odds">Most likely first.</param>
/// <param name="OpenBits">How much is open, bits: 0 where one way is sure.</param>
/// <param name="Next">The test that was asked for, else the one that tells most for its minutes; null where none that can be done tells any more.</param>
/// <param name="Left">All that are not answered, what tells most for its minutes first.</param>
/// <param name="Alike">Keys of ways that nothing here tells apart; none while a test is left or one is found.</param>
/// <param name="WouldTell">What would tell those apart and can’t be done here.</param>
/// <param name="RuledOut">What lost more than half of its odds by the tests, and by which.</param>
/// <param name="Workings">Of the most likely way, and of the next test.</param>
public sealed record FaultResult(
    bool IsStop,
    IReadOnlyList<string> StopUnseen,
    bool IsFound,
    IReadOnlyList<FaultOdds> Odds,
    double OpenBits,
    NextTest? Next,
    IReadOnlyList<TestLeft> Left,
    IReadOnlyList<string> Alike,
    IReadOnlyList<TestLeft> WouldTell,
    IReadOnlyList<RuledOut> RuledOut,
    IReadOnlyList<Working> Workings
);
