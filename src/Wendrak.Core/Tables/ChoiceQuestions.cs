using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>Something a change of kind hangs on. Source: table <c>choice_questions.csv</c>; common practice.</summary>
public sealed record ChoiceQuestion
{
    public required string Key { get; init; }
    public required KindOccasion AskedWhen { get; init; }
    public required string Text { get; init; }

    /// <summary>What must be so for the change, in words that follow “if”.</summary>
    public required string IfFine { get; init; }

    /// <summary>Whether “yes” is the answer that speaks against the change.</summary>
    public required bool IsYesHarmful { get; init; }

    /// <summary>It can't be done then; else it is only watched.</summary>
    public required bool IsStop { get; init; }
    public required string Because { get; init; }
    public required string Source { get; init; }

    internal static ChoiceQuestion Read(CsvRow row) =>
        new()
        {
            Key = row.Text("question"),
            AskedWhen = row.Word<KindOccasion>("asked_when"),
            Text = row.Text("text"),
            IfFine = row.Text("if_fine"),
            IsYesHarmful = row.Text("harmful_answer") == "yes",
            IsStop = row.Text("grade") == "stop",
            Because = row.Text("because"),
            Source = row.Text("source"),
        };
}

/// <summary>Questions that a change of kind must ask.</summary>
public static class ChoiceQuestions
{
    public static IReadOnlyList<ChoiceQuestion> All { get; } = CsvTable.Read("choice_questions", ChoiceQuestion.Read);

    public static ChoiceQuestion? Find(string key) => All.FirstOrDefault(q => q.Key == key);
}
