using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>An idler on a sprung arm, at rest.</summary>
/// <param name="SpringForceN">Of the spring, as it stands.</param>
/// <param name="WrapDeg">Of the run round the idler.</param>
/// <param name="AngleDeg">Between the idler's force and the arm.</param>
/// <param name="SpringLeverMm">From the arm's pivot to the line of the spring.</param>
public sealed record SprungArmInput(
    double SpringForceN,
    double WrapDeg,
    double ArmMm,
    double AngleDeg,
    double SpringLeverMm
);

/// <param name="TensionN">Of the run that the spring holds.</param>
public sealed record SprungArmResult(
    double TensionN,
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
        new Guard()
            .Between(nameof(input.SpringForceN), input.SpringForceN, 0, 1e5, "N")
            .Between(nameof(input.WrapDeg), input.WrapDeg, 1, 360, "°")
            .Between(nameof(input.ArmMm), input.ArmMm, 1, 5_000, "mm")
            .Between(nameof(input.AngleDeg), input.AngleDeg, 1, 179, "°")
            .Between(nameof(input.SpringLeverMm), input.SpringLeverMm, 1, 5_000, "mm")
            .ThrowIfAny();
        double moment = input.SpringForceN * input.SpringLeverMm / 1_000;
        double idler = moment / (input.ArmMm / 1_000 * Sin(input.AngleDeg));
        double tension = idler / (2 * Sin(input.WrapDeg / 2));
        return new(
            tension,
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

    private static double Sin(double degrees) => Math.Sin(degrees * Math.PI / 180);
}
