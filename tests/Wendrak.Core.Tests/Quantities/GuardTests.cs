using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests.Quantities;

public sealed class GuardTests
{
    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    [InlineData(double.NegativeInfinity)]
    public void What_is_not_a_number_passes_no_bound(double value)
    {
        Guard guard = new();
        guard
            .AtLeast("a", value, 0, "")
            .AtMost("b", value, 9, "")
            .MoreThan("c", value, 0, "")
            .Between("d", value, 0, 9, "");
        Assert.Equal(["a", "b", "c", "d"], guard.Issues.Select(i => i.Field));
    }

    [Fact]
    public void A_bound_itself_is_accepted()
    {
        Guard guard = new();
        guard
            .AtLeast("a", 5, 5, "mm")
            .AtMost("b", 5, 5, "mm")
            .Between("c", 5, 5, 5, "mm")
            .Ordered("d", 5, "e", 5, "mm");
        Assert.False(guard.HasIssues);
    }

    [Fact]
    public void A_refusal_states_the_bound_as_a_number_and_in_words()
    {
        InputIssue issue = Assert.Single(
            Refusals.Of(() => new Guard().Between("teeth", 3, 5, 500, "teeth").ThrowIfAny())
        );
        Assert.Equal(("teeth", "too_small", 5), (issue.Field, issue.Code, issue.Limit));
        Assert.Equal("Give 5 to 500 teeth.", issue.Message);
    }

    [Theory]
    [InlineData(null, false)]
    [InlineData("  ", false)]
    [InlineData("two\nlines", false)]
    [InlineData("Curlew 🐦 <script>alert('x')</script>", true)]
    public void A_name_may_be_anything_on_one_line(string? name, bool accepted) =>
        Assert.Equal(accepted, !new Guard().Named("name", name).HasIssues);

    [Fact]
    public void A_name_longer_than_can_be_shown_is_refused_with_the_limit() =>
        Assert.Equal(Guard.LongestName, new Guard().Named("name", new('x', 81)).Issues.Single().Limit);

    [Fact]
    public void Issues_of_a_part_carry_the_path_to_it()
    {
        Guard outer = new("Outer.");
        outer.Include(new Guard("Inner.").AtLeast("a", 0, 1, ""));
        Assert.Equal("Outer.Inner.a", outer.Issues.Single().Field);
    }
}
