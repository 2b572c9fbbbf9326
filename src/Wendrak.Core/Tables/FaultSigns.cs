using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>What a loop does that it should not. Source: table <c>fault_signs.csv</c>.</summary>
public sealed record FaultSign(string Key, string What)
{
    internal static FaultSign Read(CsvRow row) => new(row.Text("sign"), row.Text("what"));
}

/// <summary>How surely a cause shows itself by a sign. Source: table <c>fault_cause_signs.csv</c>.</summary>
public sealed record SignOfCause(string Cause, string Sign, ShowsItself Weight, string Why)
{
    internal static SignOfCause Read(CsvRow row) =>
        new(row.Text("cause"), row.Text("sign"), row.Word<ShowsItself>("weight"), row.Text("why"));
}

/// <summary>What came before, or is known of the machine. Source: table <c>fault_circumstances.csv</c>.</summary>
/// <param name="IsShared">Another machine that is used alike can have met it too.</param>
public sealed record FaultCircumstance(string Key, string What, bool IsShared)
{
    internal static FaultCircumstance Read(CsvRow row) =>
        new(row.Text("circumstance"), row.Text("what"), row.TextOrNull("is_shared") is not null);
}

/// <summary>What a circumstance makes of the odds of a cause. Source: table <c>fault_cause_circumstances.csv</c>.</summary>
public sealed record CircumstanceOfCause(string Cause, string Circumstance, BearsOn Bears, string Why)
{
    internal static CircumstanceOfCause Read(CsvRow row) =>
        new(row.Text("cause"), row.Text("circumstance"), row.Word<BearsOn>("bears"), row.Text("why"));
}

/// <summary>What is seen of a fault before anything is tested.</summary>
public static class FaultSigns
{
    public static IReadOnlyList<FaultSign> All { get; } = CsvTable.Read("fault_signs", FaultSign.Read);
    public static IReadOnlyList<SignOfCause> OfCauses { get; } = CsvTable.Read("fault_cause_signs", SignOfCause.Read);
    public static IReadOnlyList<FaultCircumstance> Circumstances { get; } =
        CsvTable.Read("fault_circumstances", FaultCircumstance.Read);
    public static IReadOnlyList<CircumstanceOfCause> CircumstancesOfCauses { get; } =
        CsvTable.Read("fault_cause_circumstances", CircumstanceOfCause.Read);

    /// <summary>Those that such a loop can show.</summary>
    public static IEnumerable<FaultSign> For(FaultKind kind, IReadOnlyList<FaultSetting> at)
    {
        HashSet<string> causes = [.. FaultCauses.For(kind, at).Select(c => c.Key)];
        HashSet<string> shown = [.. OfCauses.Where(s => causes.Contains(s.Cause)).Select(s => s.Sign)];
        return All.Where(s => shown.Contains(s.Key));
    }
}
