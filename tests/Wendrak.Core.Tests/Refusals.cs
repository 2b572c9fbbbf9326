using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests;

internal static class Refusals
{
    /// <summary>The fields a call refuses.</summary>
    public static IReadOnlyList<InputIssue> Of(Action call) => Assert.Throws<InvalidInputException>(call).Issues;

    /// <summary>What is said where a call refuses that field.</summary>
    public static string Names(string field, Action call)
    {
        IReadOnlyList<InputIssue> issues = Of(call);
        Assert.Contains(issues, i => i.Field == field && i.Message.Length > 10);
        return issues.First(i => i.Field == field).Message;
    }
}
