using Wendrak.Core.Tables;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of toothed belts.</summary>
internal static class ToothedBeltChecks
{
    private const int FullMesh = 6;
    public const double LeastJumpMargin = 1.5;
    private const double JumpStop = 1.2 / LeastJumpMargin;
    public const double Friction = 0.3; // polyurethane or rubber on metal; common practice

    public static IEnumerable<LoadCheck> Of(LoadedLoop loop)
    {
        SynchronousProfile? profile = SynchronousProfiles.Find(loop.Standard);
        OperatingPoint first = loop.Points[0];
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
        {
            yield return Pull(loop, profile, hardest);
            if (profile is not null)
                yield return Jumps(loop, profile, hardest);
        }
        yield return LoadCheck.AtLeast(
            LoadCheckKind.TeethInMesh,
            first.Kind,
            Mesh(loop),
            FullMesh,
            1.0 / 3,
            "ISO 5295, teeth in mesh factor"
        );
        OperatingPoint fastest = loop.Points.MaxBy(p => p.Rpm)!;
        if (profile?.FewestTeethAt(loop.SmallerRpm(fastest)) is int fewest)
            yield return LoadCheck.AtLeast(
                SmallPulley,
                fastest.Kind,
                loop.SmallerSize,
                fewest,
                0.75,
                "table of profiles (from memory): fewer teeth bend the cords more and share the pull among fewer"
            );
    }

    private static int Mesh(LoadedLoop loop) => Math.Min(loop.Front.TeethEngaged ?? 0, loop.Rear.TeethEngaged ?? 0);

    private static LoadCheck Pull(LoadedLoop loop, SynchronousProfile? profile, OperatingPoint point)
    {
        const string source = "ISO 5295 with the width factor (b/b0)^1.14 and the teeth in mesh; else the maker's pull";
        double? allowed = loop.Strength.AllowedPullN * SynchronousLoads.MeshFactor(Mesh(loop));
        if (allowed is null && profile is { BaseWidthMm: double width, AllowedTensionAtBaseWidthN: double tension })
        {
            if (loop.Strength.WidthMm is not double own)
                return LoadCheck.Unknown(BeltPull, point.Kind, source, "Strength.WidthMm");
            double speed = loop.SpeedMS(point);
            allowed =
                SynchronousLoads.MeshFactor(Mesh(loop)) * Math.Pow(own / width, 1.14) * tension
                - profile.MassKgPerMPerMmWidth * own * speed * speed;
        }
        return allowed is double pull
            ? LoadCheck.AtMost(BeltPull, point.Kind, loop.PullN(point) * loop.ShockFactor, pull, 0.7, source)
            : LoadCheck.Unknown(BeltPull, point.Kind, source, "Strength.AllowedPullN");
    }

    private static LoadCheck Jumps(LoadedLoop loop, SynchronousProfile profile, OperatingPoint point)
    {
        const string source = "engineering estimate from statics, no standard; 1.5 advised";
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(LoadCheckKind.ToothJump, point.Kind, source, "Strength.InstalledTensionN");
        double wrap = loop.LeastWrapDeg;
        double pull = loop.PullN(point);
        ToothJump jump = SynchronousLoads.Jump(tension, pull, profile.FlankHalfAngleDeg, Friction, wrap);
        return LoadCheck.AtLeast(LoadCheckKind.ToothJump, point.Kind, jump.Margin, LeastJumpMargin, JumpStop, source);
    }
}
