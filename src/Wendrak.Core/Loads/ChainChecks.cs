using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of a chain.</summary>
internal static class ChainChecks
{
    // Machine building asks for 7 and 5; final drives of vehicles run at 3 to 6 with the full torque in first gear.
    private const double MachineStatic = 7;
    private const double MachineDynamic = 5;
    private const double VehicleStatic = 3;
    private const double VehicleDynamic = 2;
    private const double SmoothRipplePercent = 2;
    private const double UsualSag = 0.02; // of the run, 1 to 3 %: common practice
    private const string PinSource = "ISO 10823 charts, from memory: for a long life, well oiled";
    private const string StandardPitchOnly = "ACA equations, Shigley ch. 17: for chains of standard pitch only";

    public static IEnumerable<LoadCheck> Of(LoadedLoop loop)
    {
        ChainSize? size = Chains.Find(loop.Standard);
        ChainSize? rated = RatedSize(loop);
        if (loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
        {
            yield return Breaking(loop, size, hardest);
            yield return BreakingWithShock(loop, size, hardest);
            yield return Climbs(loop, hardest);
            yield return Rated(loop, rated, hardest);
        }
        if (loop.PointOf(OperatingPointKind.Cruise) is { } cruise)
        {
            yield return Pins(loop, size, cruise);
            yield return Rated(loop, rated, cruise);
        }
        else
            yield return LoadCheck.Unknown(PinPressure, OperatingPointKind.Cruise, PinSource, loop.CruiseField);
        if (loop.PointOf(OperatingPointKind.TopSpeed) is { } top)
        {
            yield return Speed(loop, top);
            yield return Galls(loop, rated, top);
        }
        else
            yield return LoadCheck.Unknown(
                ChainSpeed,
                OperatingPointKind.TopSpeed,
                "speed of practice or of the oiling tables",
                "Source.PeakPowerKw"
            );
        OperatingPoint first = loop.Points[0];
        yield return Ripples(loop, first);
        if (loop.Loop.SmallestFront is double own)
            yield return LoadChecks.OwnSmallestFront(loop, first, own);
        if (WheelSize.GapsPerLink(loop.Loop) > 1)
            yield return Odd(loop, first);
        yield return LoadCheck.AtLeast(
            LoadCheckKind.Wrap,
            first.Kind,
            loop.LeastWrapDeg,
            CentreAdvice.LeastWrapDeg,
            0.75,
            "Shigley ch. 17; ACA"
        );
    }

    /// <summary>Half of peak to peak; under the fewest teeth of a power drive it is no matter of watching any more.</summary>
    private static LoadCheck Ripples(LoadedLoop loop, OperatingPoint point)
    {
        double stopAbove = SpeedRipple.Percent(SmallWheel.FewestTeethOfAPowerDrive) / 2;
        bool isMuscle = loop.Input.Drive.Input.Kind == InputKind.Rider;
        return LoadCheck.AtMost(
            Ripple,
            point.Kind,
            SpeedRipple.Percent(loop.SmallerLinks) / 2,
            SmoothRipplePercent,
            isMuscle ? 0 : SmoothRipplePercent / stopAbove,
            "half of peak to peak, Shigley ch. 17; under ±2 % is smooth, fewer than 9 teeth for muscle only: common practice"
        );
    }

    /// <summary>Every gap of an odd wheel is used each second turn, half of an even one's each turn and the rest never.</summary>
    private static LoadCheck Odd(LoadedLoop loop, OperatingPoint point) =>
        LoadCheck.AtLeast(
            OddTeeth,
            point.Kind,
            loop.SmallerSize % 2 != 0 ? 2 : 1,
            2,
            0,
            "ACA, double pitch chain on sprockets of an odd number of gaps: they last twice as long (from memory)",
            isAdvisory: true
        );

    /// <summary>Tension of every run from going round and from sag, N.</summary>
    public static double StandingN(LoadedLoop loop, OperatingPoint point)
    {
        double mass = LoopMass.KgPerM(loop) ?? 0;
        double speed = loop.SpeedMS(point);
        return mass * speed * speed + ChainPull.SagTensionN(mass, loop.SlackRunMm, SagMm(loop));
    }

    public static double SagMm(LoadedLoop loop) => loop.Strength.SagMm ?? UsualSag * loop.SlackRunMm;

    public static double? BreakingLoadN(LoadedLoop loop, ChainSize? size) =>
        (loop.Strength.BreakingLoadN ?? size?.MinTensileN) * loop.Strength.Strands;

    private static LoadCheck Breaking(LoadedLoop loop, ChainSize? size, OperatingPoint point) =>
        BreakingLoadN(loop, size) is double load
            ? LoadCheck.AtLeast(
                BreakingLoad,
                point.Kind,
                load / loop.PullN(point),
                loop.IsVehicle ? VehicleStatic : MachineStatic,
                0.5,
                loop.IsVehicle
                    ? "3 and more with full torque on vehicles: common practice; machine building asks for 7"
                    : "static 7 and more: machine-element textbooks"
            )
            : LoadCheck.Unknown(BreakingLoad, point.Kind, "ISO 606", "Strength.BreakingLoadN");

    private static LoadCheck BreakingWithShock(LoadedLoop loop, ChainSize? size, OperatingPoint point) =>
        BreakingLoadN(loop, size) is double load
            ? LoadCheck.AtLeast(
                LoadCheckKind.BreakingLoadWithShock,
                point.Kind,
                load / (loop.PullN(point) * loop.ShockFactor + StandingN(loop, point)),
                loop.IsVehicle ? VehicleDynamic : MachineDynamic,
                0.5,
                loop.IsVehicle
                    ? "static 3 over the usual shock of 1.5: common practice; machine building asks for 5"
                    : "dynamic 5 and more: machine-element textbooks"
            )
            : LoadCheck.Unknown(LoadCheckKind.BreakingLoadWithShock, point.Kind, "ISO 606", "Strength.BreakingLoadN");

    /// <summary>Bearing area of all strands, mm².</summary>
    public static double? BearingAreaMm2(LoadedLoop loop, ChainSize? size) =>
        (loop.Strength.BearingAreaMm2 ?? size?.BearingAreaMm2) * loop.Strength.Strands;

    private static LoadCheck Pins(LoadedLoop loop, ChainSize? size, OperatingPoint point)
    {
        if (BearingAreaMm2(loop, size) is not double area)
            return LoadCheck.Unknown(PinPressure, point.Kind, PinSource, "Strength.BearingAreaMm2");
        double total = loop.PullN(point) * loop.ShockFactor + StandingN(loop, point);
        return LoadCheck.AtMost(
            PinPressure,
            point.Kind,
            total / area,
            ChainPull.AllowedPinPressure(loop.SpeedMS(point)),
            0.6,
            PinSource
        );
    }

    private static LoadCheck Climbs(LoadedLoop loop, OperatingPoint point)
    {
        ToothLoadsResult teeth = ToothLoads.Of(
            loop.FrontLinks,
            loop.Front.WrapDeg,
            loop.PullN(point),
            // The last rollers settle as low as their teeth let them: only what is left then makes the chain climb.
            loop.Strength.PressureAngleDeg
                ?? ToothLoads.LeastPressureAngleDeg(loop.FrontLinks)
        );
        return LoadCheck.AtMost(
            ToothJumping,
            point.Kind,
            teeth.AfterLastN,
            StandingN(loop, point),
            0.1,
            "geometric series of the pull at the least pressure angle: Binder; ACA design manual; angle by ASME B29.1"
        );
    }

    private static LoadCheck Rated(LoadedLoop loop, ChainSize? size, OperatingPoint point)
    {
        if (size is null)
            return LoadCheck.Untold(Rating, point.Kind, point.PowerKw, StandardPitchOnly, Unjudged.RuleDoesNotHold);
        bool isLight = IsLight(size);
        double rpm = Math.Max(loop.SmallerRpm(point), 1);
        (double kw, RatingLimit governs) = ChainRating.Of(size.PitchMm, (int)loop.SmallerSize, rpm, isLight);
        double allowed = kw * ChainRating.StrandFactor(loop.Strength.Strands) / loop.ShockFactor;
        string lines = governs == RatingLimit.LinkPlate ? "plate fatigue, Eq. 17-32" : "roller impact, Eq. 17-33";
        return LoadCheck.AtMost(
            Rating,
            point.Kind,
            point.PowerKw,
            allowed,
            0.5,
            $"{lines}, Shigley ch. 17: an industrial rating for 15 000 h"
                + (loop.IsVehicle ? ", not a limit of vehicles in short bursts" : ""),
            loop.IsVehicle
        );
    }

    /// <summary>The rating's lines for this chain; null where the tables do not know it.</summary>
    public static RatingTent? Tent(LoadedLoop loop)
    {
        if (loop.Loop.Medium != DriveElement.Chain || RatedSize(loop) is not { } size)
            return null;
        double factor = ChainRating.StrandFactor(loop.Strength.Strands) / loop.ShockFactor;
        double most = loop.Points.Max(loop.SmallerRpm);
        return ChainRating.Tent(size.PitchMm, (int)loop.SmallerSize, IsLight(size), factor, most);
    }

    /// <summary>The chain, where the ACA equations hold for it: they are of chains of standard pitch.</summary>
    public static ChainSize? RatedSize(LoadedLoop loop) =>
        Chains.Find(loop.Standard) is { IsDoublePitch: false } size ? size : null;

    public static bool IsLight(ChainSize size) => size.ChainId == "085"; // no. 41

    private static LoadCheck Galls(LoadedLoop loop, ChainSize? size, OperatingPoint point) =>
        size is null
            ? LoadCheck.Untold(Galling, point.Kind, loop.SmallerRpm(point), StandardPitchOnly, Unjudged.RuleDoesNotHold)
            : LoadCheck.AtMost(
                Galling,
                point.Kind,
                loop.SmallerRpm(point),
                ChainRating.GallingRpm(size.PitchMm, (int)loop.SmallerSize, StrandTensionN(loop, point)),
                0.8,
                "Shigley Eq. 17-40 (constants from memory); an industrial limit",
                loop.IsVehicle
            );

    /// <summary>Of the tight run, one strand.</summary>
    public static double StrandTensionN(LoadedLoop loop, OperatingPoint point) =>
        (loop.PullN(point) + StandingN(loop, point)) / loop.Strength.Strands;

    private static LoadCheck Speed(LoadedLoop loop, OperatingPoint point)
    {
        bool isSealed = loop.School == LubricationSchool.SealedRing;
        return LoadCheck.AtMost(
            ChainSpeed,
            point.Kind,
            loop.SpeedMS(point),
            isSealed ? ChainLubrication.SealedPracticeMS : ChainLubrication.UpTo(LoopLengths.UnitMm(loop.Loop)).BathMS,
            0.6,
            isSealed ? "sealed-ring practice of road machines: common practice" : "ACA: above it an oil stream"
        );
    }
}
