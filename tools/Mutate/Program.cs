using Wendrak.Mutate;

if (args is [TestRun.Command, string assembly, .. string[] classes])
    // What still runs when one has failed is of no interest.
    Environment.Exit(TestRun.Of(assembly, classes.ToHashSet()));

// Changes the numbers of some rooms of the core one at a time and lists those that no test noticed.
string root = args[0];
string[] rooms = args is [_, .. { Length: > 0 } named] ? named : ["Tables", "Tension", "Loads", "Wear"];
Workplace place = Workplace.CopyOf(root);
IReadOnlyList<Number> numbers = NumberRewriting.Rewrite(place, rooms);
await place.BuildAsync();
Coverage coverage = await Coverage.TakeAsync(place);
Console.WriteLine(
    $"{numbers.Count} numbers in {string.Join(", ", rooms)}; {numbers.Count(n => coverage.Of(n).Count == 0)} that no test comes by"
);
List<Number> unnoticed = [];
await Parallel.ForEachAsync(
    numbers,
    new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
    async (number, _) =>
    {
        foreach (string[] tests in Portions(coverage.Of(number)))
            if (await place.FailsAsync(tests, number))
                return;
        lock (unnoticed)
            unnoticed.Add(number);
        Console.WriteLine($"unnoticed  {number.Place}  {number.Text}");
    }
);
Console.WriteLine($"{numbers.Count - unnoticed.Count} noticed, {unnoticed.Count} not");
foreach (Number number in unnoticed.OrderBy(n => n.Place, StringComparer.Ordinal))
    Console.WriteLine($"{number.Place}\t{number.Text}\t{number.Line}");
return 0;

// The quickest class finds most of them; what it does not see is asked of ever more at once, since a start costs more than a test.
static IEnumerable<string[]> Portions(IReadOnlyList<string> classes)
{
    int taken = 0;
    for (int size = 1; taken < classes.Count; taken += size, size *= 5)
        yield return [.. classes.Skip(taken).Take(size)];
}
