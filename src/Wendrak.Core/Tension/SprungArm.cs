using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>An idler on a sprung arm, at rest.</summary>
/// <param name="SpringForceN">Of the spring, as it stands.</param>
/// <param name="WrapDeg">Of the run round the idler.</param>
/// <param name="AngleDeg">Between the idler's force and the arm.</param>
/// <param name="SpringLeverMm">From the arm's pivot to the line of the spring.</param>
/// <param name="RateNPerMm">What the spring gains for each mm that its screw presses it; null where nobody measured it.</param>
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
public sealed record SprungArmResult(
    double TensionN,
    double? NPerMm,
    double IdlerForceN,
    double ArmMomentNm,
    IReadOnlyList<Working> Workings
);

/// <summary>Tension that a sprung arm holds. Source: statics.</summary>
/// <remarks>T = F_s·l/(2·sin(θ/2)·r·sin α): moments about the arm's pivot.</remarks>
public static class SprungArm
{
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static SprungArmResult Of(SprungArmInput input)
    {
        input.Check().ThrowIfAny();
        double moment = input.SpringForceN * input.SpringLeverMm / 1_000;
        double idler = moment / (input.ArmMm / 1_000 * Sin(input.AngleDeg));
        double tension = idler / (2 * Sin(input.WrapDeg / 2));
        return new(
            tension,
            input.RateNPerMm * PerSpringN(input),
            idler,
            moment,
            [
                new(
                    "Tension that the spring holds",
                    "T = F_s·l/(2·sin(θ/2)·r·sin α)",
                    [
                        new("F_s", "spring", input.SpringForceN, "N"),
                        new("l", "its lever", input.SpringLeverMm, "mm"),
                        new("θ", "wrap of the idler", input.WrapDeg, "°"),
                        new("r", "arm", input.ArmMm, "mm"),
                        new("α", "between the idler's force and the arm", input.AngleDeg, "°"),
                    ],
                    new("T", "of the run", tension, "N"),
                    "statics",
                    "At rest. Self-tensioning is help, not a verdict: look whether the arm still has way."
                ),
            ]
        );
    }

    /// <summary>Tension for each newton of the spring. Source: statics.</summary>
    internal static double PerSpringN(SprungArmInput input) =>
        input.SpringLeverMm / (2 * Sin(input.WrapDeg / 2) * input.ArmMm * Sin(input.AngleDeg));

    private static double Sin(double degrees) => Math.Sin(degrees * Math.PI / 180);
}
