namespace Wendrak.Core.Gearing;

/// <summary>Says of one combination of wheels what it brings for an aim. Made once per search, asked per pair.</summary>
internal sealed class RatioAssessor
{
    private readonly LoopCandidates[] _loops;
    private readonly double[] _fixedByGear;
    private readonly RatioBand[] _bands;
    private readonly Dictionary<ulong, string[]> _labelsOfBands = [];
    private readonly double? _shaftSpeedPerOverall;
    private readonly DriveInput _input;
    private readonly double? _circumferenceMm;

    public RatioBandsResult? Bands { get; }
    public DriveGear AimGear { get; }
    public double FittedRatio { get; }
    public IReadOnlyList<string> GearLabels { get; }

    /// <summary>Bands of final ratio with overlaps joined, lowest first.</summary>
    public IReadOnlyList<(double Low, double High)> MergedBands { get; }

    public RatioAssessor(DriveTrain train, RatioSearchInput input, LoopCandidates[] loops)
    {
        _loops = loops;
        string[] keys = [.. input.Search.Select(s => s.LoopKey)];
        DriveOutput output = train.ReferenceOutput(keys[^1]);
        Bands = input.Aim is { } aim ? RatioBands.Of(train, keys, input.RoadWheels, aim, input.Gears) : null;
        _bands = [.. Bands?.Bands ?? []];
        AimGear = train.Gears[Bands?.AimGearIndex ?? train.Gears.Count - 1];
        GearLabels = [.. train.Gears.Select(g => g.Label)];
        _fixedByGear = [.. train.Gears.Select(g => Math.Abs(train.Reduction(output.Shaft, g, keys)))];
        FittedRatio = keys.Aggregate(1.0, (product, key) => product * FittedLoopRatio(train, key));
        _shaftSpeedPerOverall = SpeedPerOverall(input.Aim, output, input.RoadWheels);
        _input = train.Drive.Input;
        _circumferenceMm = RoadWheels.On(output, input.RoadWheels) is { } wheel
            ? RollingCircumference.Of(wheel).CircumferenceMm
            : null;
        MergedBands = Merge(_bands);
    }

    public RatioCandidate Assess(LoopPick[] picks, double ratio)
    {
        double change = RatioChange.Percent(ratio, FittedRatio);
        double[] overalls = new double[_fixedByGear.Length];
        for (int g = 0; g < overalls.Length; g++)
            overalls[g] = ratio * _fixedByGear[g];
        double overall = overalls[AimGear.Index];
        (Moves moves, double minutes, double? money) = Effort(picks);
        return new(
            picks,
            ratio,
            change,
            RatioChange.Direction(change),
            overall,
            overalls,
            _shaftSpeedPerOverall * overalls[SpokenGear(ratio)],
            _input.LimitSpeedRpm / overall,
            _input.Kind == InputKind.Rider && _circumferenceMm is double u
                ? BicycleGear.Of(overall, u, _input.CrankLengthMm)
                : null,
            BandGears(ratio),
            OffTarget(ratio),
            moves,
            minutes,
            money,
            null,
            null
        );
    }

    private static double FittedLoopRatio(DriveTrain train, string key)
    {
        Loop loop = train.Drive.Stages.OfType<Loop>().First(l => l.Key == key);
        LoopChoice choice = train.ChoiceOf(key);
        return Math.Abs(StageRatio.OfLoop(loop, choice.FrontSize, choice.RearSize));
    }

    /// <summary>Shaft speed at the aim for an overall ratio of 1; null for an aim that names no speed.</summary>
    private static double? SpeedPerOverall(AimTarget? aim, DriveOutput output, IReadOnlyList<RoadWheelChoice> wheels)
    {
        if (aim?.RoadSpeedKmh is double speed && RoadWheels.On(output, wheels) is { } wheel)
            return RoadSpeed.ShaftRpm(speed, 1, RollingCircumference.Of(wheel).CircumferenceMm);
        return aim is OutputSpeed o ? o.OutputSpeedRpm : null;
    }

    /// <summary>Labels of the gears whose band a ratio is in. Few sets of gears occur, so each is made once.</summary>
    private string[] BandGears(double ratio)
    {
        ulong met = 0;
        for (int i = 0; i < _bands.Length; i++)
            if (ratio >= _bands[i].FinalLow && ratio <= _bands[i].FinalHigh)
                met |= 1UL << i;
        if (met == 0)
            return [];
        if (!_labelsOfBands.TryGetValue(met, out string[]? labels))
            _labelsOfBands[met] = labels = [
                .. _bands.Where((_, i) => (met & (1UL << i)) != 0).Select(b => b.GearLabel),
            ];
        return labels;
    }

    /// <summary>The aim's gear, unless only another gear's band is met.</summary>
    private int SpokenGear(double ratio)
    {
        RatioBand? met = null;
        foreach (RatioBand band in _bands)
        {
            if (ratio < band.FinalLow || ratio > band.FinalHigh)
                continue;
            if (band.GearIndex == AimGear.Index)
                return band.GearIndex;
            met ??= band;
        }
        return met?.GearIndex ?? AimGear.Index;
    }

    private double? OffTarget(double ratio)
    {
        if (Bands is null)
            return null;
        double nearest = double.MaxValue;
        foreach (RatioBand band in _bands)
        {
            double percent = RatioChange.Percent(ratio, band.FinalTarget);
            if (Math.Abs(percent) < Math.Abs(nearest))
                nearest = percent;
        }
        return nearest;
    }

    private (Moves Moves, double Minutes, double? Money) Effort(LoopPick[] picks)
    {
        Moves moves = Moves.Nothing;
        double minutes = 0;
        double? money = 0;
        for (int i = 0; i < picks.Length; i++)
        {
            LoopPick pick = picks[i];
            if (pick.Moves == Moves.Nothing)
                continue;
            WorkCosts work = _loops[i].Work;
            (double loopMinutes, double loopMoney) = pick.Moves switch
            {
                Moves.FrontOnly => (work.FrontMinutes, work.FrontMoney),
                Moves.RearOnly => (work.RearMinutes, work.RearMoney),
                _ => (work.BothMinutes, work.BothMoney),
            };
            minutes += loopMinutes;
            money += loopMoney + pick.Front.Price + pick.Rear.Price;
            moves = moves == Moves.Nothing ? pick.Moves : Moves.SeveralLoops;
        }
        return (moves, minutes, money);
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
