using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Something that would bring a check to “fine”, tried out.</summary>
public enum MendKind
{
    /// <summary>Teeth more in front, rear as it is.</summary>
    MoreFrontTeeth,

    /// <summary>Another chain of the pitch.</summary>
    OtherSize,
    MoreStrands,

    /// <summary>mm.</summary>
    WiderBelt,

    /// <summary>N.</summary>
    MoreTension,
}

/// <summary>What would bring a check inside its limit.</summary>
/// <param name="To">Teeth, strands, mm or N; null for another size.</param>
/// <param name="Size">Its name, for another size.</param>
/// <param name="Value">What the check comes to with it.</param>
/// <param name="Limit">Its limit then.</param>
public sealed record Mend(MendKind Kind, double? To, string? Size, double Value, double Limit);

/// <summary>What would mend one check; empty where nothing that was tried does.</summary>
public sealed record CheckMends(LoadCheckKind Kind, OperatingPointKind Point, IReadOnlyList<Mend> Mends);

/// <summary>Tries what would bring a check to “fine”, one thing at a time, and says what it comes to.</summary>
public static class LoadMends
{
    private const int MostStrands = 3;
    private static readonly double[] Wider = [1.25, 1.5, 2, 3];
    private static readonly double[] Tighter = [1.1, 1.25, 1.5, 2, 3];

    /// <summary>For every check that is not fine.</summary>
    /// <exception cref="InvalidInputException">The loop itself is refused.</exception>
    public static IReadOnlyList<CheckMends> Find(LoadsInput input)
    {
        if (!input.Source.IsJudged)
            return [];
        LoadedLoop loop = new(input);
        LoadCheck[] poor =
        [
            .. LoadChecks.Check(loop).Where(c => c.Verdict is Verdict.Watch or Verdict.Stop or Verdict.Advice),
        ];
        Variation[] variations = [.. Variations(loop)];
        return
        [
            .. poor.Select(check => new CheckMends(
                check.Kind,
                check.Point,
                [.. variations.GroupBy(v => v.Kind).Select(ways => Least(ways, check)).OfType<Mend>()]
            )),
        ];
    }

    /// <summary>The least change of one kind that brings a check to “fine”; null when none does.</summary>
    private static Mend? Least(IEnumerable<Variation> ways, LoadCheck check) =>
        ways.Select(way => way.MendOf(check)).FirstOrDefault(mend => mend is not null);

    /// <summary>One thing changed, the least change of each kind first; what it comes to is found once, when it is asked for.</summary>
    private sealed class Variation(MendKind kind, double? to, string? size, Func<LoadedLoop> build)
    {
        private readonly Lazy<LoadCheck[]> _checks = new(() => ChecksOf(build));

        public MendKind Kind => kind;

        public Mend? MendOf(LoadCheck check) =>
            _checks.Value.FirstOrDefault(c => c.Kind == check.Kind && c.Point == check.Point)
                is { Verdict: Verdict.Fine, Value: double value, Limit: double limit }
                ? new(kind, to, size, value, limit)
                : null;

        /// <returns>None for what can't be built.</returns>
        private static LoadCheck[] ChecksOf(Func<LoadedLoop> build)
        {
            try
            {
                return LoadChecks.Check(build());
            }
            catch (InvalidInputException)
            {
                return [];
            }
        }
    }

    private static IEnumerable<Variation> Variations(LoadedLoop loop) =>
        [.. Teeth(loop), .. Sizes(loop), .. Strands(loop), .. Widths(loop), .. Tensions(loop)];

    // What is built anew is built from what was judged: an alternative is in its input already.
    private static IEnumerable<Variation> Teeth(LoadedLoop loop)
    {
        for (int more = 1; more <= MostTeethMore(loop); more++)
        {
            double front = loop.Choice.FrontSize + more;
            LoopChoice other = loop.Choice with { FrontSize = front, Links = null, LengthMm = null };
            IReadOnlyList<LoopChoice> loops = [.. loop.Input.Loops.Select(c => c.LoopKey == other.LoopKey ? other : c)];
            yield return new(
                MendKind.MoreFrontTeeth,
                front,
                null,
                () => WithRoom(new(loop.Input with { Loops = loops }))
            );
        }
    }

    /// <exception cref="InvalidInputException">A wheel would touch an edge that was measured.</exception>
    private static LoadedLoop WithRoom(LoadedLoop loop)
    {
        if (loop.Input.Layout is { Limits.Count: > 0 } layout)
        {
            LoopFitResult fit = LoopFit.Evaluate(
                new(loop.Input.Drive, loop.Choice, loop.Choice, layout, null, false, null)
            );
            new Guard()
                .That(
                    fit.Clearances.All(c => c.State is ClearanceState.Clear or ClearanceState.Near),
                    "Layout.Limits",
                    "touches",
                    "Give more room."
                )
                .ThrowIfAny();
        }
        return loop;
    }

    /// <summary>Teeth that may find room in front, and millimetres of a pulley; edges that were measured are looked at besides.</summary>
    private static int MostTeethMore(LoadedLoop loop) => MachineKinds.Get(loop.Input.Kind).MostTeethMoreInFront;

    /// <summary>Whether chains or belts can lie side by side: on vehicles there is one, on its own wheels.</summary>
    private static bool TakesStrands(LoadedLoop loop) =>
        loop.Loop.DriveElement is not (DriveElement.ToothedBelt or DriveElement.FlatBelt) && !loop.IsVehicle;

    private static IEnumerable<Variation> Sizes(LoadedLoop loop)
    {
        if (loop.Loop.DriveElement != DriveElement.Chain || Chains.Find(loop.Standard) is not { } own)
            return [];
        // The least change first: of its own family, then the lightest that does it.
        return LoopStrength
            .SizesFor(loop.Loop)
            .Where(id => id != own.ChainId)
            .Select(id => Chains.Find(id)!)
            .OrderBy(s => s.Family != own.Family)
            .ThenBy(s => s.MassKgPerM)
            .Select(s => new Variation(
                MendKind.OtherSize,
                null,
                s.ChainId,
                () => loop.With(loop.Strength.ForSize(s.ChainId))
            ));
    }

    private static IEnumerable<Variation> Strands(LoadedLoop loop)
    {
        if (!TakesStrands(loop))
            return [];
        return Enumerable
            .Range(loop.Strength.Strands + 1, Math.Max(0, MostStrands - loop.Strength.Strands))
            .Select(n => new Variation(
                MendKind.MoreStrands,
                n,
                null,
                () => loop.With(loop.Strength with { Strands = n })
            ));
    }

    private static IEnumerable<Variation> Widths(LoadedLoop loop)
    {
        // The maker's pull holds for one width: what a wider belt pulls only the maker can say.
        if (loop.Strength.WidthMm is not double width || loop.Strength.AllowedPullN is not null)
            return [];
        return Wider.Select(f => new Variation(
            MendKind.WiderBelt,
            width * f,
            null,
            () => loop.With(loop.Strength with { WidthMm = width * f })
        ));
    }

    private static IEnumerable<Variation> Tensions(LoadedLoop loop)
    {
        if (loop.Strength.InstalledTensionN is not double tension)
            return [];
        return Tighter.Select(f => new Variation(
            MendKind.MoreTension,
            tension * f,
            null,
            () => loop.With(loop.Strength with { InstalledTensionN = tension * f })
        ));
    }
}
