namespace Wendrak.Core.Tables;

/// <summary>Typical figures of a kind of vehicle with its rider. Source: table <c>road_loads.csv</c>, from memory.</summary>
public sealed record VehicleClass
{
    public required string Name { get; init; }
    public required double MassWithRiderKg { get; init; }
    public required double CdaM2 { get; init; }
    public required double Crr { get; init; }
    public required double CgHeightMm { get; init; }
    public required double WheelbaseMm { get; init; }
    public required double CgAheadOfRearMm { get; init; }

    internal static VehicleClass Read(CsvRow row) =>
        new()
        {
            Name = row.Text("vehicle_class"),
            MassWithRiderKg = row.Number("mass_with_rider_kg"),
            CdaM2 = row.Number("cda_m2"),
            Crr = row.Number("crr"),
            CgHeightMm = row.Number("cg_height_mm"),
            WheelbaseMm = row.Number("wheelbase_mm"),
            CgAheadOfRearMm = row.Number("cg_ahead_of_rear_mm"),
        };
}

public static class VehicleClasses
{
    public static IReadOnlyList<VehicleClass> All { get; } = CsvTable.Read("road_loads", VehicleClass.Read);

    public static VehicleClass? Find(string name) => All.FirstOrDefault(c => c.Name == name);
}
