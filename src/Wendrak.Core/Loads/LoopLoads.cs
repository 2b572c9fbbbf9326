using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Loads;

/// <summary>A loop at one operating point.</summary>
/// <param name="SmallerRpm">Of the smaller wheel, rpm.</param>
/// <param name="SpeedMS">Of the chain or belt.</param>
/// <param name="PullN">From the torque alone.</param>
/// <param name="CentrifugalN">Part of both runs that going round takes; it does not reach the shafts.</param>
/// <param name="Teeth">How the front sprocket of a chain shares it; null for belts.</param>
/// <param name="FrontShaft">On the driving shaft, from both runs; the rear one carries the same turned round.</param>
/// <param name="Curve">Once round the loop, part by part.</param>
/// <param name="TightN">Pull of the tight run, N.</param>
/// <param name="SlackN">Pull of the slack run, N.</param>
public sealed record PointLoads(
    OperatingPoint Point,
    double PullN,
    double SmallerRpm,
    double SpeedMS,
    double TightN,
    double SlackN,
    double CentrifugalN,
    ToothLoadsResult? Teeth,
    ShaftLoadResult FrontShaft,
    ShaftLoadResult RearShaft,
    IReadOnlyList<PullOver> Curve
);

/// <summary>How a chain of this speed is oiled, by both practices.</summary>
/// <param name="ManualUpToMS">Up to here oiling by hand or drip will do, by the industrial tables.</param>
/// <param name="SealedFromKm">How often a sealed-ring chain is oiled outside, km.</param>
/// <param name="School">The one chosen, or the usual of such a machine.</param>
/// <param name="SpeedMS">Greatest speed of the chain, m/s.</param>
/// <param name="BathUpToMS">Up to here a bath or a slinger will do.</param>
/// <param name="SealedUpToMS">Up to here a sealed-ring chain will do, by the practice of road machines.</param>
/// <param name="SealedToKm">And at the latest, km.</param>
public sealed record ChainOiling(
    LubricationClass Class,
    double SpeedMS,
    double ManualUpToMS,
    double BathUpToMS,
    double SealedUpToMS,
    double SealedFromKm,
    double SealedToKm,
    LubricationSchool School
);

/// <summary>What a loop carries, and what it can.</summary>
/// <param name="Path">How it lies; null where nobody said where its wheels stand.</param>
/// <param name="IsJudged">False for hoists, lifts for people and aircraft: this tool does not decide those.</param>
/// <param name="IsLiftUnsaid">Such a machine may lift, and nobody said whether it does: what holds, holds if it does not.</param>
/// <param name="Checks">The worst first.</param>
/// <param name="Verdict">The worst of all checks that count; not applicable where none could be told.</param>
/// <param name="Smallest">The least margin of strength or grip that is no mere advice; null when none could be told.</param>
/// <param name="InstalledTensionN">Of one run of a belt at rest: as set, or what the advised margin asks for.</param>
/// <param name="IsTensionAdvised">True when nobody said what is set.</param>
/// <param name="ShaftAtRestN">Of a belt on the driving shaft, not running.</param>
/// <param name="HardestTorqueNm">On the driving wheel, with shock: what its joint must carry.</param>
/// <param name="PullLimitN">Where the margin wanted on the breaking load is used up; null for belts.</param>
/// <param name="MassKg">Of the chain or belt alone; null where neither tables nor person tell.</param>
/// <param name="Oiling">Null for belts, which are never oiled.</param>
/// <param name="GreatestSpeedMS">Of the chain or belt.</param>
/// <param name="Standard">Of the chain or belt that was judged.</param>
/// <param name="Tent">Null for belts, and where the equations do not hold.</param>
/// <param name="Chart">Null for belts.</param>
/// <param name="Efficiency">By both schools.</param>
/// <param name="Life">Null for belts, and where the pressure in the pins is not known.</param>
/// <param name="Friction">Null for chains and toothed belts.</param>
/// <param name="Uncounted">What was given and does not count for such a loop, and why.</param>
/// <param name="Sizes">Chains of this pitch, or sections of V-belts, that can be tried in its place.</param>
/// <param name="ShockFactor">By which shocks raise the pull.</param>
/// <param name="FrontSize">Driving wheel it was counted with.</param>
/// <param name="RearSize">Driven wheel it was counted with.</param>
/// <param name="EffectiveTeeth">Links or belt teeth that lie once round the smaller wheel: half of its gaps under a double pitch chain; null without teeth.</param>
public sealed record LoopLoadsResult(
    IReadOnlyList<PointLoads> Points,
    LoopPath? Path,
    IReadOnlyList<LoadCheck> Checks,
    bool IsJudged,
    bool IsLiftUnsaid,
    Verdict Verdict,
    LoadCheck? Smallest,
    double? InstalledTensionN,
    bool IsTensionAdvised,
    double? ShaftAtRestN,
    double ShockFactor,
    double HardestTorqueNm,
    double? PullLimitN,
    double? MassKg,
    double GreatestSpeedMS,
    string Standard,
    double FrontSize,
    double RearSize,
    double? EffectiveTeeth,
    ChainOiling? Oiling,
    RatingTent? Tent,
    ChartPower? Chart,
    IReadOnlyList<string> Sizes,
    IReadOnlyList<UncountedInput> Uncounted,
    AssumedLoads Assumed,
    IReadOnlyList<LoopEfficiency> Efficiency,
    FrictionFigures? Friction,
    ElongationLife? Life,
    IReadOnlyList<Working> Workings
)
{
    /// <summary>What is laid beside those of another loop.</summary>
    public LoopFigures Figures => LoopFigures.From(this);
}

/// <summary>Whether a loop holds: pulls and margins; <see cref="LoadMends"/> says what would mend them.</summary>
public static class LoopLoads
{
    /// <exception cref="InvalidInputException">A part of the question is refused, or nothing tells how hard it is pulled.</exception>
    /// <param name="explains">Whether the workings are told, too.</param>
    public static LoopLoadsResult Evaluate(LoadsInput input, bool explains = true) =>
        Evaluate(new LoadedLoop(input), explains);

    internal static LoopLoadsResult Evaluate(LoadedLoop loop, bool explains)
    {
        LoadsInput input = loop.Input;
        LoadCheck[] checks = LoadChecks.Check(loop);
        RunTensions[] runs = [.. loop.Points.Select(p => RunTensions.Compute(loop, p))];
        PointLoads[] points = [.. loop.Points.Zip(runs, (p, r) => At(loop, p, r))];
        double? installed = runs[0].InstalledN;
        FrictionFigures? friction = FrictionFigures.Compute(loop, runs.Max(r => r.TightN), installed);
        ElongationLife? life = LifeOf(loop, checks);
        ChartPower? chart = ChartPower.Compute(loop);
        return new(
            points,
            input.Layout is null ? null : loop.Path,
            checks,
            input.Source.IsJudged,
            input.Source.IsLiftUnsaid(input.Kind),
            LoadChecks.VerdictOf(checks),
            LoadChecks.SmallestMargin(checks),
            installed,
            runs[0].IsAdvised,
            installed is double tension ? ShaftLoad.AtRestN(tension, loop.Front.WrapDeg) : null,
            loop.ShockFactor,
            loop.Points.Max(p => p.TorqueNm) * loop.ShockFactor,
            PullLimit(loop, checks),
            LoopMass.KgPerM(loop) * loop.Path.LengthMm / 1_000,
            points.Max(p => p.SpeedMS),
            loop.Standard,
            loop.Choice.FrontSize,
            loop.Choice.RearSize,
            loop.Loop.IsToothed ? loop.SmallerLinks : null,
            Oiling(loop),
            ChainChecks.Tent(loop),
            chart,
            LoopStrength.SizesFor(loop.Loop),
            loop.Uncounted,
            AssumedLoads.From(loop, installed),
            LoopEfficiency.Estimate(loop),
            friction,
            life,
            explains ? LoadWorkings.Explain(loop, points, checks, friction, life, chart) : []
        );
    }

    /// <returns>Null for belts, and where the pressure of the pins or the cruise is not known.</returns>
    private static ElongationLife? LifeOf(LoadedLoop loop, IEnumerable<LoadCheck> checks) =>
        checks.FirstOrDefault(c => c.Kind == LoadCheckKind.PinPressure)
            is { Value: double pressure, Limit: double allowed } pins
        && ChainUse.WearLimit(loop.Input.Kind, loop.Loop, loop.Choice, loop.Strength.ElongationLimitPercent)
            is { Percent: double limit }
            ? ElongationLife.Estimate(pressure, allowed, limit, loop.IsVehicle, loop.PointOf(pins.Point)?.RoadSpeedKmh)
            : null;

    /// <summary>Pull at which the wanted margin on the breaking load is used up.</summary>
    private static double? PullLimit(LoadedLoop loop, LoadCheck[] checks) =>
        checks.FirstOrDefault(c => c.Kind == LoadCheckKind.BreakingLoad) is { Margin: double margin } breaking
        && loop.PointOf(breaking.Point) is { } point
            ? loop.PullN(point) * margin
            : null;

    private static PointLoads At(LoadedLoop loop, OperatingPoint point, RunTensions runs) =>
        new(
            point,
            loop.PullN(point),
            loop.SmallerRpm(point),
            loop.SpeedMS(point),
            runs.TightN,
            runs.SlackN,
            runs.CentrifugalN,
            loop.Loop.DriveElement == DriveElement.Chain
                ? ToothLoads.Compute(
                    loop.FrontLinks,
                    loop.Front.WrapDeg,
                    loop.PullN(point),
                    loop.Strength.PressureAngleDeg
                )
                : null,
            ShaftLoad.Compute(runs.TightN - runs.CentrifugalN, runs.SlackN - runs.CentrifugalN, loop.Front.WrapDeg),
            ShaftLoad.Compute(runs.TightN - runs.CentrifugalN, runs.SlackN - runs.CentrifugalN, loop.Rear.WrapDeg),
            PullCurve.Trace(loop, runs, point.IsReversed)
        );

    private static ChainOiling? Oiling(LoadedLoop loop)
    {
        if (loop.Loop.DriveElement != DriveElement.Chain)
            return null;
        double pitch = LoopLengths.UnitMm(loop.Loop);
        double speed = loop.Points.Max(loop.SpeedMS);
        (double manual, double bath) = ChainLubrication.UpTo(pitch);
        return new(
            ChainLubrication.ClassOf(pitch, speed),
            speed,
            manual,
            bath,
            LoadLimits.Get("chain speed", "sealed").Limit!.Value,
            ChainLubrication.SealedFromKm,
            ChainLubrication.SealedToKm,
            loop.School
        );
    }
}
