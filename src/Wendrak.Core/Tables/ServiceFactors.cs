namespace Wendrak.Core.Tables;

/// <summary>What is laid on top of a steady load. Source: table <c>service_factors.csv</c>, which names its own sources.</summary>
public sealed record ServiceFactor
{
    public required string Drive { get; init; }
    public required string DrivenLoad { get; init; }
    public required string Driver { get; init; }
    public required double Factor { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static ServiceFactor Read(CsvRow row) =>
        new()
        {
            Drive = row.Text("drive"),
            DrivenLoad = row.Text("driven_load"),
            Driver = row.Text("driver"),
            Factor = row.Number("factor"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>Service factors by kind of drive, what it drives and what drives it.</summary>
public static class ServiceFactors
{
    public const string ChainAca = "roller chain (ACA)";
    public const string ChainIso = "roller chain (ISO f1)";
    public const string VBelt = "V-belt";
    public const string Synchronous = "synchronous belt";
    public const string Vehicle = "vehicle chain or belt";

    public static IReadOnlyList<ServiceFactor> All { get; } = CsvTable.Read("service_factors", ServiceFactor.Read);

    /// <param name="drivenLoad">How its row begins, e.g. “smooth”.</param>
    /// <param name="driver">How its row begins; every driver where it is empty.</param>
    /// <exception cref="InvalidOperationException">The table has no such row.</exception>
    public static ServiceFactor Get(string drive, string drivenLoad, string driver = "") =>
        All.First(f =>
            f.Drive == drive
            && f.DrivenLoad.StartsWith(drivenLoad, StringComparison.Ordinal)
            && f.Driver.StartsWith(driver, StringComparison.Ordinal)
        );
}
