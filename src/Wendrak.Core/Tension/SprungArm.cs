using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Tension;

/// <summary>An idler on a sprung arm, at rest.</summary>
/// <param name="SpringForceN">Of the spring, as it stands.</param>
/// <param name="WrapDeg">Of the run round the idler.</param>
/// <param name="AngleDeg">Between the idler's force and the arm.</param>
/// <param name="SpringLeverMm">From the arm's pivot to the line of the spring.</param>
/// <param name="RateNPerMm">What the spring gains for each mm that its screw presses it; null where nobody measured it.</param>
/// <param name="ArmMm">From the arm’s pivot to the idler’s axle, mm.</param>
public sealed record SprungArmInput(
    double SpringForceN,
    double WrapDeg,
    double ArmMm,
    double AngleDeg,
    double SpringLeverMm,
    double? RateNPerMm = null
)
{
    internal Guard Check() =>
        new Guard()
            .Between(nameof(SpringForceN), SpringForceN, 0, 1e5, "N")
            .Between(nameof(WrapDeg), WrapDeg, 1, 360, "°")
            .Between(nameof(ArmMm), ArmMm, 1, 5_000, "mm")
            .Between(nameof(AngleDeg), AngleDeg, 1, 179, "°")
            .Between(nameof(SpringLeverMm), SpringLeverMm, 1, 5_000, "mm")
            .BetweenIfGiven(nameof(RateNPerMm), RateNPerMm, 0.01, 10_000, "N/mm");
}

/// <param name="TensionN">Of the run that the spring holds.</param>
/// <param name="NPerMm">What a mm of its screw adds to that; null where nobody measured the spring.</param>
/// <param name="IdlerForceN">That the run puts on the idler, N.</param>
/// <param name="ArmMomentNm">About the arm’s pivot, Nm.</param>
public sealed record SprungArmResult(
    double TensionN,
    double? NPerMm,
    double IdlerForceN,
    double ArmMomentNm,
    IReadOnlyList<Working> Workings
);

/// <summary>Tension that a sprung arm holds: moments about the arm's pivot.</summary>
public static class SprungArm
{
    private const string Statics = "statics";
    private const string AtRest =
        "At rest. Self-tensioning is help, not a verdict: look whether the arm still has way.";
    private static readonly Quantity Lever = new("its lever", "mm");
    private static readonly Quantity Wrap = new("wrap of the idler", "°");
    private static readonly Quantity Arm = new("arm", "mm");
    private static readonly Quantity Angle = new("between the idler's force and the arm", "°");
    private static readonly Quantity Spring = new("spring", "N");

    private static readonly Formula<Func<double, double, double>> Moment = new(
        "Moment of the spring about the arm's pivot",
        "M",
        ("about the pivot", "Nm"),
        (F_s, l) => F_s * l / 1000,
        [Spring, Lever],
        Statics,
        AtRest
    );

    private static readonly Formula<Func<double, double, double, double, double>> IdlerForce = new(
        "Force on the idler",
        "F",
        ("on the idler", "N"),
        (F_s, l, r, α) => F_s * l / (r * Sin(Rad(α))),
        [Spring, Lever, Arm, Angle],
        Statics,
        AtRest
    );

    private static readonly Formula<Func<double, double, double, double, double, double>> Tension = new(
        "Tension that the spring holds",
        "T",
        ("of the run", "N"),
        (F_s, l, θ, r, α) => F_s * l / (2 * Sin(Rad(θ) / 2) * r * Sin(Rad(α))),
        [Spring, Lever, Wrap, Arm, Angle],
        Statics,
        AtRest
    );

    private static readonly Formula<Func<double, double, double>> ForEachMm = new(
        "What a mm of its screw adds",
        "k",
        ("tension for each mm", "N/mm"),
        (c, q) => c * q,
        [("rate of the spring", "N/mm"), ("tension for each newton of the spring", "")],
        Statics,
        AtRest
    );

    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static SprungArmResult Compute(SprungArmInput input)
    {
        input.Check().ThrowIfAny();
        Explained moment = Moment.With(input.SpringForceN, input.SpringLeverMm);
        Explained idler = IdlerForce.With(input.SpringForceN, input.SpringLeverMm, input.ArmMm, input.AngleDeg);
        Explained tension = TensionAt(input, input.SpringForceN);
        Explained? each = input.RateNPerMm is double rate ? ForEachMm.With(rate, PerSpringN(input)) : null;
        return new(
            tension.Value,
            each?.Value,
            idler.Value,
            moment.Value,
            [
                tension.Working,
                idler.Working,
                moment.Working,
                .. each is { } screw ? [screw.Working] : Array.Empty<Working>(),
            ]
        );
    }

    /// <summary>Tension for each newton of the spring.</summary>
    internal static double PerSpringN(SprungArmInput input) => TensionAt(input, 1).Value;

    private static Explained TensionAt(SprungArmInput input, double springN) =>
        Tension.With(springN, input.SpringLeverMm, input.WrapDeg, input.ArmMm, input.AngleDeg);
}
