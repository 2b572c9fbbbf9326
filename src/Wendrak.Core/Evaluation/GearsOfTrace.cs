using Wendrak.Core.Gearing;
using Wendrak.Core.Traces;

namespace Wendrak.Core.Evaluation;

/// <summary>A trace of a machine: its gears are known by what is fitted.</summary>
public static class GearsOfTrace
{
    /// <inheritdoc cref="SpeedTrace.Read"/>
    /// <param name="stored">Whose trace it is.</param>
    public static SpeedTrace Read(
        StoredMachine stored,
        Stream stream,
        TraceQuestion question,
        CancellationToken ct = default
    )
    {
        Drive drive = stored.Machine.Drives[0];
        return SpeedTrace.Read(
            stream,
            question,
            ShaftRpmAtOneKmh(drive, stored),
            (drive.Input.LowSpeedRpm, drive.Input.LimitSpeedRpm),
            ct
        );
    }

    /// <summary>Empty where nothing rolls.</summary>
    private static double[] ShaftRpmAtOneKmh(Drive drive, StoredMachine stored)
    {
        DriveTrain train = new(drive, stored.Fitted.Loops);
        DriveOutput output = train.ReferenceOutput();
        return RoadWheels.On(output, stored.Fitted.RoadWheels) is not { } wheel
            ? []
            :
            [
                .. train.Gears.Select(g =>
                    RoadSpeed.ShaftRpm.Value(
                        1,
                        Math.Abs(train.Reduction(output.Shaft, g)),
                        RollingCircumference.For(wheel).CircumferenceMm
                    )
                ),
            ];
    }
}
