using System.Text.Json.Serialization;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>What passes the torque on between a wheel and its shaft, or the shaft itself.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(KeyJoint), "key")]
[JsonDerivedType(typeof(SplineJoint), "spline")]
[JsonDerivedType(typeof(BoltCircle), "boltCircle")]
[JsonDerivedType(typeof(SolidShaft), "shaft")]
public abstract record ShaftHubConnection
{
    internal abstract Guard Check();

    /// <summary>Stresses at a torque, each with the share of the yield strength that it may reach.</summary>
    internal abstract IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa);

    /// <summary>Shear yields at 0.577 of the yield strength: distortion energy, Shigley ch. 5.</summary>
    protected const double ShearShare = 0.577;
}

/// <param name="ShaftMm">Diameter of the shaft.</param>
/// <param name="LengthMm">Of the key where it bears.</param>
public sealed record KeyJoint(double ShaftMm, double WidthMm, double HeightMm, double LengthMm) : ShaftHubConnection
{
    internal override Guard Check() =>
        new Guard()
            .Between(nameof(ShaftMm), ShaftMm, 2, 500, "mm")
            .Between(nameof(WidthMm), WidthMm, 0.5, 200, "mm")
            .Between(nameof(HeightMm), HeightMm, 0.5, 200, "mm")
            .Between(nameof(LengthMm), LengthMm, 1, 1_000, "mm");

    internal override IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa)
    {
        double force = 2_000 * torqueNm / ShaftMm;
        return
        [
            new(ConnectionStressKind.Shear, force / (WidthMm * LengthMm), ShearShare * yieldMpa),
            new(ConnectionStressKind.Bearing, 2 * force / (HeightMm * LengthMm), yieldMpa),
        ];
    }
}

/// <param name="Splines">Number of them.</param>
/// <param name="OuterMm">Over the splines of the shaft.</param>
/// <param name="InnerMm">At their feet.</param>
public sealed record SplineJoint(int Splines, double OuterMm, double InnerMm, double LengthMm) : ShaftHubConnection
{
    /// <summary>Of the flanks that carry at once. Source: German machine-element textbooks (from memory).</summary>
    private const double Carrying = 0.75;

    internal override Guard Check() =>
        new Guard()
            .Between(nameof(Splines), Splines, 3, 200, "splines")
            .Between(nameof(OuterMm), OuterMm, 3, 500, "mm")
            .Between(nameof(InnerMm), InnerMm, 2, OuterMm - 0.1, "mm")
            .Between(nameof(LengthMm), LengthMm, 1, 1_000, "mm");

    internal override IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa)
    {
        double mean = (OuterMm + InnerMm) / 2;
        double height = (OuterMm - InnerMm) / 2;
        double force = 2_000 * torqueNm / mean;
        return [new(ConnectionStressKind.Bearing, force / (Carrying * Splines * height * LengthMm), yieldMpa)];
    }
}

/// <param name="CircleMm">Diameter that the bolts stand on.</param>
/// <param name="BoltMm">Diameter in the joint: of the thread's core where the thread reaches into it.</param>
public sealed record BoltCircle(int Bolts, double CircleMm, double BoltMm) : ShaftHubConnection
{
    internal override Guard Check() =>
        new Guard()
            .Between(nameof(Bolts), Bolts, 2, 60, "bolts")
            .Between(nameof(CircleMm), CircleMm, 5, 1_000, "mm")
            .Between(nameof(BoltMm), BoltMm, 1, 100, "mm");

    internal override IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa)
    {
        double force = 2_000 * torqueNm / (CircleMm * Bolts);
        return [new(ConnectionStressKind.Shear, 4 * force / (Math.PI * BoltMm * BoltMm), ShearShare * yieldMpa)];
    }
}

/// <param name="DiameterMm">At the thinnest place.</param>
/// <param name="BoreMm">0 for a solid one.</param>
public sealed record SolidShaft(double DiameterMm, double BoreMm) : ShaftHubConnection
{
    internal override Guard Check() =>
        new Guard()
            .Between(nameof(DiameterMm), DiameterMm, 1, 500, "mm")
            .Between(nameof(BoreMm), BoreMm, 0, DiameterMm - 0.1, "mm");

    internal override IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa)
    {
        double hollow = 1 - Math.Pow(BoreMm / DiameterMm, 4);
        double stress = 16_000 * torqueNm / (Math.PI * Math.Pow(DiameterMm, 3) * hollow);
        return [new(ConnectionStressKind.Torsion, stress, ShearShare * yieldMpa)];
    }
}

public enum ConnectionStressKind
{
    Shear,

    /// <summary>Flank pressed on flank.</summary>
    Bearing,
    Torsion,
}

/// <param name="YieldMpa">Stress at which it gives way for good.</param>
public sealed record ConnectionStress(ConnectionStressKind Kind, double StressMpa, double YieldMpa)
{
    public double Margin => YieldMpa / StressMpa;
}
