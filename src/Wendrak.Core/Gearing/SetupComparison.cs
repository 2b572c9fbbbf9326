using System.Globalization;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>A setup to be compared.</summary>
/// <param name="Name">What people call it.</param>
public sealed record ComparedSetup(
    string Name,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels
)
{
    /// <summary>Its own drive, where a loop of it is another kind; null for the one that is asked about.</summary>
    public Drive? Drive { get; init; }
}

/// <summary>Setups of one drive beside what is fitted.</summary>
/// <param name="LoopKeys">
/// Loops whose product is spoken of as the final ratio, the one being chosen first; loops that are not on its way to
/// an output are passed over.
/// </param>
/// <param name="Aim">Null compares without a band.</param>
/// <param name="Gears">Gears that count for the aim; empty for all.</param>
/// <param name="Delivered">The machine as delivered: what the speedometer was made for; null where nobody typed it.</param>
public sealed record SetupComparisonInput(
    Drive Drive,
    IReadOnlyList<string> LoopKeys,
    ComparedSetup Fitted,
    IReadOnlyList<ComparedSetup> Others,
    AimTarget? Aim,
    IReadOnlyList<int> Gears,
    ComparedSetup? Delivered = null
);

/// <summary>One gear of one setup.</summary>
/// <param name="OutputLowRpm">Output speed at the input's lowest speed.</param>
/// <param name="SpeedLowKmh">Road speed there; null without a road wheel size.</param>
/// <param name="FeelsLike">Which gear of as fitted it feels like; null where that can't be said.</param>
/// <param name="Label">Of the gear.</param>
/// <param name="OverallRatio">Turns of the input for one of the output.</param>
/// <param name="OutputHighRpm">Speed of the output at the highest of the input, rpm.</param>
/// <param name="SpeedHighKmh">Speed on the road at the highest of the input, km/h.</param>
/// <param name="SpeedAtCadenceKmh">Speed at the cadence asked for, km/h.</param>
public sealed record GearFigures(
    string Label,
    double OverallRatio,
    double OutputLowRpm,
    double OutputHighRpm,
    double? SpeedLowKmh,
    double? SpeedHighKmh,
    double? SpeedAtCadenceKmh,
    BicycleGearFigures? Bicycle,
    FeelsLikeResult? FeelsLike
);

/// <summary>All figures of one setup.</summary>
/// <param name="FrontOverRear">The final ratio the bicycle way round.</param>
/// <param name="RearTeethLike">Rear teeth with the effect of the change in front alone; null if the front stays.</param>
/// <param name="AimShaftSpeedRpm">Null where the aim names no speed.</param>
/// <param name="MeetsAim">Null without an aim.</param>
/// <param name="Speedometer">Against as delivered; null without a speedometer, and where <paramref name="SpeedometerNeeds"/> says what is missing.</param>
/// <param name="Name">Of the setup.</param>
/// <param name="FinalRatio">Of all loops that are chosen, together.</param>
/// <param name="ChangePercent">Of that ratio against as fitted.</param>
/// <param name="CircumferenceMm">Way of the road wheel for one turn, mm.</param>
public sealed record SetupFigures(
    string Name,
    double FinalRatio,
    double FrontOverRear,
    double ChangePercent,
    RatioDirection Direction,
    double? CircumferenceMm,
    double? RearTeethLike,
    double? AimShaftSpeedRpm,
    bool? MeetsAim,
    SpeedometerResult? Speedometer,
    SpeedometerNeed? SpeedometerNeeds,
    IReadOnlyList<GearFigures> Gears,
    IReadOnlyList<Working> Workings
);

/// <summary>Setups beside each other.</summary>
/// <param name="Setups">As fitted first, then the others in the order given.</param>
/// <param name="CadenceRpm">Pedalling speed of the speeds per gear; null where nobody pedals.</param>
/// <param name="IdleShaft">Shaft behind the loop being chosen, where that drives nothing; null where it drives something.</param>
/// <param name="AimGearLabel">Gear that the aim is meant in; empty without one.</param>
public sealed record SetupComparisonResult(
    IReadOnlyList<SetupFigures> Setups,
    string AimGearLabel,
    double? CadenceRpm,
    string? IdleShaft
);

/// <summary>Lays setups side by side.</summary>
public static class SetupComparison
{
    /// <summary>Setups beside as fitted that still fit on one screen.</summary>
    public const int MostOthers = 4;

    /// <exception cref="InvalidInputException">A drive, setup or aim is refused.</exception>
    /// <param name="explains">Whether the workings are told, too.</param>
    public static SetupComparisonResult Compare(SetupComparisonInput input, bool explains = true)
    {
        DriveTrain fitted = new(input.Fitted.Drive ?? input.Drive, input.Fitted.Loops, "Fitted.Loops");
        Check(input, fitted);
        string? chosen = input.LoopKeys is [string first, ..] ? first : null;
        DriveOutput output = fitted.ReferenceOutput(chosen);
        HashSet<string> way = [.. fitted.PathTo(output.Shaft).Select(s => fitted.Drive.Stages[s].Key)];
        input = input with { LoopKeys = [.. input.LoopKeys.Distinct().Where(way.Contains)] };
        RatioBandsResult? bands =
            input.Aim is { } aim && input.LoopKeys.Count > 0
                ? RatioBands.Find(fitted, input.LoopKeys, input.Fitted.RoadWheels, aim, input.Gears, false)
                : null;
        int aimGear = bands?.AimGearIndex ?? fitted.Gears.Count - 1;
        Comparer comparer = new(input, fitted, output, aimGear, explains);
        SetupFigures[] figures = [.. input.Others.Prepend(input.Fitted).Select(comparer.FiguresOf)];
        return new(figures, fitted.Gears[aimGear].Label, comparer.CadenceRpm, fitted.IdleShaft(chosen));
    }

    private static void Check(SetupComparisonInput input, DriveTrain fitted)
    {
        Guard guard = new();
        guard.Count(nameof(input.Others), input.Others.Count, 0, MostOthers, "setups");
        for (int i = 0; i < input.LoopKeys.Count; i++)
            guard.That(
                fitted.Drive.Stages.OfType<Loop>().Any(l => l.Key == input.LoopKeys[i]),
                $"{nameof(input.LoopKeys)}[{i}]",
                "unknown",
                "Give a loop of this drive."
            );
        Loop[] loops = [.. fitted.Drive.Stages.OfType<Loop>()];
        for (int i = 0; i < input.Others.Count; i++)
            guard.Include(
                DriveRules.CheckChoices(
                    input.Others[i].Drive is { } own ? [.. own.Stages.OfType<Loop>()] : loops,
                    input.Others[i].Loops,
                    $"{nameof(input.Others)}[{i}].Loops",
                    true
                )
            );
        if (input.Delivered is { } delivered)
            guard.Include(
                DriveRules.CheckChoices(
                    delivered.Drive is { } then ? [.. then.Stages.OfType<Loop>()] : loops,
                    delivered.Loops,
                    $"{nameof(input.Delivered)}.Loops",
                    true
                )
            );
        guard.ThrowIfAny();
    }

    /// <summary>Holds what all setups are compared with.</summary>
    private sealed class Comparer(
        SetupComparisonInput input,
        DriveTrain fitted,
        DriveOutput output,
        int aimGear,
        bool explains
    )
    {
        private readonly double? _fittedCircumference = Circumference(output, input.Fitted.RoadWheels);
        private readonly double _fittedFinal = fitted.FinalRatio(input.LoopKeys);
        private readonly int[]? _fittedNumbers = NumbersOf(fitted.Gears);
        private readonly double[] _fittedPerMm = ReductionsPerMm(
            fitted,
            output,
            Circumference(output, input.Fitted.RoadWheels)
        );

        public double? CadenceRpm { get; } =
            input.Drive.Input.Kind == InputKind.Rider ? StartingAim.MiddleRpm(input.Drive.Input, input.Aim) : null;

        public SetupFigures FiguresOf(ComparedSetup setup)
        {
            DriveTrain train = new(setup.Drive ?? input.Drive, setup.Loops);
            RollingResult? rolling = RollingOf(output, setup.RoadWheels);
            double? u = rolling?.CircumferenceMm;
            double final = train.FinalRatio(input.LoopKeys);
            double wheelChange = (u / _fittedCircumference) ?? 1;
            double change = RatioChange.Felt.Value(final, _fittedFinal, wheelChange);
            (SpeedometerResult? speedometer, SpeedometerNeed? needs) = Speedometer.Of(
                train,
                output,
                u,
                input.Delivered
            );
            double? aimRpm = AimShaftSpeed(train, u);
            return new(
                setup.Name,
                final,
                1 / final,
                change,
                RatioChange.Direction(change),
                u,
                RearTeethLike(train),
                aimRpm,
                MeetsAim(train, setup, final),
                speedometer,
                needs,
                [.. train.Gears.Select(g => Gear(train, g, u))],
                !explains
                    ? []
                    : SetupWorkings.Explain(
                        input,
                        train,
                        output,
                        train.Gears[aimGear],
                        rolling,
                        final,
                        _fittedFinal,
                        wheelChange,
                        speedometer
                    )
            );
        }

        private GearFigures Gear(DriveTrain train, DriveGear gear, double? u)
        {
            double overall = Math.Abs(train.Reduction(output.Shaft, gear));
            DriveInput shaft = input.Drive.Input;
            bool pedalled = shaft.Kind == InputKind.Rider;
            return new(
                gear.Label,
                overall,
                shaft.LowSpeedRpm / overall,
                shaft.LimitSpeedRpm / overall,
                u is double a ? RoadSpeed.Kmh.Value(shaft.LowSpeedRpm, overall, a) : null,
                u is double b ? RoadSpeed.Kmh.Value(shaft.LimitSpeedRpm, overall, b) : null,
                u is double c && CadenceRpm is double cadence ? RoadSpeed.Kmh.Value(cadence, overall, c) : null,
                pedalled && u is double d ? BicycleGear.Compute(overall, d, shaft.CrankLengthMm) : null,
                FeelsLikeFitted(overall, u)
            );
        }

        private static double[] ReductionsPerMm(DriveTrain train, DriveOutput output, double? u) =>
            [.. train.Gears.Select(g => Math.Abs(train.Reduction(output.Shaft, g)) / (u ?? 1))];

        /// <summary>Null where gears have no single number, as of a crank box before a hub.</summary>
        private static int[]? NumbersOf(IReadOnlyList<DriveGear> gears) =>
            gears.All(g => int.TryParse(g.Label, CultureInfo.InvariantCulture, out _))
                ? [.. gears.Select(g => int.Parse(g.Label, CultureInfo.InvariantCulture))]
                : null;

        private FeelsLikeResult? FeelsLikeFitted(double overall, double? u) =>
            u is null == _fittedCircumference is null
                ? FeelsLike.Compare(_fittedPerMm, overall / (u ?? 1), _fittedNumbers)
                : null;

        private double? RearTeethLike(DriveTrain train)
        {
            if (input.LoopKeys.Count != 1)
                return null;
            LoopChoice before = fitted.ChoiceOf(input.LoopKeys[0]);
            LoopChoice after = train.ChoiceOf(input.LoopKeys[0]);
            Loop loop = train.Drive.Stages.OfType<Loop>().First(l => l.Key == input.LoopKeys[0]);
            // Teeth of another kind are no measure.
            bool isAlike = fitted
                .Drive.Stages.OfType<Loop>()
                .Any(l => l.Key == loop.Key && l.Standard == loop.Standard);
            if (!loop.IsToothed || !isAlike || before.FrontSize == after.FrontSize)
                return null;
            int front = (int)before.FrontSize;
            return RatioChange.RearTeethLike(front, (int)before.RearSize, (int)after.FrontSize - front);
        }

        private double? AimShaftSpeed(DriveTrain train, double? u)
        {
            double overall = Math.Abs(train.Reduction(output.Shaft, train.Gears[aimGear]));
            if (input.Aim?.RoadSpeedKmh is double speed && u is double circumference)
                return RoadSpeed.ShaftRpm.Value(speed, overall, circumference);
            return input.Aim is OutputSpeed o ? o.OutputSpeedRpm * overall : null;
        }

        /// <summary>With its own road wheels: a band in final ratio changed with the tyre.</summary>
        private bool? MeetsAim(DriveTrain train, ComparedSetup setup, double final)
        {
            if (input.Aim is not { } aim || input.LoopKeys.Count == 0)
                return null;
            RatioBandsResult own = RatioBands.Find(train, input.LoopKeys, setup.RoadWheels, aim, input.Gears, false);
            return own.Bands.Any(b => final >= b.FinalLow && final <= b.FinalHigh);
        }
    }

    internal static RollingResult? RollingOf(DriveOutput output, IReadOnlyList<RoadWheelChoice> wheels) =>
        RoadWheels.On(output, wheels) is { } wheel ? RollingCircumference.For(wheel) : null;

    private static double? Circumference(DriveOutput output, IReadOnlyList<RoadWheelChoice> wheels) =>
        RollingOf(output, wheels)?.CircumferenceMm;
}
