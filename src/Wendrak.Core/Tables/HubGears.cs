namespace Wendrak.Core.Tables;

internal sealed record HubGearRow
{
    public required string HubId { get; init; }
    public required int Gear { get; init; }
    public required double SpeedFactor { get; init; }

    internal static HubGearRow Read(CsvRow row) =>
        new()
        {
            HubId = row.Text("hub_id"),
            Gear = row.Whole("gear"),
            SpeedFactor = row.Number("speed_factor"),
        };
}

/// <summary>A typical hub gear: wheel turns per sprocket turn in every gear, lowest gear first.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="SpeedFactors">Turns of the wheel for one of the rear sprocket, gear by gear.</param>
public sealed record HubGearPattern(string Name, IReadOnlyList<double> SpeedFactors);

/// <summary>Typical hub gears and crank gearboxes. Source: table <c>hub_gears.csv</c>, all from memory.</summary>
public static class HubGears
{
    public static IReadOnlyList<HubGearPattern> All { get; } =
    [
        .. CsvTable
            .Read("hub_gears", HubGearRow.Read)
            .GroupBy(r => r.HubId)
            .Select(g => new HubGearPattern(g.Key, [.. g.OrderBy(r => r.Gear).Select(r => r.SpeedFactor)])),
    ];
}
