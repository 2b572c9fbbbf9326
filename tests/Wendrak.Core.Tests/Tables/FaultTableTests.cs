using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Tests.Faults;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tables;

/// <summary>The tables of faults name each other, and every cause can be seen and told.</summary>
public sealed class FaultTableTests
{
    [Fact]
    public void Every_key_is_one_of_its_table_and_none_stands_idle()
    {
        HashSet<string> causes = [.. FaultCauses.All.Select(c => c.Key)];
        Assert.Equal(FaultCauses.All.Count, causes.Count);
        Assert.Empty(FaultCauses.Pairs.SelectMany(p => (string[])[p.First, p.Second]).Except(causes));
        Assert.Empty(FaultSigns.OfCauses.Select(s => s.Cause).Except(causes));
        Assert.Empty(FaultSigns.CircumstancesOfCauses.Select(c => c.Cause).Except(causes));
        Assert.Empty(FaultTests.OfCauses.Select(a => a.Cause).Except(causes));
        Assert.Equal(
            FaultSigns.All.Select(s => s.Key).Order(),
            FaultSigns.OfCauses.Select(s => s.Sign).Distinct().Order()
        );
        Assert.Equal(
            FaultSigns.Circumstances.Select(c => c.Key).Order(),
            FaultSigns.CircumstancesOfCauses.Select(c => c.Circumstance).Distinct().Order()
        );
        Assert.Equal(
            FaultTests.All.Select(t => t.Key).Order(),
            FaultTests.OfCauses.Select(a => a.Test).Distinct().Order()
        );
        Assert.Distinct(FaultTests.All.Select(t => t.Order));
        Assert.Distinct(FaultSigns.OfCauses.Select(s => (s.Cause, s.Sign)));
        Assert.Distinct(FaultTests.OfCauses.Select(a => (a.Cause, a.Test, a.Answer)));
    }

    [Fact]
    public void Every_test_has_the_answers_that_are_given_of_it()
    {
        Assert.All(FaultTests.All, t => Assert.Contains(t.Otherwise, t.Answers));
        Assert.All(
            FaultTests.OfCauses,
            a => Assert.Contains(a.Answer, FaultTests.All.Single(t => t.Key == a.Test).Answers)
        );
    }

    [Fact]
    public void Every_answer_has_a_word_and_what_stops_a_machine_is_called_as_it_is_seen()
    {
        foreach (FaultTest test in FaultTests.All)
        foreach (string answer in test.Answers)
        {
            FaultAnswerWord word = FaultAnswerWords.Of(test.Key, answer);
            Assert.Equal(test.IsStopLook && answer != test.Otherwise, word.Seen is not null);
        }
        // None stands idle, and two answers of one test are not called alike.
        Assert.All(
            FaultAnswerWords.All,
            w => Assert.Contains(FaultTests.All, t => (w.Test ?? t.Key) == t.Key && t.Answers.Contains(w.Answer))
        );
        Assert.All(FaultTests.All, t => Assert.Distinct(t.Answers.Select(a => FaultAnswerWords.Of(t.Key, a).What)));
    }

    [Fact]
    public void Every_cure_is_done_at_a_station_that_stands()
    {
        foreach (FaultCause cause in FaultCauses.All)
        {
            Station? at = cause.CureAt is { } station ? Enum.Parse<Station>(station, true) : null;
            Assert.Equal(at == Station.Build, cause.CureChange is not null);
            if (cause.CureChange is { } change)
                Assert.True(Enum.TryParse<ChangeKind>(change, true, out _), change);
        }
    }

    [Fact]
    public void Every_weight_says_why()
    {
        Assert.All(FaultCauses.All, c => Assert.True(c.Why.Length > 2 && c.Cure.Length > 2));
        Assert.All(FaultCauses.Pairs, p => Assert.True(p.Why.Length > 2));
        Assert.All(FaultSigns.OfCauses, s => Assert.True(s.Why.Length > 2));
        Assert.All(FaultSigns.CircumstancesOfCauses, c => Assert.True(c.Why.Length > 2));
        Assert.All(FaultTests.OfCauses, a => Assert.True(a.Why.Length > 2));
    }

    [Fact]
    public void Every_cause_shows_itself_by_two_signs_at_least() =>
        Assert.All(FaultCauses.All, c => Assert.True(FaultSigns.OfCauses.Count(s => s.Cause == c.Key) >= 2, c.Key));

    /// <summary>By an answer that the one mostly gives and the other not, on every kind of loop that can have both.</summary>
    [Fact]
    public void Any_two_causes_are_told_apart_by_some_test()
    {
        foreach (FaultKind kind in Enum.GetValues<FaultKind>())
        {
            FaultCause[] causes = [.. FaultCauses.For(kind, SimulatedFaults.Everywhere)];
            HashSet<string> tests = [.. FaultTests.For(kind, SimulatedFaults.Everywhere).Select(t => t.Key)];
            HashSet<(string, string)> Mostly(FaultCause cause) =>
                [
                    .. FaultTests
                        .OfCauses.Where(a =>
                            a.Cause == cause.Key && a.Weight == ShowsItself.Mostly && tests.Contains(a.Test)
                        )
                        .Select(a => (a.Test, a.Answer)),
                ];
            foreach (FaultCause one in causes)
            foreach (FaultCause other in causes.Where(c => string.CompareOrdinal(c.Key, one.Key) > 0))
                Assert.False(Mostly(one).SetEquals(Mostly(other)), $"{kind}: {one.Key}, {other.Key}");
        }
    }

    [Fact]
    public void Every_stop_cause_has_a_look_or_a_test_that_says_so()
    {
        foreach (FaultCause cause in FaultCauses.All.Where(c => c.IsStop))
            Assert.Contains(FaultTests.OfCauses, a => a.Cause == cause.Key && a.Weight == ShowsItself.Mostly);
    }
}
