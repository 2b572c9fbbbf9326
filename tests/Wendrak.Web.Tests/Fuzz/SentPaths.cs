using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>Whether a refusal points at something that was sent, or at what is missing there.</summary>
internal static partial class SentPaths
{
    /// <returns>The paths of the refusals that lead nowhere.</returns>
    /// <param name="mayHold">Whether the whole may have a member of a name.</param>
    public static IEnumerable<string> Astray(JsonNode? sent, JsonNode refusal, Func<string, bool> mayHold) =>
        refusal["issues"]!
            .AsArray()
            .Select(i => (string)i!["field"]!)
            .Where(path =>
                !LeadsSomewhere(sent, path)
                || (sent is JsonObject && Step().Match(path) is { Success: true } first && !mayHold(first.Value))
            );

    /// <summary>All but the last step must be there; the last may be what was left out.</summary>
    private static bool LeadsSomewhere(JsonNode? sent, string path)
    {
        if (path.Length == 0)
            return true;
        string[] steps = [.. Step().Matches(path).Select(m => m.Value)];
        JsonNode? at = sent;
        for (int i = 0; i < steps.Length; i++)
        {
            bool isLast = i == steps.Length - 1;
            if (steps[i].StartsWith('['))
            {
                int index = int.Parse(steps[i][1..^1], System.Globalization.CultureInfo.InvariantCulture);
                if (at is not JsonArray list || index >= list.Count)
                    return false;
                at = list[index];
            }
            else if (at is JsonObject thing)
            {
                if (!thing.ContainsKey(steps[i]))
                    return isLast;
                at = thing[steps[i]];
            }
            else
                return false;
        }
        return true;
    }

    [GeneratedRegex(@"\[\d+\]|[^.\[\]]+", RegexOptions.CultureInvariant)]
    private static partial Regex Step();
}
