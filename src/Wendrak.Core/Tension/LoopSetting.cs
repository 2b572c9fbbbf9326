using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How the driven axle is carried; it decides how much play a chain needs.</summary>
public enum RearSuspension
{
    /// <summary>Fast in the frame.</summary>
    Rigid,

    /// <summary>On a swinging arm.</summary>
    SwingArm,
}

/// <summary>What is asked once of how a loop is set. Everything that is null has a default, or is not judged.</summary>
/// <param name="Adjuster">What it is tensioned by.</param>
/// <param name="BeltSide">Side of the machine that the loop runs on; null where nobody said.</param>
/// <param name="GapSide">Side of the flange or edge that the gap is read at, seen in the direction of travel; null where none is read.</param>
/// <param name="GapLowMm">Least gap that is fine.</param>
/// <param name="MakerMethod">What the maker's window is given in.</param>
/// <param name="MakerForceN">Of a push.</param>
/// <param name="MostShaftLoadN">Load of both runs on a shaft at rest that its bearing may have.</param>
/// <param name="Bias">0 as loose as holds, 1 as tight as allowed.</param>
/// <param name="MassKgPerM">Of the whole belt, where the tables do not tell it.</param>
/// <param name="SpanMm">Free run that is read, where nothing was laid out.</param>
/// <param name="FinalTorqueNm">Of the axle nut, by the vehicle's maker.</param>
/// <param name="Arm">A sprung arm as it was measured; null for any other adjuster.</param>
/// <param name="Suspension">How the driven axle is carried; null where nobody said. An arm that was laid out says it.</param>
/// <param name="TrackingEnd">End that the people of this machine turn for tracking; null where nobody said.</param>
/// <param name="Shims">Of a sheave that is set by them, as they were asked for once; null for any other adjuster.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="GapHighMm">Largest gap that is fine.</param>
/// <param name="MakerLow">Loose end of the maker’s window, in that method’s unit.</param>
/// <param name="MakerHigh">Tight end of it.</param>
public sealed record LoopSetting(
    string LoopKey,
    Adjuster Adjuster,
    Side? GapSide = null,
    double? GapLowMm = null,
    double? GapHighMm = null,
    ReadingMethod? MakerMethod = null,
    double? MakerLow = null,
    double? MakerHigh = null,
    double? MakerForceN = null,
    double? MostShaftLoadN = null,
    double Bias = 0.5,
    double? MassKgPerM = null,
    double? SpanMm = null,
    double? FinalTorqueNm = null,
    Side? BeltSide = null,
    SprungArmInput? Arm = null,
    RearSuspension? Suspension = null,
    Side? TrackingEnd = null,
    ShimPack? Shims = null
)
{
    private const double UsualGapLowMm = 0.5; // the belt stays off the flange: common practice
    private const double UsualGapHighMm = 2;

    /// <summary>Least gap between belt and flange, mm: as given, or the usual.</summary>
    public double GapLow => GapLowMm ?? UsualGapLowMm;

    /// <summary>Largest gap, mm: as given, or the usual.</summary>
    public double GapHigh => GapHighMm ?? Math.Max(UsualGapHighMm, GapLow);

    private double LeastOfMaker => MakerMethod == ReadingMethod.BeltHeight ? -SheaveShims.MostAboveMm : 0.01;
    private double MostOfMaker => MakerMethod == ReadingMethod.BeltHeight ? SheaveShims.MostAboveMm : 1e6;

    /// <summary>The same with what layout and shims say of its adjuster.</summary>
    internal LoopSetting On(LoopLayout? layout) =>
        this with
        {
            Adjuster =
                Adjuster.IsOfSheave && Shims?.RisesMm is double rises
                    ? Adjuster with
                    {
                        MmPerUnit = rises,
                    }
                    : Adjuster.On(layout),
        };

    /// <param name="layout">Of the loop; null where it was not laid out.</param>
    internal Guard Check(Loop loop, LoopLayout? layout)
    {
        Guard guard = new();
        guard
            .Include(new Guard("Adjuster.").Include(Adjuster.Check(layout)))
            .BetweenIfGiven(nameof(GapLowMm), GapLowMm, 0, 50, "mm")
            .BetweenIfGiven(nameof(GapHighMm), GapHighMm, GapLow, 50, "mm")
            .BetweenIfGiven(nameof(MakerLow), MakerLow, LeastOfMaker, MostOfMaker, "")
            .BetweenIfGiven(nameof(MakerHigh), MakerHigh, MakerLow ?? LeastOfMaker, MostOfMaker, "")
            .BetweenIfGiven(nameof(MakerForceN), MakerForceN, 0.5, 1_000, "N")
            .BetweenIfGiven(nameof(MostShaftLoadN), MostShaftLoadN, 1, 1e6, "N")
            .Between(nameof(Bias), Bias, 0, 1, "")
            .BetweenIfGiven(nameof(MassKgPerM), MassKgPerM, 0.001, 100, "kg/m")
            .BetweenIfGiven(nameof(SpanMm), SpanMm, 20, 20_000, "mm")
            .BetweenIfGiven(nameof(FinalTorqueNm), FinalTorqueNm, 0.5, 1_000, "Nm");
        if (Suspension is RearSuspension suspension)
            guard.OneOf(nameof(Suspension), suspension);
        if (TrackingEnd is Side end)
            guard.OneOf(nameof(TrackingEnd), end);
        if (Shims is not null)
            guard
                .Include(new Guard($"{nameof(Shims)}.").Include(Shims.Check()))
                .That(
                    Adjuster.IsOfSheave,
                    nameof(Shims),
                    "unsuited",
                    "Say that it is set by shims at a sheave, or leave them out."
                );
        guard.That(
            !Adjuster.IsOfSheave || loop.DriveElement == DriveElement.VBelt,
            "Adjuster.Kind",
            "other_kind",
            "Only a V-belt stands higher or lower in its sheave: choose another adjuster here."
        );
        if (Arm is not null)
            guard.Include(new Guard("Arm.").Include(Arm.Check()));
        bool isChain = loop.DriveElement == DriveElement.Chain;
        guard.That(
            !isChain || Adjuster.Kind is not (AdjusterKind.SprungArm or AdjusterKind.SpringSlide),
            "Adjuster.Kind",
            "other_kind",
            "Under a spring a chain has no play to set: look whether it still has way, and choose another adjuster here."
        );
        if (MakerMethod is ReadingMethod method)
            guard
                .OneOf(nameof(MakerMethod), method)
                .That(
                    method != ReadingMethod.Feel
                        && ReadingMethods.For(loop.DriveElement, Adjuster.Kind).Contains(method),
                    nameof(MakerMethod),
                    "other_kind",
                    Adjuster.IsOfSheave ? "It is given by how high the belt stands above the rim."
                        : isChain ? "A chain is given by its free play or by a gauge."
                        : "A belt is given in Hz, by a push or by a gauge."
                );
        return guard;
    }
}
