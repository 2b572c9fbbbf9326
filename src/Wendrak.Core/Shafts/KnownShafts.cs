using System.Collections.Concurrent;

namespace Wendrak.Core.Shafts;

/// <summary>What was searched lately for a shaft: whoever picks teeth leaves shafts and drawer as they are, and asks it again.</summary>
/// <remarks>The same question has the same answer, whoever asks; the key holds all that the search reads.</remarks>
internal static class KnownShafts
{
    private const int MostKept = 200; // some 3 kB each

    private static readonly ConcurrentDictionary<string, Lazy<SpacerWays>> Found = [];
    private static readonly ConcurrentDictionary<string, Lazy<SpacerStacksResult>> Answers = [];

    /// <summary>Ways alone of a question that was checked.</summary>
    public static SpacerWays Ways(SpacerStacksInput question) =>
        Known(Found, Key(question), () => SpacerStacks.Ways(question));

    /// <summary>The whole answer to a question that was checked.</summary>
    public static SpacerStacksResult Told(SpacerStacksInput question) =>
        Known(Answers, Key(question), () => SpacerStacks.Told(question, Ways(question)));

    private static T Known<T>(ConcurrentDictionary<string, Lazy<T>> kept, string key, Func<T> find)
    {
        if (kept.Count >= MostKept)
            kept.Clear();
        return kept.GetOrAdd(key, _ => new(find)).Value;
    }

    private static string Key(SpacerStacksInput question)
    {
        (double tolerance, double floatMost) = SpacerStacks.Bounds(question);
        return $"{question.Shaft with { Sprockets = [] }} {string.Join(' ', question.Shaft.Sprockets)} "
            + $"{tolerance:R} {question.FloatLeastMm:R} {floatMost:R} {question.Order} {string.Join(' ', question.Stock)}";
    }
}
