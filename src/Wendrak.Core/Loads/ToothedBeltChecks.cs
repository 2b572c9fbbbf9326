using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of toothed belts.</summary>
internal static class ToothedBeltChecks
{
    private const string Kind = "toothed belt";
    public const double UsualFriction = 0.3; // polyurethane or rubber on metal; common practice

    public static double Friction(LoadedLoop loop) => loop.Strength.Friction ?? UsualFriction;

    public static IEnumerable<LoadCheck> Check(LoadedLoop loop)
    {
        SynchronousProfile? profile = SynchronousProfiles.Find(loop.Standard);
        OperatingPoint first = loop.Points[0];
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
        {
            yield return Pull(loop, profile, hardest);
            if (profile is not null)
                yield return Jumps(loop, profile, hardest);
        }
        LoadLimit mesh = LoadLimits.Get("teeth in mesh", Kind);
        yield return LoadCheck.AtLeast(
            LoadCheckKind.TeethInMesh,
            first.Kind,
            Mesh(loop),
            mesh.Limit!.Value,
            mesh.StopShare!.Value,
            mesh.Source
        );
        OperatingPoint fastest = loop.Points.MaxBy(p => p.Rpm)!;
        yield return Small(loop, profile, fastest);
        if (loop.Loop.SmallestFront is double own)
            yield return LoadChecks.OwnSmallestFront(loop, first, own);
    }

    private static LoadCheck Small(LoadedLoop loop, SynchronousProfile? profile, OperatingPoint fastest)
    {
        LoadLimit row = LoadLimits.Get("small pulley", Kind);
        return profile?.FewestTeethAt(loop.SmallerRpm(fastest)) is int fewest
            ? LoadCheck.AtLeast(SmallPulley, fastest.Kind, loop.SmallerSize, fewest, row.StopShare!.Value, row.Source)
            : LoadCheck.Untold(SmallPulley, fastest.Kind, loop.SmallerSize, row.Source, Unjudged.TableSilent);
    }

    private static int Mesh(LoadedLoop loop) => Math.Min(loop.Front.TeethEngaged ?? 0, loop.Rear.TeethEngaged ?? 0);

    private static LoadCheck Pull(LoadedLoop loop, SynchronousProfile? profile, OperatingPoint point)
    {
        LoadLimit row = LoadLimits.Get("belt pull", Kind);
        Explained mesh = SynchronousLoads.MeshShare.With(Mesh(loop));
        Explained pull = SynchronousLoads.ShockedPull.With(loop.PullN(point), loop.Shock);
        if (loop.Strength.AllowedPullN is double maker)
        {
            Explained byMaker = SynchronousLoads.MakersPull.With(loop.Strength.Strands, mesh.Value, maker);
            return LoadCheck.AtMost(BeltPull, point.Kind, pull, row, byMaker.Value).By(byMaker, mesh);
        }
        if (profile is not { BaseWidthMm: double baseWidth, AllowedTensionAtBaseWidthN: double tension })
            return LoadCheck.Unknown(BeltPull, point.Kind, row.Source, "Strength.AllowedPullN");
        if (loop.Strength.WidthMm is not double width)
            return LoadCheck.Unknown(BeltPull, point.Kind, row.Source, "Strength.WidthMm");
        Explained share = SynchronousLoads.WidthShare.With(width, baseWidth);
        Explained allowed = SynchronousLoads.AllowedPull.With(
            loop.Strength.Strands,
            mesh.Value,
            share.Value,
            tension,
            new(
                loop.Strength.MassKgPerM ?? profile.MassKgPerMPerMmWidth * width,
                IsUsual: loop.Strength.MassKgPerM is null
            ),
            loop.SpeedMS(point)
        );
        return LoadCheck.AtMost(BeltPull, point.Kind, pull, row, allowed.Value).By(allowed, mesh, share);
    }

    private static LoadCheck Jumps(LoadedLoop loop, SynchronousProfile profile, OperatingPoint point)
    {
        LoadLimit row = LoadLimits.Get("tooth jump", Kind);
        if (loop.Strength.InstalledTensionN is not double tension)
            return LoadCheck.Unknown(LoadCheckKind.ToothJump, point.Kind, row.Source, "Strength.InstalledTensionN");
        Explained needed = SynchronousLoads.NeededTension.With(
            loop.PullN(point),
            profile.FlankHalfAngleDeg,
            new(Friction(loop), IsUsual: loop.Strength.Friction is null),
            loop.LeastWrapDeg
        );
        return LoadCheck
            .AtLeast(LoadCheckKind.ToothJump, point.Kind, SynchronousLoads.JumpMargin.With(tension, needed.Value), row)
            .By(needed);
    }
}
