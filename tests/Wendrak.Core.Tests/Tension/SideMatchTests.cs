using Wendrak.Core.Tension;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

/// <summary>Left and right drives of one machine should match: common practice.</summary>
public sealed class SideMatchTests
{
    /// <summary>The same span: tension goes with the square of the pitch, so 60 against 66 Hz is 17 % less.</summary>
    [Fact]
    public void Belts_are_compared_by_tension()
    {
        SideMatchResult match = SideMatch.Compare(
            new(Belt(Plucked(0, 0, null, 60, 60, 60, 60)), Belt(Plucked(0, 0, null, 66, 66, 66, 66)))
        );
        Assert.Equal((60.0 * 60 / (66 * 66) - 1) * 100, match.Difference, 1e-9);
        Assert.Equal((false, true), (match.Matches, match.ThisIsLooser));
        Assert.Equal(match.Difference, match.Workings.Single().Result.Value);
        Assert.True(
            SideMatch.Compare(new(Belt(Plucked(0, 0, null, 64, 66)), Belt(Plucked(0, 0, null, 65, 67)))).Matches
        );
    }

    /// <summary>A pluck here, a push there: both are newtons.</summary>
    [Fact]
    public void Methods_may_differ_as_long_as_they_tell_the_same()
    {
        SetInput plucked = Belt(Plucked(0, 0, null, 65));
        double tension = SetEvaluation.Advise(plucked).Rounds[0].Loosest!.Value;
        double span = SetEvaluation.Advise(plucked).Span.SpanMm!.Value;
        double deflection = SpanDeflection.DeflectionMm(span, 20, tension)!.Value;
        SetInput pushed = Belt(new SetRound(0, 0, LockState.Nipped, [new(ReadingMethod.Push, deflection, 0, 20)]));
        Assert.Equal(0, SideMatch.Compare(new(plucked, pushed)).Difference, 1e-6);
    }

    [Fact]
    public void Chains_are_compared_by_their_free_play()
    {
        SideMatchResult match = SideMatch.Compare(new(Chain(Played(0, 38, 38)), Chain(Played(0, 30, 30))));
        Assert.Equal(
            (8.0, 5.0, false, true),
            (Math.Round(match.Difference, 6), match.Limit, match.Matches, match.ThisIsLooser)
        );
        Assert.Null(SideMatch.Compare(new(Chain(Played(0, 30)), Chain(Played(0, 30)))).ThisIsLooser);
    }

    [Fact]
    public void What_cannot_be_compared_is_refused()
    {
        SetInput read = Belt(Plucked(0, 0, null, 65));
        Refusals.Names("Other.Rounds", () => SideMatch.Compare(new(read, Belt())));
        Refusals.Names("This.Rounds", () => SideMatch.Compare(new(Belt(), read)));
        SetInput gauge = Belt(new SetRound(0, 0, LockState.Nipped, [new(ReadingMethod.Gauge, 5)]));
        Refusals.Names("Other.Rounds", () => SideMatch.Compare(new(read, gauge)));
    }
}
