using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>The band of ratios that meets an aim in one gear.</summary>
/// <param name="FinalLow">Lowest ratio of the chosen loops, the tallest accepted.</param>
/// <param name="FinalGeometricMiddle">Middle of the band by proportion, as ratios are felt; of “x ± y %” it is x.</param>
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
    public static RatioBandsResult Of(
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
                    t.ShaftSpeedLowRpm / t.OutputSpeedRpm,
                    t.ShaftSpeedHighRpm / t.OutputSpeedRpm,
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
            return new(gear.Index, gear.Label, low, high, low / rest, high / rest, Math.Sqrt(low * high) / rest);
        }

        RatioBandsResult AtSpeed(int? aimGear, double kmh, double lowRpm, double highRpm)
        {
            double u = Circumference(output, roadWheels);
            return Overall(
                aimGear,
                RoadSpeed.Reduction(kmh, lowRpm, u),
                RoadSpeed.Reduction(kmh, highRpm, u),
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
            double direct = Circumference(output, roadWheels) / (2 * Math.PI) / crank;
            return Overall(t.GearIndex, direct / t.High, direct / t.Low, () => GainWorking(t, direct, crank));
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
            double same = Math.Abs(other.Reduction(output.Shaft, other.Gears[last])) * wheels;
            double factor = EitherWay(t.TolerancePercent);
            RatioBand band = Band(gear, same / factor, same * factor);
            return new([band], last, explains ? [MatchWorking(t, same, wheels)] : []);
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
        return RollingCircumference.Of(wheel).CircumferenceMm;
    }

    private static Working SpeedWorking(double kmh, double lowRpm, double highRpm, double circumferenceMm) =>
        new(
            "Overall ratio for the aim",
            "i = n · U · 60 / (v · 10⁶)",
            [
                new("n, low", "lowest shaft speed", lowRpm, "rpm"),
                new("n, high", "highest shaft speed", highRpm, "rpm"),
                new("U", "rolling circumference", circumferenceMm, "mm"),
                new("v", "road speed", kmh, "km/h"),
            ],
            new("i, low", "tallest overall ratio accepted", RoadSpeed.Reduction(kmh, lowRpm, circumferenceMm), ""),
            "Machinery's Handbook, gear trains",
            "Leaves out tyre slip, and says nothing about whether there is power enough for the speed."
        );

    private static Working GainWorking(GainRatio t, double direct, double crankMm) =>
        new(
            "Overall ratio for the aim",
            "i = U/(2π)/crank / gain",
            [
                new("U/(2π)/crank", "gain ratio in direct drive", direct, ""),
                new("crank", "crank length", crankMm, "mm"),
                new("gain, high", "tallest gain ratio accepted", t.High, ""),
            ],
            new("i, low", "tallest overall ratio accepted", direct / t.High, ""),
            "common practice",
            "None beyond the rolling circumference."
        );

    private static Working OutputWorking(OutputSpeed t) =>
        new(
            "Overall ratio for the aim",
            "i = n / n_out",
            [
                new("n, low", "lowest shaft speed", t.ShaftSpeedLowRpm, "rpm"),
                new("n, high", "highest shaft speed", t.ShaftSpeedHighRpm, "rpm"),
                new("n_out", "output speed", t.OutputSpeedRpm, "rpm"),
            ],
            new("i, low", "tallest overall ratio accepted", t.ShaftSpeedLowRpm / t.OutputSpeedRpm, ""),
            "Machinery's Handbook, gear trains",
            "Leaves out slip."
        );

    private static Working ShareWorking(RatioBand band, double fixedPart) =>
        new(
            band.GearLabel.Length == 0
                ? "Final ratio for the aim"
                : $"Final ratio for the aim in gear {band.GearLabel}",
            "i_final = i / i_fixed",
            [
                new("i, low", "tallest overall ratio accepted", band.OverallLow, ""),
                new("i, high", "shortest overall ratio accepted", band.OverallHigh, ""),
                new("i_fixed", "all stages that stay", fixedPart, ""),
            ],
            new("i_final, low", "tallest final ratio accepted", band.FinalLow, ""),
            "Machinery's Handbook, gear trains",
            "The middle of the band is its geometric mean."
        );

    private static Working MatchWorking(MatchSetup t, double overall, double wheels) =>
        new(
            $"Overall ratio that matches {t.SetupName}",
            "i = i_other · U / U_other",
            [
                new("U / U_other", "rolling circumference here over there", wheels, ""),
                new("tolerance", "half width of the band", t.TolerancePercent, "%"),
            ],
            new("i", "overall ratio in the last gear", overall, ""),
            "Machinery's Handbook, gear trains",
            "Matches road speed per input turn; not pull, where power differs."
        );
}
