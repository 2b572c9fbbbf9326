namespace Wendrak.Core.Gearing;

/// <summary>A wheel with a tyre, a drum or a roller, described by what is written on it or by a roll-out.</summary>
/// <param name="Size">The marking, e.g. “130/80-17”, “47-406”, “26x2.10”, “100 mm”; null when only rolled out.</param>
/// <param name="RollOutMm">Measured way per turn, mm. It wins over the marking.</param>
public sealed record RoadWheel(string? Size, double? RollOutMm);
