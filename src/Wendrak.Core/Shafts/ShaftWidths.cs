using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Shafts;

/// <summary>A sprocket or pulley on a shaft, measured along it.</summary>
/// <param name="LoopKey">The loop that runs on it.</param>
/// <param name="Side">Whether it drives that loop or is driven by it.</param>
/// <param name="PlaneMm">Middle of its teeth or groove, from the left face of its hub.</param>
/// <param name="LineMm">Where that middle belongs, from the left shoulder of the shaft: the chain or belt line.</param>
/// <param name="CanBeTurned">Whether it may be put on the other way round.</param>
/// <param name="HubWidthMm">Width of its hub, mm.</param>
public sealed record SprocketOnShaft(
    string LoopKey,
    WheelSide Side,
    double HubWidthMm,
    double PlaneMm,
    double LineMm,
    bool CanBeTurned
);

/// <summary>What there is to fill with spacers along one shaft.</summary>
/// <param name="Shaft">Name of the shaft in that drive.</param>
/// <param name="LeftMm">Where its left shoulder stands across the machine, from the machine's own zero.</param>
/// <param name="LengthMm">Usable length, shoulder to shoulder or to the nut.</param>
/// <param name="DiameterMm">The spacers' bore.</param>
/// <param name="Sprockets">From left to right.</param>
/// <param name="DriveKey">Key of the drive it is about.</param>
public sealed record ShaftWidths(
    string DriveKey,
    string Shaft,
    double LeftMm,
    double LengthMm,
    double DiameterMm,
    IReadOnlyList<SprocketOnShaft> Sprockets
)
{
    public const int MostSprockets = 4;

    /// <summary>Refuses widths that no spacers could fill.</summary>
    internal static Guard Check(ShaftWidths shaft, Drive drive)
    {
        Guard guard = new();
        guard
            .That(
                IsShaftOf(shaft.Shaft, drive),
                nameof(shaft.Shaft),
                "unknown",
                "Give a shaft of this drive that a chain or belt sits on."
            )
            .Between(nameof(shaft.LeftMm), shaft.LeftMm, -10_000, 10_000, "mm")
            .Between(nameof(shaft.LengthMm), shaft.LengthMm, 1, 5_000, "mm")
            .Include(CheckDiameter(nameof(shaft.DiameterMm), shaft.DiameterMm))
            .Count(nameof(shaft.Sprockets), shaft.Sprockets.Count, 1, MostSprockets, "sprockets");
        double hubs = 0;
        for (int i = 0; i < shaft.Sprockets.Count; i++)
        {
            SprocketOnShaft sprocket = shaft.Sprockets[i];
            Guard inner = new($"{nameof(shaft.Sprockets)}[{i}].");
            guard
                .Include(inner.Include(Check(sprocket, shaft, drive)))
                .That(
                    shaft.Sprockets.Take(i).All(s => s.LoopKey != sprocket.LoopKey || s.Side != sprocket.Side),
                    $"{nameof(shaft.Sprockets)}[{i}].{nameof(sprocket.LoopKey)}",
                    "taken",
                    "Give every wheel of the shaft once."
                );
            hubs += sprocket.HubWidthMm;
            guard.That(
                hubs < shaft.LengthMm || double.IsNaN(shaft.LengthMm),
                $"{nameof(shaft.Sprockets)}[{i}].{nameof(sprocket.HubWidthMm)}",
                "too_large",
                FormattableString.Invariant(
                    $"Give less: the hubs together must be shorter than the shaft’s {shaft.LengthMm:0.###} mm."
                ),
                shaft.LengthMm
            );
        }
        return guard;
    }

    internal static Guard CheckDiameter(string field, double diameterMm) =>
        new Guard().Between(field, diameterMm, 1, 500, "mm");

    private static Guard Check(SprocketOnShaft sprocket, ShaftWidths shaft, Drive drive)
    {
        Loop? loop = drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == sprocket.LoopKey);
        string? sitsOn = sprocket.Side == WheelSide.Front ? loop?.DrivingShaft : loop?.DrivenShaft;
        return new Guard()
            .OneOf(nameof(sprocket.Side), sprocket.Side)
            .That(
                sitsOn == shaft.Shaft,
                nameof(sprocket.LoopKey),
                "unknown",
                $"Give a loop that has its {sprocket.Side.ToString().ToLowerInvariant()} wheel on “{shaft.Shaft}”."
            )
            .Between(nameof(sprocket.HubWidthMm), sprocket.HubWidthMm, 0.5, 1_000, "mm")
            .Between(nameof(sprocket.PlaneMm), sprocket.PlaneMm, -500, 500, "mm")
            .Between(nameof(sprocket.LineMm), sprocket.LineMm, 0, 5_000, "mm");
    }

    private static bool IsShaftOf(string shaft, Drive drive) =>
        drive.Stages.OfType<Loop>().Any(l => l.DrivingShaft == shaft || l.DrivenShaft == shaft);
}
