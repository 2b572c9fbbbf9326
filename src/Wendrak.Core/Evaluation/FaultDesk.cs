using Wendrak.Core.Faults;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Something a loop can do that it should not.</summary>
/// <param name="Key">Of the table.</param>
/// <param name="What">In words.</param>
/// <param name="IsSaid">Somebody said so.</param>
/// <param name="IsUsual">One of those that such a loop shows most.</param>
public sealed record FaultChoice(string Key, string What, bool IsSaid, bool IsUsual);

/// <summary>Something that came before, as it is said and as the record has it.</summary>
/// <param name="Key">Of the table.</param>
/// <param name="What">In words.</param>
/// <param name="IsSo">It counts: somebody said so, or the record does and nobody said otherwise.</param>
/// <param name="Fact">What the record says; null for nothing.</param>
/// <param name="IsShared">Another machine that is used alike can have met it too.</param>
public sealed record CircumstanceChoice(string Key, string What, bool IsSo, FaultFact? Fact, bool IsShared);

/// <summary>A machine of the yard that has such a loop, too.</summary>
/// <param name="MachineId">Of the machine.</param>
/// <param name="Machine">Its name.</param>
public sealed record ControlChoice(long MachineId, string Machine);

/// <summary>The healthy machine beside this one.</summary>
/// <param name="MachineId">Null for one that is only described.</param>
/// <param name="Machine">Its name; null for one that is only described, or is gone.</param>
/// <param name="Circumstances">What it can have met as well.</param>
public sealed record ControlBeside(long? MachineId, string? Machine, IReadOnlyList<CircumstanceChoice> Circumstances);

/// <summary>An answer on the way so far.</summary>
/// <param name="Test">Key of the test.</param>
/// <param name="Ask">What was asked.</param>
/// <param name="Answer">What came of it, in words.</param>
/// <param name="Minutes">Such a test takes, min.</param>
/// <param name="Entry">Number of the entry that says so: taken back by it; null where the record answers it.</param>
/// <param name="Record">What the record says; null where somebody answered it.</param>
/// <param name="Measured">What was measured; null for nothing.</param>
/// <param name="IsStop">The machine does not go out with it.</param>
public sealed record WayStep(
    string Test,
    string Ask,
    string Answer,
    double Minutes,
    long? Entry,
    FaultRecordAnswer? Record,
    FaultMeasured? Measured,
    bool IsStop
);

/// <summary>What was found of a loop before.</summary>
/// <param name="JobId">At which job.</param>
/// <param name="On">Day of that job.</param>
/// <param name="What">The cause, in words.</param>
/// <param name="IsGone">Asked after the cure; null where nobody said.</param>
/// <param name="AsksIfGone">It was mended, nobody said yet whether it is gone, and that can still be said at its job.</param>
public sealed record FoundBefore(long JobId, DateOnly On, string What, bool? IsGone, bool AsksIfGone);

/// <summary>All that a page shows of a search for a fault of one loop.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Kind">What it is.</param>
/// <param name="JobId">Of the job at which it is written down; null where nothing is yet.</param>
/// <param name="HasPlan">That job has an order of work already.</param>
/// <param name="Signs">What such a loop can do.</param>
/// <param name="Circumstances">What can have come before.</param>
/// <param name="Controls">Machines of the yard that can stand beside.</param>
/// <param name="Control">The one that does; null for none.</param>
/// <param name="People">Who can lend a hand.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Way">Answers so far, those of the record first.</param>
/// <param name="WayMinutes">What was done of it took so long by the table, min.</param>
/// <param name="Result">Where it stands.</param>
/// <param name="Measure">Of the next test, where this machine draws its lines; null where it is told in words.</param>
/// <param name="Cures">Of every cause of the odds.</param>
/// <param name="Counts">How often cures helped in this yard.</param>
/// <param name="Found">The cause that was found; null while it goes on.</param>
/// <param name="Open">What was seen by tests or found here and is not mended, as it is said.</param>
/// <param name="Stops">Those of them with which it does not go out.</param>
/// <param name="Before">What was found of this loop before, newest first.</param>
/// <param name="ToolsUnlisted">Nobody listed the tools of the workshop: all are taken to be there.</param>
/// <param name="Defers">Whose work it is where people can be hurt.</param>
public sealed record FaultDesk(
    string LoopKey,
    FaultKind Kind,
    long? JobId,
    bool HasPlan,
    IReadOnlyList<FaultChoice> Signs,
    IReadOnlyList<CircumstanceChoice> Circumstances,
    IReadOnlyList<ControlChoice> Controls,
    ControlBeside? Control,
    int People,
    string? Words,
    IReadOnlyList<WayStep> Way,
    double WayMinutes,
    FaultResult Result,
    FaultMeasure? Measure,
    IReadOnlyList<FaultCure> Cures,
    IReadOnlyList<FaultCount> Counts,
    FaultCauseFound? Found,
    IReadOnlyList<string> Open,
    IReadOnlyList<string> Stops,
    IReadOnlyList<FoundBefore> Before,
    bool ToolsUnlisted,
    string Defers
)
{
    /// <param name="counts">Of this yard.</param>
    /// <param name="asked">Key of a test that somebody wants to do next; null for the one that tells most.</param>
    /// <exception cref="InvalidInputException">No such test is open.</exception>
    public static FaultDesk Of(FaultSearch search, Workshop workshop, IReadOnlyList<FaultCount> counts, string? asked)
    {
        FaultQuestion question = search.Question(workshop, asked);
        FaultResult result = FaultFinder.Evaluate(question);
        FaultAtJob? said = search.Said;
        IReadOnlySet<string> usual = UsualSigns.For(search.Of.Kind, search.Of.At);
        WayStep[] way = [.. search.RecordAnswers(asked).Select(OfRecord), .. search.Answers.Select(OfPerson)];
        return new(
            search.Of.Loop.Key,
            search.Of.Kind,
            search.Job?.Job.Id,
            search.Job?.Plan is not null,
            [
                .. FaultSigns
                    .For(search.Of.Kind, search.Of.At)
                    .Select(s => new FaultChoice(
                        s.Key,
                        s.What,
                        said?.Signs.Contains(s.Key) == true,
                        usual.Contains(s.Key)
                    )),
            ],
            Choices(search.Record.Facts, said?.Circumstances ?? [], said?.NotSo ?? [], false),
            [
                .. workshop
                    .OnMachines.Where(m => m.MachineId != search.Stored.Machine.Id && search.IsAlike(m))
                    .DistinctBy(m => m.MachineId)
                    .Select(m => new ControlChoice(m.MachineId, m.Machine)),
            ],
            said?.Control is { } control
                ? new(
                    control.MachineId,
                    search.Control?.Machine.Name,
                    Choices(search.ControlFacts, control.Circumstances, control.NotSo ?? [], true)
                )
                : null,
            question.People,
            said?.Words,
            way,
            way.Where(w => w.Entry is not null).Sum(w => w.Minutes),
            result,
            result.Next is { } next ? search.Record.Measures.FirstOrDefault(m => m.Test == next.Test.Key) : null,
            [
                .. FaultCauses
                    .For(search.Of.Kind, search.Of.At)
                    .Select(c => FaultCure.Of(c, search.Stored.Machine, search.Of.Loop)),
            ],
            counts,
            said?.Found,
            search.Open,
            search.Stops,
            search.Before,
            workshop.Tools.Count == 0,
            MachineKinds.Get(search.Stored.Machine.Kind).Defers
        );
    }

    private static IReadOnlyList<CircumstanceChoice> Choices(
        IReadOnlyList<FaultFact> facts,
        IReadOnlyList<string> said,
        IReadOnlyList<string> notSo,
        bool sharedOnly
    ) =>
        [
            .. FaultSigns
                .Circumstances.Where(c => c.IsShared || !sharedOnly)
                .Select(c =>
                {
                    FaultFact? fact = facts.FirstOrDefault(f => f.Circumstance == c.Key);
                    bool isSo = said.Contains(c.Key) || (fact is not null && !notSo.Contains(c.Key));
                    return new CircumstanceChoice(c.Key, c.What, isSo, fact, c.IsShared);
                }),
        ];

    private static WayStep OfRecord(FaultRecordAnswer told)
    {
        FaultTest test = TestOf(told.Test);
        FaultAnswerWord word = FaultAnswerWords.Of(test.Key, told.Answer);
        return new(test.Key, test.Ask, word.What, test.Minutes, null, told, told.Measured, word.Seen is not null);
    }

    private static WayStep OfPerson(FaultAnswerAtJob told)
    {
        FaultTest test = TestOf(told.Test);
        string what =
            told.Answer == FaultAnswer.CantTell ? "can’t be told"
            : told.Answer == FaultAnswer.CantDo ? "can’t be done here"
            : FaultAnswerWords.Of(test.Key, told.Answer).What;
        return new(
            test.Key,
            test.Ask,
            what,
            told.Answer == FaultAnswer.CantDo ? 0 : test.Minutes,
            told.Entry,
            null,
            told.Values is null ? null : new(told.Values, told.Unit ?? ""),
            told.Seen is not null
        );
    }

    private static FaultTest TestOf(string key) => FaultTests.All.First(t => t.Key == key);
}
