using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>A loop that was left outside its window by one instrument, and not read inside by what counts since.</summary>
/// <param name="On">Day of the visit.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
public sealed record OpenReading(string LoopKey, DateOnly On, InstrumentFinding Finding)
{
    /// <summary>Of all closed visits to a machine, whichever visit they were read at.</summary>
    internal static IReadOnlyList<OpenReading> AllOf(Machine machine, Setup fitted, IReadOnlyList<SetJob> jobs) =>
        [
            .. jobs.Where(j => j.Closing is not null)
                .GroupBy(j => j.LoopKey)
                .SelectMany(visits => OfLoop(machine, fitted, [.. visits.OrderBy(v => v.OpenedOn).ThenBy(v => v.Id)])),
        ];

    private static IEnumerable<OpenReading> OfLoop(Machine machine, Setup fitted, SetJob[] visits)
    {
        SetJob whole = visits[^1] with { Rounds = [.. visits.SelectMany(v => v.Rounds)] };
        if (SetInputs.For(machine, fitted.Loops, fitted.RoadWheels, whole) is not { } input)
            return [];
        try
        {
            return
            [
                .. InstrumentFinding
                    .AllOf(input, SpanFinder.Find(input))
                    .Where(f => f.IsOpen)
                    .Select(f => new OpenReading(whole.LoopKey, DayOf(f.Round, visits), f)),
            ];
        }
        catch (InvalidInputException)
        {
            return []; // A window that can't be told today says nothing of what was read then.
        }
    }

    private static DateOnly DayOf(int round, SetJob[] visits)
    {
        int before = 0;
        return visits.First(v => (before += v.Rounds.Count) > round).OpenedOn;
    }
}
