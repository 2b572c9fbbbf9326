using Wendrak.Core.Quantities;

namespace Wendrak.Core.Traces;

/// <summary>A time from the frames of a film.</summary>
/// <param name="FramesASecond">Of the film.</param>
/// <param name="FirstFrame">Number of the frame in which the first speed shows.</param>
/// <param name="LastFrame">Number of the frame in which the second one shows.</param>
public sealed record FilmInput(double FramesASecond, int FirstFrame, int LastFrame);

/// <param name="Seconds">Between the two frames, s.</param>
/// <param name="ErrorS">Either end may be a frame off, s.</param>
public sealed record FilmTime(double Seconds, double ErrorS, Working Working)
{
    private const double MostFramesASecond = 10_000;
    private const int MostFrames = 100_000_000;

    /// <exception cref="InvalidInputException">No film that there is.</exception>
    public static FilmTime Of(FilmInput input)
    {
        new Guard()
            .Between(nameof(input.FramesASecond), input.FramesASecond, 1, MostFramesASecond, "/s")
            .Between(nameof(input.FirstFrame), input.FirstFrame, 0, MostFrames, "")
            .Between(nameof(input.LastFrame), input.LastFrame, 0, MostFrames, "")
            .That(
                input.LastFrame > input.FirstFrame,
                nameof(input.LastFrame),
                "not_later",
                "Give a later frame than the first one.",
                input.FirstFrame
            )
            .ThrowIfAny();
        Explained time = Time.With(input.FirstFrame, input.LastFrame, input.FramesASecond);
        return new(time.Value, 1 / input.FramesASecond, time.Working);
    }

    private static readonly Formula<Func<double, double, double, double>> Time = new(
        "Time between two frames",
        "t",
        ("time", "s"),
        (n_1, n_2, f) => (n_2 - n_1) / f,
        [("first frame", ""), ("last frame", ""), ("frames a second", "/s")],
        "definition",
        "At the rate at which it was filmed, not at which it is shown; either end may be a frame off, and a clock on the machine lags."
    );
}
