namespace Wendrak.Core.Quantities;

/// <summary>An input was refused; <see cref="Issues"/> says every field and bound at once.</summary>
public sealed class InvalidInputException(IReadOnlyList<InputIssue> issues)
    : Exception(string.Join(" ", issues.Select(i => $"{i.Field}: {i.Message}")))
{
    public IReadOnlyList<InputIssue> Issues { get; } = issues;

    public InvalidInputException(string field, string code, string message, double? limit = null)
        : this([new InputIssue(field, code, message, limit)]) { }
}
