namespace Wendrak.Core.Quantities;

/// <summary>What formulas say beside the functions of <see cref="Math"/>.</summary>
public static class Maths
{
    /// <summary>An angle printed in degrees, as a number.</summary>
    public static double Rad(double degrees) => degrees * Math.PI / 180;

    /// <summary>A number, to be printed in degrees.</summary>
    public static double Deg(double radians) => radians * 180 / Math.PI;

    /// <summary>A share, to be printed in percent.</summary>
    public static double Percent(double part) => part * 100;

    /// <summary>A share printed in percent, as a number.</summary>
    public static double Part(double percent) => percent / 100;

    /// <summary>Greatest common divisor of two positive whole numbers (Euclid VII.2).</summary>
    public static double Gcd(double a, double b)
    {
        while (b != 0)
            (a, b) = (b, a % b);
        return a;
    }
}
