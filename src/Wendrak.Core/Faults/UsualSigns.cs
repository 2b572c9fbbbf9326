using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Faults;

/// <summary>Which signs such a loop shows most: those are offered first. By the weights of the tables, which are judgement.</summary>
internal static class UsualSigns
{
    private const int Offered = 12;

    /// <returns>Keys, in no order.</returns>
    public static IReadOnlySet<string> For(FaultKind kind, IReadOnlyList<FaultSetting> at)
    {
        Dictionary<string, double> usual = FaultCauses
            .For(kind, at)
            .ToDictionary(c => c.Key, c => FaultWeights.Of(c.Usual));
        return FaultSigns
            .OfCauses.Where(s => usual.ContainsKey(s.Cause))
            .GroupBy(s => s.Sign)
            .OrderByDescending(s => s.Sum(of => usual[of.Cause] * FaultWeights.Of(of.Weight)))
            .ThenBy(s => s.Key, StringComparer.Ordinal)
            .Take(Offered)
            .Select(s => s.Key)
            .ToHashSet();
    }
}
