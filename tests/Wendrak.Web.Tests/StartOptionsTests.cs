namespace Wendrak.Web.Tests;

public sealed class StartOptionsTests
{
    private static (StartOptions? Options, string? Refusal) Parse(params string[] args) =>
        StartOptions.Parse(args, "/somewhere/data");

    [Fact]
    public void Without_arguments_it_starts_at_5210_with_the_demo_data() =>
        Assert.Equal(new StartOptions("/somewhere/data", 5210, false, false), Parse().Options);

    [Fact]
    public void Every_argument_is_heard() =>
        Assert.Equal(
            new StartOptions("/tmp/x", 8080, true, true),
            Parse("--data", "/tmp/x", "--port", "8080", "--fresh", "--empty").Options
        );

    [Theory]
    [InlineData("--port", "0")]
    [InlineData("--port", "70000")]
    [InlineData("--port", "eighty")]
    [InlineData("--port", "-1")]
    [InlineData("--port", null)]
    [InlineData("--data", null)]
    [InlineData("--bogus", null)]
    public void A_wrong_argument_is_named_in_one_line(string argument, string? value)
    {
        (StartOptions? options, string? refusal) = value is null ? Parse(argument) : Parse(argument, value);
        Assert.Null(options);
        Assert.Contains(argument, refusal, StringComparison.Ordinal);
        Assert.DoesNotContain('\n', refusal!);
    }
}
