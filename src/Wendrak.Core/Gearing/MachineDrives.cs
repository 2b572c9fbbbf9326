using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>All drives of a machine with their wheels, to be looked at together.</summary>
/// <param name="InputSpeedRpm">Speed of every input shaft, rpm.</param>
public sealed record MachineDrivesInput(
    IReadOnlyList<Drive> Drives,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    double InputSpeedRpm
);

/// <summary>A shaft in one gear.</summary>
/// <param name="Reduction">Input turns per turn of the shaft, without its sign.</param>
/// <param name="AgainstInput">True when it turns against the input.</param>
/// <param name="Shaft">Its name.</param>
/// <param name="SpeedRpm">Its speed, rpm.</param>
public sealed record ShaftState(string Shaft, double Reduction, bool AgainstInput, double SpeedRpm);

/// <summary>An output in one gear.</summary>
/// <param name="SpeedKmh">Speed at its circumference, km/h; null when its size is not known.</param>
/// <param name="Name">Of the output.</param>
/// <param name="OnRoad">True where it rolls on the road.</param>
/// <param name="Reduction">Turns of the input for one of it.</param>
/// <param name="AgainstInput">True where it turns against the input.</param>
/// <param name="SpeedRpm">Its speed, rpm.</param>
public sealed record OutputState(
    string Name,
    bool OnRoad,
    double Reduction,
    bool AgainstInput,
    double SpeedRpm,
    double? SpeedKmh
);

/// <summary>All shafts in one gear.</summary>
/// <param name="Label">Of the gear.</param>
public sealed record GearState(string Label, IReadOnlyList<ShaftState> Shafts, IReadOnlyList<OutputState> Outputs);

/// <summary>A drive in each of its gears.</summary>
/// <param name="DriveKey">Key of the drive it is about.</param>
public sealed record DriveState(string DriveKey, IReadOnlyList<GearState> Gears);

/// <summary>What is odd about how a machine's outputs go together.</summary>
public enum DriveFindingKind
{
    /// <summary>Two wheels on the same ground turn against each other.</summary>
    OpposingWheels,

    /// <summary>Two wheels on the same ground want different road speeds: one of them scrubs.</summary>
    ScrubbingWheels,

    /// <summary>A mirrored drive does not match its other side.</summary>
    MirrorMismatch,

    /// <summary>Sun and ring of a planetary leave half a tooth to its planets: it can't be built with unshifted gears.</summary>
    HalfPlanetTooth,
}

/// <summary>Something about several drives of a machine that ought to be looked at.</summary>
/// <param name="Things">Names of the outputs or drives it is about.</param>
/// <param name="DifferencePercent">How far apart they are; null where that means nothing.</param>
/// <param name="GearLabel">Gear it shows in; null without gears.</param>
public sealed record DriveFinding(
    DriveFindingKind Kind,
    IReadOnlyList<string> Things,
    string? GearLabel,
    double? DifferencePercent
);

/// <summary>All drives of a machine, in every gear.</summary>
public sealed record MachineDrivesResult(
    IReadOnlyList<DriveState> Drives,
    IReadOnlyList<DriveFinding> Findings,
    IReadOnlyList<Working> Workings
);

/// <summary>Evaluates every shaft and output of a machine, and names what does not go together.</summary>
public static class MachineDrives
{
    /// <summary>Road wheels of one drive may differ by this much before one is said to scrub; common practice.</summary>
    public const double ScrubTolerancePercent = 1.0;

    // Ratios of mirrored drives are products of whole numbers: anything beyond rounding is another ratio.
    private const double MirrorTolerance = 1e-9;

    public const int MostDrives = 6;

    /// <exception cref="InvalidInputException">A drive, a choice or a road wheel is refused.</exception>
    public static MachineDrivesResult Evaluate(MachineDrivesInput input)
    {
        Check(input.Drives, input.Loops).ThrowIfAny();
        new Guard().Between(nameof(input.InputSpeedRpm), input.InputSpeedRpm, 1, 100_000, "rpm").ThrowIfAny();
        DriveTrain[] trains = [.. input.Drives.Select(d => new DriveTrain(d, input.Loops))];
        DriveState[] states = [.. trains.Select(t => StateOf(t, input))];
        List<DriveFinding> findings = [.. states.SelectMany(FindingsWithin)];
        findings.AddRange(MirrorFindings(input.Drives, states));
        findings.AddRange(
            input
                .Drives.SelectMany(d => d.Stages)
                .OfType<PlanetaryStage>()
                .Where(p => (p.RingTeeth - p.SunTeeth) % 2 != 0)
                .Select(p => new DriveFinding(DriveFindingKind.HalfPlanetTooth, [p.Name], null, null))
        );
        return new(states, findings, [.. trains.Select(t => DriveWorking.Overall(t))]);
    }

    /// <summary>Everything wrong with a machine's drives and the wheels on them.</summary>
    /// <param name="at">Where the wheels stand in the input.</param>
    public static Guard Check(IReadOnlyList<Drive> drives, IReadOnlyList<LoopChoice> loops, string at = "Loops")
    {
        Guard guard = CheckDrives(drives);
        if (!guard.HasIssues)
            guard.Include(DriveRules.CheckChoices(drives.SelectMany(d => d.Stages).OfType<Loop>(), loops, at));
        return guard;
    }

    /// <summary>Everything wrong with the drives alone.</summary>
    public static Guard CheckDrives(IReadOnlyList<Drive> drives)
    {
        Guard guard = new();
        guard.Count("Drives", drives.Count, 1, MostDrives, "drives");
        HashSet<string> stageKeys = [];
        HashSet<string> driveKeys = [];
        HashSet<string> outputs = [];
        for (int i = 0; i < drives.Count; i++)
        {
            Drive drive = drives[i];
            string at = $"Drives[{i}].";
            Guard inner = new(at);
            guard.Include(inner.Include(DriveRules.Check(drive)));
            guard.That(driveKeys.Add(drive.Key), at + "Key", "double", "Give each drive its own key.");
            guard.That(
                drive.Stages.All(s => stageKeys.Add(s.Key)),
                at + "Stages",
                "double",
                "Give every stage of the machine its own key."
            );
            guard.That(
                drive.Outputs.All(o => outputs.Add(o.Name)),
                at + "Outputs",
                "double",
                "Give every output of the machine its own name."
            );
            guard.That(
                drive.Mirrors is null || (drive.Mirrors != drive.Key && drives.Any(d => d.Key == drive.Mirrors)),
                at + "Mirrors",
                "unknown",
                "Give the key of another drive of this machine."
            );
        }
        return guard;
    }

    private static DriveState StateOf(DriveTrain train, MachineDrivesInput input) =>
        new(train.Drive.Key, [.. train.Gears.Select(g => StateOf(train, g, input))]);

    private static GearState StateOf(DriveTrain train, DriveGear gear, MachineDrivesInput input)
    {
        Drive drive = train.Drive;
        IEnumerable<string> shafts = [drive.Input.Shaft, .. drive.Stages.Select(s => s.DrivenShaft)];
        return new(
            gear.Label,
            [
                .. shafts.Select(shaft =>
                {
                    double i = train.Reduction(shaft, gear);
                    return new ShaftState(shaft, Math.Abs(i), i < 0, input.InputSpeedRpm / Math.Abs(i));
                }),
            ],
            [.. drive.Outputs.Select(o => StateOf(train, gear, o, input))]
        );
    }

    private static OutputState StateOf(DriveTrain train, DriveGear gear, DriveOutput output, MachineDrivesInput input)
    {
        double i = train.Reduction(output.Shaft, gear);
        double rpm = input.InputSpeedRpm / Math.Abs(i);
        RoadWheel? wheel = RoadWheels.On(output, input.RoadWheels);
        double? kmh = wheel is null
            ? null
            : RoadSpeed.Kmh.Value(rpm, 1, RollingCircumference.For(wheel).CircumferenceMm);
        return new(output.Name, output.OnRoad, Math.Abs(i), i < 0, rpm, kmh);
    }

    private static IEnumerable<DriveFinding> FindingsWithin(DriveState state)
    {
        // Senses and relative speeds of outputs do not depend on the gear unless a gear sits behind a fork;
        // so every gear is looked at, and a finding is told once, for the first gear that shows it.
        HashSet<(DriveFindingKind, string, string)> named = [];
        foreach (GearState gear in state.Gears)
        {
            for (int a = 0; a < gear.Outputs.Count; a++)
            for (int b = a + 1; b < gear.Outputs.Count; b++)
            {
                DriveFinding? finding = Compare(gear, gear.Outputs[a], gear.Outputs[b]);
                if (finding is not null && named.Add((finding.Kind, finding.Things[0], finding.Things[1])))
                    yield return finding;
            }
        }
    }

    private static DriveFinding? Compare(GearState gear, OutputState a, OutputState b)
    {
        // Drums and shafts may turn as they like; wheels on one ground may not.
        if (!a.OnRoad || !b.OnRoad)
            return null;
        if (a.AgainstInput != b.AgainstInput)
            return new(DriveFindingKind.OpposingWheels, [a.Name, b.Name], gear.Label, null);
        if (a.SpeedKmh is not double va || b.SpeedKmh is not double vb)
            return null;
        double percent = (vb / va - 1) * 100;
        return Math.Abs(percent) > ScrubTolerancePercent
            ? new(DriveFindingKind.ScrubbingWheels, [a.Name, b.Name], gear.Label, percent)
            : null;
    }

    private static IEnumerable<DriveFinding> MirrorFindings(IReadOnlyList<Drive> drives, DriveState[] states)
    {
        foreach (Drive drive in drives.Where(d => d.Mirrors is not null))
        {
            DriveState mine = states.First(s => s.DriveKey == drive.Key);
            DriveState other = states.First(s => s.DriveKey == drive.Mirrors);
            string otherName = drives.First(d => d.Key == drive.Mirrors).Name;
            if (MismatchPercent(mine, other) is double percent)
                yield return new(DriveFindingKind.MirrorMismatch, [otherName, drive.Name], null, percent);
        }
    }

    /// <summary>How far the worst output of two mirrored drives is apart, percent; null when they match.</summary>
    private static double? MismatchPercent(DriveState mine, DriveState other)
    {
        if (mine.Gears.Count != other.Gears.Count || mine.Gears[0].Outputs.Count != other.Gears[0].Outputs.Count)
            return double.NaN;
        double worst = 0;
        for (int g = 0; g < mine.Gears.Count; g++)
        for (int o = 0; o < mine.Gears[g].Outputs.Count; o++)
        {
            OutputState a = other.Gears[g].Outputs[o];
            OutputState b = mine.Gears[g].Outputs[o];
            double apart = (a.SpeedKmh, b.SpeedKmh) is (double va, double vb)
                ? vb / va - 1
                : a.Reduction / b.Reduction - 1;
            if (Math.Abs(apart) > Math.Abs(worst))
                worst = apart;
        }
        return Math.Abs(worst) > MirrorTolerance ? worst * 100 : null;
    }
}
