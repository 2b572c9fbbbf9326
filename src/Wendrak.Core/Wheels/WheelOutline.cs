using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Wheels;

/// <summary>What a wheel of a loop is to the geometry, mm.</summary>
/// <param name="RunRadiusMm">Radius of the circle that the straight runs touch: pitch or datum circle.</param>
/// <param name="ArcRadiusMm">
/// Loop length per radian of wrap. For a chain N·p/(2π), a little less than the pitch radius, since it lies as a polygon.
/// </param>
/// <param name="OutsideRadiusMm">Over teeth, or the rim of a pulley.</param>
public sealed record WheelOutline(double RunRadiusMm, double ArcRadiusMm, double OutsideRadiusMm)
{
    /// <summary>Outline of a wheel of a loop.</summary>
    /// <param name="size">Teeth, or datum diameter in mm on a friction loop.</param>
    /// <exception cref="InvalidInputException">The chain or profile is not in the tables.</exception>
    public static WheelOutline For(Loop loop, double size)
    {
        switch (loop.DriveElement)
        {
            case DriveElement.Chain:
            {
                double pitch = PitchMm(loop);
                double links = WheelSize.LinksRound(loop, size);
                return new(
                    SprocketSize.PitchRadiusMm(pitch, links),
                    links * pitch / (2 * Math.PI),
                    ChainOutsideRadiusMm(pitch, links, WheelSize.GapsPerLink(loop))
                );
            }
            case DriveElement.ToothedBelt:
            {
                double radius = size * PitchMm(loop) / (2 * Math.PI);
                double differential = SynchronousProfiles.Find(loop.Standard)?.PitchLineDifferentialMm ?? 0;
                return new(radius, radius, radius - differential);
            }
            default:
                return new(size / 2, size / 2, size / 2);
        }
    }

    /// <summary>A plain roller, of given diameter, on the inside or the back of a loop.</summary>
    public static WheelOutline Roller(double diameterMm) => new(diameterMm / 2, diameterMm / 2, diameterMm / 2);

    /// <summary>Pitch of a chain or toothed belt, mm.</summary>
    /// <exception cref="InvalidInputException">Not in the tables, or a friction belt.</exception>
    public static double PitchMm(Loop loop) =>
        (loop.DriveElement == DriveElement.Chain ? Chains.Find(loop.Standard)?.PitchMm : null)
        ?? (loop.DriveElement == DriveElement.ToothedBelt ? SynchronousProfiles.Find(loop.Standard)?.PitchMm : null)
        ?? throw new InvalidInputException(
            "Loop.Standard",
            "unknown",
            $"“{loop.Standard}” is in no table: give a standard chain or belt profile, so that its pitch is known."
        );

    internal static double ChainOutsideRadiusMm(double pitchMm, double links, int gapsPerLink) =>
        SprocketSize.OutsideDiameterMm.Value(pitchMm, gapsPerLink, links) / 2;
}
