namespace Wendrak.Core.Loops;

/// <summary>The lowest place of a function between two bounds, where it falls and then rises; never beyond them.</summary>
/// <remarks>Golden section. Source: Press and others, Numerical Recipes, ch. 10.1.</remarks>
internal static class LowestPlace
{
    private static readonly double Golden = (Math.Sqrt(5) - 1) / 2;

    /// <returns>A place between the bounds, not more than the accuracy away; one of the bounds where it only falls or only rises.</returns>
    public static double Find(Func<double, double> function, double low, double high, double accuracy)
    {
        (double left, double right) = (high - Golden * (high - low), low + Golden * (high - low));
        (double atLeft, double atRight) = (function(left), function(right));
        while (high - low > accuracy && left < right)
            if (atLeft < atRight)
            {
                (high, right, atRight) = (right, left, atLeft);
                left = high - Golden * (high - low);
                atLeft = function(left);
            }
            else
            {
                (low, left, atLeft) = (left, right, atRight);
                right = low + Golden * (high - low);
                atRight = function(right);
            }
        return (low + high) / 2;
    }
}
