using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using static System.Math;

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

/// <summary>Free play at one place of the suspension’s travel.</summary>
/// <param name="AxleUpMm">Height of the axle over where it is on the stand, mm.</param>
/// <param name="FreePlayMm">0 where the chain is stretched.</param>
/// <param name="ExcessMm">Length beyond the path; negative where the chain is stretched.</param>
/// <param name="CentreMm">Distance of the shafts there, mm.</param>
public sealed record PlayAtTravel(double AxleUpMm, double CentreMm, double FreePlayMm, double ExcessMm);

/// <summary>Free play through the travel of the suspension.</summary>
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
    private const int Steps = 30; // of what is drawn; the tightest place is worked out by itself

    // Nearer to an end of the travel than this the end itself is meant.
    private const double EndMm = 0.01;

    /// <exception cref="InvalidInputException">No arm, or a value that is not physical.</exception>
    public static SuspensionPlayResult Compute(SuspensionPlayInput input)
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
        Explained atTightest = SlackRun.Excess.With(
            swing.At(height).RunMm,
            new(least, IsUsual: input.LeastPlayMm is null, Meaning: "play wanted at the tightest place")
        );
        Explained more = MoreOnStand.With(atTightest.Value, longest, closest);
        Explained toSet = SlackRun.Play.With(new(standRun, Meaning: "slack run on the stand"), Max(0, more.Value));
        double needed = toSet.Value;
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
            [
                toSet.Working with
                {
                    Title = "Free play to set on the stand",
                    Source =
                        "geometry; Cossalter, Motorcycle Dynamics; 10 to 15 mm at the tightest place: common practice",
                    Limits = "The maker's figure wins. A worn chain is tighter in one place: measure there.",
                },
                more.Working,
                atTightest.Working with
                {
                    Title = "Loop that is more than the path, at the tightest place",
                },
            ]
        );
    }

    private static readonly Formula<Func<double, double, double, double>> MoreOnStand = new(
        "Loop that is more than the path, on the stand",
        "e",
        ("so that enough is left at the tightest place", "mm"),
        (e_least, L_tight, L_stand) => e_least + L_tight - L_stand,
        [
            ("more than the path at the tightest place", "mm"),
            ("path at the tightest place", "mm"),
            ("path on the stand", "mm"),
        ],
        "geometry; Cossalter, Motorcycle Dynamics",
        "The loop keeps its length while the path grows and shrinks."
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
                fitted.Loop.Arrangement
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
            double inside = LowestPlace.Find(up => -At(up).LengthMm, -arm.DroopMm, arm.BumpMm, 1e-6);
            // An end may be longer than anything inside.
            double best = new[] { -arm.DroopMm, inside, arm.BumpMm }.MaxBy(h => At(h).LengthMm);
            return (best, At(best).LengthMm);
        }
    }
}
