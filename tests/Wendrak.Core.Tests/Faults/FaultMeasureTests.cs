using Wendrak.Core.Faults;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Tests.Faults;

/// <summary>What was measured, against the lines of the machine. Bounds are counted in: at the edge of a window is in it.</summary>
public sealed class FaultMeasureTests
{
    private static readonly FaultMeasure Play = new("playFour", "play", "mm", 4, 20, 30, "window");

    [Theory]
    [InlineData("even", new double[] { 22, 25, 27, 24 })]
    [InlineData("even", new double[] { 20, 30, 25, 25 })]
    [InlineData("slackAll", new double[] { 31, 35, 40, 33 })]
    [InlineData("tightAll", new double[] { 10, 12, 19, 15 })]
    [InlineData("uneven", new double[] { 18, 25, 25, 25 })]
    [InlineData("uneven", new double[] { 25, 25, 31, 25 })]
    [InlineData("uneven", new double[] { 15, 25, 35, 25 })]
    public void Play_at_four_places(string answer, double[] values) => Assert.Equal(answer, Play.AnswerOf(values));

    /// <summary>Elongation “at its limit” counts the limit itself, as the record of its wear does.</summary>
    [Theory]
    [InlineData("elongation", "%", null, 1.5, 1.4, "below")]
    [InlineData("elongation", "%", null, 1.5, 1.5, "atLimit")]
    [InlineData("beltReading", "Hz", 100.0, 120.0, 99, "slack")]
    [InlineData("beltReading", "Hz", 100.0, 120.0, 121, "tight")]
    [InlineData("beltReading", "Hz", 100.0, 120.0, 110, "fine")]
    [InlineData("beltReading", "mm", 8.0, 12.0, 7, "tight")]
    [InlineData("beltReading", "mm", 8.0, 12.0, 13, "slack")]
    [InlineData("caliperWidth", "mm", 19.2, 20.8, 19, "narrower")]
    [InlineData("caliperWidth", "mm", 19.2, 20.8, 21, "wider")]
    [InlineData("caliperWidth", "mm", 19.2, null, 21, "asNew")]
    public void One_value(string test, string unit, double? low, double? high, double value, string answer) =>
        Assert.Equal(answer, new FaultMeasure(test, "it", unit, 1, low, high, "lines", unit == "mm").AnswerOf([value]));

    [Fact]
    public void Every_answer_is_one_of_its_test()
    {
        foreach (string test in (string[])["playFour", "elongation", "beltReading", "caliperWidth"])
        foreach (double value in (double[])[1, 25, 100])
        {
            FaultMeasure measure = new(test, "it", "mm", 1, 20, 30, "lines");
            Assert.Contains(measure.AnswerOf([value]), FaultTests.All.Single(t => t.Key == test).Answers);
        }
    }

    [Fact]
    public void Another_number_of_values_or_one_that_can_t_be_is_refused()
    {
        Refusals.Names("Values", () => Play.AnswerOf([22, 25, 27]));
        Refusals.Names("Values[2]", () => Play.AnswerOf([22, 25, -1, 24]));
        Refusals.Names("Values[3]", () => Play.AnswerOf([22, 25, 1, double.NaN]));
    }
}
