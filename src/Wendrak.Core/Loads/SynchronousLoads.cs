using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Loads;

/// <summary>Whether the teeth of a belt stay in their pulley.</summary>
/// <param name="SlackTensionN">What the slack run keeps; below 0 it hangs loose.</param>
/// <param name="Margin">Installed over needed tension.</param>
public sealed record ToothJump(double SlackTensionN, double NeededTensionN, double Margin);

/// <summary>Toothed belts. Source: ISO 5295; tooth jump: an engineering estimate from statics, not a standard.</summary>
public static class SynchronousLoads
{
    private const string Iso = "ISO 5295";
    private static readonly Quantity Mesh = new("teeth in mesh counted", "");

    public static readonly Formula<Func<double, double>> MeshShare = new(
        "Teeth in mesh factor",
        "k_z",
        Mesh,
        z => Max(0.2, Min(1, 1 - 0.2 * (6 - z))),
        [("teeth in mesh", "")],
        Iso,
        "1 from six teeth in mesh on."
    );

    public static readonly Formula<Func<double, double, double>> WidthShare = new(
        "Width factor",
        "k_w",
        ("width factor", ""),
        (b, b_0) => Pow(b / b_0, 1.14),
        [("width", "mm"), ("base width of the profile", "mm")],
        Iso,
        "A wide belt is worth more than its width."
    );

    public static readonly Formula<Func<double, double, double, double, double, double, double>> AllowedPull = new(
        "Pull that is allowed",
        "F_max",
        ("all belts together", "N"),
        (z, k_z, k_w, T_a, m, v) => z * (k_z * k_w * T_a - m * Pow(v, 2)),
        [
            ("belts side by side", ""),
            Mesh,
            ("width factor", ""),
            ("allowed tension at the base width", "N"),
            ("mass of a metre of one belt", "kg/m"),
            ("speed", "m/s"),
        ],
        Iso,
        "The maker's figure wins."
    );

    internal static readonly Formula<Func<double, double, double, double>> MakersPull = new(
        "Pull that is allowed",
        "F_max",
        ("all belts together", "N"),
        (z, k_z, F_maker) => z * k_z * F_maker,
        [("belts side by side", ""), Mesh, ("the maker's pull of one belt", "N")],
        "the maker; teeth in mesh: ISO 5295",
        "The maker's figure wins."
    );

    internal static readonly Formula<Func<double, double, double>> ShockedPull = new(
        "Pull of the belt",
        "F_k",
        ("shock counted", "N"),
        (F, k) => F * k,
        [("pull", "N"), ("service factor", "")],
        "ISO 5295",
        "The hardest pull there is."
    );

    internal static readonly Formula<Func<double, double, double, double, double>> NeededTension = new(
        "Installed tension at which teeth would jump",
        "T_need",
        ("of one run at rest", "N"),
        (F, γ, μ, θ) => F * (0.5 + Max(0, Tan(Rad(γ) - Atan(μ))) / Rad(θ)),
        [("pull", "N"), ("flank of a tooth from the radius", "°"), ("belt on pulley", ""), ("wrap", "°")],
        "engineering estimate from statics, no standard",
        "A flank steeper than friction holds by itself: then the slack run must only not go loose."
    );

    internal static readonly Formula<Func<double, double, double>> JumpMargin = new(
        "Tooth jump",
        "S",
        ("installed over needed tension", ""),
        (T_i, T_need) => T_i / T_need,
        [("installed tension", "N"), ("at which teeth would jump", "N")],
        "engineering estimate from statics, no standard",
        "1.5 advised."
    );

    /// <summary>T_need = F·(1/2 + tan(γ − atan μ)/θ).</summary>
    /// <param name="installedTensionN">Of one run at rest.</param>
    /// <param name="flankAngleDeg">Of the tooth, from the radius.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ToothJump Jump(
        double installedTensionN,
        double pullN,
        double flankAngleDeg,
        double friction,
        double wrapDeg
    )
    {
        new Guard()
            .AtLeast(nameof(installedTensionN), installedTensionN, 0, "N")
            .MoreThan(nameof(pullN), pullN, 0, "N")
            .Between(nameof(flankAngleDeg), flankAngleDeg, 0, 60, "°")
            .Between(nameof(friction), friction, 0, 2, "")
            .Between(nameof(wrapDeg), wrapDeg, 1, 360, "°")
            .ThrowIfAny();
        double needed = NeededTension.Value(pullN, flankAngleDeg, friction, wrapDeg);
        return new(installedTensionN - pullN / 2, needed, JumpMargin.Value(installedTensionN, needed));
    }
}
