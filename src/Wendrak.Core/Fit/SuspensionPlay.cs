using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>A loop whose driven axle moves on an arm.</summary>
/// <param name="TravelMm">Where the adjuster stands; null for where the length in view closes.</param>
/// <param name="PlayOnStandMm">Free play as set, whole up-and-down movement; null for the play that leaves enough.</param>
/// <param name="LeastPlayMm">Play wanted at the tightest place, mm; null for the usual.</param>
public sealed record SuspensionPlayInput(
    Drive Drive,
    LoopChoice Choice,
    LoopLayout Layout,
    double? TravelMm,
    double? PlayOnStandMm,
    double? LeastPlayMm
);

/// <param name="AxleUpMm">Height of the axle over where it is on the stand, mm.</param>
/// <param name="FreePlayMm">0 where the chain is stretched.</param>
/// <param name="ExcessMm">Length beyond the path; negative where the chain is stretched.</param>
public sealed record PlayAtTravel(double AxleUpMm, double CentreMm, double FreePlayMm, double ExcessMm);

/// <param name="Curve">From full droop to full bump.</param>
/// <param name="Tightest">Least play of all.</param>
/// <param name="NeededOnStandMm">Play to set on the stand so that the wanted one is left at the tightest place.</param>
/// <param name="LeastPlayMm">Play wanted at the tightest place: as asked, or the usual.</param>
/// <param name="InLine">True when output shaft, pivot and axle come into line within the travel.</param>
public sealed record SuspensionPlayResult(
    IReadOnlyList<PlayAtTravel> Curve,
    PlayAtTravel OnStand,
    PlayAtTravel Tightest,
    double NeededOnStandMm,
    double LeastPlayMm,
    bool InLine,
    IReadOnlyList<Working> Workings
);

/// <summary>How free play changes while the suspension moves.</summary>
/// <remarks>
/// The loop is longest where output shaft, pivot and axle are in line; if that is beyond the travel, at the end nearer to
/// it. Geometry; Cossalter, Motorcycle Dynamics.
/// </remarks>
public static class SuspensionPlay
{
    // 10 to 15 mm at the tightest place is common practice.
    public const double UsualLeastPlayMm = 12;
    private const int Steps = 60;

    // Nearer to an end of the travel than this the end itself is meant.
    private const double EndMm = 0.01;

    /// <exception cref="InvalidInputException">No arm, or a value that is not physical.</exception>
    public static SuspensionPlayResult Of(SuspensionPlayInput input)
    {
        new Guard()
            .BetweenIfGiven(nameof(input.LeastPlayMm), input.LeastPlayMm, 0, 100, "mm")
            .BetweenIfGiven(nameof(input.PlayOnStandMm), input.PlayOnStandMm, 0, 200, "mm")
            .That(input.Layout.SwingArm is not null, "Layout.SwingArm", "missing", "Give the pivot of the swing arm.")
            .ThrowIfAny();
        FittedLoop fitted = new(
            new(input.Drive, input.Choice, input.Choice, input.Layout, input.TravelMm, false, null)
        );
        SwingArm arm = input.Layout.SwingArm!;
        double travel = input.TravelMm ?? Math.Clamp(fitted.Closing ?? fitted.TrackMm / 2, 0, fitted.TrackMm);
        Swing swing = new(fitted, arm, travel);
        (double height, double longest) = swing.Longest();
        double least = input.LeastPlayMm ?? UsualLeastPlayMm;
        (double closest, double standRun, _) = swing.At(0);
        double needed = SlackRun.PlayMm(standRun, SlackRun.ExcessMm(swing.At(height).RunMm, least) + longest - closest);
        double spare = SlackRun.ExcessMm(standRun, input.PlayOnStandMm ?? needed) + closest;
        PlayAtTravel Place(double up)
        {
            (double length, double run, double centre) = swing.At(up);
            return new(up, centre, SlackRun.PlayMm(run, spare - length), spare - length);
        }
        PlayAtTravel[] curve =
        [
            .. Enumerable.Range(0, Steps + 1).Select(i => Place(-arm.DroopMm + (arm.DroopMm + arm.BumpMm) * i / Steps)),
        ];
        PlayAtTravel tightest = Place(height);
        bool inLine = height > -arm.DroopMm + EndMm && height < arm.BumpMm - EndMm;
        return new(
            curve,
            Place(0),
            tightest,
            needed,
            least,
            inLine,
            [Needed(least, longest - closest, needed, standRun)]
        );
    }

    private static Working Needed(double least, double growth, double needed, double run) =>
        new(
            "Free play to set on the stand",
            "e = e_least + (L_tight − L_stand), play = 2·√((S + e)²/4 − S²/4)",
            [
                new("least", "play wanted at the tightest place", least, "mm"),
                new("L_tight − L_stand", "growth of the path through the travel", growth, "mm"),
                new("S", "slack run on the stand", run, "mm"),
            ],
            new("play", "on the stand", needed, "mm"),
            "geometry; Cossalter, Motorcycle Dynamics; 10 to 15 mm at the tightest place: common practice",
            "The maker's figure wins. A worn chain is tighter in one place: measure there."
        );

    /// <summary>The loop with its axle swung to a height.</summary>
    private sealed class Swing(FittedLoop fitted, SwingArm arm, double travel)
    {
        private readonly LoopWheel[] _wheels = fitted.Layout.WheelsFor(fitted.Loop, fitted.Choice, travel);

        private Point Axle => _wheels[fitted.RearIndex].Centre;

        /// <exception cref="InvalidInputException">The arm can't come to this height, or the loop can't be laid there.</exception>
        public (double LengthMm, double RunMm, double CentreMm) At(double up)
        {
            double radius = Axle.DistanceTo(arm.Pivot);
            double dy = Axle.YMm + up - arm.Pivot.YMm;
            double reach = radius * radius - dy * dy;
            new Guard("Layout.SwingArm.")
                .That(reach > 0, up < 0 ? "DroopMm" : "BumpMm", "too_large", "Give less: the arm would stand upright.")
                .ThrowIfAny();
            double dx = Math.Sign(Axle.XMm - arm.Pivot.XMm) * Math.Sqrt(reach);
            LoopWheel[] wheels = [.. _wheels];
            wheels[fitted.RearIndex] = wheels[fitted.RearIndex] with { Centre = arm.Pivot + new Point(dx, dy) };
            (LoopPath? path, LayoutProblem? problem) = LoopTracing.Trace(
                wheels,
                fitted.Layout.Turning,
                fitted.Loop.Course
            );
            if (path is null)
                throw new InvalidInputException(
                    "Layout.SwingArm",
                    problem!.Fault.ToString(),
                    "The loop can't be laid all through this travel."
                );
            double run = path.Spans.Take(fitted.RearIndex).Max(s => s.LengthMm);
            return (path.LengthMm, run, path.Wheels[0].Centre.DistanceTo(path.Wheels[fitted.RearIndex].Centre));
        }

        public (double Height, double LengthMm) Longest()
        {
            double inside = LowestPlace.Of(up => -At(up).LengthMm, -arm.DroopMm, arm.BumpMm, 1e-6);
            // An end may be longer than anything inside.
            double best = new[] { -arm.DroopMm, inside, arm.BumpMm }.MaxBy(h => At(h).LengthMm);
            return (best, At(best).LengthMm);
        }
    }
}
