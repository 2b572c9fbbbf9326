namespace Wendrak.Core.Tables;

/// <summary>From an inside length on, inch, a V-belt carries this much of its rating. Source: Shigley Table 17-14, from memory.</summary>
public sealed record VLengthFactor
{
    public required string Section { get; init; }
    public required double FromInch { get; init; }
    public required double Factor { get; init; }

    internal static VLengthFactor Read(CsvRow row) =>
        new()
        {
            Section = row.Text("section"),
            FromInch = row.Number("from_inch"),
            Factor = row.Number("factor"),
        };
}

/// <summary>A long belt bends less often and carries more than its rating says, a short one less: factor K2.</summary>
public static class VLengthFactors
{
    public static IReadOnlyList<VLengthFactor> All { get; } = CsvTable.Read("v_length_factors", VLengthFactor.Read);

    /// <summary>K2 of a belt by its datum length, mm; null for sections the table does not know, as narrow ones.</summary>
    /// <remarks>A notched belt (AX) is looked up as its wrapped one (A).</remarks>
    public static double? Find(string section, double datumLengthMm)
    {
        if (VSections.Find(section)?.InsideToPitchLengthAddMm is not double beyondInside)
            return null;
        string wrapped = section.EndsWith('X') ? section[..^1] : section;
        double inside = (datumLengthMm - beyondInside) / Quantities.UnitFactors.MmPerInch;
        return All.LastOrDefault(f => f.Section == wrapped && f.FromInch <= inside)?.Factor;
    }
}
