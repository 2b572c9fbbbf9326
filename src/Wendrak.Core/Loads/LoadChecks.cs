using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Checks of every kind of loop together, the worst first, and what they come to.</summary>
internal static class LoadChecks
{
    /// <summary>All checks; without verdicts where this program does not decide.</summary>
    public static LoadCheck[] Check(LoadedLoop loop)
    {
        IEnumerable<LoadCheck> all = loop.Loop.DriveElement switch
        {
            DriveElement.Chain => ChainChecks.Check(loop),
            DriveElement.ToothedBelt => ToothedBeltChecks.Check(loop),
            _ => FrictionBeltChecks.Check(loop),
        };
        return
        [
            .. all.Select(c => loop.Input.Source.IsJudged ? c : c.NotDecided())
                .OrderBy(c => c.Rank)
                .ThenBy(c => c.Margin ?? double.PositiveInfinity),
        ];
    }

    /// <summary>The worst verdict of the checks that count; what could not be told does not make a loop fine.</summary>
    public static Verdict VerdictOf(IReadOnlyList<LoadCheck> checks)
    {
        LoadCheck[] judged = [.. checks.Where(c => c is { IsAdvisory: false, Verdict: not Verdict.NotApplicable })];
        return judged.Length == 0 ? Verdict.NotApplicable : judged.MinBy(c => c.Rank)!.Verdict;
    }

    /// <summary>The least margin of strength or grip; null when none could be told.</summary>
    public static LoadCheck? SmallestMargin(IReadOnlyList<LoadCheck> checks) =>
        checks.Where(c => c.IsMarginOfStrength && c.Verdict != Verdict.NotApplicable).MinBy(c => c.Margin);

    /// <summary>What the owner said of this machine's driving wheel holds here as it does in a search.</summary>
    public static LoadCheck OwnSmallestFront(LoadedLoop loop, OperatingPoint point, double smallest) =>
        LoadCheck.AtLeast(
            LoadCheckKind.SmallestFront,
            point.Kind,
            loop.Choice.FrontSize,
            smallest,
            1,
            "smallest driving wheel that was noted for this machine"
        );
}
