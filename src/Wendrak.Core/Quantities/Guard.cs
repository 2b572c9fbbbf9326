using System.Globalization;

namespace Wendrak.Core.Quantities;

/// <summary>Collects everything wrong with an input, so that all issues come back together.</summary>
/// <param name="prefix">Put before every field name, for a record inside another one.</param>
public sealed class Guard(string prefix = "")
{
    /// <summary>Longest name kept, characters. Enough for a sentence, too short to hide a document in.</summary>
    public const int LongestName = 80;

    /// <summary>Longest note kept, characters.</summary>
    public const int LongestNote = 2000;

    private readonly List<InputIssue> _issues = [];

    public bool HasIssues => _issues.Count > 0;

    public IReadOnlyList<InputIssue> Issues => _issues;

    public Guard AtLeast(string field, double value, double min, string unit)
    {
        // NaN fails every comparison: test for what is wanted, not for what is wrong.
        bool acceptable = value >= min && double.IsFinite(value);
        return acceptable
            ? this
            : Add(field, "too_small", $"Give {Figure(min)}{Unit(unit)} or more.", min, new(min, null, unit));
    }

    public Guard AtMost(string field, double value, double max, string unit)
    {
        bool acceptable = value <= max && double.IsFinite(value);
        return acceptable
            ? this
            : Add(field, "too_large", $"Give {Figure(max)}{Unit(unit)} or less.", max, new(null, max, unit));
    }

    public Guard MoreThan(string field, double value, double bound, string unit)
    {
        bool acceptable = value > bound && double.IsFinite(value);
        return acceptable
            ? this
            : Add(
                field,
                "too_small",
                $"Give more than {Figure(bound)}{Unit(unit)}.",
                bound,
                new(bound, null, unit, true)
            );
    }

    public Guard Between(string field, double value, double min, double max, string unit)
    {
        if (value >= min && value <= max)
            return this;
        bool low = value < min;
        string message = $"Give {Figure(min)} to {Figure(max)}{Unit(unit)}.";
        return Add(field, low ? "too_small" : "too_large", message, low ? min : max, new(min, max, unit));
    }

    public Guard BetweenIfGiven(string field, double? value, double min, double max, string unit) =>
        value is double given ? Between(field, given, min, max, unit) : this;

    /// <summary>Low may equal high: a band of one value is a legal, if narrow, wish.</summary>
    public Guard Ordered(string lowField, double low, string highField, double high, string unit) =>
        low <= high
            ? this
            : Add(highField, "below_low", $"Give {Figure(low)}{Unit(unit)} or more, or lower “{lowField}”.", low);

    public Guard Named(string field, string? text)
    {
        if (string.IsNullOrWhiteSpace(text))
            return Add(field, "missing", "Give a name.");
        if (text.Length > LongestName)
            return Add(field, "too_long", $"Give {LongestName} characters or fewer.", LongestName);
        return text.Any(char.IsControl)
            ? Add(field, "unreadable", "Leave out line breaks and control characters.")
            : this;
    }

    public Guard Note(string field, string? text) =>
        text is { Length: > LongestNote }
            ? Add(field, "too_long", $"Give {LongestNote} characters or fewer.", LongestNote)
            : this;

    public Guard OneOf<T>(string field, T value)
        where T : struct, Enum =>
        Enum.IsDefined(value) ? this : Add(field, "unknown", $"Give one of: {string.Join(", ", Enum.GetNames<T>())}.");

    public Guard Count(string field, int count, int min, int max, string things)
    {
        if (count >= min && count <= max)
            return this;
        bool low = count < min;
        return Add(field, low ? "too_few" : "too_many", $"Give {min} to {max} {things}.", low ? min : max);
    }

    public Guard That(bool acceptable, string field, string code, string message, double? limit = null) =>
        acceptable ? this : Add(field, code, message, limit);

    /// <summary>Takes over the issues that another guard found inside one of this input's parts.</summary>
    public Guard Include(Guard inner)
    {
        _issues.AddRange(inner._issues.Select(i => i with { Field = prefix + i.Field }));
        return this;
    }

    public void ThrowIfAny()
    {
        if (_issues.Count > 0)
            throw new InvalidInputException(_issues);
    }

    private Guard Add(string field, string code, string message, double? limit = null, InputBounds? bounds = null)
    {
        _issues.Add(new(prefix + field, code, message, limit, bounds));
        return this;
    }

    // Ten significant digits: every bound in the product fits, and 0.1 + 0.2 does not show its tail.
    private static string Figure(double value) => value.ToString("G10", CultureInfo.InvariantCulture);

    private static string Unit(string unit) => unit.Length == 0 ? "" : " " + unit;
}
