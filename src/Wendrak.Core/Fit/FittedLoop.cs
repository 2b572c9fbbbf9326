using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>A checked question about a fit, and the answers that several figures share.</summary>
internal sealed class FittedLoop
{
    // How far beyond the track a length is still placed, to say by how much it does not fit.
    private const double BeyondUnits = 6;
    private const double BeyondTracks = 4;

    private readonly LoopFitInput _input;
    private readonly LoopWheel[] _wheels;
    private readonly int _moving;
    private readonly Lazy<double?> _fittedTravel;
    private readonly Lazy<double?> _closing;
    private readonly Lazy<TrackRange?> _range;

    public Loop Loop { get; }
    public LoopLayout Layout => _input.Layout;
    public LoopChoice Choice => _input.Choice;
    public bool HalfLinks => _input.HalfLinks;
    public double UnitMm { get; }
    public double TrackMm { get; }
    public int RearIndex { get; }

    /// <summary>Paths on the track; null with fixed centres or no possible place.</summary>
    public TrackRange? Range => _range.Value;

    /// <summary>Whether what moves is the axle of a road wheel, so that the wheelbase changes.</summary>
    public bool MovesRoadWheel { get; }

    /// <summary>Length in view: links, belt teeth; null when not counted.</summary>
    public double? ChosenLength => LengthIn(Choice);

    /// <summary>Travel at which the length in view closes, mm; looked for when it is first asked.</summary>
    public double? Closing => _closing.Value;

    /// <summary>What the adjuster is counted in; null where nobody said, or nothing is.</summary>
    public AdjusterStep? Counted => _input.Adjuster?.Counted;

    public LengthUnit LengthUnit => LoopLengths.UnitOf(Loop.DriveElement);

    public FittedLoop(LoopFitInput input)
    {
        _input = input;
        Loop = DriveLoops.Find(input.Drive, input.Layout.LoopKey, "Layout.LoopKey");
        CheckChoice("Choice.", input.Choice);
        CheckChoice("Fitted.", input.Fitted);
        new Guard("Layout.").Include(LoopLayout.Check(input.Layout, Loop)).ThrowIfAny();
        TrackMm = Layout.Moving?.Track.LengthMm ?? 0;
        new Guard()
            .BetweenIfGiven(nameof(input.TravelMm), input.TravelMm, 0, TrackMm, "mm")
            .BetweenIfGiven(nameof(input.WearLimitPercent), input.WearLimitPercent, 0.1, 10, "%")
            .Include(new Guard("Adjuster.").Include(input.Adjuster?.Check(null) ?? new()))
            .ThrowIfAny();
        UnitMm = LoopLengths.UnitMm(Loop);
        _wheels = Layout.WheelsFor(Loop, Choice, 0);
        _moving = Array.FindIndex(_wheels, w => w.Name == Layout.Moving?.Wheel);
        RearIndex = Array.FindIndex(_wheels, w => w.Name == LoopLayout.RearName);
        MovesRoadWheel = Layout.Moving?.Wheel == LoopLayout.RearName && IsRoadAxle();
        _range = new(RangeOnTrack);
        _closing = new(TravelOfChosen);
        _fittedTravel = new(() =>
            LengthIn(input.Fitted) is double links ? TravelFor(Layout.WheelsFor(Loop, input.Fitted, 0), links) : null
        );
    }

    /// <summary>The loop with what is fitted in view.</summary>
    /// <exception cref="InvalidInputException">A part is refused; what is fitted by the name of <c>Fitted</c>.</exception>
    public static FittedLoop OfFitted(Drive drive, LoopChoice fitted, LoopLayout layout) =>
        Refusal.Renamed(
            "Choice.",
            "Fitted.",
            () => new FittedLoop(new(drive, fitted, fitted, layout, null, false, null))
        );

    /// <summary>The same question with other wheels; what does not depend on them is not computed again.</summary>
    private FittedLoop(FittedLoop like, LoopChoice choice)
    {
        (Loop, TrackMm, UnitMm, RearIndex) = (like.Loop, like.TrackMm, like.UnitMm, like.RearIndex);
        CheckChoice("Choice.", choice);
        _input = like._input with { Choice = choice };
        (_moving, _fittedTravel, MovesRoadWheel) = (like._moving, like._fittedTravel, like.MovesRoadWheel);
        _wheels = Layout.WheelsFor(Loop, Choice, 0);
        _range = new(RangeOnTrack);
        _closing = new(TravelOfChosen);
    }

    /// <exception cref="InvalidInputException">The wheels are refused.</exception>
    public FittedLoop With(double frontSize, double rearSize) =>
        new(this, Choice with { FrontSize = frontSize, RearSize = rearSize });

    private double? LengthIn(LoopChoice choice) => Loop.IsToothed ? choice.Links : choice.LengthMm;

    private void CheckChoice(string at, LoopChoice choice) => new Guard().CheckChoice(at, choice, Loop).ThrowIfAny();

    public (LoopPath? Path, LayoutProblem? Problem) Trace(double travelMm) =>
        LoopTracing.Trace(Layout.WheelsFor(Loop, Choice, travelMm), Layout.Turning, Loop.Arrangement);

    public FittingLength LengthOf(double length)
    {
        double? travel = length == ChosenLength ? Closing : TravelFor(_wheels, length);
        bool fits = travel is double t && IsOn(t);
        double? reserve =
            travel is not null && Range is { MostMm: double most }
                ? AdjustmentReserve.Elongation.Value(most, length * UnitMm)
                : null;
        return new(
            length,
            travel,
            travel / TrackMm * 100,
            travel is double at ? CentreAt(at) : null,
            fits,
            reserve,
            _input.WearLimitPercent is double limit && reserve is double r ? r >= limit : null,
            MovesRoadWheel && travel is double here && _fittedTravel.Value is double before
                ? Forward(before) - Forward(here)
                : null,
            Loop.DriveElement == DriveElement.Chain && length % 2 != 0,
            LoopLengths.IsStandard(Loop, length),
            travel - _fittedTravel.Value,
            (travel - _fittedTravel.Value) / Counted?.TravelMm
        );
    }

    // A thousandth of a millimetre off the end of a slot is on it.
    public const double ToleranceMm = 1e-3;

    private double? TravelFor(LoopWheel[] wheels, double length) =>
        Layout.Moving is { } moving
            ? LoopClosing.TravelMm(
                wheels,
                _moving,
                moving.Track,
                Layout.Turning,
                Loop.Arrangement,
                length * UnitMm,
                moving.Track is LineTrack ? Math.Max(BeyondUnits * UnitMm, BeyondTracks * TrackMm) : 0
            )
            : null;

    /// <summary>Whether the length in view closes on the track; null where none is counted, or nothing moves.</summary>
    public bool? IsOnTrack =>
        ChosenLength is null || Layout.Moving is null ? null
        : Closing is double travel && IsOn(travel) ? true
        : Range is null ? null
        : false;

    private bool IsOn(double travelMm) => travelMm >= -ToleranceMm && travelMm <= TrackMm + ToleranceMm;

    private double? TravelOfChosen() => ChosenLength is double length ? TravelFor(_wheels, length) : null;

    private double CentreAt(double travelMm)
    {
        LoopWheel[] wheels = Layout.WheelsFor(Loop, Choice, travelMm);
        return wheels[0].Centre.DistanceTo(wheels[RearIndex].Centre);
    }

    /// <summary>Place of the axle along the ground, counted towards the driving wheel.</summary>
    private double Forward(double travelMm)
    {
        double towardsFront = Math.Sign(Layout.Front.XMm - Layout.Rear.XMm);
        return towardsFront * Layout.Moving!.Track.At(travelMm).XMm;
    }

    /// <summary>True when the driven shaft turns a road wheel without another loop between.</summary>
    private bool IsRoadAxle()
    {
        HashSet<string> shafts = DriveShafts.TurnedWith(_input.Drive, Loop.DrivenShaft);
        return _input.Drive.Outputs.Any(o => o.OnRoad && shafts.Contains(o.Shaft));
    }

    private TrackRange? RangeOnTrack()
    {
        if (Layout.Moving is not { } moving)
            return null;
        LoopWheel[] placed = [.. _wheels];
        double LengthAt(double travelMm)
        {
            placed[_moving] = placed[_moving] with { Centre = moving.Track.At(travelMm) };
            return LoopTracing.Length(placed, Layout.Turning, Loop.Arrangement);
        }
        return TrackRange.Find(LengthAt, TrackMm, LoopClosing.IsConvex(_wheels, moving.Track, Loop.Arrangement));
    }
}
