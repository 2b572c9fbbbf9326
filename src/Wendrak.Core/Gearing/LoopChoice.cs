namespace Wendrak.Core.Gearing;

/// <summary>The wheels a setup puts on one loop.</summary>
/// <param name="LoopKey">Key of the <see cref="Loop"/> stage.</param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm on a friction loop. See docs/decisions/0005.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
/// <param name="Links">Links of the chain or teeth of the belt; null when not counted yet or a friction belt.</param>
/// <param name="LengthMm">Datum length of a friction belt, mm; null when not measured or on a toothed loop.</param>
public sealed record LoopChoice(string LoopKey, double FrontSize, double RearSize, int? Links, double? LengthMm = null);

/// <summary>Another road wheel or tyre that a setup puts on one output.</summary>
/// <param name="OutputName">Output that turns it.</param>
public sealed record RoadWheelChoice(string OutputName, RoadWheel RoadWheel);
