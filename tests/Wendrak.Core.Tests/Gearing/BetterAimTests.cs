using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Tests.Evaluation;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>What somebody wants better makes an aim that a change of a tooth or two reaches, and that what is on does not.</summary>
public sealed class BetterAimTests
{
    private static BetterAim Of(Better better) =>
        Benches.Motorcycle().Ask(new() { BetterAim = new(better) }).BetterAim!.Answer!;

    private static bool Meets(Better better, double front, double rear) =>
        Of(better).Target is FinalRatio band && rear / front >= band.Low && rear / front <= band.High;

    /// <summary>15 and 45 teeth are on: a tooth in front more or less is felt, a hill asks for two. Common practice.</summary>
    [Theory]
    [InlineData(Better.CalmerCruise, 16, 45)]
    [InlineData(Better.HarderPull, 14, 45)]
    [InlineData(Better.HarderPull, 15, 48)]
    [InlineData(Better.Climb, 13, 45)]
    public void A_tooth_or_two_reach_it_and_what_is_on_does_not(Better better, double front, double rear)
    {
        Assert.True(Meets(better, front, rear));
        Assert.False(Meets(better, 15, 45));
    }

    [Theory]
    [InlineData(Better.Quieter)]
    [InlineData(Better.LastsLonger)]
    public void What_asks_for_no_other_ratio_is_met_and_says_what_it_is_worth(Better better)
    {
        Assert.True(Meets(better, 15, 45));
        Wishes wishes = Of(better).Wishes;
        Assert.Equal(3, better == Better.Quieter ? wishes.Quiet : wishes.LittleUpkeep);
    }

    [Fact]
    public void Only_what_is_known_is_wanted() => Refusals.Names("Better", () => BetterAim.For(3, (Better)99));
}
