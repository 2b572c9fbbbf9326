using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Gearing;

/// <summary>What must be typed before the speedometer's error can be told.</summary>
public enum SpeedometerNeed
{
    /// <summary>The wheels it was made for.</summary>
    DeliveredSetup,

    /// <summary>The size of the road wheel, here or as delivered.</summary>
    RoadWheelSize,
}

/// <summary>What the speedometer shows with a setup.</summary>
/// <param name="ErrorPercent">Shown over true, less 1; positive shows too much.</param>
/// <param name="CorrectionPercent">What the reading must be changed by to be true; for a corrector or a new pickup disc.</param>
/// <param name="ShowsTooLittle">Never allowed where UN R39 rules: shown speed must not be below true speed.</param>
/// <param name="ReductionChange">Reduction from pickup to road wheel over that as delivered; 1 where it does not matter.</param>
/// <param name="CircumferenceChange">Rolling circumference over that as delivered; 1 where it does not matter.</param>
public sealed record SpeedometerResult(
    double ErrorPercent,
    double CorrectionPercent,
    bool ShowsTooLittle,
    double ReductionChange,
    double CircumferenceChange
);

/// <summary>A speedometer's error, always told against the machine as it was delivered.</summary>
/// <remarks>
/// Gearbox pickup: (1+e)·(i/i_delivered)/(U/U_delivered); on the driven wheel only the tyre counts; on another wheel nothing does.
/// UN R39 (from memory): shown minus true is 0 to 10 % + 4 km/h. Local law rules.
/// </remarks>
public static class Speedometer
{
    private const string Place = "from the place of the pickup; limits: UN R39 (from memory)";
    private const string Law = "Local law rules; showing too little is not allowed where UN R39 applies.";
    private static readonly Quantity Error = new("positive shows too much", "%");
    private static readonly Quantity Delivered = new("error as delivered", "%");
    private static readonly Quantity Wheel = new("rolling circumference against as delivered", "");

    private static readonly Formula<Func<double, double, double, double>> AtGearbox = new(
        "Speedometer error",
        "e",
        Error,
        (e_0, i, u) => Percent((1 + Part(e_0)) * i / u - 1),
        [Delivered, ("ratio behind the pickup against as delivered", ""), Wheel],
        Place,
        Law
    );

    private static readonly Formula<Func<double, double, double>> AtDrivenWheel = new(
        "Speedometer error",
        "e",
        Error,
        (e_0, u) => Percent((1 + Part(e_0)) / u - 1),
        [Delivered, Wheel],
        Place,
        Law
    );

    private static readonly Formula<Func<double, double>> AtOtherWheel = new(
        "Speedometer error",
        "e",
        Error,
        e_0 => Percent(Part(e_0)),
        [Delivered],
        Place,
        Law
    );

    /// <summary>Shown over true, less 1, by the place of the pickup.</summary>
    internal static Explained ErrorOf(
        SpeedPickup pickup,
        double deliveredErrorPercent,
        double reductionChange,
        double circumferenceChange
    )
    {
        Given delivered = new(deliveredErrorPercent, IsUsual: deliveredErrorPercent == 0);
        return pickup switch
        {
            SpeedPickup.GearboxOutput => AtGearbox.With(delivered, reductionChange, circumferenceChange),
            SpeedPickup.DrivenWheel => AtDrivenWheel.With(delivered, circumferenceChange),
            _ => AtOtherWheel.With(delivered),
        };
    }

    /// <param name="deliveredErrorPercent">What it showed too much as delivered, percent.</param>
    /// <param name="reductionChange">Reduction from pickup to wheel, over that as delivered.</param>
    /// <param name="circumferenceChange">Rolling circumference of the driven wheel, over that as delivered.</param>
    /// <returns>Null without a speedometer.</returns>
    public static SpeedometerResult? After(
        SpeedPickup pickup,
        double deliveredErrorPercent,
        double reductionChange,
        double circumferenceChange
    )
    {
        if (pickup == SpeedPickup.None)
            return null;
        double reduction = pickup == SpeedPickup.GearboxOutput ? reductionChange : 1;
        double circumference = pickup == SpeedPickup.OtherWheel ? 1 : circumferenceChange;
        double error = ErrorOf(pickup, deliveredErrorPercent, reduction, circumference).Value;
        double shown = 1 + Part(error);
        // Rounding must not turn an exact reading into a forbidden one.
        return new(error, (1 / shown - 1) * 100, error < -1e-9, reduction, circumference);
    }

    /// <summary>Error of a setup against as delivered; what is missing where that can't be told; neither without a speedometer.</summary>
    internal static (SpeedometerResult? Result, SpeedometerNeed? Need) Of(
        DriveTrain train,
        DriveOutput output,
        double? circumferenceMm,
        ComparedSetup? delivered
    )
    {
        Drive drive = train.Drive;
        if (drive.SpeedPickup is SpeedPickup.None or SpeedPickup.OtherWheel)
            return (After(drive.SpeedPickup, drive.SpeedometerErrorPercent, 1, 1), null);
        if (delivered is null)
            return (null, SpeedometerNeed.DeliveredSetup);
        double? then = SetupComparison.RollingOf(output, delivered.RoadWheels)?.CircumferenceMm;
        if (circumferenceMm / then is not double wheelChange)
            return (null, SpeedometerNeed.RoadWheelSize);
        double change =
            BehindPickup(train, output) / BehindPickup(new(delivered.Drive ?? drive, delivered.Loops), output);
        return (After(drive.SpeedPickup, drive.SpeedometerErrorPercent, change, wheelChange), null);
    }

    /// <summary>Reduction from the shaft that the pickup counts to the output: behind the gearbox, or all of it where there is none.</summary>
    private static double BehindPickup(DriveTrain train, DriveOutput output)
    {
        DriveGear gear = train.Gears[^1];
        IReadOnlyList<Stage> stages = train.Drive.Stages;
        string counted =
            train.PathTo(output.Shaft).Select(s => stages[s]).OfType<Gearbox>().LastOrDefault()?.DrivenShaft
            ?? train.Drive.Input.Shaft;
        return Math.Abs(train.Reduction(output.Shaft, gear) / train.Reduction(counted, gear));
    }
}
