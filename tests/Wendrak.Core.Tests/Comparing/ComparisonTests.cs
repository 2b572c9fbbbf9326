using Wendrak.Core.Comparing;

namespace Wendrak.Core.Tests.Comparing;

/// <summary>Two setups against each other, and how many runs that needs.</summary>
public sealed class ComparisonTests
{
    private static readonly double[] A = [4.12, 4.05, 4.2, 4.15, 4.09];
    private static readonly double[] B = [3.98, 4.02, 3.91, 4.05, 3.95];

    /// <summary>Check m1 of the engineering reference.</summary>
    [Fact]
    public void Difference_and_interval_are_those_of_the_reference()
    {
        Comparison found = Welch.Compare(Sample.Of(A, "A"), Sample.Of(B, "B"));
        Assert.Equal((4.122, 3.982), (Math.Round(found.First.Mean, 6), Math.Round(found.Second.Mean, 6)));
        Assert.Equal(-0.14, found.Difference, 9);
        Assert.Equal(-3.93159, found.T, 5);
        Assert.Equal(7.99205, found.DegreesOfFreedom, 5);
        Assert.Equal(0.00435549, found.PValue, 7);
        Assert.Equal(-0.222129, found.Low, 6);
        Assert.Equal(-0.0578713, found.High, 6);
        Assert.True(found.IsShown);
        Assert.False(found.IsFew);
    }

    /// <summary>
    /// NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.3: miles per gallon of American and Japanese cars, variances not
    /// assumed alike: t = −12.94627 with 136.8750 degrees of freedom (from memory).
    /// </summary>
    [Fact]
    public void As_a_handbook_worked_it()
    {
        Comparison found = Welch.Compare(new(30.48101, 6.10771, 79), new(20.14458, 6.41470, 249));
        Assert.Equal(-12.94627, found.T, 4);
        Assert.Equal(136.8750, found.DegreesOfFreedom, 1e-4);
    }

    [Fact]
    public void The_other_way_round_it_is_the_same_turned_about()
    {
        Comparison one = Welch.Compare(Sample.Of(A, "A"), Sample.Of(B, "B"));
        Comparison other = Welch.Compare(Sample.Of(B, "B"), Sample.Of(A, "A"));
        Assert.Equal((-one.High, -one.Low, one.PValue), (other.Low, other.High, other.PValue));
    }

    [Fact]
    public void With_nothing_in_the_interval_it_is_not_shown_to_differ_and_few_are_said()
    {
        Comparison found = Welch.Compare(Sample.Of([4, 5, 6, 5], "A"), Sample.Of([5, 4.5, 6, 5, 5.5], "B"));
        Assert.True(found is { Low: < 0, High: > 0, IsShown: false, IsFew: true });
        Assert.True(Welch.Compare(found.First, found.Second, 0.99).Low < found.Low);
    }

    [Fact]
    public void Means_without_their_runs_and_runs_without_spread_are_refused()
    {
        Refusals.Names("A", () => Sample.Of([4], "A"));
        Refusals.Names("A", () => Sample.Of([4, double.NaN], "A"));
        Refusals.Names("First.Sd", () => Welch.Compare(new(4, 0, 5), new(5, 0, 5)));
        Refusals.Names("Second.Count", () => Welch.Compare(new(4, 1, 5), new(5, 1, 1)));
        Refusals.Names("level", () => Welch.Compare(new(4, 1, 5), new(5, 1, 5), 1));
    }

    /// <summary>Check m2 of the engineering reference.</summary>
    [Fact]
    public void Runs_needed_are_those_of_the_reference()
    {
        Assert.Equal(5.65119, RunsNeeded.ByNormal(0.06, 0.1, 0.05, 0.8), 4);
        Assert.Equal(7, RunsNeeded.ForEach(0.06, 0.1));
    }

    [Fact]
    public void Where_the_spread_is_known_no_run_more_is_asked()
    {
        double many = RunsNeeded.ByNormal(0.2, 0.1, 0.05, 0.8);
        Assert.InRange(many, 30, 100);
        Assert.Equal((int)Math.Ceiling(many), RunsNeeded.ForEach(0.2, 0.1));
        Assert.Equal(1_000_000, RunsNeeded.ForEach(1, 1e-9));
    }

    /// <summary>So many runs do tell the difference as often as was asked, of drawn runs.</summary>
    [Fact]
    public void So_many_runs_tell_it_as_often_as_was_asked()
    {
        Random random = new(3);
        double[] Draw(double mean) =>
            [.. Enumerable.Range(0, 7).Select(_ => MathNet.Numerics.Distributions.Normal.Sample(random, mean, 0.06))];
        int told = Enumerable
            .Range(0, 1_000)
            .Count(_ => Welch.Compare(Sample.Of(Draw(4), "A"), Sample.Of(Draw(4.1), "B")).IsShown);
        Assert.InRange(told / 1_000.0, 0.76, 0.9);
    }

    [Fact]
    public void What_can_t_be_asked_is_refused_at_its_field()
    {
        Refusals.Names("sd", () => RunsNeeded.ForEach(0, 1));
        Refusals.Names("difference", () => RunsNeeded.ForEach(1, 0));
        Refusals.Names("alpha", () => RunsNeeded.ForEach(1, 1, 0));
        Refusals.Names("power", () => RunsNeeded.ForEach(1, 1, 0.05, 1));
    }
}
