using Wendrak.Core.Faults;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>A search for a fault of one loop, with the machine it is on and the healthy one beside it.</summary>
public sealed class FaultSearch
{
    private readonly DateOnly _today;

    /// <param name="control">The machine beside it, where it is one of the yard; null for none.</param>
    /// <param name="today">Day on which it is asked.</param>
    /// <param name="at">The job it is written down at; null for the one at which it goes on.</param>
    /// <exception cref="InvalidInputException">The machine has no such loop.</exception>
    public FaultSearch(
        StoredMachine stored,
        string loopKey,
        StoredMachine? control,
        DateOnly today,
        JobContent? at = null
    )
    {
        (Stored, Control, _today) = (stored, control, today);
        Of = FaultOfLoop.Find(stored.Machine, loopKey);
        Job = at ?? JobOf(stored.Jobs, loopKey);
        Said = Job?.Sheet.Faults.LastOrDefault(f => f.LoopKey == loopKey);
        // What was said of another kind of loop is another search.
        if (Said is not null && (Said.Kind != Of.Kind || !Said.At.SequenceEqual(Of.At)))
            Said = null;
        Record = FaultRecord.Of(stored, Of.Loop, Of.Kind, today);
    }

    public StoredMachine Stored { get; }
    public StoredMachine? Control { get; }
    public FaultOfLoop Of { get; }

    /// <summary>At which it is written down; null where nothing is yet.</summary>
    public JobContent? Job { get; }

    /// <summary>What is written down of it; null for nothing.</summary>
    public FaultAtJob? Said { get; }

    public FaultRecord Record { get; }

    /// <summary>The job at which a search for a fault of that loop goes on; null for none.</summary>
    /// <param name="jobs">Oldest first.</param>
    public static JobContent? JobOf(IReadOnlyList<JobContent> jobs, string loopKey) =>
        jobs.LastOrDefault(j => j.Sheet.State != JobState.Ended && j.Sheet.Faults.Any(f => f.LoopKey == loopKey));

    /// <summary>Number of the machine that stands beside in a search; null for none of the yard.</summary>
    public static long? ControlOf(JobContent? job, string loopKey) =>
        job?.Sheet.Faults.LastOrDefault(f => f.LoopKey == loopKey)?.Control?.MachineId;

    internal IReadOnlyList<FaultAnswerAtJob> Answers => Said?.Answers ?? [];

    /// <summary>What the record answers and nobody did.</summary>
    /// <param name="asked">A test that somebody wants to do all the same.</param>
    internal IEnumerable<FaultRecordAnswer> RecordAnswers(string? asked) =>
        Record.Answers.Where(r => r.Test != asked && Answers.All(a => a.Test != r.Test));

    internal IReadOnlyList<FaultFact> ControlFacts
    {
        get
        {
            if (
                Control is null
                || MachineRules
                    .LoopsOf(Control.Machine)
                    .FirstOrDefault(l => FaultOfLoop.KindOf(Control.Machine, l) == Of.Kind)
                    is not { } loop
            )
                return [];
            return FaultRecord.Of(Control, loop, Of.Kind, _today).Facts;
        }
    }

    /// <summary>Whether a loop of another machine is of the same kind.</summary>
    internal bool IsAlike(LoopOnMachine other) => other.Kind == Of.Kind;

    internal FaultQuestion Question(Workshop workshop, string? asked) =>
        new(
            Of.Kind,
            Of.At,
            Said?.Signs ?? [],
            Counted(Record.Facts, Said?.Circumstances ?? [], Said?.NotSo ?? []),
            Said?.Control is { } control
                ? new FaultControl(Counted(ControlFacts, control.Circumstances, control.NotSo ?? []))
                : null,
            [
                .. RecordAnswers(asked).Select(r => new FaultAnswer(r.Test, r.Answer)),
                .. Answers.Select(a => new FaultAnswer(a.Test, a.Answer)),
            ],
            FaultTools.OnHand(workshop.Tools),
            Said?.People ?? 1,
            asked
        );

    /// <summary>What was seen by its tests or found and still stands, as it is said.</summary>
    internal IReadOnlyList<string> Open => Standing(FindingGrade.Watch, FindingGrade.Stop);

    /// <summary>Those of them with which it does not go out.</summary>
    internal IReadOnlyList<string> Stops => Standing(FindingGrade.Stop);

    private string[] Standing(params FindingGrade[] grades)
    {
        HashSet<string?> seen = [.. Answers.Select(a => a.Seen), Said?.Found?.What];
        return
        [
            .. (Job?.Sheet.Findings ?? [])
                .Where(f => f.CuredAt is null && seen.Contains(f.What) && grades.Contains(f.Grade))
                .Select(f => f.What),
        ];
    }

    internal IReadOnlyList<FoundBefore> Before =>
        [
            .. Stored
                .Jobs.SelectMany(j => j.Sheet.Faults.Select(f => (Job: j, Fault: f)))
                .Where(f => f.Fault.LoopKey == Of.Loop.Key && f.Fault.Found is not null && f.Fault != Said)
                .Select(f => new FoundBefore(
                    f.Job.Job.Id,
                    f.Job.Job.OpenedOn,
                    f.Fault.Found!.What,
                    f.Fault.Found.IsGone,
                    f.Fault.Found is { How: not null, IsGone: null }
                        && f.Job.Sheet.Faults.Last(l => l.LoopKey == f.Fault.LoopKey) == f.Fault
                ))
                .Reverse(),
        ];

    /// <summary>An event of a search as the record takes it: what a machine tells is told by it, whoever sends what.</summary>
    /// <param name="workshop">Tools on hand.</param>
    /// <param name="path">Where it stands in what was sent.</param>
    /// <exception cref="InvalidInputException">What was measured can’t be.</exception>
    public JobEvent Fill(JobEvent sent, Workshop workshop, string path) =>
        Refusal.Under(path, () => Fill(sent, workshop));

    /// <summary>Loop of an event of a search; null of any other event.</summary>
    public static string? LoopOf(JobEvent happened) =>
        happened switch
        {
            FaultDescribed said => said.LoopKey,
            FaultTested tested => tested.LoopKey,
            FaultFound found => found.LoopKey,
            CureJudged judged => judged.LoopKey,
            _ => null,
        };

    private JobEvent Fill(JobEvent sent, Workshop workshop) =>
        sent switch
        {
            FaultDescribed said => said with
            {
                LoopKind = Of.Kind,
                At = Of.At,
                // Another kind of loop goes wrong in other ways.
                IsNew =
                    Said is null && Job?.Sheet.Faults.Any(f => f.LoopKey == said.LoopKey) == true ? true : said.IsNew,
            },
            FaultTested tested => Fill(tested),
            FaultFound found => Fill(found, workshop),
            _ => sent,
        };

    private FaultTested Fill(FaultTested sent)
    {
        FaultMeasure? measure = Record.Measures.FirstOrDefault(m => m.Test == sent.Test);
        new Guard()
            .That(
                sent.Values is null || measure is not null,
                nameof(sent.Values),
                "no_lines",
                "Give its answer in words: nothing says where this machine draws its lines."
            )
            .ThrowIfAny();
        string answer = sent.Values is { } values && measure is not null ? measure.AnswerOf(values) : sent.Answer;
        FaultTest? test = FaultTests.All.FirstOrDefault(t => t.Key == sent.Test);
        return sent with
        {
            Answer = answer,
            Unit = sent.Values is null ? null : measure!.Unit,
            Seen =
                test is { IsStopLook: true } && test.Answers.Contains(answer)
                    ? FaultAnswerWords.Of(test.Key, answer).Seen
                    : null,
        };
    }

    private FaultFound Fill(FaultFound sent, Workshop workshop)
    {
        FaultCause[] causes =
        [
            .. sent.Causes.Select(c => FaultCauses.All.FirstOrDefault(k => k.Key == c)).OfType<FaultCause>(),
        ];
        FaultResult result = FaultFinder.Evaluate(Question(workshop, null));
        return sent with
        {
            What = string.Join("; and: ", causes.Select(c => c.What)),
            Why = WhyOf(result, string.Join('+', sent.Causes)),
            Grade =
                causes.Any(c => c.IsStop) ? FindingGrade.Stop
                : causes.Length > 0 && causes.All(c => c.IsNormal) ? FindingGrade.Fine
                : FindingGrade.Watch,
            Tests = [.. Answers.Select(a => a.Test)],
        };
    }

    /// <summary>What ruled out the others; of a way that is not the likeliest, that it is somebody's word.</summary>
    private static string WhyOf(FaultResult result, string key)
    {
        string odds = result.Odds.FirstOrDefault(o => o.Key == key) is { } way
            ? $"{(way.Word == OddsWord.Likely ? "Likely" : way.Word == OddsWord.Possible ? "Possible, not more" : "Unlikely by the tests")}."
            : "";
        if (result.Odds[0].Key != key)
            return $"{odds} Somebody decided on it: the tests point at “{result.Odds[0].What}”.".Trim();
        string others = string.Join("; ", result.RuledOut.Select(r => $"{r.What} ({r.Ask} {r.Answer})"));
        string all = others.Length == 0 ? odds : $"{odds} Ruled out: {others}.";
        return all.Length <= Guard.LongestNote ? all : $"{all[..(Guard.LongestNote - 1)]}…";
    }

    private static string[] Counted(
        IReadOnlyList<FaultFact> facts,
        IReadOnlyList<string> said,
        IReadOnlyList<string> notSo
    ) => [.. said.Union(facts.Select(f => f.Circumstance).Where(c => !notSo.Contains(c)))];
}
