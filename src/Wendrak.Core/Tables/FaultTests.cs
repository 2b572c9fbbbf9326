using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>Something that is looked at, measured or tried to tell causes apart. Source: table <c>fault_tests.csv</c>.</summary>
public sealed record FaultTest
{
    public required string Key { get; init; }
    public required IReadOnlyList<FaultKind> Kinds { get; init; }
    public required int Order { get; init; }
    public required string Ask { get; init; }
    public required string How { get; init; }
    public required double Minutes { get; init; }

    /// <summary>What has to be on hand; null for nothing.</summary>
    public required string? Tool { get; init; }

    /// <summary>People it takes.</summary>
    public required int People { get; init; }
    public required string? Caution { get; init; }

    /// <summary>It comes before any odds: with “yes” the machine does not go out.</summary>
    public required bool IsStopLook { get; init; }
    public required IReadOnlyList<string> Answers { get; init; }

    /// <summary>The answer that a cause gives which has nothing to do with it.</summary>
    public required string Otherwise { get; init; }

    internal static FaultTest Read(CsvRow row) =>
        new()
        {
            Key = row.Text("test"),
            Kinds = row.Words<FaultKind>("kinds"),
            Order = row.Whole("order"),
            Ask = row.Text("ask"),
            How = row.Text("how"),
            Minutes = row.Number("minutes"),
            Tool = row.TextOrNull("tool"),
            People = row.Whole("people"),
            Caution = row.TextOrNull("caution"),
            IsStopLook = row.TextOrNull("is_stop_look") is not null,
            Answers = row.Text("answers").Split(' '),
            Otherwise = row.Text("otherwise"),
        };
}

/// <summary>How surely a cause gives an answer of a test. Source: table <c>fault_answers.csv</c>.</summary>
public sealed record AnswerOfCause(string Cause, string Test, string Answer, ShowsItself Weight, string Why)
{
    internal static AnswerOfCause Read(CsvRow row) =>
        new(row.Text("cause"), row.Text("test"), row.Text("answer"), row.Word<ShowsItself>("weight"), row.Text("why"));
}

/// <summary>A tool of the tests. Source: table <c>fault_tools.csv</c>, common practice.</summary>
/// <param name="Tool">Its key.</param>
/// <param name="WhoHasIt">Where a person without it can go.</param>
public sealed record FaultTool(string Tool, string WhoHasIt)
{
    internal static FaultTool Read(CsvRow row) => new(row.Text("tool"), row.Text("who_has_it"));
}

/// <summary>What can be tried.</summary>
public static class FaultTests
{
    public static IReadOnlyList<FaultTest> All { get; } = CsvTable.Read("fault_tests", FaultTest.Read);
    public static IReadOnlyList<AnswerOfCause> OfCauses { get; } = CsvTable.Read("fault_answers", AnswerOfCause.Read);

    public static IReadOnlyList<FaultTool> Tools { get; } = CsvTable.Read("fault_tools", FaultTool.Read);

    /// <summary>Those that tell something of such a loop, in the order of the file.</summary>
    public static IEnumerable<FaultTest> For(FaultKind kind, IReadOnlyList<FaultSetting> at)
    {
        HashSet<string> causes = [.. FaultCauses.For(kind, at).Select(c => c.Key)];
        HashSet<string> telling = [.. OfCauses.Where(a => causes.Contains(a.Cause)).Select(a => a.Test)];
        return All.Where(t => t.Kinds.Contains(kind) && telling.Contains(t.Key)).OrderBy(t => t.Order);
    }
}
