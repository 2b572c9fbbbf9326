using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Wendrak.Core.Evaluation;

namespace Wendrak.Web;

/// <summary>What is due as a calendar file (RFC 5545): one event each, all day long, under an identity that stays.</summary>
internal static class DueCalendar
{
    public const string Type = "text/calendar; charset=utf-8";

    /// <summary>What has no day, because nobody said how far the machine usually goes, is not in it.</summary>
    public static string Write(IReadOnlyList<MachineDue> machines)
    {
        Calendar calendar = new() { ProductId = "-//Wendrak//Due//EN" };
        foreach (MachineDue machine in machines)
        foreach (DueItem item in machine.Due.Items)
            if (item.Expected is { } day)
                calendar.Events.Add(
                    new CalendarEvent
                    {
                        Uid = $"{machine.MachineId}-{item.Key.Replace('/', '-')}@wendrak",
                        Summary = $"{machine.Machine}: {DueWords.Of(item)}",
                        Description = item.Why,
                        Start = new CalDateTime(day),
                        End = new CalDateTime(day.AddDays(1)),
                    }
                );
        return new CalendarSerializer().SerializeToString(calendar)!;
    }
}

/// <summary>What is due, in a few words.</summary>
internal static class DueWords
{
    public static string Of(DueItem item) =>
        item.Kind switch
        {
            DueKind.Stop or DueKind.Watch => $"look again: {item.What}",
            DueKind.Event => "look after what happened",
            DueKind.Reading => $"read {item.LoopKey} again",
            DueKind.Forecast => $"{item.LoopKey} may be at its limit: have the parts",
            DueKind.Interval => $"look at {item.LoopKey}",
            _ => "look again after the change of parts",
        };
}
