using Wendrak.Core.Stock;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Evaluation;

/// <summary>Which tools of the tests are on hand.</summary>
internal static class FaultTools
{
    /// <summary>What lies in every workshop and nobody lists: taken to be there.</summary>
    private static readonly string[] Always = ["chalk", "lamp", "rule", "paper", "phone", "scale"];

    /// <summary>As Stock lists them.</summary>
    private static readonly Dictionary<string, ToolKind> Listed = new()
    {
        ["caliper"] = ToolKind.Caliper,
        ["gauge"] = ToolKind.TensionGauge,
        ["torqueWrench"] = ToolKind.TorqueWrench,
        ["spanner"] = ToolKind.Spanner,
        ["tachometer"] = ToolKind.Tachometer,
    };

    /// <summary>Every tool that some test asks for has its place in one of the two lists.</summary>
    internal static bool IsKnown(string tool) => Always.Contains(tool) || Listed.ContainsKey(tool);

    /// <returns>Keys of the tests’ tools; null where nobody listed any: then nothing is known to be missing.</returns>
    public static IReadOnlyList<string>? OnHand(IReadOnlyList<HandTool> tools) =>
        tools.Count == 0
            ? null
            :
            [
                .. FaultTests
                    .All.Select(t => t.Tool)
                    .OfType<string>()
                    .Distinct()
                    .Where(t => !Listed.TryGetValue(t, out ToolKind kind) || tools.Any(h => h.Kind == kind)),
            ];
}
