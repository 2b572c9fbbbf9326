using Wendrak.Core.Photos;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests.TwoPages;

/// <summary>Events of a job drawn by lot, of every kind that a page sends.</summary>
/// <param name="loopKey">Of a loop of the machine.</param>
/// <param name="photo">Hash of a picture that is stored.</param>
/// <param name="part">A line of Stock that holds some.</param>
public sealed class EventLot(int seed, string loopKey, string photo, long part)
{
    private static readonly DateOnly Today = new(2026, 11, 30);
    private readonly Random _random = new(seed);
    private int _count;

    /// <summary>Every kind of it once, in an order in which all can come.</summary>
    public IEnumerable<JobEvent> EachOnce()
    {
        SetRound tight = new(0, 0, LockState.Torqued, []);
        yield return new NoteWritten(Name("note"));
        yield return new WaitBegun("a seal");
        yield return new WaitEnded();
        yield return new TimeSpent(5);
        yield return new DeviationNoted(Name("left"), "no time");
        yield return new ProvisionalFitted("cable tie");
        yield return new ProvisionalCleared("cable tie");
        yield return Photo();
        yield return Line();
        yield return new PartUsed("", 1, null, new(StockList.Parts, part));
        yield return new FindingNoted("crack", FindingGrade.Stop, loopKey, null);
        yield return new FindingCured("crack", "other belt");
        yield return Watched("edge");
        yield return new UseEventNoted(UseEvent.Knock, null);
        yield return AllFine();
        yield return Squeals();
        yield return new FaultTested(loopKey, "clampCheck", "loose");
        yield return Found("vLoose");
        yield return new FindingCured("The V-belt is too slack", "tightened");
        yield return new CureJudged(loopKey, true);
        yield return Planned();
        yield return new StepMoved("again", "hand-turn");
        yield return new TrayTicked("belt", TrayState.There, null);
        yield return Did("isolate");
        yield return new StepReopened("isolate");
        yield return Did("isolate");
        foreach (string key in (string[])["found", "loosen", "down", "belt-off", "line-again"])
            yield return new StepDone(key, StepOutcome.LeftOut, "no time", null, [], null);
        yield return Did("line");
        yield return Did("belt-on");
        yield return new VisitBegun(loopKey, SetGoal.Both);
        yield return new ReadingTaken(loopKey, new(ReadingMethod.FreePlay, 34));
        yield return new ReadingDiscarded(loopKey, 0);
        yield return new VisitCancelled(loopKey);
        yield return new VisitBegun(loopKey, SetGoal.Both);
        yield return new GoalChosen(loopKey, SetGoal.TensionOnly);
        yield return new CautionsSeen(loopKey);
        yield return new RoundNoted(loopKey, tight);
        yield return new ReadingTaken(loopKey, new(ReadingMethod.FreePlay, 35));
        yield return new RoundDropped(loopKey);
        yield return new ReadingTaken(loopKey, new(ReadingMethod.FreePlay, 36));
        yield return new RoundNoted(loopKey, tight);
        yield return new RoundKept(loopKey, null);
        yield return Tied();
        yield return new StepTicked(loopKey, ClosingStep.FinalTorque, true);
        yield return Closed();
        yield return Did("jam", new(4, 4, 12, TorqueBy.Maker, LockCondition.Fresh));
        yield return Did("covers");
        yield return Did("hand-turn");
        yield return new JobSigned(Today, 4, null, null, "so");
    }

    public JobEvent Draw() =>
        _random.Next(41) switch
        {
            0 or 1 or 2 => new NoteWritten(Name("note")),
            3 => new WaitBegun(Name("part")),
            4 or 5 => new WaitEnded(),
            6 => new TimeSpent(1 + _random.Next(60)),
            7 => new DeviationNoted(Name("left"), "no time"),
            8 => new ProvisionalFitted($"thing {_random.Next(3)}"),
            9 => new ProvisionalCleared($"thing {_random.Next(3)}"),
            10 => Photo(),
            11 => Line(),
            12 => new PartUsed("", 1, null, new(StockList.Parts, part)),
            13 => new PartUsed(Name("brought"), 1, 2.5, null),
            14 => new VisitBegun(loopKey, SetGoal.Both),
            15 => new GoalChosen(loopKey, SetGoal.TensionOnly),
            16 => new CautionsSeen(loopKey),
            17 => new RoundNoted(loopKey, new(0, 0, LockState.Torqued, [])),
            18 => new ReadingTaken(loopKey, new(ReadingMethod.FreePlay, 20 + _random.Next(30), _random.Next(4))),
            19 => _random.Next(6) switch
            {
                0 or 1 => new RoundDropped(loopKey),
                2 => new ReadingDiscarded(loopKey, _random.Next(4)),
                3 => new VisitCancelled(loopKey),
                _ => new RoundKept(loopKey, null),
            },
            20 => Tied(),
            21 => new StepTicked(loopKey, ClosingStep.FinalTorque, _random.Next(2) == 0),
            22 => Closed(),
            23 => Planned(),
            30 => new FindingNoted($"crack {_random.Next(3)}", (FindingGrade)_random.Next(3), null, null),
            32 => Watched($"edge {_random.Next(3)}"),
            33 => AllFine(),
            34 => new UseEventNoted((UseEvent)_random.Next(11), null),
            31 => new FindingCured($"crack {_random.Next(3)}", "other belt"),
            35 => Squeals() with { IsNew = _random.Next(3) == 0 ? true : null },
            36 => new FaultTested(loopKey, "clampCheck", _random.Next(2) == 0 ? "loose" : "clamped"),
            37 => new FaultTested(loopKey, "moveWheel", _random.Next(2) == 0 ? "yes" : "no"),
            38 => Found(_random.Next(2) == 0 ? "vLoose" : "keyLoose"),
            39 => new FindingCured(
                _random.Next(2) == 0 ? "The V-belt is too slack" : "Key or wheel moves on its shaft",
                "done"
            ),
            40 => new CureJudged(loopKey, _random.Next(2) == 0),
            24 or 25 => Did(Step()),
            26 => new StepDone(Step(), StepOutcome.LeftOut, "no time", null, [], null),
            27 => new StepReopened(Step()),
            28 => new StepMoved(Step(), Step()),
            29 => new TrayTicked("belt", (TrayState)_random.Next(4), "the old one"),
            _ => _random.Next(3) == 0 ? new JobSigned(Today, null, null, null, "so") : new NoteWritten(Name("note")),
        };

    private string Name(string what) => $"{what} {seed}.{_count++}";

    private FindingNoted Watched(string what) =>
        new(what, FindingGrade.Watch, loopKey, null, new(InspectedPart.Back, UntilKm: 500 + _random.Next(500)));

    private FaultDescribed Squeals() => new(loopKey, ["squeals"], _random.Next(2) == 0 ? ["rain"] : []);

    private FaultFound Found(string cause) => new(loopKey, [cause]);

    private RestFine AllFine() => new(loopKey, [InspectedPart.Guard, InspectedPart.Adjuster]);

    private PhotoTaken Photo() => new(photo, 100, 80, null, PhotoShows.Anything, null, null, null);

    private PhotoLineDrawn Line() => new(photo, new(1, 1, 50, 1 + _random.Next(40)), null, Name("line"));

    private PlanMade Planned() => new(ChangeKind.Loop, loopKey, ProcedureFamily.VBeltPlate, null);

    private string Step() => ((string[])["isolate", "found", "loosen", "down", "again"])[_random.Next(5)];

    private static StepDone Did(string step, FasteningDone? tight = null) =>
        new(step, StepOutcome.Done, null, null, [], tight);

    private ReadingsTied Tied() => new(loopKey, new(ReadingMethod.Gauge, 5, ReadingMethod.FreePlay, 36));

    private VisitClosed Closed() => new(loopKey, Today, null, Enum.GetValues<ClosingStep>(), null, null, null, "so");
}
