using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Loads;

/// <summary>How the loads of a loop came about.</summary>
internal static class LoadWorkings
{
    public static IReadOnlyList<Working> Explain(
        LoadedLoop loop,
        IReadOnlyList<PointLoads> points,
        IReadOnlyList<LoadCheck> checks,
        FrictionFigures? friction,
        ElongationLife? life,
        ChartPower? chart
    ) =>
        [
            .. points
                .SelectMany(p => OfPoint(loop, p))
                .Concat(checks.Where(c => c.Limit is not null).SelectMany(c => OfCheck(loop, c)))
                .Concat(friction?.Workings() ?? [])
                .Concat(life?.Workings() ?? [])
                .Concat(chart?.Workings() ?? [])
                // What several figures rest on is told once.
                .DistinctBy(w => w.Title),
        ];

    private static IEnumerable<Working> OfPoint(LoadedLoop loop, PointLoads at)
    {
        string name = NameOf(at.Point.Kind);
        Working Here(Explained figure) => figure.Working with { Title = $"{figure.Working.Title}, {name}" };
        Working pull = Here(loop.Pull(at.Point));
        yield return !loop.IsForked
            ? pull
            : pull with
            {
                Limits = loop.Strength.TorqueShare is null
                    ? "The drive forks: this branch is taken to carry all of it, the worst case."
                    : "The share of a forked drive as it was given.",
            };
        yield return Here(loop.Speed(at.Point));
        if (at.Teeth is { } teeth)
            yield return Here(
                ToothLoads.FirstTooth.With(
                    at.PullN,
                    loop.FrontLinks,
                    new(teeth.PressureAngleDeg, IsUsual: loop.Strength.PressureAngleDeg is null)
                )
            ) with
            {
                Beside = [new("F/k", "shared alike by the teeth engaged", teeth.EvenShareN, "N")],
            };
        yield return Here(
            ShaftLoad.Resultant.With(at.TightN - at.CentrifugalN, at.SlackN - at.CentrifugalN, loop.Front.WrapDeg)
        );
    }

    private static readonly Formula<Func<double, double>> Found = new(
        "As it is",
        "x",
        ("here", ""),
        found => found,
        [("counted, or read off the layout", "")],
        "the machine as it is described",
        "The maker's figure wins."
    );

    private static IEnumerable<Working> OfCheck(LoadedLoop loop, LoadCheck check)
    {
        string name = NameOf(check.Point);
        Working value = check.ValueBy?.Working ?? Plain(loop, check);
        yield return value with
        {
            Title = $"{TitleOf(check.Kind)}, {name}",
            Source = check.Source,
            Limits = check.IsAdvisory ? "Told, not counted: a rule of another trade." : value.Limits,
            Beside = [new("limit", "to be kept", check.Limit!.Value, value.Result.Unit)],
        };
        foreach (Explained step in check.Steps)
            yield return step.Working with
            {
                Title = $"{step.Working.Title}, {name}",
            };
    }

    private static Working Plain(LoadedLoop loop, LoadCheck check)
    {
        (string meaning, string unit) = check.Kind switch
        {
            LoadCheckKind.Rating => ("power at this state", "kW"),
            LoadCheckKind.Galling => ("speed of the small sprocket", "rpm"),
            LoadCheckKind.LongDistance or LoadCheckKind.ShortDistance => ("from shaft to shaft, as laid out", "m"),
            LoadCheckKind.BeltCount => ("belts side by side", ""),
            LoadCheckKind.TeethInMesh => ("whole teeth in mesh, of the wheel with fewer", "teeth"),
            LoadCheckKind.SmallestFront => ("driving wheel", loop.Loop.IsToothed ? "teeth" : "mm"),
            _ => ("smaller wheel", loop.Loop.IsToothed ? "teeth" : "mm"),
        };
        return Found.With(new Given(check.Value!.Value, Meaning: meaning, Unit: unit)).Working.In(unit);
    }

    internal static string NameOf(OperatingPointKind kind) =>
        kind switch
        {
            OperatingPointKind.HardestPull => "hardest pull",
            OperatingPointKind.Cruise => "cruise",
            OperatingPointKind.TopSpeed => "top speed",
            _ => "braking",
        };

    internal static string OriginOf(TorqueOrigin origin) =>
        origin switch
        {
            TorqueOrigin.Input => "engine, motor or rider",
            TorqueOrigin.Grip => "the tyre's grip",
            TorqueOrigin.FrontLifts => "the front wheel lifting",
            TorqueOrigin.Resistance => "what holds the vehicle back",
            _ => "the measured pull",
        };

    private static string TitleOf(LoadCheckKind kind) =>
        kind switch
        {
            LoadCheckKind.BreakingLoad => "Breaking load over pull",
            LoadCheckKind.BreakingLoadWithShock => "Breaking load, shock counted",
            LoadCheckKind.PinPressure => "Pressure in the pins",
            LoadCheckKind.ToothJumping => "Pull left after the last tooth",
            LoadCheckKind.ChainSpeed => "Chain speed",
            LoadCheckKind.Ripple => "Speed ripple",
            LoadCheckKind.Wrap => "Wrap",
            LoadCheckKind.Rating => "Power against the rating",
            LoadCheckKind.Galling => "Galling",
            LoadCheckKind.OddTeeth => "Odd number of gaps",
            LoadCheckKind.Slip => "Slip margin",
            LoadCheckKind.BeltCount => "Belts side by side",
            LoadCheckKind.BeltSpeed => "Belt speed",
            LoadCheckKind.LowBeltSpeed => "Belt speed, the least",
            LoadCheckKind.LongDistance => "Distance of the shafts, the longest",
            LoadCheckKind.ShortDistance => "Distance of the shafts, the shortest",
            LoadCheckKind.SmallestFront => "Driving wheel of this machine",
            LoadCheckKind.SmallPulley => "Smaller pulley",
            LoadCheckKind.BeltPull => "Pull of the belt",
            LoadCheckKind.TeethInMesh => "Teeth in mesh",
            _ => "Tooth jump",
        };
}
