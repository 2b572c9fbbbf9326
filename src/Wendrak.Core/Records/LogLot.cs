using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>Lines of a log that came together: typed at once, or read from one file. They go together, too.</summary>
/// <param name="MachineId">Of the machine.</param>
/// <param name="Count">How many lines.</param>
/// <param name="File">Name of the file they were read from; null where they were typed.</param>
/// <param name="Columns">How that file was read: the next one with the same head is read so; null where they were typed.</param>
/// <param name="Struck">Numbers of the lines that were struck out, from 0; null for none. They stay and count no more.</param>
public sealed record LogLot(
    long Id,
    int Version,
    long MachineId,
    int Count,
    string? File = null,
    LogColumns? Columns = null,
    IReadOnlyList<int>? Struck = null
) : StoredRecord(Id, Version);

/// <summary>A line where it stands in the log.</summary>
/// <param name="LotId">Of the lot it came with.</param>
/// <param name="Number">Of the line in its lot, from 0.</param>
/// <param name="File">Name of the file it was read from; null where it was typed.</param>
/// <param name="IsStruck">It was struck out: it stands there and counts no more.</param>
/// <param name="Line">What it says.</param>
public sealed record LogEntry(long LotId, int Number, string? File, bool IsStruck, LogLine Line);

/// <summary>Lines of a log as they stand in a machine file.</summary>
/// <param name="File">Name of the file they were read from; null where they were typed.</param>
/// <param name="Columns">How that file was read; null where they were typed.</param>
/// <param name="Struck">Numbers of those that were struck out, from 0; null for none.</param>
/// <param name="Lines">In their order.</param>
public sealed record FiledLog(
    string? File,
    LogColumns? Columns,
    IReadOnlyList<int>? Struck,
    IReadOnlyList<LogLine> Lines
)
{
    /// <summary>No list of a file has more.</summary>
    public const int MostLines = 10_000;

    /// <summary>The same in lots that a file can hold.</summary>
    public IEnumerable<FiledLog> InParts()
    {
        int at = 0;
        foreach (LogLine[] part in Lines.Chunk(MostLines))
        {
            int[] struck = [.. (Struck ?? []).Where(n => n >= at && n < at + part.Length).Select(n => n - at)];
            yield return this with
            {
                Struck = struck.Length == 0 ? null : struck,
                Lines = part,
            };
            at += part.Length;
        }
    }

    /// <exception cref="InvalidInputException">Names the line by its path.</exception>
    internal void Check()
    {
        new Guard()
            .Count(nameof(Lines), Lines.Count, 1, MostLines, "lines")
            .That(
                (Struck ?? []).All(n => n >= 0 && n < Lines.Count),
                nameof(Struck),
                "unknown",
                "Give numbers of lines of this lot."
            )
            .ThrowIfAny();
        for (int i = 0; i < Lines.Count; i++)
        {
            LogLine line = Lines[i];
            Refusal.Under($"{nameof(Lines)}[{i}]", () => LogRules.Check(line));
        }
    }
}
