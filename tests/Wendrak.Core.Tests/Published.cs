namespace Wendrak.Core.Tests;

/// <summary>Comparison with a printed value: the tolerance is given with it, the source stands in the failure.</summary>
internal static class Published
{
    public static void Agrees(double expected, double actual, double tolerance, string source) =>
        Assert.True(
            Math.Abs(actual - expected) <= tolerance,
            FormattableString.Invariant($"{actual:G8}, but {source} gives {expected:G8}")
        );

    /// <summary>Relative tolerance, for the check rows that state theirs in percent.</summary>
    public static void AgreesWithin(double percent, double expected, double actual, string source) =>
        Agrees(expected, actual, Math.Abs(expected) * percent / 100, source);
}
