namespace Wendrak.Core.Tables;

/// <summary>What an answer of a test is called. Source: table <c>fault_answer_words.csv</c>.</summary>
/// <param name="Test">Whose answer; null where it is called so of any test.</param>
/// <param name="Answer">Its key.</param>
/// <param name="What">In words.</param>
/// <param name="Seen">What it is as a finding, of a look that stops a machine; null of any other answer.</param>
public sealed record FaultAnswerWord(string? Test, string Answer, string What, string? Seen)
{
    internal static FaultAnswerWord Read(CsvRow row) =>
        new(row.TextOrNull("test"), row.Text("answer"), row.Text("what"), row.TextOrNull("seen"));
}

/// <summary>Answers of tests in words.</summary>
public static class FaultAnswerWords
{
    public static IReadOnlyList<FaultAnswerWord> All { get; } =
        CsvTable.Read("fault_answer_words", FaultAnswerWord.Read);

    /// <param name="answer">One of the test’s.</param>
    public static FaultAnswerWord Of(string test, string answer) =>
        All.FirstOrDefault(w => w.Test == test && w.Answer == answer)
        ?? All.First(w => w.Test is null && w.Answer == answer);
}
