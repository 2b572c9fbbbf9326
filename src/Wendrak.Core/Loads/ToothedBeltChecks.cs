using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of toothed belts.</summary>
internal static class ToothedBeltChecks
{
    private const int FullMesh = 6;
    public const double LeastJumpMargin = 1.5;
    private const double JumpStop = 1.2 / LeastJumpMargin;
    public const double UsualFriction = 0.3; // polyurethane or rubber on metal; common practice

    public static double Friction(LoadedLoop loop) => loop.Strength.Friction ?? UsualFriction;

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
        yield return Small(loop, profile, fastest);
        if (loop.Loop.SmallestFront is double own)
            yield return LoadChecks.OwnSmallestFront(loop, first, own);
    }

    private static LoadCheck Small(LoadedLoop loop, SynchronousProfile? profile, OperatingPoint fastest)
    {
        const string source =
            "table of profiles (from memory): fewer teeth bend the cords more and share the pull among fewer";
        return profile?.FewestTeethAt(loop.SmallerRpm(fastest)) is int fewest
            ? LoadCheck.AtLeast(SmallPulley, fastest.Kind, loop.SmallerSize, fewest, 0.75, source)
            : LoadCheck.Untold(SmallPulley, fastest.Kind, loop.SmallerSize, source, Unjudged.TableSilent);
    }

    private static int Mesh(LoadedLoop loop) => Math.Min(loop.Front.TeethEngaged ?? 0, loop.Rear.TeethEngaged ?? 0);

    private static LoadCheck Pull(LoadedLoop loop, SynchronousProfile? profile, OperatingPoint point)
    {
        const string source = "ISO 5295 with the width factor (b/b0)^1.14 and the teeth in mesh; else the maker's pull";
        double? allowed = loop.Strength.AllowedPullN * SynchronousLoads.MeshFactor(Mesh(loop));
        if (allowed is null && profile is { BaseWidthMm: not null, AllowedTensionAtBaseWidthN: not null })
        {
            if (loop.Strength.WidthMm is null)
                return LoadCheck.Unknown(BeltPull, point.Kind, source, "Strength.WidthMm");
            TableRating rating = RatingOf(loop, profile, loop.SpeedMS(point));
            allowed = rating.WidthFactor * rating.TensionN * rating.MeshFactor - rating.CentrifugalN;
        }
        return allowed * loop.Strength.Strands is double pull
            ? LoadCheck.AtMost(BeltPull, point.Kind, loop.PullN(point) * loop.ShockFactor, pull, 0.7, source)
            : LoadCheck.Unknown(BeltPull, point.Kind, source, "Strength.AllowedPullN");
    }

    /// <summary>What the tables let one belt of this width pull.</summary>
    private sealed record TableRating(double MeshFactor, double WidthFactor, double TensionN, double CentrifugalN);

    private static TableRating RatingOf(LoadedLoop loop, SynchronousProfile profile, double speedMS)
    {
        double width = loop.Strength.WidthMm!.Value;
        double massKgPerM = loop.Strength.MassKgPerM ?? profile.MassKgPerMPerMmWidth * width;
        return new(
            SynchronousLoads.MeshFactor(Mesh(loop)),
            SynchronousLoads.WidthFactor(width, profile.BaseWidthMm!.Value),
            profile.AllowedTensionAtBaseWidthN!.Value,
            massKgPerM * speedMS * speedMS
        );
    }

    /// <summary>How the allowed pull came about, for its working.</summary>
    public static (string Formula, WorkingValue[] Values, string Unit) PullFormula(
        LoadedLoop loop,
        PointLoads at,
        WorkingValue shock
    )
    {
        WorkingValue[] own =
        [
            new("F", "pull", at.PullN, "N"),
            shock,
            new("z", "belts side by side", loop.Strength.Strands, ""),
            new("k_z", "teeth in mesh counted", SynchronousLoads.MeshFactor(Mesh(loop)), ""),
        ];
        if (loop.Strength.AllowedPullN is double maker)
            return ("F·k ≤ z·k_z·F_maker", [.. own, new("F_maker", "the maker's pull of one belt", maker, "N")], "N");
        TableRating rating = RatingOf(loop, SynchronousProfiles.Find(loop.Standard)!, at.SpeedMS);
        return (
            "F·k ≤ z·(k_z·k_w·T_a − m·v²), k_w = (b/b0)^1.14",
            [
                .. own,
                new("k_w", "width factor", rating.WidthFactor, ""),
                new("T_a", "allowed tension at the base width", rating.TensionN, "N"),
                new("m·v²", "from going round, one belt", rating.CentrifugalN, "N"),
            ],
            "N"
        );
    }

    private static LoadCheck Jumps(LoadedLoop loop, SynchronousProfile profile, OperatingPoint point)
    {
        const string source = "engineering estimate from statics, no standard; 1.5 advised";
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(LoadCheckKind.ToothJump, point.Kind, source, "Strength.InstalledTensionN");
        double wrap = loop.LeastWrapDeg;
        double pull = loop.PullN(point);
        ToothJump jump = SynchronousLoads.Jump(tension, pull, profile.FlankHalfAngleDeg, Friction(loop), wrap);
        return LoadCheck.AtLeast(LoadCheckKind.ToothJump, point.Kind, jump.Margin, LeastJumpMargin, JumpStop, source);
    }
}
