using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Records;

namespace Wendrak.Core.Importing;

/// <summary>What one cell of a file of the wild says.</summary>
public static partial class Cell
{
    private static readonly string[] YesWords = ["1", "true", "yes", "y", "x", "full", "ja", "voll", "oui", "si"];
    private static readonly string[] NoWords = ["", "0", "false", "no", "n", "-", "partial", "nein", "teil", "non"];

    /// <summary>Years written with two figures are of this century.</summary>
    private const int Century = 2000;

    /// <summary>A number with its thousands, a unit behind it or money before it; null for none.</summary>
    public static double? Number(string cell, DecimalMark decimals)
    {
        (char mark, char other) = decimals == DecimalMark.Comma ? (',', '.') : ('.', ',');
        Match match = NumberCell().Match(cell.Trim());
        if (!match.Success)
            return null;
        string digits = Grouping().Replace(match.Groups[1].Value, "");
        if (digits.Contains(other) && !IsGrouped(digits, mark, other))
            return null;
        digits = digits.Replace($"{other}", "").Replace(mark, '.');
        return
            double.TryParse(digits, NumberStyles.Float, CultureInfo.InvariantCulture, out double number)
            && double.IsFinite(number)
            ? number
            : null;
    }

    /// <summary>A day, with or without a time behind it; null for none that there was.</summary>
    public static DateOnly? Day(string cell, DayOrder order)
    {
        Match match = DayCell().Match(cell.Trim());
        if (!match.Success)
            return
                cell.Any(char.IsLetter)
                && DateTime.TryParse(cell, CultureInfo.InvariantCulture, DateTimeStyles.None, out DateTime named)
                ? DateOnly.FromDateTime(named)
                : null;
        int[] parts =
        [
            .. match.Groups.Values.Skip(1).Take(3).Select(g => int.Parse(g.Value, CultureInfo.InvariantCulture)),
        ];
        // A year that is written in full says its order by itself.
        DayOrder real = match.Groups[1].Length == 4 ? DayOrder.YearMonthDay : order;
        (int year, int month, int day) = real switch
        {
            DayOrder.YearMonthDay => (parts[0], parts[1], parts[2]),
            DayOrder.DayMonthYear => (parts[2], parts[1], parts[0]),
            _ => (parts[2], parts[0], parts[1]),
        };
        if (year < 100)
            year += Century;
        return
            year is >= 1 and <= 9999 && month is >= 1 and <= 12 && day >= 1 && day <= DateTime.DaysInMonth(year, month)
            ? new(year, month, day)
            : null;
    }

    /// <summary>Yes or no; null for neither.</summary>
    public static bool? YesOrNo(string cell) =>
        cell.Trim().ToLowerInvariant() is var word && YesWords.Contains(word) ? true
        : NoWords.Contains(word) ? false
        : null;

    /// <summary>Thousands stand in threes, and before the mark.</summary>
    private static bool IsGrouped(string digits, char mark, char other)
    {
        string whole = digits.Split(mark)[0].TrimStart('+', '-');
        string[] groups = whole.Split(other);
        return !(digits.Contains(mark) && digits.LastIndexOf(other) > digits.IndexOf(mark))
            && groups[0].Length is >= 1 and <= 3
            && groups.Skip(1).All(g => g.Length == 3);
    }

    [GeneratedRegex(@"^[€$£]?\s*([-+−]?[\d][\d.,'’\s\u00a0\u202f]*|[-+−]?[.,]\d+)\s*[\p{L}%/²€$£.()]*$")]
    private static partial Regex NumberCell();

    [GeneratedRegex(@"['’\s\u00a0\u202f]")]
    private static partial Regex Grouping();

    [GeneratedRegex(@"^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})(?:[T ,].*)?$")]
    private static partial Regex DayCell();
}
