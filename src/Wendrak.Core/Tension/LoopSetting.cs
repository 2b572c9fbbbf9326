using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What a loop is tensioned by.</summary>
public enum AdjusterKind
{
    /// <summary>A screw at either end of the axle; they set tension and skew together.</summary>
    TwoEnds,

    /// <summary>One screw that moves motor, idler or axle.</summary>
    OneScrew,

    /// <summary>A motor that a screw moves on its slide.</summary>
    SlidingMotor,

    /// <summary>An eccentric that is turned.</summary>
    Eccentric,

    /// <summary>A snail cam with clicks, one on either side.</summary>
    Cam,

    /// <summary>Shims or plates.</summary>
    Shims,

    /// <summary>A spring holds an idler on an arm; a screw sets the spring.</summary>
    SprungArm,

    /// <summary>A spring pushes the motor along its slide: the clamp is loosened, it is let go, and the clamp nipped again.</summary>
    SpringSlide,
}

/// <summary>How the driven axle is carried; it decides how much play a chain needs.</summary>
public enum RearSuspension
{
    /// <summary>Fast in the frame.</summary>
    Rigid,

    /// <summary>On a swinging arm.</summary>
    SwingArm,
}

/// <summary>From where clockwise is seen.</summary>
public enum WrenchView
{
    Behind,
    Ahead,

    /// <summary>From the side that the adjuster is on.</summary>
    Outside,
}

/// <summary>What is asked once of how a loop is set. Everything that is null has a default, or is not judged.</summary>
/// <param name="MmPerUnit">Way of the axle for one turn (the pitch of a thread), click or shim.</param>
/// <param name="SmallestStep">Part of a turn, or clicks, that a hand can make; 1/16 turn where nobody said.</param>
/// <param name="LeftClockwiseTightens">Seen from where the wrench stands.</param>
/// <param name="SeenFrom">From where both are meant; null for where the wrench stands.</param>
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
/// <param name="EccentricMm">From the middle of an eccentric to the axle; 10 where nobody said.</param>
/// <param name="EccentricDeg">How far an eccentric stands from its loosest place, as found; 90 where nobody said.</param>
/// <param name="Arm">A sprung arm as it was measured; null for any other adjuster.</param>
/// <param name="Suspension">How the driven axle is carried; null where nobody said. An arm that was laid out says it.</param>
/// <param name="TrackingEnd">End that the people of this machine turn for tracking; null where nobody said.</param>
public sealed record LoopSetting(
    string LoopKey,
    AdjusterKind Kind = AdjusterKind.TwoEnds,
    double MmPerUnit = 1.25,
    double? SmallestStep = null,
    bool LeftClockwiseTightens = true,
    bool RightClockwiseTightens = true,
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
    WrenchView? SeenFrom = null,
    Side? BeltSide = null,
    double? EccentricMm = null,
    double? EccentricDeg = null,
    SprungArmInput? Arm = null,
    RearSuspension? Suspension = null,
    Side? TrackingEnd = null
)
{
    private const double UsualEccentricMm = 10; // from memory, of hubs and bottom brackets
    private const double UsualEccentricDeg = 90;
    private const double EccentricStep = 1 / 180.0; // turn: 2°, what a hand can make; from memory
    private const double MostEccentricAtOnce = 1 / 8.0; // turn
    private const double LeastEccentricStep = 1 / 360.0; // turn
    private const double LeastStep = 1 / 64.0; // turn
    private const double UsualStep = 1 / 16.0; // turn
    private const double MostTurnAtOnce = 0.5;
    private const double UsualGapLowMm = 0.5; // the belt stays off the flange: common practice
    private const double UsualGapHighMm = 2;

    /// <summary>A click or shim can't be parted.</summary>
    public double Step =>
        SmallestStep
        ?? (
            IsEccentric ? EccentricStep
            : Turns ? UsualStep
            : 1
        );

    /// <summary>Never more than half a turn at once, an eighth of an eccentric, or one click or shim.</summary>
    public double MostAtOnce =>
        IsEccentric ? MostEccentricAtOnce
        : Turns ? MostTurnAtOnce
        : Math.Max(1, Step);

    public double EccentricOffset => EccentricMm ?? UsualEccentricMm;
    public double EccentricStart => EccentricDeg ?? UsualEccentricDeg;

    private bool IsEccentric => Kind == AdjusterKind.Eccentric;

    /// <summary>Whether it is turned; a click or shim is counted.</summary>
    public bool Turns => Kind is not (AdjusterKind.Cam or AdjusterKind.Shims or AdjusterKind.SpringSlide);

    /// <summary>Whether a spring finds the tension by itself: then nothing is counted, it is let go and nipped.</summary>
    public bool SetsItself => Kind == AdjusterKind.SpringSlide;

    public bool HasTwoEnds => Kind is AdjusterKind.TwoEnds or AdjusterKind.Cam;

    public double GapLow => GapLowMm ?? UsualGapLowMm;
    public double GapHigh => GapHighMm ?? Math.Max(UsualGapHighMm, GapLow);

    internal Guard Check(Loop loop)
    {
        Guard guard = new();
        guard
            .OneOf(nameof(Kind), Kind)
            .Between(nameof(MmPerUnit), MmPerUnit, 0.05, 30, "mm")
            .BetweenIfGiven(
                nameof(SmallestStep),
                SmallestStep,
                IsEccentric ? LeastEccentricStep : LeastStep,
                IsEccentric ? MostEccentricAtOnce
                    : Turns ? MostTurnAtOnce
                    : 2,
                Turns ? "turn" : ""
            )
            .BetweenIfGiven(nameof(GapLowMm), GapLowMm, 0, 50, "mm")
            .BetweenIfGiven(nameof(GapHighMm), GapHighMm, GapLow, 50, "mm")
            .BetweenIfGiven(nameof(MakerLow), MakerLow, 0.01, 1e6, "")
            .BetweenIfGiven(nameof(MakerHigh), MakerHigh, MakerLow ?? 0.01, 1e6, "")
            .BetweenIfGiven(nameof(MakerForceN), MakerForceN, 0.5, 1_000, "N")
            .BetweenIfGiven(nameof(MostShaftLoadN), MostShaftLoadN, 1, 1e6, "N")
            .Between(nameof(Bias), Bias, 0, 1, "")
            .BetweenIfGiven(nameof(MassKgPerM), MassKgPerM, 0.001, 100, "kg/m")
            .BetweenIfGiven(nameof(SpanMm), SpanMm, 20, 20_000, "mm")
            .BetweenIfGiven(nameof(FinalTorqueNm), FinalTorqueNm, 0.5, 1_000, "Nm")
            .BetweenIfGiven(nameof(EccentricMm), EccentricMm, 0.5, 200, "mm")
            .BetweenIfGiven(nameof(EccentricDeg), EccentricDeg, 0, 180, "°");
        if (Suspension is RearSuspension suspension)
            guard.OneOf(nameof(Suspension), suspension);
        if (TrackingEnd is Side end)
            guard.OneOf(nameof(TrackingEnd), end);
        if (Arm is not null)
            guard.Include(new Guard("Arm.").Include(Arm.Check()));
        bool isChain = loop.Medium == DriveElement.Chain;
        guard.That(
            !isChain || Kind is not (AdjusterKind.SprungArm or AdjusterKind.SpringSlide),
            nameof(Kind),
            "other_kind",
            "Under a spring a chain has no play to set: look whether it still has way, and choose another adjuster here."
        );
        if (MakerMethod is ReadingMethod method)
            guard
                .OneOf(nameof(MakerMethod), method)
                .That(
                    method == ReadingMethod.Gauge
                        || (isChain == (method == ReadingMethod.FreePlay) && method != ReadingMethod.Feel),
                    nameof(MakerMethod),
                    "other_kind",
                    isChain
                        ? "A chain is given by its free play or by a gauge."
                        : "A belt is given in Hz, by a push or by a gauge."
                );
        return guard;
    }
}
