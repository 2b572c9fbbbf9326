using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Loads;

/// <summary>The chain or belt of one loop. Everything that is null comes from the tables, or is not judged.</summary>
/// <param name="Standard">Another size than the loop's own, to see what it would do; null for its own.</param>
/// <param name="BreakingLoadN">Of one strand; the maker's figure wins over the standard's least.</param>
/// <param name="MassKgPerM">Of one strand or belt.</param>
/// <param name="BearingAreaMm2">Pin diameter times bush length of one strand.</param>
/// <param name="Strands">Of a chain; belts side by side.</param>
/// <param name="WidthMm">Of a toothed or flat belt.</param>
/// <param name="AllowedPullN">The maker's working pull of a toothed belt of this width.</param>
/// <param name="InstalledTensionN">Of one run at rest; all belts together.</param>
/// <param name="SagMm">Of a chain's slack run at its middle; null for 2 % of the run.</param>
/// <param name="ShockFactor">On the pull; null for the usual of such a drive.</param>
/// <param name="Friction">Between belt and pulley, the groove not counted in.</param>
/// <param name="GrooveAngleDeg">Included angle; null for the table's.</param>
/// <param name="PressureAngleDeg">Of worn teeth; null for the mean of new ones.</param>
/// <param name="RatingPerBeltKw">Of one V-belt by its maker's table, at half a turn of wrap and a length factor of 1.</param>
/// <param name="LengthFactor">K2 of a V-belt's length; null for the table's, or 1 where it is silent.</param>
/// <param name="ForceAt1PercentN">Pull that makes all belts together 1 % longer, by the maker; tells how far they creep.</param>
/// <param name="Rope">What a round belt is; null for a cord.</param>
/// <param name="ExtraHalfTurns">Half turns that a rope is wound round its driving wheel beyond the one of the loop.</param>
/// <param name="TorqueShare">Part of a forked drive's torque that goes this way; null for all of it, the worst case.</param>
/// <param name="ElongationLimitPercent">Of a chain: how much longer than new its maker lets it become, %; null for the trade’s.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
public sealed record LoopStrength(
    string LoopKey,
    string? Standard = null,
    double? BreakingLoadN = null,
    double? MassKgPerM = null,
    double? BearingAreaMm2 = null,
    int Strands = 1,
    double? WidthMm = null,
    double? AllowedPullN = null,
    double? InstalledTensionN = null,
    double? SagMm = null,
    double? ShockFactor = null,
    LubricationSchool? School = null,
    double? Friction = null,
    double? GrooveAngleDeg = null,
    double? PressureAngleDeg = null,
    double? RatingPerBeltKw = null,
    double? LengthFactor = null,
    double? ForceAt1PercentN = null,
    RopeKind? Rope = null,
    int ExtraHalfTurns = 0,
    double? TorqueShare = null,
    double? ElongationLimitPercent = null
)
{
    private const int MostHalfTurns = 10;

    /// <summary>Another size: what the maker said of the first one holds for it no more.</summary>
    internal LoopStrength ForSize(string standard) =>
        this with
        {
            Standard = standard,
            BreakingLoadN = null,
            MassKgPerM = null,
            BearingAreaMm2 = null,
            ElongationLimitPercent = null,
        };

    internal Guard Check(Loop loop)
    {
        Guard guard = new();
        guard
            .BetweenIfGiven(nameof(BreakingLoadN), BreakingLoadN, 100, 1e7, "N")
            .BetweenIfGiven(nameof(MassKgPerM), MassKgPerM, 0.001, 100, "kg/m")
            .BetweenIfGiven(nameof(BearingAreaMm2), BearingAreaMm2, 1, 10_000, "mm²")
            .Between(nameof(Strands), Strands, 1, 6, "strands")
            .BetweenIfGiven(nameof(WidthMm), WidthMm, 1, 1_000, "mm")
            .BetweenIfGiven(nameof(AllowedPullN), AllowedPullN, 1, 1e6, "N")
            .BetweenIfGiven(nameof(InstalledTensionN), InstalledTensionN, 1, 1e6, "N")
            .BetweenIfGiven(nameof(SagMm), SagMm, 0.1, 1_000, "mm")
            .BetweenIfGiven(nameof(ShockFactor), ShockFactor, 1, 5, "")
            .BetweenIfGiven(nameof(Friction), Friction, 0.01, 2, "")
            .BetweenIfGiven(nameof(GrooveAngleDeg), GrooveAngleDeg, 20, 60, "°")
            .BetweenIfGiven(nameof(PressureAngleDeg), PressureAngleDeg, 5, 40, "°")
            .BetweenIfGiven(nameof(RatingPerBeltKw), RatingPerBeltKw, 0.01, 1_000, "kW")
            .BetweenIfGiven(nameof(LengthFactor), LengthFactor, 0.5, 1.5, "")
            .BetweenIfGiven(nameof(ForceAt1PercentN), ForceAt1PercentN, 1, 1e7, "N")
            .Between(nameof(ExtraHalfTurns), ExtraHalfTurns, 0, MostHalfTurns, "half turns")
            .BetweenIfGiven(nameof(TorqueShare), TorqueShare, 0.05, 1, "")
            .BetweenIfGiven(nameof(ElongationLimitPercent), ElongationLimitPercent, 0.1, ChainGrowth.MostPercent, "%");
        if (School is LubricationSchool school)
            guard.OneOf(nameof(School), school);
        if (Rope is RopeKind rope)
            guard.OneOf(nameof(Rope), rope);
        if (Standard is { } other)
            guard.That(
                IsLike(loop, other),
                nameof(Standard),
                "other_pitch",
                "Give a size of the same kind and pitch: another pitch is another loop."
            );
        return guard;
    }

    /// <summary>Designations that can be tried in place of the loop's own, that one among them.</summary>
    internal static IReadOnlyList<string> SizesFor(Loop loop) =>
        loop.DriveElement switch
        {
            DriveElement.Chain => [.. Chains.All.Where(c => IsOfPitch(c, loop)).Select(c => c.ChainId)],
            DriveElement.VBelt => [.. VSections.All.Select(v => v.Section)],
            _ => [loop.Standard],
        };

    private static bool IsOfPitch(ChainSize size, Loop loop) =>
        Chains.Find(loop.Standard) is { } own && Math.Abs(size.PitchMm - own.PitchMm) < 0.05;

    private static bool IsLike(Loop loop, string other) => other == loop.Standard || SizesFor(loop).Contains(other);
}
