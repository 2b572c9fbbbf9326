using Wendrak.Core.Faults;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What one instrument told last of a loop.</summary>
internal sealed record FaultReading(DateOnly On, InstrumentFinding Told)
{
    public bool? IsInside => Told.IsInside;

    public FaultMeasured Measured => new([Told.LoosestReading, Told.TightestReading], Unit);

    public static FaultReading? Of(StoredMachine stored, Loop loop)
    {
        SetJob? visit = stored.Visits.FirstOrDefault(v => v.LoopKey == loop.Key && v.Rounds.Count > 0);
        if (
            visit is null
            || SetInputs.For(stored.Machine, stored.Fitted.Loops, stored.Fitted.RoadWheels, visit) is not { } input
        )
            return null;
        try
        {
            return InstrumentFinding.AllOf(input, SpanFinder.Find(input)) is [.., { } last]
                ? new(visit.Closing?.ClosedOn ?? visit.OpenedOn, last)
                : null;
        }
        catch (InvalidInputException)
        {
            return null; // A window that can't be told today says nothing of what was read then.
        }
    }

    public string? TestOf(FaultKind kind) =>
        kind switch
        {
            FaultKind.Chain or FaultKind.Rail when Told.Method == ReadingMethod.FreePlay => FaultMeasure.PlayAtFour,
            FaultKind.Belt => FaultMeasure.BeltReading,
            _ => null,
        };

    public IEnumerable<FaultRecordAnswer> AnswersOf(FaultKind kind)
    {
        if (TestOf(kind) is { } test && AnswerOf(test) is { } answer)
            yield return new(test, answer, "read", On, Measured);
    }

    public FaultMeasure? MeasureOf(FaultKind kind)
    {
        if (
            TestOf(kind) is null
            || Told.Method is ReadingMethod.Feel
            || Told is not { WindowLooseReading: double loose, WindowTightReading: double tight }
        )
            return null;
        return Lines(kind, Unit, loose, tight);
    }

    private string Unit =>
        Told.Method switch
        {
            ReadingMethod.Pluck => Hertz,
            ReadingMethod.Push or ReadingMethod.FreePlay => Millimetre,
            _ => "",
        };

    private string? AnswerOf(string test)
    {
        if (Told is not { IsInside: bool inside, WindowLooseReading: double loose, WindowTightReading: double tight })
            return null;
        bool isChain = test == FaultMeasure.PlayAtFour;
        if (inside)
            return isChain ? "even" : "fine";
        // Tighter is more in Hz and less in mm.
        int sense = tight >= loose ? 1 : -1;
        bool slack = sense * (Told.LoosestReading - loose) < 0;
        bool tightOut = sense * (Told.TightestReading - tight) > 0;
        if (!isChain)
            return slack ? "slack" : "tight";
        return slack && sense * (Told.TightestReading - loose) < 0 ? "slackAll"
            : tightOut && sense * (Told.LoosestReading - tight) > 0 ? "tightAll"
            : "uneven";
    }

    /// <summary>Where the window lies of a loop that was not read yet: of a chain as free play, of a belt as it rings.</summary>
    public static FaultMeasure? LinesUnread(StoredMachine stored, Loop loop, FaultKind kind, DateOnly today)
    {
        bool isChain = kind is FaultKind.Chain or FaultKind.Rail;
        if (!isChain && kind != FaultKind.Belt)
            return null;
        SetJob unread = new(0, 0, stored.Machine.Id, loop.Key, today, null, SetGoal.Both, [], [], null);
        if (SetInputs.For(stored.Machine, stored.Fitted.Loops, stored.Fitted.RoadWheels, unread) is not { } input)
            return null;
        try
        {
            ReadingMethod method = isChain ? ReadingMethod.FreePlay : ReadingMethod.Pluck;
            return InstrumentFinding.WindowOf(input, SpanFinder.Find(input), method) is { } window
                ? Lines(kind, isChain ? Millimetre : Hertz, window.Loose, window.Tight)
                : null;
        }
        catch (InvalidInputException)
        {
            return null; // Set says itself what is in its way.
        }
    }

    private static FaultMeasure Lines(FaultKind kind, string unit, double loose, double tight)
    {
        bool isChain = kind is FaultKind.Chain or FaultKind.Rail;
        return new(
            isChain ? FaultMeasure.PlayAtFour : FaultMeasure.BeltReading,
            isChain ? "Play at four places" : "As it reads",
            unit,
            isChain ? 4 : 1,
            Math.Min(loose, tight),
            Math.Max(loose, tight),
            "its window, as this instrument reads it",
            tight < loose
        );
    }

    private const string Millimetre = "mm";
    private const string Hertz = "Hz";
}
