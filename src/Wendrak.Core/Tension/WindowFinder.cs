using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tension;

/// <summary>How tight a loop should be, as far as it is known.</summary>
/// <param name="Window">Null where nothing tells where it should lie.</param>
/// <param name="NeedsSuspension">True where it depends on how the axle is carried, and nobody said.</param>
internal sealed record FoundWindow(TensionWindow? Window, bool NeedsSuspension);

/// <summary>Finds how tight a loop should be: the maker's figure, else practice, else what its load asks for.</summary>
/// <remarks>
/// A window in Hz is never carried from one drive to another: practice that is given in Hz goes through tension, or is left out
/// where span and mass are not known.
/// </remarks>
internal static class WindowFinder
{
    private const double SmallChainPitchMm = 13; // 12.7 mm and below: small motorcycles
    private const double SteepDeg = 60;

    // A new belt stands level with the rim of its sheave or slightly proud: common practice, from memory.
    private const double LevelMm = 0;
    private const double ProudMm = 1.5;

    // Red and advised margin against tooth jump; slip margin from and to: common practice.
    private static readonly (double Low, double High) JumpMargins = (1.2, 1.5);

    // Teeth of 3 mm pitch hardly reach into their pulley and want a tighter belt than those of 5 mm: common practice.
    private const double ShallowPitchMm = 3;
    private static readonly (double Low, double High) ShallowMargins = (1.4, 1.75);
    private static readonly (double Low, double High) SlipMargins = (1.3, 1.5);

    /// <summary>The window, or what must be said before there is one.</summary>
    public static FoundWindow Find(SetInput input, TightnessScale scale)
    {
        Need? need = NeedOf(input, scale);
        TensionWindow? maker = OfMaker(input.Setting, scale);
        if (maker is null && WantsSuspension(input, scale))
            return new(null, true);
        TensionWindow? window = BoundedByNeed(maker ?? OfPractice(input, scale), need) ?? need?.Window();
        return new(window is null ? null : BoundedByBearing(window, input, scale), false);
    }

    /// <summary>A chain behind a swinging arm needs more play than one on a rigid axle: not said is not “rigid”.</summary>
    private static bool WantsSuspension(SetInput input, TightnessScale scale) =>
        scale.Unit == TightnessUnit.LoopMm && MachineKinds.Get(input.Kind).HasSuspension && SuspensionOf(input) is null;

    /// <summary>As it was laid out, else as somebody said.</summary>
    private static RearSuspension? SuspensionOf(SetInput input) =>
        input.Layout?.SwingArm is not null ? RearSuspension.SwingArm : input.Setting.Suspension;

    /// <summary>What this drive's hardest pull asks of a loop, and how much more is advised.</summary>
    private sealed record Need(double AtLeastN, (double Low, double High) Margins, string Against)
    {
        public TensionWindow Window() =>
            new(
                Margins.Low * AtLeastN,
                Margins.High * AtLeastN,
                WindowOrigin.Load,
                FormattableString.Invariant(
                    $"{Margins.Low} to {Margins.High} times the {AtLeastN:0} N that keep this drive's hardest pull from {Against}: common practice"
                )
            );
    }

    /// <summary>
    /// What the load asks for bounds practice from below. A maker's figure stays, and so does an upper bound: what can't be had
    /// inside is said, since tightening is then no way to get it.
    /// </summary>
    private static TensionWindow? BoundedByNeed(TensionWindow? window, Need? need)
    {
        if (window is null || need is null || need.AtLeastN <= window.Low)
            return window;
        bool isRaised = window.Origin != WindowOrigin.Maker && need.AtLeastN < window.High;
        string asks = FormattableString.Invariant(
            $"{need.AtLeastN:0} N that keep this drive's hardest pull from {need.Against}"
        );
        return window with
        {
            Low = isRaised ? need.AtLeastN : window.Low,
            Reason =
                window.Reason
                + (
                    isRaised ? $". Raised to the {asks}"
                    : need.AtLeastN < window.High ? $". Its loose end is less than the {asks}"
                    : $". Even its tight end is less than the {asks}: see Loads for a wider belt, more wrap or less pull"
                ),
        };
    }

    private static TensionWindow? OfMaker(LoopSetting setting, TightnessScale scale)
    {
        if (setting is not { MakerMethod: ReadingMethod method, MakerLow: double low, MakerHigh: double high })
            return null;
        Tightness? one = scale.Read(new(method, low, 0, setting.MakerForceN));
        Tightness? other = scale.Read(new(method, high, 0, setting.MakerForceN));
        if (one is null || other is null)
            return null;
        return new(
            Math.Min(one.Value, other.Value),
            Math.Max(one.Value, other.Value),
            WindowOrigin.Maker,
            "the maker's figure, as typed"
        );
    }

    private static TensionWindow? OfPractice(SetInput input, TightnessScale scale)
    {
        if (scale.Unit == TightnessUnit.AboveRimMm)
            return new(
                LevelMm,
                ProudMm,
                WindowOrigin.Practice,
                "level with the rim or slightly proud of it: common practice, from memory; the maker's figure wins"
            );
        if (input.Loop.DriveElement == DriveElement.Chain)
            return OfPlay(input, scale);
        if (scale.Unit != TightnessUnit.Newton || MachineKinds.Get(input.Kind).BeltTension is not string use)
            return null;
        TensionTarget row = TensionTargets.Get(use, "span tension");
        return new(row.Low, row.High, WindowOrigin.Practice, $"{row.Use}: {row.Certainty}; the maker's figure wins");
    }

    private static TensionWindow? OfPlay(SetInput input, TightnessScale scale)
    {
        if (scale is not { Unit: TightnessUnit.LoopMm, Span.SpanMm: double span })
            return null;
        TensionTarget row = TensionTargets.Get(UseOf(input), "slack total");
        double part = row.Unit == "mm" ? 1 : span / 100;
        (double least, double most) = (row.Low * part, row.High * part);
        string reason = $"{row.Use}: {row.Certainty}; the maker's figure wins";
        if (NeededThroughTravel(input) is double needed && needed > least)
        {
            most += needed - least;
            least = needed;
            reason += ". Raised so that enough is left where the suspension makes it tightest";
        }
        // Practice speaks of longer runs: of so short a one only its maker can say how far it may give.
        if (most > span * SpanDeflection.MostShareOfSpan)
            return null;
        return new(-ChainPlay.ExcessMm(span, most), -ChainPlay.ExcessMm(span, least), WindowOrigin.Practice, reason);
    }

    private static string UseOf(SetInput input) =>
        MachineKinds.Get(input.Kind) switch
        {
            { ChainPlay: string own } => own,
            { HasSuspension: true } when SuspensionOf(input) == RearSuspension.Rigid =>
                "motorcycle without rear suspension",
            { HasSuspension: true } => WheelOutline.PitchMm(input.Loop) < SmallChainPitchMm
                ? "motorcycle small (12.7 mm pitch)"
                : "motorcycle road",
            _ => IsSteep(input.Layout) ? "industrial vertical chain" : "industrial horizontal chain",
        };

    private static bool IsSteep(LoopLayout? layout) =>
        layout is not null
        && Math.Abs(Math.Atan2(layout.Rear.YMm - layout.Front.YMm, layout.Rear.XMm - layout.Front.XMm) * 180 / Math.PI)
            is > SteepDeg
                and < 180 - SteepDeg;

    private static double? NeededThroughTravel(SetInput input)
    {
        if (input.Layout is not { SwingArm: not null } layout)
            return null;
        LoopChoice? choice = input.Loops.FirstOrDefault(c => c.LoopKey == input.Setting.LoopKey);
        try
        {
            return choice is null
                ? null
                : SuspensionPlay.Compute(new(input.Drive, choice, layout, null, null, null)).NeededOnStandMm;
        }
        catch (InvalidInputException)
        {
            return null; // An arm that can't be laid there says nothing.
        }
    }

    private static Need? NeedOf(SetInput input, TightnessScale scale)
    {
        if (scale.Unit != TightnessUnit.Newton || Loaded(input) is not { } loop)
            return null;
        double pull = loop.Points.Max(loop.PullN);
        if (loop.Loop.DriveElement != DriveElement.ToothedBelt)
        {
            double friction = FrictionBeltChecks.EffectiveFriction(loop);
            double grips = BeltFriction.Margin(friction, loop.GrippingWrapDeg, 1, pull).NeededTensionN;
            return new(grips, SlipMargins, "slip");
        }
        double flank = SynchronousProfiles.Find(loop.Standard)?.FlankHalfAngleDeg ?? 0;
        double holds = SynchronousLoads
            .Jump(1, pull, flank, ToothedBeltChecks.Friction(loop), loop.LeastWrapDeg)
            .NeededTensionN;
        bool isShallow = WheelOutline.PitchMm(loop.Loop) <= ShallowPitchMm;
        return isShallow
            ? new(holds, ShallowMargins, "tooth jump (an estimate from statics), its shallow teeth counted")
            : new(holds, JumpMargins, "tooth jump (an estimate from statics)");
    }

    /// <summary>As its load source pulls it; null where nobody said how hard.</summary>
    public static LoadedLoop? Loaded(SetInput input)
    {
        try
        {
            return input.Source is null
                ? null
                : new(
                    new(
                        input.Drive,
                        input.Kind,
                        input.Loops,
                        input.RoadWheels,
                        input.Layout,
                        input.Source,
                        input.StrengthOrNothing
                    )
                );
        }
        catch (InvalidInputException)
        {
            return null; // Nobody said how hard it is pulled: then its load bounds nothing.
        }
    }

    /// <summary>Both runs at rest load the shaft by 2·T at most, half a turn of wrap: the worst case. Source: statics.</summary>
    private static TensionWindow BoundedByBearing(TensionWindow window, SetInput input, TightnessScale scale)
    {
        if (scale.Unit != TightnessUnit.Newton || input.Setting.MostShaftLoadN is not double most)
            return window;
        double bound = most / 2;
        return bound >= window.High
            ? window
            : window with
            {
                Low = Math.Min(bound, window.Low),
                High = bound,
                Reason =
                    window.Reason
                    + (
                        bound < window.Low
                            ? ". The shaft may carry less than that asks for: it can't be set so that both hold"
                            : ". Bounded above by what the shaft may carry"
                    ),
            };
    }
}
