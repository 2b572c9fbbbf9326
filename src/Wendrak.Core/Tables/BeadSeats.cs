namespace Wendrak.Core.Tables;

/// <summary>One row of the rim table: a bicycle bead seat, or a motorcycle rim code.</summary>
internal sealed record RimRow
{
    public required string Kind { get; init; }
    public required string Code { get; init; }
    public required double DiameterMm { get; init; }
    public required string CommonNames { get; init; }
    public required string Certainty { get; init; }

    internal static RimRow Read(CsvRow row) =>
        new()
        {
            Kind = row.Text("kind"),
            Code = row.Text("code"),
            DiameterMm = row.Number("diameter_mm"),
            CommonNames = row.Text("common_names"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>Bicycle bead seat diameters. Source: ISO 5775 / ETRTO, table <c>tyre_rims.csv</c>.</summary>
public static class BeadSeats
{
    private static readonly IReadOnlyList<RimRow> Rows =
    [
        .. CsvTable.Read("tyre_rims", RimRow.Read).Where(r => r.Kind == "bicycle bead seat"),
    ];

    /// <summary>Diameters in use, mm, smallest first.</summary>
    public static IReadOnlyList<double> DiametersMm { get; } = [.. Rows.Select(r => r.DiameterMm).Order()];

    /// <summary>The trade's names for a bead seat, or null when the diameter is not in the table.</summary>
    public static string? CommonNames(double diameterMm) =>
        Rows.FirstOrDefault(r => r.DiameterMm == diameterMm)?.CommonNames;

    /// <summary>
    /// Bead seat of an inch bicycle code with a decimal width (26x2.10), mm; null when the code is not used that
    /// way. Decimal and fractional widths of the same number are different rims: this is the decimal column only.
    /// </summary>
    /// <remarks>Source: ISO 5775 bead seats with the trade's decimal inch names; 32 and 36 in from memory.</remarks>
    public static double? OfDecimalInchCode(double code) =>
        code switch
        {
            16 => 305,
            20 => 406,
            24 => 507,
            26 => 559,
            27.5 => 584,
            28 or 29 => 622,
            32 => 686,
            36 => 787,
            _ => null,
        };

    /// <summary>Bead seats that traders call by this inch number with any width: what a bare code could mean.</summary>
    public static IReadOnlyList<double> CandidatesForInchCode(double code)
    {
        string number = code.ToString(System.Globalization.CultureInfo.InvariantCulture);
        return
        [
            .. Rows.Where(r => r.CommonNames.Split(", ").Any(name => name.Split(' ')[0] == number))
                .Select(r => r.DiameterMm),
        ];
    }
}
