using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>An aim that is remembered, with what was tried against it.</summary>
/// <param name="Id">Of the aim.</param>
/// <param name="Name">What people call it.</param>
public sealed record RememberedAim(
    long Id,
    string Name,
    AimTarget Target,
    Conditions Conditions,
    Wishes Wishes,
    IReadOnlyList<AimOutcome> Outcomes
);

/// <summary>A new aim beside the remembered ones of the same drive.</summary>
/// <param name="LoopKey">Key of the loop it is about.</param>
public sealed record NearestAimInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    string LoopKey,
    AimTarget Target,
    Conditions Conditions,
    Wishes Wishes,
    IReadOnlyList<RememberedAim> Remembered
);

/// <summary>How near a remembered aim is.</summary>
/// <param name="RatioApartPercent">Its middle ratio against the new one's, percent.</param>
/// <param name="ConditionsApart">How many of surface, weather and load are stated and different, 0 to 3.</param>
/// <param name="Distance">The figure they are sorted by; 0 is the same aim.</param>
/// <param name="Best">The best-scored outcome, the newer of equals; null when nothing was tried.</param>
/// <param name="Id">Of the aim.</param>
/// <param name="Name">What people call it.</param>
/// <param name="WishesApart">How far its wishes differ, all six added up.</param>
public sealed record AimMatch(
    long Id,
    string Name,
    double RatioApartPercent,
    int ConditionsApart,
    int WishesApart,
    double Distance,
    AimOutcome? Best
);

/// <summary>Aims that are like the one asked about.</summary>
public sealed record NearestAimResult(IReadOnlyList<AimMatch> Matches);

/// <summary>Finds the remembered aim that a new one resembles, so that the good setup is found again.</summary>
public static class NearestAim
{
    // Weights: one unit is 5 % of ratio, about one front tooth on a motorcycle; a changed surface or load weighs half
    // of that, one step of a wish a tenth. An ordering rule of this product, not of the trade.
    private const double PercentPerUnit = 5;
    private const double UnitsPerCondition = 0.5;
    private const double UnitsPerWishStep = 0.1;

    /// <returns>All remembered aims that can still be computed for this drive, nearest first.</returns>
    public static NearestAimResult Find(NearestAimInput input)
    {
        DriveTrain train = new(input.Drive, input.Loops);
        double wanted = Refusal.Renamed("Aim.", "Target.", () => MiddleFinal(train, input, input.Target));
        List<AimMatch> matches = [];
        foreach (RememberedAim aim in input.Remembered)
        {
            // A drive may have lost a gear or its tyre size since the aim was kept: such an aim is passed over.
            if (AimRules.Check(aim.Target, train.Gears.Count).HasIssues || !CanBeBanded(train, input, aim.Target))
                continue;
            matches.Add(Match(aim, RatioChange.Percent.Value(MiddleFinal(train, input, aim.Target), wanted), input));
        }
        return new([.. matches.OrderBy(m => m.Distance).ThenBy(m => m.Id)]);
    }

    private static AimMatch Match(RememberedAim aim, double percent, NearestAimInput input)
    {
        int conditions =
            Apart(aim.Conditions.Surface, input.Conditions.Surface)
            + Apart(aim.Conditions.Weather, input.Conditions.Weather)
            + Apart(aim.Conditions.Load, input.Conditions.Load);
        int wishes = WishSteps(aim.Wishes, input.Wishes);
        double distance =
            Math.Abs(percent) / PercentPerUnit + conditions * UnitsPerCondition + wishes * UnitsPerWishStep;
        AimOutcome? best = aim.Outcomes.OrderByDescending(o => o.Score).ThenByDescending(o => o.On).FirstOrDefault();
        return new(aim.Id, aim.Name, percent, conditions, wishes, distance, best);
    }

    private static double MiddleFinal(DriveTrain train, NearestAimInput input, AimTarget target)
    {
        RatioBandsResult bands = RatioBands.Find(train, [input.LoopKey], input.RoadWheels, target, []);
        // Compared by the ratio to be chosen: the aim in its own gear stands for its other gears.
        RatioBand band = bands.Bands.FirstOrDefault(b => b.GearIndex == bands.AimGearIndex) ?? bands.Bands[^1];
        return band.FinalGeometricMiddle;
    }

    private static bool CanBeBanded(DriveTrain train, NearestAimInput input, AimTarget target)
    {
        DriveOutput output = train.ReferenceOutput(input.LoopKey);
        bool hasWheel = RoadWheels.On(output, input.RoadWheels) is not null;
        bool needsWheel = target is CruiseSpeed or TopSpeed or SpeedAtCadence or GainRatio or MatchSetup;
        // A matched setup remembers wheels of loops that may have been renamed or removed since.
        bool fits =
            target is not MatchSetup match
            || !DriveRules.CheckChoices(train.Drive.Stages.OfType<Loop>(), match.Loops).HasIssues;
        bool hasCrank = target is not GainRatio || input.Drive.Input.CrankLengthMm is not null;
        return fits && hasCrank && (hasWheel || !needsWheel);
    }

    private static int Apart(string? a, string? b) =>
        string.IsNullOrWhiteSpace(a) || string.IsNullOrWhiteSpace(b) ? 0
        : string.Equals(a.Trim(), b.Trim(), StringComparison.OrdinalIgnoreCase) ? 0
        : 1;

    private static int WishSteps(Wishes a, Wishes b) =>
        Math.Abs(a.LittleUpkeep - b.LittleUpkeep)
        + Math.Abs(a.Quiet - b.Quiet)
        + Math.Abs(a.Range - b.Range)
        + Math.Abs(a.CarryingLoads - b.CarryingLoads)
        + Math.Abs(a.Response - b.Response)
        + Math.Abs(a.LowCost - b.LowCost);
}
