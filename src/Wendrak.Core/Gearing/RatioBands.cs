using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>The band of ratios that meets an aim in one gear.</summary>
/// <param name="FinalLow">Lowest ratio of the chosen loops, the tallest accepted.</param>
/// <param name="FinalGeometricMiddle">Middle of the band by proportion, as ratios are felt; of “x ± y %” it is x.</param>
/// <param name="GearIndex">Counted from 0.</param>
/// <param name="GearLabel">Of the gear; empty without gears.</param>
/// <param name="OverallLow">Least turns of the input for one of the output.</param>
/// <param name="OverallHigh">Most of them.</param>
/// <param name="FinalHigh">Highest ratio of the chosen loops, the shortest accepted.</param>
public sealed record RatioBand(
    int GearIndex,
    string GearLabel,
    double OverallLow,
    double OverallHigh,
    double FinalLow,
    double FinalHigh,
    double FinalGeometricMiddle
);

/// <summary>An aim turned into ratio bands.</summary>
/// <param name="Bands">One band per gear that counts.</param>
/// <param name="AimGearIndex">The gear the aim speaks of, or the last one that counts.</param>
public sealed record RatioBandsResult(
    IReadOnlyList<RatioBand> Bands,
    int AimGearIndex,
    IReadOnlyList<Working> Workings
);

/// <summary>Turns an aim into bands of the ratio that is to be chosen.</summary>
public static class RatioBands
{
    /// <param name="train">The drive with its present wheels.</param>
    /// <param name="loopKeys">Loops whose product is the final ratio to be found.</param>
    /// <param name="gears">Gears the person lets count; empty for all.</param>
    /// <param name="explains">Whether the workings are told, too.</param>
    /// <exception cref="InvalidInputException">The target is refused, or needs a road wheel size that is not known.</exception>
    /// <remarks>
    /// Other gears than the aim's count only where the drive says that its gears are interchangeable; an overall
    /// ratio without a gear counts in the gears named, or in the last one.
    /// </remarks>
    public static RatioBandsResult Find(
        DriveTrain train,
        IReadOnlyList<string> loopKeys,
        IReadOnlyList<RoadWheelChoice> roadWheels,
        AimTarget target,
        IReadOnlyList<int> gears,
        bool explains = true
    )
    {
        new Guard("Aim.").Include(AimRules.Check(target, train.Gears.Count)).ThrowIfAny();
        DriveOutput output = train.ReferenceOutput(loopKeys[0]);
        int last = train.Gears.Count - 1;
        switch (target)
        {
            case CruiseSpeed t:
                return AtSpeed(t.GearIndex, t.SpeedKmh, t.ShaftSpeedLowRpm, t.ShaftSpeedHighRpm);
            case SpeedAtCadence t:
                return AtSpeed(t.GearIndex, t.SpeedKmh, t.CadenceLowRpm, t.CadenceHighRpm);
            case TopSpeed t:
            {
                double limit = train.Drive.Input.LimitSpeedRpm;
                double factor = EitherWay(t.TolerancePercent);
                return AtSpeed(t.GearIndex, t.SpeedKmh, limit / factor, limit * factor);
            }
            case OutputSpeed t:
                return Overall(
                    t.GearIndex,
                    OfOutput.Value(t.ShaftSpeedLowRpm, t.OutputSpeedRpm),
                    OfOutput.Value(t.ShaftSpeedHighRpm, t.OutputSpeedRpm),
                    () => OutputWorking(t)
                );
            case OverallRatio t:
                return Overall(t.GearIndex, t.Low, t.High, null);
            case FinalRatio t:
            {
                double fixedPart = Fixed(train.Gears[last]);
                RatioBand band = Band(train.Gears[last], t.Low * fixedPart, t.High * fixedPart);
                // Typed limits come back as typed, not through a product and a quotient.
                return new([band with { FinalLow = t.Low, FinalHigh = t.High }], last, []);
            }
            case GainRatio t:
                return Gain(t);
            case MatchSetup t:
                return Match(t);
            default:
                throw new InvalidOperationException($"No band for {target.GetType().Name}.");
        }

        double Fixed(DriveGear gear) => Math.Abs(train.Reduction(output.Shaft, gear, loopKeys));

        RatioBand Band(DriveGear gear, double low, double high)
        {
            double rest = Fixed(gear);
            return new(
                gear.Index,
                gear.Label,
                low,
                high,
                Share.Value(low, rest),
                Share.Value(high, rest),
                Math.Sqrt(low * high) / rest
            );
        }

        RatioBandsResult AtSpeed(int? aimGear, double kmh, double lowRpm, double highRpm)
        {
            double u = Circumference(output, roadWheels);
            return Overall(
                aimGear,
                RoadSpeed.Reduction.Value(kmh, lowRpm, u),
                RoadSpeed.Reduction.Value(kmh, highRpm, u),
                () => SpeedWorking(kmh, lowRpm, highRpm, u)
            );
        }

        RatioBandsResult Gain(GainRatio t)
        {
            double crank =
                train.Drive.Input.CrankLengthMm
                ?? throw new InvalidInputException(
                    "Drive.Input.CrankLengthMm",
                    "missing",
                    "Give the crank length first: a gain ratio is way of the bicycle per way of the pedal."
                );
            double direct = BicycleGear.DirectGain(Circumference(output, roadWheels), crank);
            return Overall(
                t.GearIndex,
                OfGain.Value(direct, t.High),
                OfGain.Value(direct, t.Low),
                () => GainWorking(t, direct)
            );
        }

        RatioBandsResult Overall(int? aimGear, double low, double high, Func<Working>? working)
        {
            IEnumerable<int> counting = Counting(train.Drive, train.Gears.Count, aimGear, gears);
            RatioBand[] bands = [.. counting.Select(g => Band(train.Gears[g], low, high))];
            int gear = aimGear ?? bands[^1].GearIndex;
            RatioBand own = bands.FirstOrDefault(b => b.GearIndex == gear) ?? bands[^1];
            if (!explains)
                return new(bands, gear, []);
            Working share = ShareWorking(own, Fixed(train.Gears[own.GearIndex]));
            return new(bands, gear, working is null ? [share] : [working(), share]);
        }

        RatioBandsResult Match(MatchSetup t)
        {
            DriveTrain other = new(train.Drive, t.Loops, "Aim.Loops");
            DriveGear gear = train.Gears[last];
            double wheels = Circumference(output, roadWheels) / Circumference(output, t.RoadWheels);
            double there = Math.Abs(other.Reduction(output.Shaft, other.Gears[last]));
            double same = OfMatch.Value(there, wheels);
            double factor = EitherWay(t.TolerancePercent);
            RatioBand band = Band(gear, same / factor, same * factor);
            return new([band], last, explains ? [MatchWorking(t, there, wheels)] : []);
        }
    }

    /// <summary>“± y %” as a factor both ways, so that what was asked is the middle of its band by proportion.</summary>
    private static double EitherWay(double tolerancePercent) => 1 + tolerancePercent / 100;

    private static IEnumerable<int> Counting(Drive drive, int count, int? aimGear, IReadOnlyList<int> chosen)
    {
        IEnumerable<int> named = chosen.Count > 0 ? chosen.Where(g => g >= 0 && g < count).Distinct().Order() : [];
        if (aimGear is int gear)
            return drive.GearsInterchangeable
                ? (chosen.Count > 0 ? named : Enumerable.Range(0, count)).Append(gear).Distinct().Order()
                : [gear];
        if (named.Any())
            return named;
        return drive.GearsInterchangeable ? Enumerable.Range(0, count) : [count - 1];
    }

    private static double Circumference(DriveOutput output, IReadOnlyList<RoadWheelChoice> roadWheels)
    {
        RoadWheel wheel =
            RoadWheels.On(output, roadWheels)
            ?? throw new InvalidInputException(
                "Aim.SpeedKmh",
                "no_road_wheel",
                output.Name == output.Shaft && output is { OnRoad: false, RoadWheel: null }
                    ? $"Put an output on “{output.Shaft}” first, it drives nothing; or aim at its speed in rpm, or at a ratio."
                    : $"Give the size of “{output.Name}” first, or aim at a speed of its shaft in rpm."
            );
        return RollingCircumference.For(wheel).CircumferenceMm;
    }

    private static Working SpeedWorking(double kmh, double lowRpm, double highRpm, double circumferenceMm) =>
        RoadSpeed.Reduction.With(kmh, lowRpm, circumferenceMm).Working with
        {
            Beside =
            [
                new("n_high", "highest shaft speed", highRpm, "rpm"),
                Shortest(RoadSpeed.Reduction.Value(kmh, highRpm, circumferenceMm)),
            ],
        };

    private static Working GainWorking(GainRatio t, double direct) =>
        OfGain.With(direct, t.High).Working with
        {
            Beside =
            [
                new("gain_low", "shortest gain ratio accepted", t.Low, ""),
                Shortest(OfGain.Value(direct, t.Low)),
            ],
        };

    private static Working OutputWorking(OutputSpeed t) =>
        OfOutput.With(t.ShaftSpeedLowRpm, t.OutputSpeedRpm).Working with
        {
            Beside =
            [
                new("n_high", "highest shaft speed", t.ShaftSpeedHighRpm, "rpm"),
                Shortest(OfOutput.Value(t.ShaftSpeedHighRpm, t.OutputSpeedRpm)),
            ],
        };

    private static WorkingValue Shortest(double ratio) => new("i_high", "shortest overall ratio accepted", ratio, "");

    private static Working ShareWorking(RatioBand band, double fixedPart) =>
        Share.With(band.OverallLow, fixedPart).Working with
        {
            Title =
                band.GearLabel.Length == 0
                    ? "Final ratio for the aim"
                    : $"Final ratio for the aim in gear {band.GearLabel}",
            Beside =
            [
                Shortest(band.OverallHigh),
                new("f_high", "shortest final ratio accepted", Share.Value(band.OverallHigh, fixedPart), ""),
            ],
        };

    private static Working MatchWorking(MatchSetup t, double other, double wheels) =>
        OfMatch.With(other, wheels).Working with
        {
            Title = $"Overall ratio that matches {t.SetupName}",
            Beside = [new("y", "half width of the band", t.TolerancePercent, "%")],
        };

    private const string Aimed = "Overall ratio for the aim";
    private static readonly Quantity Tallest = new("tallest overall ratio accepted", "");

    private static readonly Formula<Func<double, double, double>> OfGain = new(
        Aimed,
        "i",
        Tallest,
        (direct, gain) => direct / gain,
        [("gain ratio in direct drive", ""), ("tallest gain ratio accepted", "")],
        "common practice",
        "None beyond the rolling circumference."
    );

    private static readonly Formula<Func<double, double, double>> OfOutput = new(
        Aimed,
        "i",
        Tallest,
        (n, n_out) => n / n_out,
        [("lowest shaft speed", "rpm"), ("output speed", "rpm")],
        RoadSpeed.Source,
        "Leaves out slip."
    );

    private static readonly Formula<Func<double, double, double>> Share = new(
        "Final ratio for the aim",
        "f",
        ("tallest final ratio accepted", ""),
        (i, i_fixed) => i / i_fixed,
        [Tallest, ("all stages that stay", "")],
        RoadSpeed.Source,
        "The middle of the band is its geometric mean."
    );

    private static readonly Formula<Func<double, double, double>> OfMatch = new(
        "Overall ratio that matches another setup",
        "i",
        ("overall ratio in the last gear", ""),
        (i_other, u) => i_other * u,
        [("overall ratio over there", ""), ("rolling circumference here over that over there", "")],
        RoadSpeed.Source,
        "Matches road speed per input turn; not pull, where power differs."
    );
}
