using Wendrak.Core.Gearing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Records;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>Setups and logs to be compared.</summary>
internal static class Logs
{
    public static readonly DateOnly Start = new(2025, 1, 1);

    public static Setup Setup(
        long id,
        double front,
        double rear,
        int fittedAfterDays,
        SetupStatus status = SetupStatus.Former,
        int links = 112,
        double? atKm = null
    ) =>
        new(
            id,
            1,
            1,
            $"S{id}",
            status,
            [new LoopChoice("final", front, rear, links)],
            [],
            Start,
            Start.AddDays(fittedAfterDays),
            atKm,
            null
        );

    public static LogEntry[] Entries(params IEnumerable<LogLine> lines) =>
        [.. lines.Select((l, i) => new LogEntry(1, i, null, false, l))];

    /// <summary>Full fills every so many days and km, each using what is told.</summary>
    public static IEnumerable<LogLine> Fills(
        int fromDay,
        double fromKm,
        double[] litresPer100Km,
        RunConditions? under = null,
        int days = 7,
        long? setup = null
    )
    {
        yield return new FuelFilled(Start.AddDays(fromDay), fromKm, 5, true, Under: under, SetupId: setup);
        for (int i = 0; i < litresPer100Km.Length; i++)
            yield return new FuelFilled(
                Start.AddDays(fromDay + days * (i + 1)),
                fromKm + 100 * (i + 1),
                litresPer100Km[i],
                true,
                Under: under,
                SetupId: setup
            );
    }

    public static FairComparison Compare(
        Setup[] setups,
        IEnumerable<LogLine> lines,
        ComparedMeasure measure = ComparedMeasure.Fuel,
        Func<FairComparisonQuestion, FairComparisonQuestion>? asked = null
    ) => FairComparison.Of(setups, [], Entries(lines), (asked ?? (q => q))(new(measure)));
}
