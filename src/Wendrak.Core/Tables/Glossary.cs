namespace Wendrak.Core.Tables;

/// <summary>A small drawing that goes with a word.</summary>
public enum GlossaryDrawing
{
    SlackRun,
    TightRun,
    Span,
    Window,
    FreePlay,
    Ripple,
    Development,
    Wrap,
    Reserve,
    TightPlace,
}

/// <summary>A word of the trade, explained. Source: table <c>glossary.csv</c>.</summary>
/// <param name="Word">As it stands on a page.</param>
/// <param name="Says">What it means, in a sentence or two.</param>
/// <param name="Drawing">What shows it; null where words do.</param>
/// <param name="Source">Where that is from.</param>
public sealed record GlossaryWord(string Word, string Says, GlossaryDrawing? Drawing, string Source)
{
    internal static GlossaryWord Read(CsvRow row) =>
        new(
            row.Text("word"),
            row.Text("says"),
            row.TextOrNull("drawing") is null ? null : row.Word<GlossaryDrawing>("drawing"),
            row.Text("source")
        );
}

/// <summary>Words of the trade that a newcomer may not know.</summary>
public static class Glossary
{
    /// <summary>In the order of the table.</summary>
    public static IReadOnlyList<GlossaryWord> All { get; } = CsvTable.Read("glossary", GlossaryWord.Read);
}
