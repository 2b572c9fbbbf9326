using Wendrak.Core.Quantities;

namespace Wendrak.Core.Alignment;

/// <summary>Angle between a wheel and a string stretched along the other one, from two distances. Source: trigonometry.</summary>
public static class StringLine
{
    /// <param name="nearMm">From string to wheel at its edge nearer to the other wheel.</param>
    /// <param name="farMm">At its far edge.</param>
    /// <param name="apartMm">Between both places.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double AngleDeg(double nearMm, double farMm, double apartMm)
    {
        new Guard()
            .Between(nameof(nearMm), nearMm, -50, 200, "mm")
            .Between(nameof(farMm), farMm, -50, 200, "mm")
            .Between(nameof(apartMm), apartMm, 1, 3_000, "mm")
            .ThrowIfAny();
        return Math.Atan((farMm - nearMm) / apartMm) * 180 / Math.PI;
    }
}
