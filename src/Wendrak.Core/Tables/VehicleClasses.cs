using CsvHelper.Configuration.Attributes;

namespace Wendrak.Core.Tables;

/// <summary>Typical figures of a kind of vehicle with its rider. Source: table <c>road_loads.csv</c>, from memory.</summary>
public sealed record VehicleClass
{
    [Name("vehicle_class")]
    public required string Name { get; init; }
    public required double MassWithRiderKg { get; init; }
    public required double CdaM2 { get; init; }
    public required double Crr { get; init; }
    public required double CgHeightMm { get; init; }
    public required double WheelbaseMm { get; init; }
    public required double CgAheadOfRearMm { get; init; }
}

public static class VehicleClasses
{
    public static IReadOnlyList<VehicleClass> All { get; } = CsvTable.Read<VehicleClass>("road_loads");

    public static VehicleClass? Find(string name) => All.FirstOrDefault(c => c.Name == name);
}
