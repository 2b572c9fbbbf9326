using Wendrak.Core.Gearing;
using Wendrak.Core.Markings;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Evaluation;

/// <summary>Where something like it is, or goes.</summary>
/// <param name="What">“final drive of Curlew”, or what lies on the shelf.</param>
/// <param name="MachineId">Null for the shelf.</param>
/// <param name="Count">Of the shelf; null for a machine.</param>
public sealed record YardPlace(string What, long? MachineId, int? Count);

/// <summary>What a marking is, and what it goes with in this yard.</summary>
/// <param name="Reading">What it is.</param>
/// <param name="OnMachines">Loops it goes on.</param>
/// <param name="OnShelf">Wheels and parts in Stock of the same, of which there is one at least.</param>
public sealed record MarkingInYard(
    MarkingReading Reading,
    IReadOnlyList<YardPlace> OnMachines,
    IReadOnlyList<YardPlace> OnShelf
)
{
    /// <summary>Rounding of the forms of one size: judgement.</summary>
    private const double SameSizeMm = 1;

    /// <param name="workshop">With what is on the machines of the yard.</param>
    public static MarkingInYard Of(MarkingReading reading, Workshop workshop) =>
        new(
            reading,
            [
                .. workshop
                    .OnMachines.Where(m => GoesOn(reading, m))
                    .Select(m => new YardPlace($"{m.Loop.Name} of {m.Machine}", m.MachineId, null)),
                .. workshop
                    .OnMachines.Where(m => m.RoadWheels.Any(w => IsAlike(reading, w)))
                    .DistinctBy(m => m.MachineId)
                    .Select(m => new YardPlace($"road wheel of {m.Machine}", m.MachineId, null)),
            ],
            [
                .. workshop
                    .Wheels.Where(w => w.Wheel.Count > 0 && IsAlike(reading, w.Wheel))
                    .Select(w => new YardPlace(
                        FormattableString.Invariant(
                            $"{(w.Wheel.Side == WheelSide.Front ? "front" : "rear")} {w.Wheel.Size:0.##}{(reading.Standard is null ? $" for {w.Wheel.Standard}" : "")}"
                        ),
                        null,
                        w.Wheel.Count
                    )),
                .. workshop
                    .Parts.Where(p => p.Count > 0 && IsAlike(reading, p))
                    .Select(p => new YardPlace(p.Name, null, p.Count)),
            ]
        );

    /// <summary>A loop of the same chain, profile or section; of a wheel that says nothing else, one with a wheel of so many teeth.</summary>
    private static bool GoesOn(MarkingReading reading, LoopOnMachine on) =>
        reading.Standard is { } standard
            ? on.Loop.Standard == standard
            : reading.Teeth is int teeth
                && on.Loop.IsToothed
                && (on.Choice.FrontSize == teeth || on.Choice.RearSize == teeth);

    /// <summary>A tyre of the same size, however it is written.</summary>
    private static bool IsAlike(MarkingReading reading, string roadWheel) =>
        reading.Thing == MarkedThing.Tyre
        && Marking.FindTyre(roadWheel)?.Figures[0].Value is double diameter
        && Math.Abs(diameter - reading.Figures[0].Value) < SameSizeMm;

    private static bool IsAlike(MarkingReading reading, StockWheel wheel) =>
        (reading.Standard is null || wheel.Standard == reading.Standard)
        && (reading.Teeth is null || wheel.Size == reading.Teeth)
        && (reading.Standard is not null || reading.Teeth is not null);

    private static bool IsAlike(MarkingReading reading, StockPart part) =>
        reading.Standard is { } standard
        && reading.Thing is MarkedThing.Chain or MarkedThing.Belt
        && $"{part.GoesWith}".Split(' ', ',', ';').Contains(standard);
}

/// <summary>A marking, read in this yard.</summary>
/// <param name="Found">What it is; null where it may be several things and none goes before the others.</param>
/// <param name="CouldBe">What else it could be.</param>
public sealed record MarkingFound(MarkingInYard? Found, IReadOnlyList<MarkingInYard> CouldBe)
{
    public static MarkingFound Of(MarkingAnswer answer, Workshop workshop) =>
        new(
            answer.Reading is { } reading ? MarkingInYard.Of(reading, workshop) : null,
            [.. answer.CouldBe.Select(r => MarkingInYard.Of(r, workshop))]
        );
}
