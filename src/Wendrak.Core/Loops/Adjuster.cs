using System.Text.Json.Serialization;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loops;

/// <summary>
/// What a loop is tensioned by. Which wheel it moves and along what is the layout's to say; the two must fit together.
/// Everything that is null has a default.
/// </summary>
/// <param name="MmPerUnit">Travel of the wheel for one turn (the pitch of a thread), click or shim.</param>
/// <param name="SmallestStep">Part of a turn, or clicks, that a hand can make.</param>
/// <param name="LeftClockwiseTightens">Seen from where the wrench stands; also of the only adjuster.</param>
/// <param name="SeenFrom">From where both are meant; null for where the wrench stands.</param>
/// <param name="EccentricMm">From the middle of an eccentric to the axle; the layout's own where it is laid out.</param>
/// <param name="EccentricDeg">How far an eccentric stands from its loosest place, as found.</param>
/// <param name="RightClockwiseTightens">The same of the right adjuster, where there are two.</param>
public sealed record Adjuster(
    AdjusterKind Kind,
    double? MmPerUnit = null,
    double? SmallestStep = null,
    bool LeftClockwiseTightens = true,
    bool RightClockwiseTightens = true,
    WrenchView? SeenFrom = null,
    double? EccentricMm = null,
    double? EccentricDeg = null
)
{
    private const double UsualMmPerUnit = 1.25; // an M8 thread; common practice
    private const double UsualEccentricMm = 10; // from memory, of hubs and bottom brackets
    private const double UsualEccentricDeg = 90;
    private const double EccentricStep = 1 / 180.0; // turn: 2°, what a hand can make; from memory
    private const double MostEccentricAtOnce = 1 / 8.0; // turn
    private const double LeastEccentricStep = 1 / 360.0; // turn
    private const double LeastStep = 1 / 64.0; // turn
    private const double UsualStep = 1 / 16.0; // turn
    private const double MostTurnAtOnce = 0.5;
    private const double MostSheaveShimsAtOnce = 6; // the wedge tells exactly what each does; judgement

    /// <summary>Travel for one turn, click or shim, mm; as usual where nobody said.</summary>
    public double TravelMm => MmPerUnit ?? UsualMmPerUnit;

    /// <summary>Smallest step: a click or shim can't be parted.</summary>
    public double Step =>
        SmallestStep
        ?? (
            IsEccentric ? EccentricStep
            : Turns ? UsualStep
            : 1
        );

    /// <summary>Never more than half a turn at once, an eighth of an eccentric, or one click or shim.</summary>
    public double MostAtOnce =>
        IsFixed ? 0
        : IsEccentric ? MostEccentricAtOnce
        : Turns ? MostTurnAtOnce
        : IsOfSheave ? MostSheaveShimsAtOnce
        : Math.Max(1, Step);

    /// <summary>From the middle of an eccentric to the axle, mm: as given, or the usual.</summary>
    public double EccentricOffset => EccentricMm ?? UsualEccentricMm;

    /// <summary>How far an eccentric stands from its loosest place as found, degrees: as given, or the usual.</summary>
    public double EccentricStart => EccentricDeg ?? UsualEccentricDeg;

    /// <summary>Whether it is turned; a click or shim is counted.</summary>
    public bool Turns =>
        Kind
            is not (
                AdjusterKind.Cam
                or AdjusterKind.Shims
                or AdjusterKind.SheaveShims
                or AdjusterKind.SpringSlide
                or AdjusterKind.FixedCentres
            );

    /// <summary>Whether a spring finds the tension by itself: then nothing is counted, it is let go and nipped.</summary>
    public bool SetsItself => Kind == AdjusterKind.SpringSlide;

    /// <summary>Whether it has a left and a right end, which are set each.</summary>
    public bool HasTwoEnds => IsOfTwoEnds(Kind);

    internal static bool IsOfTwoEnds(AdjusterKind kind) => kind is AdjusterKind.TwoEnds or AdjusterKind.Cam;

    /// <summary>Whether it turns the axle about a middle of its own.</summary>
    public bool IsEccentric => Kind == AdjusterKind.Eccentric;

    /// <summary>Whether nothing can be set.</summary>
    public bool IsFixed => Kind == AdjusterKind.FixedCentres;

    /// <summary>Whether it lets the belt rise and sink in a sheave; no wheel is moved.</summary>
    public bool IsOfSheave => Kind == AdjusterKind.SheaveShims;

    /// <summary>Whether it moves its wheel by as much with every turn, click or shim, so that they can be counted out.</summary>
    public bool IsCounted => !IsFixed && !IsEccentric && !SetsItself && !IsOfSheave && Kind != AdjusterKind.SprungArm;

    /// <summary>What is counted out of its way; null where nobody said how far one goes, or nothing is counted.</summary>
    [JsonIgnore]
    public AdjusterStep? Counted => IsCounted && MmPerUnit is double mm ? new(UnitOf(Kind), mm) : null;

    private static AdjusterStepKind UnitOf(AdjusterKind kind) =>
        kind switch
        {
            AdjusterKind.Cam => AdjusterStepKind.Click,
            AdjusterKind.Shims or AdjusterKind.SheaveShims => AdjusterStepKind.Shim,
            _ => AdjusterStepKind.Turn,
        };

    /// <summary>Another kind in its place: what says nothing of that one is not said any more.</summary>
    internal Adjuster As(AdjusterKind kind) =>
        kind == Kind
            ? this
            : this with
            {
                Kind = kind,
                MmPerUnit =
                    UnitOf(kind) == UnitOf(Kind) && kind != AdjusterKind.SheaveShims && !IsOfSheave ? MmPerUnit : null,
                SmallestStep = null,
                EccentricMm = null,
                EccentricDeg = null,
            };

    /// <summary>The wheel that such an adjuster moves where nobody said otherwise; null for none.</summary>
    /// <exception cref="InvalidInputException">A spring holds an idler, and there is none.</exception>
    internal string? UsualWheel(LoopLayout layout) =>
        Kind switch
        {
            AdjusterKind.FixedCentres or AdjusterKind.SheaveShims => null,
            AdjusterKind.SlidingMotor or AdjusterKind.SpringSlide => LoopLayout.FrontName,
            AdjusterKind.SprungArm => layout.Idlers is [var first, ..]
                ? first.Name
                : throw new InvalidInputException(
                    "Layout.Idlers",
                    "missing",
                    "Add the idler first that is to tension the loop."
                ),
            _ => LoopLayout.RearName,
        };

    /// <summary>The same adjuster with what its layout says of it.</summary>
    internal Adjuster On(LoopLayout? layout) =>
        IsEccentric && layout?.Moving?.Track is ArcTrack arc ? this with { EccentricMm = arc.RadiusMm } : this;

    /// <param name="layout">Of the loop; null where it was not laid out.</param>
    internal Guard Check(LoopLayout? layout)
    {
        Guard guard = new();
        guard
            .OneOf(nameof(Kind), Kind)
            .BetweenIfGiven(nameof(MmPerUnit), MmPerUnit, 0.01, 100, "mm")
            .BetweenIfGiven(
                nameof(SmallestStep),
                SmallestStep,
                IsEccentric ? LeastEccentricStep : LeastStep,
                IsEccentric ? MostEccentricAtOnce
                    : Turns ? MostTurnAtOnce
                    : 2,
                Turns ? "turn" : ""
            )
            .BetweenIfGiven(nameof(EccentricMm), EccentricMm, 0.5, 200, "mm")
            .BetweenIfGiven(nameof(EccentricDeg), EccentricDeg, 0, 180, "°")
            .That(
                MmPerUnit is null || !IsOfSheave,
                nameof(MmPerUnit),
                "told",
                "Leave it out: the thickness of a shim and the angle of the sheave tell it."
            );
        if (SeenFrom is WrenchView view)
            guard.OneOf(nameof(SeenFrom), view);
        return layout is null ? guard : guard.Include(CheckOn(layout));
    }

    private Guard CheckOn(LoopLayout layout)
    {
        MovingWheel? moving = layout.Moving;
        return new Guard()
            .That(
                (IsFixed || IsOfSheave) == (moving is null),
                nameof(Kind),
                "other_wheel",
                moving is null
                    ? "Say at Fit first which wheel moves: there the centres are fixed."
                    : "Say at Fit first that nothing moves: there a wheel does."
            )
            .That(
                moving is null
                    || Kind switch
                    {
                        AdjusterKind.TwoEnds or AdjusterKind.Cam => moving.Wheel == LoopLayout.RearName,
                        AdjusterKind.SlidingMotor or AdjusterKind.SpringSlide => moving.Wheel == LoopLayout.FrontName,
                        AdjusterKind.SprungArm => layout.MovesIdler,
                        _ => true,
                    },
                nameof(Kind),
                "other_wheel",
                "Say at Fit first which wheel moves: such an adjuster moves another one than is laid out there."
            )
            .That(
                !IsEccentric || moving is null or { Track: ArcTrack },
                nameof(Kind),
                "other_track",
                "Say at Fit first that the wheel is set by an eccentric: there it goes along a slot."
            )
            .That(
                EccentricMm is null || !IsEccentric || moving is not { Track: ArcTrack },
                nameof(EccentricMm),
                "laid_out",
                "Leave it out: Fit says how far the axle is off the middle of the eccentric."
            );
    }
}
