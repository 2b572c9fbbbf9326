using Wendrak.Core.Faults;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Faults;

/// <summary>Simulated cases of every cause, twenty each; two hundred each in the bench, where each is found in four of five.</summary>
public sealed class FaultSimulationTests
{
    /// <summary>Of twenty cases with four of five found, thirteen or fewer come up once in forty (binomial): what is less is a fault.</summary>
    [Theory]
    [InlineData(FaultKind.Chain)]
    [InlineData(FaultKind.Rail)]
    [InlineData(FaultKind.Belt)]
    [InlineData(FaultKind.VBelt)]
    [InlineData(FaultKind.VariableBelt)]
    [InlineData(FaultKind.RoundBelt)]
    public void Each_cause_is_found_first(FaultKind kind)
    {
        CauseFound[] found = [.. SimulatedFaults.Found(kind, 20)];
        Assert.All(found, f => Assert.True(f.First >= 14, $"{f.Cause}: {f.First} of 20"));
        Assert.True(found.Sum(f => f.First) >= 0.9 * 20 * found.Length);
    }

    [Theory]
    [InlineData(FaultKind.Chain)]
    [InlineData(FaultKind.Belt)]
    [InlineData(FaultKind.VBelt)]
    [InlineData(FaultKind.VariableBelt)]
    public void It_takes_fewer_minutes_than_the_tests_in_the_order_of_the_file(FaultKind kind)
    {
        CauseFound[] found = [.. SimulatedFaults.Found(kind, 3, inOrder: true)];
        Assert.True(found.Sum(f => f.Minutes) < 0.75 * found.Sum(f => f.MinutesInOrder));
    }

    /// <summary>Whatever else is said, and in whatever order: a look that stops a machine stops it.</summary>
    [Fact]
    public void No_stop_cause_is_missed_whose_look_says_so()
    {
        foreach (FaultKind kind in Enum.GetValues<FaultKind>())
        foreach (FaultTest look in FaultTests.For(kind, SimulatedFaults.Everywhere).Where(t => t.IsStopLook))
        foreach (string answer in look.Answers.Where(a => a != look.Otherwise))
        foreach (FaultCause cause in FaultCauses.For(kind, SimulatedFaults.Everywhere))
        {
            FaultQuestion drawn = new SimulatedFaults(kind, cause, new Random(3)).Draw();
            Assert.True(FaultFinder.Evaluate(drawn with { Answers = [new(look.Key, answer)] }).IsStop);
        }
    }
}
