using Wendrak.Core.Traces;

namespace Wendrak.Core.Tests.Traces;

/// <summary>A time from the frames of a film; by definition.</summary>
public sealed class FilmTimeTests
{
    [Fact]
    public void Frames_over_their_rate_are_seconds_and_either_end_may_be_one_off()
    {
        FilmTime time = FilmTime.Of(new(60, 120, 492));
        Assert.Equal((6.2, 1 / 60.0), (time.Seconds, time.ErrorS));
        Assert.Equal(6.2, time.Working.Result.Value);
    }

    [Theory]
    [InlineData("FramesASecond", 0, 0, 10)]
    [InlineData("FramesASecond", 10_001, 0, 10)]
    [InlineData("FirstFrame", 60, -1, 10)]
    [InlineData("LastFrame", 60, 10, 10)]
    [InlineData("LastFrame", 60, 10, 100_000_001)]
    public void No_film_there_is_is_refused_at_its_field(string field, double rate, int first, int last) =>
        Refusals.Names(field, () => FilmTime.Of(new(rate, first, last)));
}
