using System.Text.Json.Serialization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loops;

/// <summary>Which run of a loop an idler sits on.</summary>
public enum LoopRun
{
    /// <summary>From the driving wheel to the driven one: no pull in it.</summary>
    Slack,

    /// <summary>The run that pulls.</summary>
    Tight,
}

/// <summary>A wheel that only guides or tensions.</summary>
/// <param name="Size">Teeth of a toothed idler, else diameter where the loop lies, mm.</param>
/// <param name="Name">What people call it.</param>
/// <param name="IsToothed">True where its size is in teeth; else it is its diameter, mm.</param>
public sealed record Idler(string Name, Point Centre, double Size, bool IsToothed, RunSide Side, LoopRun Run);

/// <summary>The wheel that the adjuster moves, and along what.</summary>
/// <param name="Wheel">“front”, “rear”, or the name of an idler.</param>
public sealed record MovingWheel(string Wheel, Track Track);

/// <summary>Where the wheels of one loop stand, in a side view of the machine's own choice.</summary>
/// <param name="Turning">Which way the loop runs in this view when the machine goes forward.</param>
/// <param name="Front">Centre of the driving wheel. The track has the say where this is what moves.</param>
/// <param name="Idlers">In running order, those of the slack run first.</param>
/// <param name="Moving">Null for fixed centres.</param>
/// <param name="Limits">Edges around the loop that it must clear.</param>
/// <param name="SwingArm">Arm that carries the driven axle; null for a rigid one.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
public sealed record LoopLayout(
    string LoopKey,
    Turning Turning,
    Point Front,
    Point Rear,
    IReadOnlyList<Idler> Idlers,
    MovingWheel? Moving,
    SwingArm? SwingArm = null,
    IReadOnlyList<ClearanceLimit>? Limits = null
)
{
    public const string FrontName = "front";
    public const string RearName = "rear";
    private const int MostLimits = 20;

    [JsonIgnore]
    public bool MovesIdler => Idlers.Any(i => i.Name == Moving?.Wheel);

    /// <summary>Wheels in running order: front, idlers of the slack run, rear, idlers of the tight run.</summary>
    /// <param name="travelMm">Travel of the moving wheel from the start of its track; no matter where nothing moves.</param>
    internal LoopWheel[] WheelsFor(Loop loop, LoopChoice choice, double travelMm)
    {
        double? pitch = loop.IsToothed ? WheelOutline.PitchMm(loop) : null;
        Point At(string name, Point rest) => Moving?.Wheel == name ? Moving.Track.At(travelMm) : rest;
        LoopWheel Guide(Idler idler) =>
            new(
                idler.Name,
                At(idler.Name, idler.Centre),
                idler.IsToothed ? WheelOutline.For(loop, idler.Size) : WheelOutline.Roller(idler.Size),
                idler.Side,
                idler.IsToothed ? pitch : null
            );
        return
        [
            new(FrontName, At(FrontName, Front), WheelOutline.For(loop, choice.FrontSize), RunSide.Inside, pitch),
            .. Idlers.Where(i => i.Run == LoopRun.Slack).Select(Guide),
            new(RearName, At(RearName, Rear), WheelOutline.For(loop, choice.RearSize), RunSide.Inside, pitch),
            .. Idlers.Where(i => i.Run == LoopRun.Tight).Select(Guide),
        ];
    }

    /// <summary>Refuses a layout that could not be laid out for any wheels.</summary>
    internal static Guard Check(LoopLayout layout, Loop loop)
    {
        Guard guard = new();
        guard
            .OneOf(nameof(layout.Turning), layout.Turning)
            .Include(TrackBounds.Place(nameof(layout.Front), layout.Front))
            .Include(TrackBounds.Place(nameof(layout.Rear), layout.Rear))
            .Count(nameof(layout.Idlers), layout.Idlers.Count, 0, LoopTracing.MostWheels - 2, "idlers");
        HashSet<string> names = [FrontName, RearName];
        for (int i = 0; i < layout.Idlers.Count; i++)
            guard.Include(
                new Guard($"{nameof(layout.Idlers)}[{i}].").Include(CheckIdler(layout.Idlers[i], loop, names))
            );
        bool crossedPlain = loop.Arrangement == BeltArrangement.Open || layout.Idlers.Count == 0;
        guard.That(
            crossedPlain,
            nameof(layout.Idlers),
            "crossed",
            "Leave out the idlers: a crossed belt runs over two wheels."
        );
        IReadOnlyList<ClearanceLimit> limits = layout.Limits ?? [];
        guard.Count(nameof(layout.Limits), limits.Count, 0, MostLimits, "limits");
        for (int i = 0; i < limits.Count; i++)
            guard
                .Include(new Guard($"{nameof(layout.Limits)}[{i}].").Include(limits[i].Check()))
                .That(
                    limits.Take(i).All(l => l.Name != limits[i].Name),
                    $"{nameof(layout.Limits)}[{i}].Name",
                    "taken",
                    "Give a name that no other edge of this loop has."
                );
        if (layout.SwingArm is { } arm)
            guard.Include(
                new Guard($"{nameof(layout.SwingArm)}.")
                    .Include(TrackBounds.Place(nameof(arm.Pivot), arm.Pivot))
                    .Between(nameof(arm.DroopMm), arm.DroopMm, 0, 1_000, "mm")
                    .Between(nameof(arm.BumpMm), arm.BumpMm, 0, 1_000, "mm")
            );
        if (layout.Moving is { } moving)
            guard.Include(
                new Guard($"{nameof(layout.Moving)}.")
                    .That(
                        names.Contains(moving.Wheel),
                        nameof(moving.Wheel),
                        "unknown",
                        $"Give one of: {string.Join(", ", names)}."
                    )
                    .Include(new Guard("Track.").Include(moving.Track.Check()))
            );
        return guard;
    }

    private static Guard CheckIdler(Idler idler, Loop loop, HashSet<string> names)
    {
        Guard guard = new();
        guard
            .Named(nameof(idler.Name), idler.Name)
            .That(
                names.Add(idler.Name),
                nameof(idler.Name),
                "taken",
                "Give a name that no other wheel of this loop has."
            )
            .OneOf(nameof(idler.Side), idler.Side)
            .OneOf(nameof(idler.Run), idler.Run)
            .Include(TrackBounds.Place(nameof(idler.Centre), idler.Centre))
            .That(
                !idler.IsToothed || idler.Side == RunSide.Inside || loop.DriveElement == DriveElement.Chain,
                nameof(idler.IsToothed),
                "back",
                "Give a smooth idler: the back of a belt has no teeth."
            );
        if (idler.IsToothed && loop.IsToothed)
            guard.CheckWheel(nameof(idler.Size), idler.Size, loop);
        else
            guard
                .That(
                    !idler.IsToothed,
                    nameof(idler.IsToothed),
                    "smooth",
                    "Give a smooth idler: this belt has no teeth."
                )
                .Between(nameof(idler.Size), idler.Size, 2, WheelSize.LargestDatumMm, "mm");
        return guard;
    }
}
