using System.Diagnostics;
using Wendrak.Core.Faults;
using Wendrak.Core.Tests.Faults;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Two hundred simulated cases of every cause: how often it is found first, after how many minutes, and how long a next test takes to tell.</summary>
internal static class FaultFigures
{
    private const int Cases = 200;
    private const double Wanted = 0.8;

    public static void Print()
    {
        foreach (FaultKind kind in Enum.GetValues<FaultKind>())
        {
            CauseFound[] found = [.. SimulatedFaults.Found(kind, Cases, inOrder: true)];
            CauseFound least = found.MinBy(f => f.First)!;
            double cases = Cases * found.Length;
            Console.WriteLine(
                FormattableString.Invariant(
                    $"{kind}: {found.Length} causes, first in {100 * found.Sum(f => f.First) / cases:0.0} %, least {least.Cause} {100.0 * least.First / Cases:0.0} %, {found.Sum(f => f.Minutes) / cases:0.0} min, in the order of the file {found.Sum(f => f.MinutesInOrder) / cases:0.0}"
                )
            );
            foreach (CauseFound f in found.Where(f => f.First < Wanted * Cases))
                Console.WriteLine($"  too seldom: {f.Cause} {f.First} of {Cases}");
        }
        FaultQuestion question = new(
            FaultKind.Chain,
            SimulatedFaults.Everywhere,
            ["knocksOnce", "clicks", "loud"],
            ["stored", "rain", "old"],
            null,
            [new("lookChain", "no"), new("moveWheel", "no")],
            null
        );
        double[] times = [.. Enumerable.Range(0, 500).Select(_ => Once(question)).Skip(100).Order()];
        Console.WriteLine(
            FormattableString.Invariant(
                $"a next test of a chain with all causes: median {times[times.Length / 2]:0.00} ms, 95th {times[(int)(times.Length * 0.95)]:0.00} ms"
            )
        );
    }

    private static double Once(FaultQuestion question)
    {
        long start = Stopwatch.GetTimestamp();
        FaultFinder.Evaluate(question);
        return Stopwatch.GetElapsedTime(start).TotalMilliseconds;
    }
}
