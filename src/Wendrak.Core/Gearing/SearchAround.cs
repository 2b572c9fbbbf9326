namespace Wendrak.Core.Gearing;

/// <summary>Where to look first for other wheels.</summary>
public static class SearchAround
{
    // Wheels within this share of the fitted one usually go on with the same chain and guards; common practice.
    private const double ToothedRearShare = 0.12;
    private const double ToothedFrontShare = 0.13;
    private const double FrictionShare = 0.4;

    /// <summary>A search around the fitted wheels, at least two teeth in front and three behind to either side.</summary>
    public static LoopSearch Fitted(Loop loop, LoopChoice fitted, WorkCosts? work)
    {
        double front = loop.IsToothed
            ? Math.Max(2, Math.Round(fitted.FrontSize * ToothedFrontShare))
            : fitted.FrontSize * FrictionShare;
        double rear = loop.IsToothed
            ? Math.Max(3, Math.Round(fitted.RearSize * ToothedRearShare))
            : fitted.RearSize * FrictionShare;
        double smallest = WheelSize.Smallest(loop.DriveElement);
        double largest = WheelSize.Largest(loop.DriveElement);
        return new(
            loop.Key,
            Math.Max(smallest, fitted.FrontSize - front),
            Math.Min(largest, fitted.FrontSize + front),
            Math.Max(smallest, fitted.RearSize - rear),
            Math.Min(largest, fitted.RearSize + rear),
            false,
            !loop.IsToothed,
            null,
            fitted.Links,
            work,
            []
        );
    }
}
