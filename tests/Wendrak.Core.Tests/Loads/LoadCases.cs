using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Loops to be judged, for the tests of their loads.</summary>
internal static class LoadCases
{
    /// <summary>Primary 28/76, six gears, 520 chain 15/45, wheel of 1895 mm.</summary>
    public static LoadsInput Motorcycle(double front = 15, double rear = 45) =>
        new(
            Drives.Motorcycle(),
            MachineKind.Motorcycle,
            Drives.Pair(front, rear, null),
            [],
            Fits.Slot(620, 700),
            new("drive", PeakTorqueNm: 40, PeakTorqueRpm: 6_500, PeakPowerKw: 35),
            new("final")
        );

    /// <summary>A 520 chain on a winch.</summary>
    public static LoadsInput Chain(double front, double rear) => Belt(DriveElement.Chain, "520", front, rear);

    public static LoadsInput ToothedBelt(string standard = "H", double front = 28, double rear = 70) =>
        Belt(DriveElement.ToothedBelt, standard, front, rear) with
        {
            Strength = new("final", WidthMm: 50.8, InstalledTensionN: 800),
        };

    public static LoadsInput VBelt(double installed = 350) =>
        Belt(DriveElement.VBelt, "A", 100, 250) with
        {
            Strength = new("final", Friction: 0.3, InstalledTensionN: installed),
        };

    private static LoadsInput Belt(DriveElement element, string standard, double front, double rear)
    {
        Loop loop = Drives.Chain("final", "in", "out") with { DriveElement = element, Standard = standard };
        Drive drive = Drives.WithStages([loop], new DriveOutput("drum", "out", false, null)) with
        {
            Input = new("in", InputKind.Motor, 900, 1_450, null),
        };
        return new(
            drive,
            MachineKind.Winch,
            [new("final", front, rear, null)],
            [],
            Fits.Slot(400, 460),
            new("drive", PeakTorqueNm: 20, ContinuousTorqueNm: 15),
            new("final")
        );
    }

    public static LoadCheck Check(
        this LoopLoadsResult result,
        LoadCheckKind kind,
        OperatingPointKind point = OperatingPointKind.HardestPull
    ) => result.Checks.Single(c => c.Kind == kind && c.Point == point);

    public static PointLoads At(this LoopLoadsResult result, OperatingPointKind kind) =>
        result.Points.Single(p => p.Point.Kind == kind);
}
