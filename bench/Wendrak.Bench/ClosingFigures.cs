using Wendrak.Core.Tests.Loops;

namespace Wendrak.Bench;

/// <summary>Prints how often a loop closes at the wrong place, of more than a million loops of every kind.</summary>
internal static class ClosingFigures
{
    private const int Loops = 1_350_000;

    public static void Print()
    {
        int tried = 0;
        List<string> faults = [];
        Parallel.For(
            0,
            Loops,
            seed =>
            {
                ClosingCase loop = ClosingCases.Of(seed);
                if (loop.LengthAt(loop.PlaceMm) is null)
                    return;
                Interlocked.Increment(ref tried);
                if (loop.Fault() is { } fault)
                    lock (faults)
                        faults.Add($"loop {seed}: {fault}");
            }
        );
        Console.WriteLine($"loops that can be laid   {tried} of {Loops}");
        Console.WriteLine($"closed at a wrong place  {faults.Count}");
        foreach (string fault in faults.Take(20))
            Console.WriteLine($"  {fault}");
    }
}
