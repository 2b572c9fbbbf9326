namespace Wendrak.Core.Gearing;

/// <summary>What limits the wheels of a loop on its machine.</summary>
internal sealed class WheelLimits(Drive drive, Loop loop)
{
    /// <summary>A gear hub on the wheel side of the loop limits how low front over rear may go.</summary>
    private readonly double? _hubSmallestPrimary = drive
        .Stages.OfType<HubGear>()
        .FirstOrDefault(h => h.DrivingShaft == loop.DrivenShaft)
        ?.SmallestPrimaryRatio;

    /// <param name="ratio">Rear over front, slip included.</param>
    /// <param name="largestRatio">Allowed in this loop; null for no limit.</param>
    public IReadOnlyList<ConstraintBreak> BreaksOf(double front, double rear, double ratio, double? largestRatio)
    {
        bool rearTooLarge = rear > loop.LargestRear;
        bool frontTooSmall = front < loop.SmallestFront;
        bool hubTooLow = front / rear < _hubSmallestPrimary;
        bool ratioTooLarge = ratio > largestRatio;
        if (!rearTooLarge && !frontTooSmall && !hubTooLow && !ratioTooLarge)
            return [];
        List<ConstraintBreak> breaks = [];
        if (rearTooLarge)
            breaks.Add(ConstraintBreak.RearTooLarge);
        if (frontTooSmall)
            breaks.Add(ConstraintBreak.FrontTooSmall);
        if (hubTooLow)
            breaks.Add(ConstraintBreak.HubPrimaryTooLow);
        if (ratioTooLarge)
            breaks.Add(ConstraintBreak.LoopRatioTooLarge);
        return breaks;
    }
}
