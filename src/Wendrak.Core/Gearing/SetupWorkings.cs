using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>The workings behind the figures of one setup.</summary>
internal static class SetupWorkings
{
    public static IReadOnlyList<Working> Of(
        SetupComparisonInput input,
        DriveTrain train,
        DriveOutput output,
        DriveGear gear,
        RollingResult? rolling,
        double final,
        double fittedFinal,
        double wheelChange,
        SpeedometerResult? speedometer
    )
    {
        List<Working> workings = [];
        foreach (string key in input.LoopKeys)
        {
            Loop loop = train.Drive.Stages.OfType<Loop>().First(l => l.Key == key);
            LoopChoice choice = train.ChoiceOf(key);
            workings.Add(DriveWorking.OfLoop(loop, choice.FrontSize, choice.RearSize));
            workings.AddRange(ToothWorkings(loop, choice));
        }
        workings.Add(Change(final, fittedFinal, wheelChange));
        workings.Add(DriveWorking.Overall(train, gear, output));
        double overall = Math.Abs(train.Reduction(output.Shaft, gear));
        if (rolling is not null)
        {
            workings.Add(rolling.Working);
            workings.Add(SpeedAtLimit(train.Drive.Input.LimitSpeedRpm, overall, rolling.CircumferenceMm));
            if (input.Aim?.RoadSpeedKmh is double kmh)
                workings.Add(DriveWorking.ShaftSpeed(kmh, overall, rolling.CircumferenceMm));
            if (train.Drive.Input.Kind == InputKind.Rider)
                workings.AddRange(Bicycle(overall, rolling.CircumferenceMm, train.Drive.Input.CrankLengthMm));
        }
        if (speedometer is not null)
            workings.Add(SpeedometerWorking(input.Drive, speedometer));
        return workings;
    }

    private static IEnumerable<Working> ToothWorkings(Loop loop, LoopChoice choice)
    {
        if (loop.Medium == DriveElement.Chain)
        {
            double small = WheelSize.LinksRound(loop, Math.Min(choice.FrontSize, choice.RearSize));
            yield return new(
                $"Speed ripple of {loop.Name}",
                "Δv/v = (π/n) · tan(π/(2n))",
                [new("n", "links once round the smaller sprocket", small, "")],
                new("Δv/v", "chain speed, peak to peak over mean", SpeedRipple.Percent(small), "%"),
                "Shigley ch. 17, roller chain",
                "Chains only; the wheels are taken as rigid and the run as straight."
            );
        }
        if (!loop.IsToothed || choice.Links is not int links)
            yield break;
        int front = (int)choice.FrontSize;
        HuntingResult hunting = Hunting.Of(front, (int)choice.RearSize, links * WheelSize.GapsPerLink(loop));
        yield return new(
            $"How often a front tooth of {loop.Name} meets the same link",
            "turns = N1 / gcd(N1, X·g)",
            [
                new("N1", "front wheel", front, "teeth"),
                new("X", "links or belt teeth", links, ""),
                new("g", "gaps that one of them takes", WheelSize.GapsPerLink(loop), ""),
            ],
            new("turns", "loop turns until they meet again", hunting.FrontLoopTurns, ""),
            "elementary number theory; odd-tooth advice: Machinery's Handbook",
            "1 means that a tooth only ever meets every N1-th link."
        );
    }

    private static Working Change(double final, double fittedFinal, double wheelChange) =>
        new(
            "Change against as fitted",
            "Δ = (i / (i_fitted · U/U_fitted) − 1) · 100",
            [
                new("i", "final ratio", final, ""),
                new("i_fitted", "final ratio as fitted", fittedFinal, ""),
                new("U/U_fitted", "rolling circumference against as fitted", wheelChange, ""),
            ],
            new("Δ", "positive is shorter", RatioChange.Percent(final, fittedFinal * wheelChange), "%"),
            "Machinery's Handbook, gear trains",
            "Shaft speed at a road speed changes by the same percent."
        );

    private static Working SpeedAtLimit(double rpm, double overall, double u) =>
        new(
            "Road speed at the limit",
            "v = n / i · U · 60 / 10⁶",
            [
                new("n", "limit speed of the input", rpm, "rpm"),
                new("i", "overall ratio", overall, ""),
                new("U", "rolling circumference", u, "mm"),
            ],
            new("v", "road speed", RoadSpeed.Kmh(rpm, overall, u), "km/h"),
            "Machinery's Handbook, gear trains",
            "What the gearing allows; whether the power suffices is another question."
        );

    private static IEnumerable<Working> Bicycle(double overall, double u, double? crankMm)
    {
        BicycleGearFigures figures = BicycleGear.Of(overall, u, crankMm);
        WorkingValue q = new("q", "wheel turns per crank turn", figures.TurnsOutPerTurnIn, "");
        WorkingValue circumference = new("U", "rolling circumference", u, "mm");
        yield return new(
            "Development",
            "U / 1000 · q",
            [circumference, q],
            new("development", "way per crank turn", figures.DevelopmentM, "m"),
            "common practice",
            "Rolling circumference under load."
        );
        yield return new(
            "Gear inches",
            "U / π / 25.4 · q",
            [circumference, q],
            new("gear inches", "wheel that would do the same in direct drive", figures.GearInches, "in"),
            "common practice",
            "From the rolling diameter; traders often use the nominal wheel size instead."
        );
        if (figures.GainRatio is double gain)
            yield return new(
                "Gain ratio",
                "U / (2π) / crank · q",
                [circumference, new("crank", "crank length", crankMm ?? 0, "mm"), q],
                new("gain", "way of the bicycle per way of the pedal", gain, ""),
                "common practice",
                "None beyond the rolling circumference."
            );
    }

    private static Working SpeedometerWorking(Drive drive, SpeedometerResult result)
    {
        string formula = drive.SpeedPickup switch
        {
            SpeedPickup.GearboxOutput => "e = ((1 + e_0/100) · i/i_0 / (U/U_0) − 1) · 100",
            SpeedPickup.DrivenWheel => "e = ((1 + e_0/100) / (U/U_0) − 1) · 100",
            _ => "e = e_0",
        };
        return new(
            "Speedometer error",
            formula,
            [
                new(
                    "e_0",
                    "error as delivered",
                    drive.SpeedometerErrorPercent,
                    "%",
                    drive.SpeedometerErrorPercent == 0
                ),
                new("i/i_0", "ratio behind the pickup against as delivered", result.ReductionChange, ""),
                new("U/U_0", "rolling circumference against as delivered", result.CircumferenceChange, ""),
            ],
            new("e", "positive shows too much", result.ErrorPercent, "%"),
            "from the place of the pickup; limits: UN R39 (from memory)",
            "Local law rules; showing too little is not allowed where UN R39 applies."
        );
    }
}
