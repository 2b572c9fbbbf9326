using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>An event as a file tells it.</summary>
/// <param name="At">When it happened.</param>
/// <param name="Who">Who did it; null where nobody said.</param>
/// <param name="Event">What happened.</param>
public sealed record FiledEvent(DateTimeOffset At, string? Who, JobEvent Event);

/// <summary>A job as a file tells it.</summary>
/// <param name="OpenedOn">Day of arrival.</param>
/// <param name="Events">Everything that happened at it, in its order.</param>
public sealed record FiledJob(DateOnly OpenedOn, IReadOnlyList<FiledEvent> Events)
{
    public const int MostEvents = 20_000;

    public static FiledJob From(JobContent job) =>
        new(
            job.Job.OpenedOn,
            [
                .. job
                    .Entries.Where(e => !LiesOnNoPhoto(job, e.Event))
                    .Select(e => new FiledEvent(e.At, e.Actor, Filed(e.Event))),
            ]
        );

    /// <summary>Stock and other machines stay where they are: elsewhere their numbers are of other things.</summary>
    private static JobEvent Filed(JobEvent e) =>
        e switch
        {
            PartUsed used => used with { From = null },
            FaultDescribed { Control: { } control } said => said with { Control = control with { MachineId = null } },
            _ => e,
        };

    private static bool LiesOnNoPhoto(JobContent job, JobEvent happened) =>
        happened is PhotoLineDrawn line && job.Sheet.Photos.All(p => p.Hash != line.Hash);

    /// <summary>A visit that was written down whole, as a job at which nothing else was done.</summary>
    public static FiledJob From(SetJob visit) =>
        new(visit.OpenedOn, [.. SetVisit.ToEntries(visit).Select(e => new FiledEvent(e.At, e.Actor, e.Event))]);

    /// <summary>Refuses what can't have happened. A loop may be gone since: what was read of it stays.</summary>
    /// <exception cref="InvalidInputException">Every issue of the first event that is wrong is named.</exception>
    public void Check()
    {
        new Guard().Count(nameof(Events), Events.Count, 1, MostEvents, "events").ThrowIfAny();
        JobContent job = JobContent.From(new(0, 0, 0, OpenedOn), []);
        for (int i = 0; i < Events.Count; i++)
        {
            JobEvent next = Events[i].Event;
            JobContent before = job;
            new Guard()
                .That(
                    next is not PartUsed { From: not null },
                    $"{nameof(Events)}[{i}].{nameof(FiledEvent.Event)}.From",
                    "unknown",
                    "Leave it out: what is used at a job of a file comes from no Stock here."
                )
                .That(
                    next is not FaultDescribed { Control.MachineId: not null },
                    $"{nameof(Events)}[{i}].{nameof(FiledEvent.Event)}.{nameof(FaultDescribed.Control)}.{nameof(ControlSaid.MachineId)}",
                    "unknown",
                    "Leave it out: the machine beside it stands in another yard."
                )
                .ThrowIfAny();
            Refusal.Under($"{nameof(Events)}[{i}].{nameof(FiledEvent.Event)}", () => JobRules.CheckNext(before, next));
            job = job.After(new(i + 1, Events[i].At, Events[i].Who, next));
        }
        foreach (SetJob visit in job.Visits)
            SetJobRules.Check(visit);
    }
}
