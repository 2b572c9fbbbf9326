namespace Wendrak.Core.Gearing;

/// <summary>Says of one combination of wheels what it brings for an aim. Made once per search, asked per pair.</summary>
internal sealed class RatioAssessor
{
    private readonly LoopCandidates[] _loops;
    private readonly double[] _rest;
    private readonly BandSpan[] _bands;
    private readonly Dictionary<ulong, string[]> _labelsOfBands = [];
    private readonly double? _shaftSpeedPerOverall;
    private readonly DriveInput _input;
    private readonly double? _circumferenceMm;

    public RatioBandsResult? Bands { get; }
    public DriveGear AimGear { get; }
    public double FittedRatio { get; }
    public IReadOnlyList<SearchedGear> Gears { get; }

    /// <summary>Bands of final ratio with overlaps joined, lowest first.</summary>
    public IReadOnlyList<(double Low, double High)> MergedBands { get; }

    public RatioAssessor(DriveTrain train, RatioSearchInput input, LoopCandidates[] loops)
    {
        _loops = loops;
        string[] keys = [.. input.Search.Select(s => s.LoopKey)];
        DriveOutput output = train.ReferenceOutput(keys[^1]);
        Bands = input.Aim is { } aim ? RatioBands.Find(train, keys, input.RoadWheels, aim, input.Gears) : null;
        _bands =
        [
            .. (Bands?.Bands ?? []).Select(b => new BandSpan(
                b.FinalLow,
                b.FinalHigh,
                1 / b.FinalGeometricMiddle,
                b.GearIndex,
                b.GearLabel
            )),
        ];
        AimGear = train.Gears[Bands?.AimGearIndex ?? train.Gears.Count - 1];
        Gears =
        [
            .. train.Gears.Select(g => new SearchedGear(g.Label, Math.Abs(train.Reduction(output.Shaft, g, keys)))),
        ];
        _rest = [.. Gears.Select(g => g.RestReduction)];
        FittedRatio = train.FinalRatio(keys);
        _shaftSpeedPerOverall = SpeedPerOverall(input.Aim, output, input.RoadWheels);
        _input = train.Drive.Input;
        _circumferenceMm = RoadWheels.On(output, input.RoadWheels) is { } wheel
            ? RollingCircumference.For(wheel).CircumferenceMm
            : null;
        MergedBands = Merge(Bands?.Bands ?? []);
    }

    public RatioCandidate Assess(LoopPick[] picks, double ratio)
    {
        double change = RatioChange.Percent.Value(ratio, FittedRatio);
        double overall = ratio * _rest[AimGear.Index];
        (ulong met, int spokenGear, double? offTarget) = Place(ratio);
        (ChangedSprockets changed, double minutes, double? money) = Effort(picks);
        return new(
            picks,
            ratio,
            change,
            RatioChange.Direction(change),
            overall,
            _shaftSpeedPerOverall * ratio * _rest[spokenGear],
            _input.LimitSpeedRpm / overall,
            _input.Kind == InputKind.Rider && _circumferenceMm is double u
                ? BicycleGear.Compute(overall, u, _input.CrankLengthMm)
                : null,
            BandGears(met),
            offTarget,
            changed,
            minutes,
            money,
            null,
            null
        );
    }

    /// <summary>Shaft speed at the aim for an overall ratio of 1; null for an aim that names no speed.</summary>
    private static double? SpeedPerOverall(AimTarget? aim, DriveOutput output, IReadOnlyList<RoadWheelChoice> wheels)
    {
        if (aim?.RoadSpeedKmh is double speed && RoadWheels.On(output, wheels) is { } wheel)
            return RoadSpeed.ShaftRpm.Value(speed, 1, RollingCircumference.For(wheel).CircumferenceMm);
        return aim is OutputSpeed o ? o.OutputSpeedRpm : null;
    }

    /// <summary>What an assessment asks of a band, side by side in memory: thousands of pairs are held against each.</summary>
    private readonly record struct BandSpan(double Low, double High, double PerTarget, int GearIndex, string GearLabel);

    /// <summary>Where a ratio stands to the bands.</summary>
    /// <returns>
    /// The bands met, one bit each; the gear to speak of, which is the aim's unless only another gear's band is met;
    /// percent from the middle of the nearest band, null without one.
    /// </returns>
    private (ulong Met, int SpokenGear, double? OffTarget) Place(double ratio)
    {
        ulong met = 0;
        int firstMet = -1;
        bool isAimGearMet = false;
        double nearest = double.MaxValue;
        for (int i = 0; i < _bands.Length; i++)
        {
            ref readonly BandSpan band = ref _bands[i];
            double off = ratio * band.PerTarget - 1;
            if (Math.Abs(off) < Math.Abs(nearest))
                nearest = off;
            if (ratio < band.Low || ratio > band.High)
                continue;
            met |= 1UL << i;
            isAimGearMet |= band.GearIndex == AimGear.Index;
            if (firstMet < 0)
                firstMet = band.GearIndex;
        }
        int spoken = isAimGearMet || firstMet < 0 ? AimGear.Index : firstMet;
        return (met, spoken, _bands.Length == 0 ? null : nearest * 100);
    }

    /// <summary>Labels of the gears whose band is met. Few sets of gears occur, so each is made once.</summary>
    private string[] BandGears(ulong met)
    {
        if (met == 0)
            return [];
        if (!_labelsOfBands.TryGetValue(met, out string[]? labels))
            _labelsOfBands[met] = labels = [
                .. _bands.Where((_, i) => (met & (1UL << i)) != 0).Select(b => b.GearLabel),
            ];
        return labels;
    }

    private (ChangedSprockets ChangedSprockets, double Minutes, double? Money) Effort(LoopPick[] picks)
    {
        ChangedSprockets changed = ChangedSprockets.Nothing;
        double minutes = 0;
        double? money = 0;
        for (int i = 0; i < picks.Length; i++)
        {
            LoopPick pick = picks[i];
            if (pick.ChangedSprockets == ChangedSprockets.Nothing)
                continue;
            WorkCosts work = _loops[i].Work;
            (double loopMinutes, double loopMoney) = pick.ChangedSprockets switch
            {
                ChangedSprockets.FrontOnly => (work.FrontMinutes, work.FrontMoney),
                ChangedSprockets.RearOnly => (work.RearMinutes, work.RearMoney),
                _ => (work.BothMinutes, work.BothMoney),
            };
            minutes += loopMinutes;
            money += loopMoney + pick.Front.Price + pick.Rear.Price;
            changed = changed == ChangedSprockets.Nothing ? pick.ChangedSprockets : ChangedSprockets.SeveralLoops;
        }
        return (changed, minutes, money);
    }

    private static List<(double Low, double High)> Merge(IReadOnlyList<RatioBand> bands)
    {
        List<(double Low, double High)> merged = [];
        foreach (RatioBand band in bands.OrderBy(b => b.FinalLow))
        {
            if (merged.Count > 0 && band.FinalLow <= merged[^1].High)
                merged[^1] = (merged[^1].Low, Math.Max(merged[^1].High, band.FinalHigh));
            else
                merged.Add((band.FinalLow, band.FinalHigh));
        }
        return merged;
    }
}
