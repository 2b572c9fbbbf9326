using Wendrak.Core.Faults;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Faults;

/// <summary>Odds by Bayes' rule, worked by hand, and the test that comes next.</summary>
public sealed class FaultFinderTests
{
    private static readonly FaultQuestion Creeps = new(FaultKind.VariableBelt, [], ["creeps"], [], null, [], null);
    private static readonly FaultQuestion Knocks = new(
        FaultKind.Chain,
        [FaultSetting.Motor],
        ["knocksOnce"],
        ["stored", "rain"],
        null,
        [],
        null
    );

    private static FaultResult Asked(FaultQuestion question) => FaultFinder.Evaluate(question);

    private static double Of(FaultResult result, string key) => result.Odds.Single(o => o.Key == key).Probability;

    /// <summary>
    /// By hand, from the words of the tables: usual 8, 3, 1; a sign 0.9, 0.6, 0.3, else 0.04; not listed 4 % of all and 0.25. Belt
    /// high 8·0.9, idle 3·0.9, wrong belt 3·0.6, clutch 1·0.6; belt high with the clutch 0.1·(1 − 0.1·0.4); all others 0.04.
    /// </summary>
    [Fact]
    public void Odds_are_worked_by_hand()
    {
        FaultResult result = Asked(Creeps);
        double others = 0.04 * (3 + 1 + 3 + 8 + 3); // rough bearing, key, age, narrow belt, glazed sheave
        double pairs = 0.1 * (1 - 0.1 * 0.4) + 0.1 * (1 - 0.96 * 0.96); // with the clutch; narrow and glazed
        double listed = 8 + 3 + 3 + 1 + 18 + 0.2;
        double all = 7.2 + 2.7 + 1.8 + 0.6 + others + pairs + listed * 0.04 / 0.96 * 0.25;
        Assert.Equal(7.2 / all, Of(result, "beltHigh"), 9);
        Assert.Equal(2.7 / all, Of(result, "idleHigh"), 9);
        Assert.Equal("beltHigh", result.Odds[0].Key);
        Assert.Equal(OddsWord.Likely, result.Odds[0].Word);
        Assert.Equal(7.2, result.Workings[0].Result.Value, 9);
    }

    /// <summary>Bit for bit: what tells an answer is half open, before it one bit.</summary>
    [Fact]
    public void What_is_open_is_counted_in_bits()
    {
        FaultResult result = Asked(Creeps);
        Assert.Equal(-result.Odds.Sum(o => o.Probability * Math.Log2(o.Probability)), result.OpenBits, 9);
        NextTest next = Asked(Creeps with { Answers = [new("moveWheel", "no")] }).Next!;
        Assert.Equal(1, next.Outcomes.Sum(o => o.Probability), 9);
        Assert.True(next.Test.GainBits > 0.1);
        Assert.Equal(TellsMuch.Much, next.Test.Tells);
    }

    [Theory]
    [InlineData(FaultKind.Chain)]
    [InlineData(FaultKind.Rail)]
    [InlineData(FaultKind.Belt)]
    [InlineData(FaultKind.VBelt)]
    [InlineData(FaultKind.VariableBelt)]
    [InlineData(FaultKind.RoundBelt)]
    public void Odds_sum_to_one_whatever_is_known(FaultKind kind)
    {
        foreach (FaultCause cause in FaultCauses.For(kind, SimulatedFaults.Everywhere))
        {
            SimulatedFaults fault = new(kind, cause, new Random(7));
            FaultQuestion question = fault.Draw();
            foreach (FaultTest test in FaultTests.For(kind, SimulatedFaults.Everywhere).Take(6))
            {
                question = question with { Answers = [.. question.Answers, fault.Answer(test)] };
                Assert.Equal(1, Asked(question).Odds.Sum(o => o.Probability), 12);
            }
        }
    }

    [Fact]
    public void The_order_of_answers_does_not_matter_and_one_taken_back_leaves_no_trace()
    {
        FaultAnswer[] answers = [new("lookChain", "no"), new("bendLinks", "aLink"), new("playFour", "uneven")];
        FaultResult forward = Asked(Knocks with { Answers = answers });
        FaultResult backward = Asked(
            Knocks with
            {
                Answers = [.. answers.Reverse()],
                Circumstances = [.. Knocks.Circumstances.Reverse()],
            }
        );
        Assert.Equal(forward.Odds.Select(o => o.Probability), backward.Odds.Select(o => o.Probability));
        FaultResult without = Asked(Knocks with { Answers = [.. answers.Where(a => a.Test != "bendLinks")] });
        Assert.NotEqual(Of(forward, "stiffLink"), Of(without, "stiffLink"));
        Assert.Equal(
            Asked(Knocks with { Answers = [answers[0], answers[2]] }).Odds.Select(o => o.Probability),
            without.Odds.Select(o => o.Probability)
        );
    }

    [Fact]
    public void What_stops_a_machine_is_looked_at_before_any_odds_count()
    {
        FaultResult first = Asked(Knocks);
        Assert.Equal(("lookChain", true), (first.Next!.Test.Key, first.Next.Test.IsStopLook));
        Assert.False(first.IsStop);
        FaultResult stopped = Asked(Knocks with { Answers = [new("lookChain", "clip")] });
        Assert.True(stopped.IsStop);
        Assert.True(stopped.Odds.Single(o => o.Key == "clipLost").IsStop);
        FaultResult clear = Asked(Knocks with { Answers = [new("lookChain", "no"), new("moveWheel", "no")] });
        Assert.False(clear.IsStop);
        Assert.False(clear.Next!.Test.IsStopLook);
    }

    [Fact]
    public void What_the_healthy_one_met_too_counts_less_and_what_it_did_not_counts_more()
    {
        double alone = Of(Asked(Knocks), "stiffLink");
        double both = Of(Asked(Knocks with { Control = new(["stored", "rain"]) }), "stiffLink");
        double dry = Of(Asked(Knocks with { Control = new([]) }), "stiffLink");
        Assert.True(both < alone && alone < dry, $"{both} {alone} {dry}");
        // What no other machine can have met with it counts as it does.
        FaultQuestion grew = Knocks with
        {
            Circumstances = ["grew"],
        };
        Assert.Equal(Of(Asked(grew), "chainWorn"), Of(Asked(grew with { Control = new(["grew"]) }), "chainWorn"));
    }

    [Theory]
    [InlineData(FaultAnswer.CantTell)]
    [InlineData(FaultAnswer.CantDo)]
    public void What_can_t_be_told_or_done_changes_no_odds_and_is_not_asked_again(string answer)
    {
        FaultResult before = Asked(Knocks);
        FaultResult after = Asked(Knocks with { Answers = [new("lookChain", answer)] });
        Assert.Equal(before.Odds.Select(o => o.Probability), after.Odds.Select(o => o.Probability));
        Assert.DoesNotContain(after.Left, t => t.Key == "lookChain");
        // What would have stopped it was not seen, and that is said.
        Assert.Empty(before.StopUnseen);
        Assert.Equal(["lookChain"], after.StopUnseen);
    }

    [Fact]
    public void Without_tools_what_is_alike_is_said_to_be_and_what_would_tell()
    {
        FaultQuestion alone = new(FaultKind.Chain, [], ["adjusterDead"], [], null, [], [], 1);
        FaultResult result = Asked(alone);
        while (result.Next is { } next)
        {
            alone = alone with { Answers = [.. alone.Answers, new(next.Test.Key, FaultAnswer.CantTell)] };
            result = Asked(alone);
        }
        Assert.False(result.IsFound);
        Assert.Equal(["adjusterClamped", "axleCocked"], result.Alike);
        TestLeft told = result.WouldTell.Single(t => t.Key == "pivotAxle");
        Assert.Equal(("rule", false), (told.Tool, told.CanBeDone));
        Assert.Equal(FaultTests.Tools.Single(t => t.Tool == "rule").WhoHasIt, told.WhoHasIt);
        Assert.All(result.Left.Where(t => t.CanBeDone), t => Assert.Null(t.WhoHasIt));
        // Of every tool that a test asks for it is known who has it.
        Assert.Equal(
            FaultTests.All.Select(t => t.Tool).OfType<string>().Distinct().Order(),
            FaultTests.Tools.Select(t => t.Tool).Order()
        );
        // With a rule they are told.
        Assert.NotNull(Asked(alone with { Tools = ["rule"] }).Next);
    }

    [Fact]
    public void What_two_people_do_is_not_asked_of_one()
    {
        FaultQuestion slips = new(FaultKind.Belt, [FaultSetting.Motor], ["noBraking"], [], null, [], null, 1);
        Assert.False(Asked(slips).Left.Single(t => t.Key == "slipBoth").CanBeDone);
        Assert.True(Asked(slips with { People = 2 }).Left.Single(t => t.Key == "slipBoth").CanBeDone);
    }

    [Fact]
    public void Found_is_said_once_nothing_else_is_near_it()
    {
        FaultAnswer[] answers =
        [
            new("lookChain", "no"),
            new("moveWheel", "no"),
            new("bendLinks", "aLink"),
            new("chalkLink", "link"),
            new("pullGape", "no"),
        ];
        FaultResult result = Asked(Knocks with { Answers = answers });
        Assert.True(result.IsFound);
        Assert.Null(result.Next);
        Assert.Equal("stiffLink", result.Odds[0].Key);
        Assert.Empty(result.Alike);
    }

    [Fact]
    public void A_test_that_somebody_wants_comes_next_but_after_what_stops_it()
    {
        FaultQuestion wanting = Knocks with { Asked = "dialRim" };
        Assert.Equal("lookChain", Asked(wanting).Next!.Test.Key);
        FaultAnswer[] clear = [new("lookChain", "no"), new("moveWheel", "no")];
        Assert.Equal("dialRim", Asked(wanting with { Answers = clear }).Next!.Test.Key);
        Assert.NotEqual("dialRim", Asked(Knocks with { Answers = clear }).Next!.Test.Key);
        Refusals.Names("Asked", () => Asked(Knocks with { Asked = "aboveRim" }));
        Refusals.Names("Asked", () => Asked(Knocks with { Asked = "lookChain", Answers = clear }));
    }

    /// <summary>By hand: of the ways that were worth a word before, each by the answer it gives least beside the one that is left.</summary>
    [Fact]
    public void What_took_the_others_out_is_named()
    {
        Assert.Empty(Asked(Knocks).RuledOut);
        FaultResult result = Asked(
            Knocks with
            {
                Answers = [new("lookChain", "no"), new("moveWheel", "no"), new("bendLinks", "aLink")],
            }
        );
        Assert.Equal("stiffLink", result.Odds[0].Key);
        RuledOut joint = result.RuledOut.Single(r => r.What == "The joining link is too tight or crooked");
        Assert.Equal(("bendLinks", "A link does"), (joint.Test, joint.Answer));
        Assert.DoesNotContain(result.RuledOut, r => r.What == result.Odds[0].What);
    }

    [Fact]
    public void A_hub_that_clicks_in_some_gears_is_normal()
    {
        FaultQuestion clicks = new(FaultKind.Belt, [FaultSetting.Hub], ["clicks"], [], null, [], null);
        FaultResult result = Asked(
            clicks with
            {
                Answers =
                [
                    new("lookBelt", "no"),
                    new("slipBoth", "no"),
                    new("sameLoads", "yes"),
                    new("turnBack", "yes"),
                ],
            }
        );
        Assert.Equal(("pawlNoise", true), (result.Odds[0].Key, result.Odds[0].IsNormal));
        // Without a hub there are no pawls.
        Assert.DoesNotContain(Asked(clicks with { At = [] }).Odds, o => o.Key == "pawlNoise");
    }

    [Fact]
    public void What_such_a_loop_does_not_have_is_refused_at_its_field()
    {
        void Refuses(string field, FaultQuestion question) => Refusals.Names(field, () => Asked(question));
        Refuses("Kind", Creeps with { Kind = (FaultKind)99 });
        Refuses("At[1]", Creeps with { At = [FaultSetting.Motor, (FaultSetting)99] });
        Refuses("Signs[1]", Creeps with { Signs = ["creeps", "creeps"] });
        Refuses("Signs[0]", Creeps with { Signs = ["thrown"] });
        Refuses("Circumstances[0]", Creeps with { Circumstances = ["moon"] });
        Refuses("Control.Circumstances[0]", Creeps with { Control = new(["moon"]) });
        Refuses("Answers[0].Test", Creeps with { Answers = [new("bendLinks", "none")] });
        Refuses("Answers[0].Answer", Creeps with { Answers = [new("aboveRim", "perhaps")] });
        Refuses("People", Creeps with { People = 0 });
    }
}
