using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web;

/// <summary>What is due as a calendar file (RFC 5545): one event each, all day long, under an identity that stays.</summary>
internal static class DueCalendar
{
    public const string Type = "text/calendar; charset=utf-8";

    /// <summary>
    /// What is due now stands on today. What has no day, because nobody said how far the machine usually goes, is not in it.
    /// </summary>
    /// <param name="number">Of the newest change: an event that is read again takes the place of one with a lower one.</param>
    public static string Write(IReadOnlyList<MachineDue> machines, DateOnly today, long number)
    {
        Calendar calendar = new() { ProductId = "-//Wendrak//Due//EN" };
        foreach (MachineDue machine in machines)
        foreach (DueItem item in machine.Due.Items)
        {
            if ((item.IsNow ? today : item.Expected) is { } day)
                Add("", DueWords.Of(item), item.Why, day);
            if (item.Order?.OrderOn is { } order)
                Add(
                    "-order",
                    $"order parts for {item.LoopKey}",
                    $"Delivery takes {item.Order.DeliveryDays} days.",
                    order
                );

            void Add(string which, string what, string why, DateOnly on) =>
                calendar.Events.Add(
                    new CalendarEvent
                    {
                        Uid = $"{machine.MachineId}-{item.Key.Replace('/', '-')}{which}@wendrak",
                        Sequence = (int)(number % int.MaxValue),
                        Summary = $"{machine.Machine}: {what}",
                        Description = why,
                        Start = new CalDateTime(on),
                        End = new CalDateTime(on.AddDays(1)),
                    }
                );
        }
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
            DueKind.Forecast when item.Parts is [InspectedPart.Elongation] =>
                $"{item.LoopKey} may be at its limit: have the parts",
            DueKind.Forecast => $"a part of {item.LoopKey} may be at its limit: have it",
            DueKind.Interval => $"look at {item.LoopKey}",
            _ => "look again after the change of parts",
        };
}
