using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Tension over one part of the loop.</summary>
/// <param name="Part">Wheel, or “slack” and “tight” for runs as they are pulled here.</param>
/// <param name="AtMm">Places along the loop, from where it comes onto the driving wheel; at least where the part begins and ends.</param>
/// <param name="TensionN">Pull at each of them, N.</param>
public sealed record PullOver(string Part, IReadOnlyList<double> AtMm, IReadOnlyList<double> TensionN);

/// <summary>Tension once round the loop.</summary>
/// <remarks>
/// Chain: falls by q a tooth from the tight run until the slack run holds the rest (Binder; ACA). Toothed belt: evenly over the
/// teeth in mesh, an assumption. Friction belt: by e^(f'·θ) over the last part of the arc, where it creeps (Shigley ch. 17).
/// </remarks>
internal static class PullCurve
{
    private const int BeltSamples = 16;
    private const string Slack = "slack";
    private const string Tight = "tight";

    /// <param name="brakes">True where the driving wheel holds back: then the run that is slack otherwise pulls.</param>
    public static IReadOnlyList<PullOver> Trace(LoadedLoop loop, RunTensions runs, bool brakes)
    {
        (double ofSlackRun, double ofTightRun) = brakes ? (runs.TightN, runs.SlackN) : (runs.SlackN, runs.TightN);
        List<PullOver> curve = [];
        double at = 0;
        for (int i = 0; i < loop.Path.Wheels.Count; i++)
        {
            WrappedWheel wheel = loop.Path.Wheels[i];
            double arc = wheel.Outline.ArcRadiusMm * wheel.WrapDeg * Math.PI / 180;
            bool isSlackBefore = i > 0 && i <= loop.RearIndex;
            bool isSlackAfter = i < loop.RearIndex;
            double from = isSlackBefore ? ofSlackRun : ofTightRun;
            double to = isSlackAfter ? ofSlackRun : ofTightRun;
            (double Share, double TensionN)[] over = [.. OverWheel(loop, wheel, runs, from, to)];
            double start = at;
            curve.Add(new(wheel.Name, [.. over.Select(o => start + o.Share * arc)], [.. over.Select(o => o.TensionN)]));
            at += arc + loop.Path.Spans[i].LengthMm;
            curve.Add(new(isSlackAfter != brakes ? Slack : Tight, [start + arc, at], [to, to]));
        }
        return curve;
    }

    /// <summary>Tension over the share of the arc, from where the loop comes on to where it leaves.</summary>
    private static IEnumerable<(double Share, double TensionN)> OverWheel(
        LoadedLoop loop,
        WrappedWheel wheel,
        RunTensions runs,
        double from,
        double to
    )
    {
        if (from == to)
            return [(0, from), (1, to)];
        return loop.Loop.DriveElement switch
        {
            DriveElement.Chain => OverTeeth(loop, wheel, runs, from > to),
            DriveElement.ToothedBelt => [(0, from), (1, to)],
            _ => Creeping(loop, wheel, runs, from, to),
        };
    }

    private static IEnumerable<(double, double)> OverTeeth(
        LoadedLoop loop,
        WrappedWheel wheel,
        RunTensions runs,
        bool falls
    )
    {
        double size = wheel.Name == LoopLayout.FrontName ? loop.Choice.FrontSize : loop.Choice.RearSize;
        double teeth = WheelSize.LinksRound(loop.Loop, size);
        double phi = loop.Strength.PressureAngleDeg ?? ToothLoads.MeanPressureAngleDeg(teeth);
        double q = ToothLoads.RatioPerTooth(teeth, phi);
        double perTooth = 360.0 / teeth / wheel.WrapDeg;
        List<(double Share, double TensionN)> series = [];
        for (int k = 0; k * perTooth <= 1 && (k == 0 || series[^1].TensionN > runs.SlackN); k++)
            series.Add((k * perTooth, Math.Max(runs.SlackN, runs.TightN * Math.Pow(q, k))));
        series.Add((1, runs.SlackN));
        // On the driven wheel the tight run leaves: the same series, met from its other end.
        return falls ? series : series.AsEnumerable().Reverse().Select(p => (1 - p.Share, p.TensionN));
    }

    private static IEnumerable<(double, double)> Creeping(
        LoadedLoop loop,
        WrappedWheel wheel,
        RunTensions runs,
        double from,
        double to
    )
    {
        double friction = FrictionBeltChecks.EffectiveFriction(loop);
        double more = wheel.Name == LoopLayout.FrontName ? 180 * loop.Strength.ExtraHalfTurns : 0;
        double wrap = (wheel.WrapDeg + more) * Math.PI / 180;
        double free = Math.Max(runs.SlackN - runs.CentrifugalN, 1e-9);
        double needed = Math.Log((runs.TightN - runs.CentrifugalN) / free) / friction;
        double active = Math.Min(1, needed / wrap);
        yield return (0, from);
        for (int i = 0; i <= BeltSamples; i++)
        {
            double part = (double)i / BeltSamples;
            double change = Math.Pow((to - runs.CentrifugalN) / Math.Max(from - runs.CentrifugalN, 1e-9), part);
            yield return (
                1 - active + part * active,
                runs.CentrifugalN + Math.Max(from - runs.CentrifugalN, 1e-9) * change
            );
        }
    }
}
