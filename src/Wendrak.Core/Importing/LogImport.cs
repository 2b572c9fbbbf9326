using System.Globalization;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Importing;

/// <summary>A row of a file that can't be taken.</summary>
/// <param name="Row">Its number in the file, from 1.</param>
/// <param name="Head">Head of the column that is wrong; null for the whole row.</param>
/// <param name="Cell">What stands there.</param>
/// <param name="Why">In a sentence.</param>
public sealed record RefusedRow(int Row, string? Head, string? Cell, string Why);

/// <summary>What of a file can be taken.</summary>
/// <param name="Lines">In their order.</param>
/// <param name="Refused">The first of the others.</param>
/// <param name="RefusedCount">How many others there are.</param>
public sealed record LogImport(IReadOnlyList<LogLine> Lines, IReadOnlyList<RefusedRow> Refused, int RefusedCount)
{
    public const int MostRefusedShown = 100;

    /// <param name="stream">Can be read from its beginning.</param>
    /// <exception cref="InvalidInputException">It is not read so, has another head, or too many rows.</exception>
    public static LogImport Read(Stream stream, LogColumns columns, CancellationToken ct = default)
    {
        columns.Check();
        using SheetText sheet = new(stream);
        if (columns.HasHead)
            CheckHead(sheet.Read(), columns);
        List<LogLine> lines = [];
        List<RefusedRow> refused = [];
        int count = 0;
        while (sheet.Read() is { } cells)
        {
            ct.ThrowIfCancellationRequested();
            LogRow row = new(columns, cells);
            if (row.Read() is { } line)
                lines.Add(line);
            else
            {
                count++;
                if (refused.Count < MostRefusedShown)
                    refused.Add(row.Refused(sheet.Row));
            }
            new Guard()
                .That(
                    lines.Count <= LogRules.MostOfAFile,
                    "file",
                    "too_many",
                    string.Create(CultureInfo.InvariantCulture, $"Give {LogRules.MostOfAFile} rows or fewer at once."),
                    LogRules.MostOfAFile
                )
                .ThrowIfAny();
        }
        return new(lines, refused, count);
    }

    private static void CheckHead(string[]? head, LogColumns columns) =>
        new Guard()
            .That(
                head is not null && head.Select(h => h.Trim()).SequenceEqual(columns.Heads),
                nameof(columns.Heads),
                "another",
                "This file has another head than the one that was looked at."
            )
            .ThrowIfAny();
}
