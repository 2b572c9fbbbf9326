using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Importing;

/// <summary>How a table of text is written: its signs, and what stands between its cells.</summary>
/// <param name="Encoding">Name of how letters are written.</param>
/// <param name="Separator">Between two cells.</param>
public sealed record SheetForm(string Encoding, char Separator);

/// <summary>Reads a table of text, row by row, whatever wrote it.</summary>
internal sealed class SheetText : IDisposable
{
    private const int Looked = 64 * 1024;
    private const int LinesLooked = 20;

    /// <summary>A cell with more is a quotation mark that was never closed. Judgement.</summary>
    private const int LongestCell = 10_000;
    private static readonly char[] Separators = [';', '\t', ',', '|'];
    private readonly StreamReader _reader;
    private readonly CsvParser _csv;

    /// <param name="stream">Is read from its beginning, once for its form and then row by row.</param>
    public SheetText(Stream stream)
    {
        (Encoding encoding, string begin) = LookAt(stream);
        string first = begin.Split('\n')[0].Trim('\r', '\ufeff', ' ');
        bool saysSeparator = first.StartsWith("sep=", StringComparison.OrdinalIgnoreCase) && first.Length == 5;
        Form = new(encoding.WebName, saysSeparator ? first[4] : SeparatorIn(begin));
        _reader = new(stream, encoding, detectEncodingFromByteOrderMarks: true, leaveOpen: true);
        if (saysSeparator)
            _reader.ReadLine();
        _csv = new(
            _reader,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = $"{Form.Separator}",
                BadDataFound = null,
                MaxFieldSize = LongestCell,
                IgnoreBlankLines = true,
                AllowComments = true,
            },
            leaveOpen: true
        );
    }

    public SheetForm Form { get; }

    /// <summary>Number of the row in the file that was read last, from 1.</summary>
    public int Row => _csv.RawRow;

    /// <returns>The next row; null after the last one.</returns>
    /// <exception cref="InvalidInputException">A cell has no end.</exception>
    public string[]? Read()
    {
        try
        {
            return _csv.Read() ? _csv.Record : null;
        }
        catch (MaxFieldSizeException)
        {
            throw new InvalidInputException(
                "file",
                "no_end",
                $"Row {Row} has a cell of more than {LongestCell} characters: a quotation mark is not closed.",
                LongestCell
            );
        }
    }

    public void Dispose()
    {
        _csv.Dispose();
        _reader.Dispose();
    }

    /// <summary>By its first bytes; where they say nothing, UTF-8 if it can be that.</summary>
    private static (Encoding Encoding, string Begin) LookAt(Stream stream)
    {
        byte[] bytes = new byte[Looked];
        stream.Position = 0;
        int length = stream.ReadAtLeast(bytes, Looked, throwOnEndOfStream: false);
        stream.Position = 0;
        ReadOnlySpan<byte> begin = bytes.AsSpan(0, length);
        Encoding encoding =
            begin.StartsWith(Encoding.Unicode.Preamble) ? Encoding.Unicode
            : begin.StartsWith(Encoding.BigEndianUnicode.Preamble) ? Encoding.BigEndianUnicode
            : IsUtf8(begin) ? Encoding.UTF8
            : Encoding.Latin1;
        return (encoding, encoding.GetString(begin));
    }

    private static bool IsUtf8(ReadOnlySpan<byte> bytes)
    {
        // The last letter may be cut off by where the look ends.
        const int longestLetter = 4;
        for (int cut = 0; cut < longestLetter && cut <= bytes.Length; cut++)
            if (System.Text.Unicode.Utf8.IsValid(bytes[..^cut]))
                return true;
        return false;
    }

    /// <summary>The one that stands equally often, and at least once, in the most of the first lines.</summary>
    private static char SeparatorIn(string begin)
    {
        string[] lines =
        [
            .. begin
                .Split('\n')
                .Where(l => l.Trim().Length > 0 && !l.StartsWith('#'))
                .Take(LinesLooked)
                .Select(WithoutQuoted),
        ];
        return Separators.MaxBy(s =>
            lines
                .Select(l => l.Count(c => c == s))
                .Where(n => n > 0)
                .GroupBy(n => n)
                .Select(g => g.Count() * LinesLooked + Math.Min(g.Key, LinesLooked - 1))
                .DefaultIfEmpty(0)
                .Max()
        );
    }

    private static string WithoutQuoted(string line)
    {
        StringBuilder kept = new();
        bool isQuoted = false;
        foreach (char c in line)
        {
            if (c == '"')
                isQuoted = !isQuoted;
            else if (!isQuoted)
                kept.Append(c);
        }
        return kept.ToString();
    }
}
