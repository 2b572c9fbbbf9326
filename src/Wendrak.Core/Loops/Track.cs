using System.Text.Json.Serialization;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loops;

/// <summary>The way along which a wheel's centre can be moved.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(LineTrack), "line")]
[JsonDerivedType(typeof(ArcTrack), "arc")]
public abstract record Track
{
    [JsonIgnore]
    public abstract double LengthMm { get; }

    /// <summary>Place after some travel, mm from the start; beyond the ends the track goes on as it did.</summary>
    public abstract Point At(double travelMm);

    internal abstract Guard Check();
}

/// <summary>A slot: straight from the foremost place, or the slackest, to the other end.</summary>
public sealed record LineTrack(Point From, Point To) : Track
{
    [JsonIgnore]
    public override double LengthMm => From.DistanceTo(To);

    public override Point At(double travelMm) => From + (travelMm / LengthMm) * (To - From);

    internal override Guard Check()
    {
        Guard guard = new();
        guard.Include(TrackBounds.Place("From", From)).Include(TrackBounds.Place("To", To));
        bool apart = From.IsFinite && To.IsFinite && LengthMm >= TrackBounds.ShortestMm;
        return guard.That(apart, "To", "too_near", $"Give a place {TrackBounds.ShortestMm} mm or more from the start.");
    }
}

/// <summary>A swing about a pivot: an eccentric, a motor on a hinge, an arm of a tensioner.</summary>
/// <param name="StartDeg">Direction from the pivot to the wheel at the start, degrees from +x, counterclockwise.</param>
/// <param name="SwingDeg">How far it swings, negative for clockwise.</param>
/// <param name="RadiusMm">From the pivot to the wheel it carries, mm.</param>
public sealed record ArcTrack(Point Pivot, double RadiusMm, double StartDeg, double SwingDeg) : Track
{
    [JsonIgnore]
    public override double LengthMm => RadiusMm * Math.Abs(SwingDeg) * Math.PI / 180;

    public override Point At(double travelMm)
    {
        double angle = StartDeg * Math.PI / 180 + Math.Sign(SwingDeg) * travelMm / RadiusMm;
        return Pivot + RadiusMm * new Point(Math.Cos(angle), Math.Sin(angle));
    }

    internal override Guard Check() =>
        new Guard()
            .Include(TrackBounds.Place("Pivot", Pivot))
            .Between(nameof(RadiusMm), RadiusMm, 0.5, 1e4, "mm")
            .Between(nameof(StartDeg), StartDeg, -360, 360, "°")
            .Between(nameof(SwingDeg), SwingDeg, -360, 360, "°")
            .That(Math.Abs(SwingDeg) > 0.01, nameof(SwingDeg), "too_small", "Give a swing of 0.01° or more.", 0.01);
}

internal static class TrackBounds
{
    public const double ShortestMm = 0.1;
    private const double FarthestMm = 1e5;

    public static Guard Place(string field, Point p) =>
        new Guard(field + ".")
            .Between(nameof(p.XMm), p.XMm, -FarthestMm, FarthestMm, "mm")
            .Between(nameof(p.YMm), p.YMm, -FarthestMm, FarthestMm, "mm");
}
