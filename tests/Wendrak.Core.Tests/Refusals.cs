using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests;

internal static class Refusals
{
    /// <summary>The fields a call refuses.</summary>
    public static IReadOnlyList<InputIssue> Of(Action call) => Assert.Throws<InvalidInputException>(call).Issues;

    public static void Names(string field, Action call) =>
        Assert.Contains(Of(call), i => i.Field == field && i.Message.Length > 10);
}
