using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>The kinds of aim that start from figures; matching another setup starts from that setup.</summary>
public enum StartingAimKind
{
    CruiseSpeed,
    TopSpeed,
    SpeedAtCadence,
    OutputSpeed,
    OverallRatio,
    FinalRatio,
    GainRatio,
}

/// <summary>A drive as fitted, to begin an aim from.</summary>
/// <param name="LoopKeys">Loops whose product is the final ratio.</param>
public sealed record StartingAimInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    IReadOnlyList<string> LoopKeys,
    StartingAimKind Kind
);

/// <summary>The target of an aim and the working speed that figures per gear are told at.</summary>
public static class StartingAim
{
    // Half widths of a first band, so that it is neither empty nor everything: about a tooth in front. Common practice.
    private const double AroundRatio = 0.03;
    private const double AroundSpeed = 0.05;
    private const double TopSpeedTolerancePercent = 4;

    /// <summary>Half the band of an aim to match another setup, percent: one tooth at a usual rear sprocket is felt. Common practice.</summary>
    public const double MatchTolerancePercent = 2;

    // For a drive whose wheel size is not known yet.
    private const double SomeSpeedKmh = 20;
    private const double SomeGain = 5;

    /// <summary>What is aimed at with a drive: who pedals thinks in cadence and gain, who twists a grip in cruising and top speed.</summary>
    /// <remarks>Common practice.</remarks>
    public static IReadOnlyList<StartingAimKind> KindsFor(InputKind turnedBy) =>
        [
            .. turnedBy == InputKind.Rider
                ? new[] { StartingAimKind.SpeedAtCadence, StartingAimKind.GainRatio }
                : [StartingAimKind.CruiseSpeed, StartingAimKind.TopSpeed],
            StartingAimKind.OutputSpeed,
            StartingAimKind.OverallRatio,
            StartingAimKind.FinalRatio,
        ];

    /// <summary>
    /// A target near what the fitted wheels do in the last gear, in round figures, so that the first band shown is near
    /// the truth.
    /// </summary>
    /// <exception cref="InvalidInputException">The drive, its wheels or a loop is refused.</exception>
    public static AimTarget For(StartingAimInput input)
    {
        new Guard().OneOf(nameof(input.Kind), input.Kind).ThrowIfAny();
        DriveTrain train = new(input.Drive, input.Loops);
        DriveOutput output = train.ReferenceOutput(input.LoopKeys is [string first, ..] ? first : null);
        DriveGear top = train.Gears[^1];
        double overall = Math.Abs(train.Reduction(output.Shaft, top));
        double final = train.FinalRatio(input.LoopKeys);
        DriveInput shaft = input.Drive.Input;
        double middle = MiddleRpm(shaft, null);
        (double low, double high) = (Round(middle * (1 - AroundSpeed), 2), Round(middle * (1 + AroundSpeed), 2));
        double Speed(double rpm) =>
            RoadWheels.On(output, input.RoadWheels) is { } wheel
                ? Round(RoadSpeed.Kmh.Value(rpm, overall, RollingCircumference.For(wheel).CircumferenceMm), 2)
                : SomeSpeedKmh;
        double Gain() =>
            RoadWheels.On(output, input.RoadWheels) is { } wheel
                ? BicycleGear
                    .Compute(
                        overall,
                        RollingCircumference.For(wheel).CircumferenceMm,
                        shaft.CrankLengthMm ?? DriveInput.UsualCrankMm
                    )
                    .GainRatio!.Value
                : SomeGain;
        return input.Kind switch
        {
            StartingAimKind.CruiseSpeed => new CruiseSpeed(Speed(middle), top.Index, low, high),
            StartingAimKind.TopSpeed => new TopSpeed(Speed(shaft.LimitSpeedRpm), top.Index, TopSpeedTolerancePercent),
            StartingAimKind.SpeedAtCadence => new SpeedAtCadence(Speed(middle), top.Index, low, high),
            StartingAimKind.OutputSpeed => new OutputSpeed(Round(middle / overall, 2), top.Index, low, high),
            StartingAimKind.OverallRatio => new OverallRatio(Below(overall), Above(overall), top.Index),
            StartingAimKind.GainRatio => new GainRatio(Below(Gain()), Above(Gain()), top.Index),
            _ => new FinalRatio(Below(final), Above(final)),
        };
    }

    /// <summary>Speed of the input that figures per gear are told at: the middle of the aim's, else of its range, rpm.</summary>
    public static double MiddleRpm(DriveInput input, AimTarget? aim) =>
        aim is SpeedAtCadence t
            ? (t.CadenceLowRpm + t.CadenceHighRpm) / 2
            : (input.LowSpeedRpm + input.LimitSpeedRpm) / 2;

    private static double Below(double ratio) => Round(ratio * (1 - AroundRatio), 3);

    private static double Above(double ratio) => Round(ratio * (1 + AroundRatio), 3);

    /// <summary>To so many figures that count.</summary>
    private static double Round(double value, int figures)
    {
        if (value == 0)
            return 0;
        double unit = Math.Pow(10, Math.Floor(Math.Log10(Math.Abs(value))) - figures + 1);
        // Twice, since a multiple of 0.01 is seldom the nearest double.
        return Math.Round(Math.Round(value / unit) * unit, 9);
    }
}
