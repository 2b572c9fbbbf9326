using System.Diagnostics;
using System.Globalization;

namespace Wendrak.Mutate;

/// <summary>Which classes of tests come by which numbers, the quickest first.</summary>
internal sealed class Coverage
{
    private readonly Dictionary<int, List<string>> _tests = [];

    public static async Task<Coverage> TakeAsync(Workplace place)
    {
        Coverage coverage = new();
        List<(string Tests, TimeSpan Took, string[] Seen)> runs = [];
        await Parallel.ForEachAsync(
            place.TestClasses(),
            new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
            async (tests, _) =>
            {
                long start = Stopwatch.GetTimestamp();
                string[] seen = await place.TraceAsync(tests);
                lock (runs)
                    runs.Add((tests, Stopwatch.GetElapsedTime(start), seen));
            }
        );
        foreach ((string tests, _, string[] seen) in runs.OrderBy(r => r.Took))
        foreach (string id in seen)
            (
                coverage._tests.TryGetValue(int.Parse(id, CultureInfo.InvariantCulture), out List<string>? list)
                    ? list
                    : coverage._tests[int.Parse(id, CultureInfo.InvariantCulture)] = []
            ).Add(tests);
        return coverage;
    }

    public IReadOnlyList<string> Of(Number number) => _tests.GetValueOrDefault(number.Id) ?? [];
}
