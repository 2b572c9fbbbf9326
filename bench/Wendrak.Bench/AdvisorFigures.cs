using System.Diagnostics;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Tension;

namespace Wendrak.Bench;

/// <summary>Prints how the advisor fares with 1000 simulated drives it knows nothing of, for every instrument and goal.</summary>
internal static class AdvisorFigures
{
    private const int Drives = 1_000;

    public static void Print()
    {
        Console.WriteLine($"{Drives} drives each; past the window in hand steps, at worst");
        Console.WriteLine("instrument, goal               right  done  near  other  dead  median  95th  past    ms");
        foreach ((string name, SetInput loop, PracticeInstrument instrument) in InstrumentCases.All)
        {
            long started = Stopwatch.GetTimestamp();
            PracticeRun[] runs = [.. Enumerable.Range(0, Drives).Select(s => PracticeRuns.Run(s, loop, instrument))];
            double ms = Stopwatch.GetElapsedTime(started).TotalMilliseconds / Drives;
            int[] rounds = [.. runs.Select(r => r.Tally.Rounds).Order()];
            int done = runs.Count(r => r.End == NextStep.Done);
            int near = runs.Count(r => r.End == NextStep.AsNearAsAHand);
            double past = runs.Max(r => r.Tally.OverByUnits) / loop.Setting.Adjuster.Step;
            Console.WriteLine(
                $"{name, -30}{runs.Count(r => r.Tally.IsInside), 6}{done, 6}{near, 6}{Drives - done - near, 7}"
                    + $"{runs.Count(r => r.IsDeadEnd), 6}{rounds[Drives / 2], 8}{rounds[Drives * 95 / 100], 6}"
                    + $"{past, 6:0.00}{ms, 6:0.0}"
            );
        }
    }
}
