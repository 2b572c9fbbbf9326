using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Traces;

/// <summary>What is asked of a trace.</summary>
/// <param name="FromKmh">First speed, km/h; 0 from rest; null for the usual part of the highest in it.</param>
/// <param name="ToKmh">Second speed; below the first for running out; null for the usual part of the highest in it.</param>
/// <param name="FirstS">Where the part that counts begins, s; null for the beginning.</param>
/// <param name="LastS">Where it ends, s; null for the end.</param>
/// <param name="Columns">How a table is read; null to tell by its heads, and for GPX.</param>
/// <param name="RoundKmh">To what speeds that nobody said are rounded, km/h; null for 5.</param>
public sealed record TraceQuestion(
    double? FromKmh = null,
    double? ToKmh = null,
    double? FirstS = null,
    double? LastS = null,
    TraceColumns? Columns = null,
    double? RoundKmh = null
);

/// <summary>What a trace says.</summary>
/// <param name="FromKmh">First speed of the runs, km/h.</param>
/// <param name="ToKmh">Second one.</param>
/// <param name="On">Day on which it was made, by universal time; null where it does not say.</param>
/// <param name="Points">That were taken.</param>
/// <param name="DurationS">From the first to the last, s.</param>
/// <param name="AreFromPlaces">Its speeds were worked out from places, a second to either side.</param>
/// <param name="NoiseKmh">Standard deviation of one speed, km/h; null with fewer than three points.</param>
/// <param name="Strokes">To be drawn.</param>
/// <param name="Runs">In the part that counts, in their order.</param>
/// <param name="MovesFromKmh">What counted as moving, of a run from rest; null of another.</param>
/// <param name="Columns">How the table was read; null of GPX.</param>
/// <param name="Choices">What a column of a table may be.</param>
/// <param name="Faults">What was not taken.</param>
public sealed record SpeedTrace(
    double FromKmh,
    double ToKmh,
    DateOnly? On,
    int Points,
    double DurationS,
    bool AreFromPlaces,
    double? NoiseKmh,
    IReadOnlyList<TraceStroke> Strokes,
    IReadOnlyList<FoundRun> Runs,
    double? MovesFromKmh,
    TraceColumns? Columns,
    IReadOnlyList<TraceFieldChoice> Choices,
    TraceFaults Faults
)
{
    public const int MostRuns = 500;
    private const double FastestKmh = 500;
    private const double LongestS = 10_000_000;

    /// <summary>Motor and road agree with a gear within this part. Judgement: slip and a worn tyre are below it, gears further apart.</summary>
    private const double SameGear = 0.06;

    // Of the highest speed, where nobody said which. Judgement: both are passed under way, and not at the end of the pull.
    private const double UsualFrom = 0.4;
    private const double UsualTo = 0.8;
    private const double UsualRoundKmh = 5;

    /// <summary>Reads a trace from its beginning; its length takes no memory.</summary>
    /// <param name="stream">Can be read from its beginning again.</param>
    /// <param name="gears">Shaft speed for 1 km/h in each gear, rpm; empty where the drive has none or its wheel is not known.</param>
    /// <param name="limits">Between which the motor turns, rpm.</param>
    /// <exception cref="InvalidInputException">It is no trace, or the question can’t be.</exception>
    public static SpeedTrace Read(
        Stream stream,
        TraceQuestion question,
        IReadOnlyList<double> gears,
        (double Low, double High) limits,
        CancellationToken ct = default
    )
    {
        Check(question);
        if (question is { FromKmh: double from, ToKmh: double to })
            return ReadFor(stream, question, (from, to), gears, limits, ct);
        // Once to know how fast it went, and once more for what that makes usual.
        double high = ReadFor(stream, question, (0, double.MaxValue), [], limits, ct).Strokes.Max(s => s.HighKmh);
        stream.Position = 0;
        double step = question.RoundKmh ?? UsualRoundKmh;
        double Usual(double part) => Max(step, Round(high * part / step) * step);
        double first = question.FromKmh ?? Min(Usual(UsualFrom), Usual(UsualTo) - step);
        double second = question.ToKmh ?? Usual(UsualTo);
        return ReadFor(stream, question, (first, second), gears, limits, ct);
    }

    private static SpeedTrace ReadFor(
        Stream stream,
        TraceQuestion question,
        (double From, double To) speeds,
        IReadOnlyList<double> gears,
        (double Low, double High) limits,
        CancellationToken ct
    )
    {
        bool isXml = IsXml(stream);
        using TableTrace? table = isXml ? null : new(stream, question.Columns);
        TraceReader reader = table is not null ? table : new GpxTrace(stream);
        TraceSpeeds read = new(reader.Points());
        TracePicture picture = new();
        RunFinder finder = new(speeds.From, speeds.To);
        int points = 0;
        foreach (SpeedAt speed in read.All())
        {
            ct.ThrowIfCancellationRequested();
            points++;
            picture.Next(speed);
            if (speed.TimeS >= (question.FirstS ?? 0) && speed.TimeS <= (question.LastS ?? double.MaxValue))
                finder.Next(speed);
        }
        new Guard()
            .That(points >= 2, "file", "no_trace", "There are no two points with a time and a speed or place in it.")
            .ThrowIfAny();
        return new(
            speeds.From,
            speeds.To,
            reader.On,
            points,
            reader.DurationS,
            read.AreFromPlaces,
            read.NoiseKmh,
            picture.Strokes,
            [.. finder.Found.Take(MostRuns).Select(f => RunOf(f, read.NoiseKmh, gears, limits))],
            speeds.From == 0 ? RunFinder.MovesFromKmh : null,
            table?.Columns,
            TraceFieldChoice.All,
            reader.Faults
        );
    }

    private static void Check(TraceQuestion question) =>
        new Guard()
            .BetweenIfGiven(nameof(question.FromKmh), question.FromKmh, 0, FastestKmh, "km/h")
            .BetweenIfGiven(nameof(question.ToKmh), question.ToKmh, 0, FastestKmh, "km/h")
            .That(
                question.ToKmh is null || (question.FromKmh != question.ToKmh && question.ToKmh > 0),
                nameof(question.ToKmh),
                "same",
                "Give another speed than the first one, and not 0."
            )
            .BetweenIfGiven(nameof(question.RoundKmh), question.RoundKmh, 1, FastestKmh, "km/h")
            .BetweenIfGiven(nameof(question.FirstS), question.FirstS, 0, LongestS, "s")
            .BetweenIfGiven(nameof(question.LastS), question.LastS, question.FirstS ?? 0, LongestS, "s")
            .ThrowIfAny();

    private static FoundRun RunOf(
        (SpeedAt From, SpeedAt To, double RateFrom, double RateTo) found,
        double? noise,
        IReadOnlyList<double> gears,
        (double Low, double High) limits
    )
    {
        int? first = GearAt(found.From, gears);
        // Where speed changes slowly a little noise of it is much time.
        double? error = noise is double n ? n * Sqrt(1 / Pow(found.RateFrom, 2) + 1 / Pow(found.RateTo, 2)) : null;
        return new(
            found.From.TimeS,
            found.To.TimeS,
            found.To.TimeS - found.From.TimeS,
            error,
            first == GearAt(found.To, gears) ? first : null,
            [
                .. Enumerable
                    .Range(0, gears.Count)
                    .Where(g => gears[g] * found.From.Kmh >= limits.Low && gears[g] * found.From.Kmh <= limits.High)
                    .Select(g => g + 1),
            ]
        );
    }

    /// <summary>By motor and road speed, from 1; null where they fit none.</summary>
    private static int? GearAt(SpeedAt at, IReadOnlyList<double> gears)
    {
        if (at.ShaftRpm is not double rpm || gears.Count == 0)
            return null;
        int nearest = Enumerable.Range(0, gears.Count).MinBy(g => Abs(gears[g] * at.Kmh / rpm - 1));
        return Abs(gears[nearest] * at.Kmh / rpm - 1) <= SameGear ? nearest + 1 : null;
    }

    private static bool IsXml(Stream stream)
    {
        Span<byte> begin = stackalloc byte[64];
        int length = stream.ReadAtLeast(begin, begin.Length, throwOnEndOfStream: false);
        stream.Position = 0;
        foreach (byte b in begin[..length])
            if (b == (byte)'<')
                return true;
            else if (b > 0x20 && b < 0x80)
                return false;
        return false;
    }
}
