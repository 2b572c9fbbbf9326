using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tables;

/// <summary>The tables of choices name each other.</summary>
public sealed class ChoiceTablesTests
{
    private static readonly HashSet<string> Options =
    [
        .. ChoiceKinds.All.Select(k => k.Key),
        .. ChoiceParts.All.Select(p => p.Key),
    ];

    [Fact]
    public void Keys_are_given_once()
    {
        Assert.Equal(ChoiceKinds.All.Count + ChoiceParts.All.Count, Options.Count);
        Assert.Distinct(ChoiceReasons.All.Select(r => r.Key));
        Assert.Distinct(ChoiceQuestions.All.Select(q => q.Key));
    }

    [Fact]
    public void Reasons_are_about_something_that_can_be_chosen() =>
        Assert.Empty(ChoiceReasons.All.SelectMany(r => r.Options).Except(Options));

    [Fact]
    public void Everything_that_can_be_chosen_has_something_for_it_and_something_against_it() =>
        Assert.All(
            Options,
            o =>
            {
                ChoiceReason[] of = [.. ChoiceReasons.All.Where(r => r.Options.Contains(o))];
                Assert.True(of.Any(r => r.Side == ReasonSide.For) && of.Any(r => r.Side == ReasonSide.Against), o);
            }
        );

    [Fact]
    public void Where_the_trade_disagrees_both_schools_speak() =>
        Assert.Equal(
            ["belt", "chain"],
            ChoiceReasons
                .All.Where(r => r is { Wish: DriveWish.LittleLoss, School: not null })
                .Select(r => r.School!)
                .Order()
        );

    [Fact]
    public void Every_choice_between_parts_has_two_options_or_more() =>
        Assert.All(ChoiceParts.All.GroupBy(p => p.Matter), m => Assert.True(m.Count() > 1, m.Key));

    [Fact]
    public void Every_occasion_has_a_question() =>
        Assert.All(Enum.GetValues<KindOccasion>(), o => Assert.Contains(ChoiceQuestions.All, q => q.AskedWhen == o));

    /// <summary>Common practice: gears to 5, planetary 3 to 10, loops to 7 a stage. choice.md.</summary>
    [Theory]
    [InlineData("gearPair", null, 5)]
    [InlineData("planetary", 3.0, 10)]
    [InlineData("plainChain", null, 7)]
    public void A_stage_gives_so_much(string kind, double? least, double most) =>
        Assert.Equal((least, most), (ChoiceKinds.Find(kind)!.LeastRatio, ChoiceKinds.Find(kind)!.MostRatio));
}
