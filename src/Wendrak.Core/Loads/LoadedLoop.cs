using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>A loop to be judged.</summary>
/// <param name="Kind">Says what stands in for figures of the vehicle that nobody gave.</param>
/// <param name="Loops">Wheels of every loop of the drive.</param>
/// <param name="Layout">Where its wheels stand; null for two wheels at the centres their length asks for.</param>
/// <param name="Strength">The chain or belt; names the loop.</param>
/// <param name="Alternative">Judged in the place of the loop it names; null for the loop as it is.</param>
public sealed record LoadsInput(
    Drive Drive,
    MachineKind Kind,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    LoopLayout? Layout,
    LoadSource Source,
    LoopStrength Strength,
    LoopAlternative? Alternative = null
);

/// <summary>Geometry and operating points that all checks of a loop share.</summary>
internal sealed class LoadedLoop
{
    public LoadsInput Input { get; }
    public Loop Loop { get; }
    public LoopChoice Choice { get; }
    public LoopPath Path { get; }
    public WrappedWheel Front { get; }
    public WrappedWheel Rear { get; }
    public double SlackRunMm { get; }
    public IReadOnlyList<OperatingPoint> Points { get; }

    /// <exception cref="InvalidInputException">A part of the question is refused.</exception>
    /// <param name="path">Of this very loop, where it was laid already.</param>
    public LoadedLoop(LoadsInput given, LoopPath? path = null)
    {
        LoadsInput input = given.Alternative?.In(given) ?? given;
        Input = input;
        DriveTrain train = new(input.Drive, input.Loops);
        Loop =
            input.Drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == input.Strength.LoopKey)
            ?? throw new InvalidInputException("Strength.LoopKey", "unknown", "Give a loop of this drive.");
        new Guard("Strength.").Include(input.Strength.Check(Loop)).ThrowIfAny();
        Strength = UncountedInputs.Counted(input.Strength, Loop.DriveElement);
        Choice = train.ChoiceOf(Loop.Key);
        Path = path ?? Lay(input, Choice);
        int rear = 0;
        while (Path.Wheels[rear].Name != LoopLayout.RearName)
            rear++;
        (Front, Rear) = (Path.Wheels[0], Path.Wheels[rear]);
        SlackRunMm = Path.Spans.Take(rear).Max(s => s.LengthMm);
        RearIndex = rear;
        OperatingPoints points = new(train, Loop, input.RoadWheels, input.Kind, input.Source, input.Strength);
        (Points, IsForked) = (points.At(FrontDiameterMm), points.IsForked);
        Uncounted = [.. UncountedInputs.Find(input, Loop.DriveElement, points)];
        UsualShock = ShockFactors.Find(Loop, input.Drive, input.Kind, input.Source);
    }

    private static LoopPath Lay(LoadsInput input, LoopChoice choice)
    {
        LoopLayout layout = input.Layout ?? StartingLayout.For(input.Drive, choice);
        return LoopFit.Lay(new(input.Drive, choice, choice, layout, null, false, null)).Path;
    }

    /// <summary>The same wheels and operating points with another chain or belt: only that is checked again.</summary>
    private LoadedLoop(LoadedLoop like, LoopStrength strength)
    {
        new Guard("Strength.").Include(strength.Check(like.Loop)).ThrowIfAny();
        Input = like.Input with { Strength = strength };
        (Strength, Uncounted) = (UncountedInputs.Counted(strength, like.Loop.DriveElement), like.Uncounted);
        (Loop, Choice, Path, Points) = (like.Loop, like.Choice, like.Path, like.Points);
        (Front, Rear, RearIndex, SlackRunMm) = (like.Front, like.Rear, like.RearIndex, like.SlackRunMm);
        (IsForked, UsualShock) = (like.IsForked, like.UsualShock);
    }

    /// <exception cref="InvalidInputException">The chain or belt is refused.</exception>
    public LoadedLoop With(LoopStrength strength) => new(this, strength);

    public int RearIndex { get; }
    public double FrontDiameterMm => 2 * Front.Outline.RunRadiusMm;

    /// <summary>Of what was given only what counts for such a loop.</summary>
    public LoopStrength Strength { get; }

    /// <summary>What was given and does not count.</summary>
    public IReadOnlyList<UncountedInput> Uncounted { get; }
    public string Standard => Strength.Standard ?? Loop.Standard;

    /// <summary>Both ways of the trade: a vehicle's drive works in bursts, a machine's all day.</summary>
    public bool IsVehicle => LoadDefaults.ClassOf(Input.Kind) is not null;

    /// <summary>True where the drive goes more than one way: part of its torque may go past this loop.</summary>
    public bool IsForked { get; }

    /// <summary>Counts where nobody gave a factor.</summary>
    public Tables.ServiceFactor UsualShock { get; }

    /// <summary>As given, or the usual one.</summary>
    public Given Shock => new(ShockFactor, IsUsual: Strength.ShockFactor is null);

    public double ShockFactor => Strength.ShockFactor ?? UsualShock.Factor;

    public LubricationSchool School => Strength.School ?? MachineKinds.Get(Input.Kind).Lubrication;

    /// <summary>The greatest power that is more than a moment's pull, where one is known: ratings are for all day.</summary>
    public OperatingPoint Lasting =>
        Points.Where(p => p.Kind is OperatingPointKind.Cruise or OperatingPointKind.TopSpeed).MaxBy(p => p.PowerKw)
        ?? Points[0];

    /// <summary>Field that would tell what it cruises at.</summary>
    public string CruiseField => IsVehicle ? "Source.CruiseKmh" : "Source.ContinuousTorqueNm";

    public OperatingPoint? PointOf(OperatingPointKind kind) => Points.FirstOrDefault(p => p.Kind == kind);

    /// <summary>By what was typed: a power over the speed, or a torque on the pitch circle. See <see cref="ChainPull"/>.</summary>
    public Explained Pull(OperatingPoint point) =>
        point.IsPowerGiven
            ? ChainPull.OfPower.With(point.PowerKw, SpeedMS(point))
            : ChainPull.OfTorque.With(
                new(
                    point.TorqueNm,
                    Meaning: $"torque on the driving wheel, bounded by {LoadWorkings.OriginOf(point.Origin)}"
                ),
                FrontDiameterMm
            );

    public double PullN(OperatingPoint point) => Pull(point).Value;

    /// <summary>Speed of the chain or belt, m/s.</summary>
    public Explained Speed(OperatingPoint point) =>
        Loop.IsToothed
            ? ChainPull.Speed.With(FrontLinks, LoopLengths.UnitMm(Loop), point.Rpm)
            : ChainPull.BeltSpeed.With(FrontDiameterMm, point.Rpm);

    public double SpeedMS(OperatingPoint point) => Speed(point).Value;

    /// <summary>Wrap of the worse of both wheels: there it slips, jumps or climbs first.</summary>
    public double LeastWrapDeg => Math.Min(Front.WrapDeg, Rear.WrapDeg);

    /// <summary>Wrap by which it grips: half turns of a rope beyond the loop's own are added.</summary>
    public double GrippingWrapDeg => LeastWrapDeg + 180 * Strength.ExtraHalfTurns;

    /// <summary>Links or belt teeth that lie once round the driving wheel.</summary>
    public double FrontLinks => WheelSize.LinksRound(Loop, Choice.FrontSize);

    /// <summary>The same of the smaller wheel.</summary>
    public double SmallerLinks => WheelSize.LinksRound(Loop, SmallerSize);

    public double SmallerSize => Math.Min(Choice.FrontSize, Choice.RearSize);

    /// <summary>Speed of the smaller wheel, rpm.</summary>
    public double SmallerRpm(OperatingPoint point) => point.Rpm * Choice.FrontSize / SmallerSize;
}
