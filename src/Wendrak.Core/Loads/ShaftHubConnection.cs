using System.Text.Json.Serialization;
using Wendrak.Core.Quantities;
using static System.Math;

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

    protected const string Source = "Shigley ch. 3, 7 and 8";
    protected const string Limits =
        "No notch, no bending, bolts taken to carry by shear alone. A proof test that was written down says more.";
    protected static readonly Quantity Stress = new("here", "N/mm²");
    protected static readonly Quantity Torque = new("torque", "Nm");

    protected static Quantity Mm(string meaning) => new(meaning, "mm");

    /// <summary>Shear yields at 0.577 of the yield strength: distortion energy, Shigley ch. 5.</summary>
    protected const double ShearShare = 0.577;
}

/// <param name="ShaftMm">Diameter of the shaft.</param>
/// <param name="LengthMm">Of the key where it bears.</param>
/// <param name="WidthMm">Of the key, mm.</param>
/// <param name="HeightMm">Of the key, mm.</param>
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
        Explained shear = Shear.With(torqueNm, ShaftMm, WidthMm, LengthMm);
        Explained bearing = Bearing.With(torqueNm, ShaftMm, HeightMm, LengthMm);
        return
        [
            new(ConnectionStressKind.Shear, shear, ShearShare * yieldMpa),
            new(ConnectionStressKind.Bearing, bearing, yieldMpa),
        ];
    }

    private static readonly Formula<Func<double, double, double, double, double>> Shear = new(
        "Shear of the key",
        "τ",
        Stress,
        (T, d, w, l) => 2000 * T / (d * w * l),
        [Torque, Mm("shaft"), Mm("key width"), Mm("length")],
        Source,
        Limits
    );

    private static readonly Formula<Func<double, double, double, double, double>> Bearing = new(
        "Flank of the key",
        "p",
        Stress,
        (T, d, h, l) => 4000 * T / (d * h * l),
        [Torque, Mm("shaft"), Mm("key height, half of it bears"), Mm("length")],
        Source,
        Limits
    );
}

/// <param name="Splines">Number of them.</param>
/// <param name="OuterMm">Over the splines of the shaft.</param>
/// <param name="InnerMm">At their feet.</param>
/// <param name="LengthMm">Of the teeth that carry, mm.</param>
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
        Explained bearing = Bearing.With(torqueNm, OuterMm, InnerMm, Carrying, Splines, LengthMm);
        return [new(ConnectionStressKind.Bearing, bearing, yieldMpa)];
    }

    private static readonly Formula<Func<double, double, double, double, double, double, double>> Bearing = new(
        "Flanks of the splines",
        "p",
        Stress,
        (T, D, d, c, z, l) => 2000 * T / ((D + d) / 2 * c * z * ((D - d) / 2) * l),
        [
            Torque,
            Mm("over the splines"),
            Mm("at their feet"),
            ("part of the flanks that carries at once", ""),
            ("splines", ""),
            Mm("length"),
        ],
        "Shigley ch. 7; splines: German machine-element textbooks (from memory)",
        Limits
    );
}

/// <param name="CircleMm">Diameter that the bolts stand on.</param>
/// <param name="BoltMm">Diameter in the joint: of the thread's core where the thread reaches into it.</param>
/// <param name="Bolts">How many.</param>
public sealed record BoltCircle(int Bolts, double CircleMm, double BoltMm) : ShaftHubConnection
{
    internal override Guard Check() =>
        new Guard()
            .Between(nameof(Bolts), Bolts, 2, 60, "bolts")
            .Between(nameof(CircleMm), CircleMm, 5, 1_000, "mm")
            .Between(nameof(BoltMm), BoltMm, 1, 100, "mm");

    internal override IReadOnlyList<ConnectionStress> At(double torqueNm, double yieldMpa)
    {
        Explained shear = Shear.With(torqueNm, CircleMm, Bolts, BoltMm);
        return [new(ConnectionStressKind.Shear, shear, ShearShare * yieldMpa)];
    }

    private static readonly Formula<Func<double, double, double, double, double>> Shear = new(
        "Shear of the bolts",
        "τ",
        Stress,
        (T, D, n, d) => 2000 * T / (D * n * PI * Pow(d, 2) / 4),
        [Torque, Mm("bolt circle"), ("bolts", ""), Mm("bolt in the joint")],
        Source,
        Limits
    );
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
        Explained torsion = Torsion.With(torqueNm, DiameterMm, BoreMm);
        return [new(ConnectionStressKind.Torsion, torsion, ShearShare * yieldMpa)];
    }

    private static readonly Formula<Func<double, double, double, double>> Torsion = new(
        "Torsion of the shaft",
        "τ",
        Stress,
        (T, d, d_i) => 16_000 * T / (PI * Pow(d, 3) * (1 - Pow(d_i / d, 4))),
        [Torque, Mm("shaft"), Mm("bore")],
        Source,
        Limits
    );
}

/// <summary>Where a joint of wheel and shaft is stressed.</summary>
public enum ConnectionStressKind
{
    Shear,

    /// <summary>Flank pressed on flank.</summary>
    Bearing,
    Torsion,
}

/// <summary>A stress in a joint of wheel and shaft, and how much of it the material stands.</summary>
/// <param name="YieldMpa">Stress at which it gives way for good.</param>
/// <param name="StressMpa">Stress by the torque, MPa.</param>
public sealed record ConnectionStress(ConnectionStressKind Kind, double StressMpa, double YieldMpa)
{
    internal ConnectionStress(ConnectionStressKind kind, Explained stress, double yieldMpa)
        : this(kind, stress.Value, yieldMpa) => Stress = stress;

    internal Explained Stress { get; }

    /// <summary>Yield stress over it.</summary>
    public double Margin => YieldMpa / StressMpa;
}
