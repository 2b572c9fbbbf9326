using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>A visit of Set as its events tell it, and the events that tell a visit.</summary>
public static class SetVisit
{
    /// <summary>A visit as it stands when it is begun; null for any other event.</summary>
    public static SetJob? Begin(Job job, JobEntry entry) =>
        entry.Event is VisitBegun begun
            ? new(
                job.Id,
                (int)entry.Sequence,
                job.MachineId,
                begun.LoopKey,
                begun.On ?? job.OpenedOn,
                entry.Actor,
                begun.Goal,
                [],
                [],
                null
            )
            : null;

    /// <summary>A visit as it stands after one more event; its version is the number of that.</summary>
    public static SetJob After(SetJob visit, JobEntry entry)
    {
        SetRound? round = visit.InHand?.Round;
        SetJob after = entry.Event switch
        {
            GoalChosen e => visit with { Goal = e.Goal },
            CautionsSeen => visit with { Cautions = new(entry.Actor, entry.At) },
            RoundNoted e => InHand(
                visit,
                e.Round with
                {
                    Readings = round?.Readings ?? [],
                    Who = round?.Who ?? entry.Actor,
                }
            ),
            ReadingTaken e => InHand(visit, With(round ?? Untold(visit, entry), e.Reading)),
            ReadingDiscarded e when round is not null => InHand(
                visit,
                round with
                {
                    Readings = [.. round.Readings.Where(r => r.Position != e.Position)],
                }
            ),
            RoundDropped => InHand(visit, null),
            RoundKept e when round is not null => InHand(
                visit with
                {
                    Rounds = [.. visit.Rounds, round with { At = e.At }],
                },
                null
            ),
            ReadingsTied e => visit with { Gauge = [.. visit.Gauge, e.Pair] },
            StepTicked e => Ticked(visit, e),
            VisitClosed e => visit with
            {
                InHand = null,
                Closing = new(
                    e.ClosedOn,
                    entry.Actor,
                    e.TorqueNm,
                    e.Done,
                    e.NextCheckOn,
                    e.Note,
                    e.Despite,
                    e.Reason,
                    e.Outside
                ),
            },
            _ => visit,
        };
        return after with { Version = (int)entry.Sequence };
    }

    /// <summary>A round of which nothing was told but a reading: tight as found, nipped later, and nothing turned.</summary>
    private static SetRound Untold(SetJob visit, JobEntry entry) =>
        new(
            0,
            0,
            visit.Rounds.Count == 0 ? LockState.Torqued : LockState.Nipped,
            [],
            Who: entry.Actor,
            Assumed: [AssumedPart.Lock]
        );

    private static SetRound With(SetRound round, Reading reading) =>
        round with
        {
            Readings =
            [
                .. round.Readings.Where(r => r.Position != reading.Position).Append(reading).OrderBy(r => r.Position),
            ],
        };

    private static SetJob Ticked(SetJob visit, StepTicked tick)
    {
        IEnumerable<ClosingStep> others = (visit.InHand?.Done ?? []).Where(s => s != tick.Step);
        ClosingStep[] done = [.. (tick.IsDone ? others.Append(tick.Step) : others).Order()];
        return Holding(visit, visit.InHand?.Round, done);
    }

    private static SetJob InHand(SetJob visit, SetRound? round) => Holding(visit, round, visit.InHand?.Done ?? []);

    private static SetJob Holding(SetJob visit, SetRound? round, IReadOnlyList<ClosingStep> done) =>
        visit with
        {
            InHand = round is null && done.Count == 0 ? null : new(round, done),
        };

    /// <summary>Events that tell a visit which came whole, from a file: in the order in which it must have been.</summary>
    public static IReadOnlyList<JobEntry> ToEntries(SetJob visit)
    {
        List<JobEntry> entries = [];
        DateTimeOffset day = new(visit.OpenedOn.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);
        string key = visit.LoopKey;
        void Add(JobEvent e, string? who, DateTimeOffset? at = null) => entries.Add(new(0, at ?? day, who, e));

        Add(new VisitBegun(key, visit.Goal, visit.OpenedOn), visit.Who);
        foreach (CalibrationPair pair in visit.Gauge)
            Add(new ReadingsTied(key, pair), pair.Who);
        if (visit.Cautions is { } cautions)
            Add(new CautionsSeen(key), cautions.Who, cautions.At);
        foreach (SetRound round in visit.Rounds)
        {
            Read(round);
            Add(new RoundKept(key, round.At), round.Who, round.At);
        }
        if (visit.InHand is { } inHand)
        {
            foreach (ClosingStep step in inHand.Done)
                Add(new StepTicked(key, step, true), visit.Who);
            if (inHand.Round is { } begun)
                Read(begun);
        }
        if (visit.Closing is { } c)
            Add(
                new VisitClosed(
                    key,
                    c.ClosedOn,
                    c.TorqueNm,
                    c.Done,
                    c.NextCheckOn,
                    c.Note,
                    c.Despite,
                    c.Reason,
                    c.Outside
                ),
                c.Who,
                new(c.ClosedOn.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero)
            );
        return entries;

        void Read(SetRound round)
        {
            Add(new RoundNoted(key, Circumstances(round)), round.Who, round.At);
            foreach (Reading reading in round.Readings)
                Add(new ReadingTaken(key, reading), round.Who, round.At);
        }
    }

    /// <summary>An event as the record takes it: what only the record may say is not taken from whoever sent it.</summary>
    public static JobEvent AsRecorded(JobEvent sent, string? actor, DateTimeOffset at) =>
        sent switch
        {
            RoundNoted e => e with { Round = Circumstances(e.Round) with { At = null } },
            RoundKept e => e with { At = at },
            ReadingsTied { Pair: { Own: ReadingMethod.Feel } pair } e => e with { Pair = pair with { Who = actor } },
            ReadingsTied e => e with { Pair = e.Pair with { Who = null } },
            _ => sent,
        };

    private static SetRound Circumstances(SetRound round) => round with { Readings = [], Who = null };
}
