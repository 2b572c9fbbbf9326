using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Xunit.Abstractions;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

/// <summary>
/// Readings at which the advisor changes its mind, found by halving: each hangs on one number of judgement. Whoever changes
/// one on purpose sees where the edge goes, and writes it down.
/// </summary>
public sealed class AdvisorThresholdTests(ITestOutputHelper output)
{
    private const double Gap = 1.2; // mm, inside the window of half a millimetre to two
    private static readonly double[] AsFound = [51, 55, 59, 54];

    private static SetAdvice Advise(SetInput loop, params SetRound[] rounds) =>
        SetEvaluation.Advise(loop with { Rounds = rounds });

    /// <summary>Each reading as found and so many Hz more after both ends went so far.</summary>
    private static SetAdvice Pluck(double turns, double more, params double[] hz) =>
        Advise(Belt(), Plucked(0, 0, Gap, hz), Plucked(turns, turns, Gap, [.. hz.Select(h => h + more)]));

    private static SetAdvice Gauge(double more)
    {
        SetInput belt = Belt();
        LoopSetting setting = belt.Setting with { MakerMethod = ReadingMethod.Gauge, MakerLow = 50, MakerHigh = 70 };
        SetRound found = new(0, 0, LockState.Nipped, [.. Enumerable.Range(0, 8).Select(i => Read(4.8, i))], Gap);
        SetRound turned = found with
        {
            LeftUnits = 8,
            RightUnits = 8,
            Readings = [.. found.Readings.Select(r => Read(r.Value + more, r.Position))],
        };
        return Advise(belt with { Setting = setting }, found, turned);
        static Reading Read(double value, int position) => new(ReadingMethod.Gauge, value, position);
    }

    /// <summary>One end a little further; the gap answers by so much.</summary>
    private static SetAdvice Track(double right, double gap) =>
        Advise(Belt(), Plucked(0, 0, 5, 68, 69), Plucked(0, right, 5 + gap, 68, 69));

    // What the gap is expected to do for each mm that one end goes further, and how sure that is: a sixteenth of a turn of
    // 1.5 mm moves it 1.25 mm, give or take half of that; it is read to 0.2 mm, twice. Common practice.
    private const double GapPerMm = 1.25 / (1.5 / 16);
    private const double Right = 1 / 30.0; // turn of the right end
    private const double SkewMm = Right * 1.5;
    private const double Noise = 2 * 0.2 * 0.2;
    private static readonly double Prior = Math.Pow(0.5 * GapPerMm, 2);
    private static readonly double Surprise = 2 * Math.Sqrt(Prior * SkewMm * SkewMm + Noise);

    /// <summary>What a smallest step of an end moves the gap, learned from a gap that narrowed so much more than expected.</summary>
    private static double PerStep(double more) => Track(Right, -(GapPerMm * SkewMm + more)).PerStepGapMm!.Value;

    private static double LinearPerStep(double more) =>
        -(GapPerMm + Prior * SkewMm / (Prior * SkewMm * SkewMm + Noise) * more) * 1.5 / 16;

    private static bool IsFault(SetAdvice advice) => advice.Next == NextStep.LooseOrBent;

    /// <summary>The nut has moved the gap once; the next round stands just beyond its window.</summary>
    private static bool CountsNutOfGap(double gap) =>
        Advise(
            Belt(),
            Plucked(0, 0, 1, 68, 69),
            Plucked(0, 0, 1.4, 68, 69) with
            {
                Lock = LockState.Torqued,
            },
            Plucked(0, 0, gap, 68, 69)
        ).Next == NextStep.TightenAndRead;

    public static TheoryData<string, double, double, double> Edges =>
        new()
        {
            { "hardly answers", 0.01, 5, 0.44017100771708539 },
            { "a gauge hardly answers", 0.01, 5, 1.0678216728391585 },
            { "four readings changed by themselves", 0.1, 10, 3.0648985988905766 },
            { "one reading changed by itself", 0.1, 10, 3.20976957856755 },
            { "the gap moved by its nut", 1.5, 2.5, 2.1058823529411761 },
            { "a surprise of the gap", 0, 2, Surprise },
        };

    private static bool IsBeyond(string edge, double x) =>
        edge switch
        {
            "hardly answers" => !IsFault(Pluck(0.5, x, AsFound)),
            "a gauge hardly answers" => !IsFault(Gauge(x)),
            "four readings changed by themselves" => IsFault(Pluck(0, x, AsFound)),
            "one reading changed by itself" => IsFault(Pluck(0, x, 55)),
            "the gap moved by its nut" => !CountsNutOfGap(x),
            "a surprise of the gap" => Math.Abs(PerStep(x) - LinearPerStep(x)) > 1e-9,
            _ => throw new ArgumentOutOfRangeException(nameof(edge)),
        };

    [Theory]
    [MemberData(nameof(Edges))]
    public void Its_mind_changes_where_it_did(string edge, double low, double high, double at)
    {
        Assert.False(IsBeyond(edge, low), "already beyond at the low end");
        Assert.True(IsBeyond(edge, high), "not yet beyond at the high end");
        for (int i = 0; i < 50; i++)
        {
            double middle = (low + high) / 2;
            (low, high) = IsBeyond(edge, middle) ? (low, middle) : (middle, high);
        }
        output.WriteLine($"{edge} {low:R}");
        Assert.Equal(at, low, 1e-6 * at);
    }

    /// <summary>Belt makers do not say how stiff a belt is: the order of magnitude alone, and what a width makes of it.</summary>
    [Fact]
    public void A_belt_of_unknown_stiffness_answers_by_the_usual_one()
    {
        SetInput belt = Belt(Plucked(0, 0, Gap, AsFound));
        SetInput unknown = belt with { Strength = null, Setting = belt.Setting with { MassKgPerM = 0.1 } };
        double perMm = SetEvaluation.Advise(belt).ResponsePerMm; // 20 mm of 4 000 N each
        Assert.Equal(60_000 / 80_000.0, SetEvaluation.Advise(unknown).ResponsePerMm / perMm, 1e-9);
    }

    /// <summary>What it would turn, over many readings, where the gap may be but in one place: kept, to the sixteenth.</summary>
    [Theory]
    [InlineData(2, 2, -2611.3125)]
    [InlineData(5, 5.1, -2689.125)]
    [InlineData(1.5, 3, -5294.6875)]
    public void It_turns_what_it_turned(double gapLow, double gapHigh, double turned)
    {
        SetInput belt = Belt();
        SetInput loop = belt with { Setting = belt.Setting with { GapLowMm = gapLow, GapHighMm = gapHigh } };
        double sum = 0;
        for (double hz = 50; hz <= 80; hz += 0.25)
        for (double gap = gapLow - 0.6; gap <= gapHigh + 0.6; gap += 0.2)
        {
            SetRound found = Plucked(0, 0, gap, hz, hz + 1);
            SetRound turnedOnce = Plucked(0.125, 0.25, gap - 0.9, hz + 6, hz + 7);
            SetRound torqued = Plucked(0.125, 0.0625, gap + 0.3, hz + 5, hz + 6) with { Lock = LockState.Torqued };
            SetRound nipped = Plucked(-0.0625, 0, gap + 0.1, hz + 2, hz + 3);
            SetAdvice[] result =
            [
                Advise(loop, found),
                Advise(loop, found, turnedOnce),
                Advise(loop, found, torqued),
                Advise(loop, found, torqued, nipped),
            ];
            sum += result
                .SelectMany(t => t.Moves)
                .Sum(m => (m.Side == Side.Left ? 1 : 3) * (m.Tightens ? m.Units : -2 * m.Units));
        }
        output.WriteLine($"{sum:R}");
        Assert.Equal(turned, sum);
    }
}
