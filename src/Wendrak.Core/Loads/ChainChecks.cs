using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.LoadCheckKind;

namespace Wendrak.Core.Loads;

/// <summary>Margins of a chain.</summary>
internal static class ChainChecks
{
    private const double UsualSag = 0.02; // of the run, 1 to 3 %: common practice
    private static readonly LoadLimit PinRow = LoadLimits.Get("pin pressure", "chain");
    private static readonly LoadLimit Smooth = LoadLimits.Get("ripple", "chain");
    private const string StandardPitchOnly = "ACA equations, Shigley ch. 17: for chains of standard pitch only";

    public static IEnumerable<LoadCheck> Check(LoadedLoop loop)
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
            yield return LoadCheck.Unknown(PinPressure, OperatingPointKind.Cruise, PinRow.Source, loop.CruiseField);
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
            LesserWrap.With(loop.Front.WrapDeg, loop.Rear.WrapDeg),
            LoadLimits.Get("wrap", "chain")
        );
    }

    /// <summary>Peak to peak; under the fewest teeth of a power drive it is no matter of watching any more.</summary>
    private static LoadCheck Ripples(LoadedLoop loop, OperatingPoint point)
    {
        double stopAbove = SpeedRipple.Percent.Value(SmallWheel.FewestTeethOfAPowerDrive);
        bool isMuscle = loop.Input.Drive.Input.Kind == InputKind.Rider;
        return LoadCheck.AtMost(
            Ripple,
            point.Kind,
            SpeedRipple.Percent.With(loop.SmallerLinks),
            Smooth.Limit!.Value,
            isMuscle ? 0 : Smooth.Limit!.Value / stopAbove,
            Smooth.Source
        );
    }

    /// <summary>Every gap of an odd wheel is used each second turn, half of an even one's each turn and the rest never.</summary>
    private static LoadCheck Odd(LoadedLoop loop, OperatingPoint point) =>
        LoadCheck.AtLeast(
            OddTeeth,
            point.Kind,
            TurnsToSameGap.With(loop.SmallerSize),
            LoadLimits.Get("odd teeth", "chain"),
            isAdvisory: true
        );

    /// <summary>Tension of every run from going round and from sag, N.</summary>
    public static double StandingN(LoadedLoop loop, OperatingPoint point) => Standing(loop, point).Value;

    private static Explained Standing(LoadedLoop loop, OperatingPoint point) =>
        ChainPull.Standing.With(Mass(loop), loop.SpeedMS(point), Sag(loop).Value);

    private static Given Mass(LoadedLoop loop) =>
        new(LoopMass.KgPerM(loop) ?? 0, IsUsual: loop.Strength.MassKgPerM is null);

    private static Explained Sag(LoadedLoop loop) =>
        ChainPull.Sag.With(
            Mass(loop),
            ChainPull.GravityMS2,
            loop.SlackRunMm,
            new(SagMm(loop), IsUsual: loop.Strength.SagMm is null)
        );

    public static double SagMm(LoadedLoop loop) => loop.Strength.SagMm ?? UsualSag * loop.SlackRunMm;

    public static double? BreakingLoadN(LoadedLoop loop, ChainSize? size) =>
        (loop.Strength.BreakingLoadN ?? size?.MinTensileN) * loop.Strength.Strands;

    private static LoadCheck Breaking(LoadedLoop loop, ChainSize? size, OperatingPoint point) =>
        BreakingLoadN(loop, size) is double load
            ? LoadCheck.AtLeast(
                BreakingLoad,
                point.Kind,
                OverPull.With(Breaking(loop, load), loop.PullN(point)),
                LoadLimits.Get("breaking load", UseOf(loop))
            )
            : LoadCheck.Unknown(BreakingLoad, point.Kind, "ISO 606", "Strength.BreakingLoadN");

    private static LoadCheck BreakingWithShock(LoadedLoop loop, ChainSize? size, OperatingPoint point) =>
        BreakingLoadN(loop, size) is double load
            ? LoadCheck
                .AtLeast(
                    LoadCheckKind.BreakingLoadWithShock,
                    point.Kind,
                    OverAll.With(Breaking(loop, load), loop.PullN(point), loop.Shock, StandingN(loop, point)),
                    LoadLimits.Get("breaking load with shock", UseOf(loop))
                )
                .By(Standing(loop, point), Sag(loop))
            : LoadCheck.Unknown(LoadCheckKind.BreakingLoadWithShock, point.Kind, "ISO 606", "Strength.BreakingLoadN");

    /// <summary>Bearing area of all strands, mm².</summary>
    public static double? BearingAreaMm2(LoadedLoop loop, ChainSize? size) =>
        (loop.Strength.BearingAreaMm2 ?? size?.BearingAreaMm2) * loop.Strength.Strands;

    private static LoadCheck Pins(LoadedLoop loop, ChainSize? size, OperatingPoint point)
    {
        if (BearingAreaMm2(loop, size) is not double area)
            return LoadCheck.Unknown(PinPressure, point.Kind, PinRow.Source, "Strength.BearingAreaMm2");
        return LoadCheck
            .AtMost(
                PinPressure,
                point.Kind,
                InThePins.With(
                    loop.PullN(point),
                    loop.Shock,
                    StandingN(loop, point),
                    new(area, IsUsual: loop.Strength.BearingAreaMm2 is null)
                ),
                PinRow,
                ChainPull.AllowedPinPressure(loop.SpeedMS(point))
            )
            .By(Standing(loop, point));
    }

    private static LoadCheck Climbs(LoadedLoop loop, OperatingPoint point)
    {
        // The last rollers settle as low as their teeth let them: only what is left then makes the chain climb.
        Explained? least = loop.Strength.PressureAngleDeg is null ? ToothLoads.LeastAngle.With(loop.FrontLinks) : null;
        double angle = loop.Strength.PressureAngleDeg ?? least!.Value.Value;
        int engaged = ToothLoads.Compute(loop.FrontLinks, loop.Front.WrapDeg, loop.PullN(point), angle).TeethEngaged;
        Explained left = ToothLoads.LeftAfterATooth.With(new(angle, IsUsual: least is not null), loop.FrontLinks);
        Explained standing = Standing(loop, point);
        return LoadCheck
            .AtMost(
                ToothJumping,
                point.Kind,
                ToothLoads.AfterLast.With(loop.PullN(point), left.Value, engaged),
                LoadLimits.Get("tooth jumping", "chain"),
                standing.Value
            )
            .By([left, .. least is { } grip ? [grip] : Array.Empty<Explained>(), standing, Sag(loop)]);
    }

    private static LoadCheck Rated(LoadedLoop loop, ChainSize? size, OperatingPoint point)
    {
        if (size is null)
            return LoadCheck.Untold(Rating, point.Kind, point.PowerKw, StandardPitchOnly, Unjudged.RuleDoesNotHold);
        bool isLight = IsLight(size);
        double rpm = Math.Max(loop.SmallerRpm(point), 1);
        (Explained rated, RatingLimit governs) = ChainRating.Rated(size.PitchMm, (int)loop.SmallerSize, rpm, isLight);
        Explained allowed = ChainRating.AllowedPower.With(
            rated.Value,
            ChainRating.StrandFactor(loop.Strength.Strands),
            loop.Shock
        );
        string lines = governs == RatingLimit.LinkPlate ? "plate fatigue, Eq. 17-32" : "roller impact, Eq. 17-33";
        return LoadCheck
            .AtMost(
                Rating,
                point.Kind,
                point.PowerKw,
                allowed.Value,
                LoadLimits.Get("rating", "chain").StopShare!.Value,
                $"{lines}, Shigley ch. 17: an industrial rating for 15 000 h"
                    + (loop.IsVehicle ? ", not a limit of vehicles in short bursts" : ""),
                loop.IsVehicle
            )
            .By(allowed, rated);
    }

    /// <summary>The rating's lines for this chain; null where the tables do not know it.</summary>
    public static RatingTent? Tent(LoadedLoop loop)
    {
        if (loop.Loop.DriveElement != DriveElement.Chain || RatedSize(loop) is not { } size)
            return null;
        double factor = ChainRating.StrandFactor(loop.Strength.Strands) / loop.ShockFactor;
        double most = loop.Points.Max(loop.SmallerRpm);
        return ChainRating.Tent(
            size.PitchMm,
            (int)loop.SmallerSize,
            IsLight(size),
            factor,
            most,
            loop.SmallerRpm(loop.Lasting)
        );
    }

    /// <summary>The chain, where the ACA equations hold for it: they are of chains of standard pitch.</summary>
    public static ChainSize? RatedSize(LoadedLoop loop) =>
        Chains.Find(loop.Standard) is { IsDoublePitch: false } size ? size : null;

    public static bool IsLight(ChainSize size) => size.ChainId == "085"; // no. 41

    private static LoadCheck Galls(LoadedLoop loop, ChainSize? size, OperatingPoint point)
    {
        double rpm = loop.SmallerRpm(point);
        if (size is null)
            return LoadCheck.Untold(Galling, point.Kind, rpm, StandardPitchOnly, Unjudged.RuleDoesNotHold);
        LoadLimit galling = LoadLimits.Get("galling", "chain");
        Explained limit = ChainRating.Galling(size.PitchMm, (int)loop.SmallerSize, StrandTensionN(loop, point));
        return LoadCheck
            .AtMost(Galling, point.Kind, rpm, limit.Value, galling.StopShare!.Value, galling.Source, loop.IsVehicle)
            .By(limit);
    }

    /// <summary>Of the tight run, one strand.</summary>
    public static double StrandTensionN(LoadedLoop loop, OperatingPoint point) =>
        (loop.PullN(point) + StandingN(loop, point)) / loop.Strength.Strands;

    private static LoadCheck Speed(LoadedLoop loop, OperatingPoint point)
    {
        bool isSealed = loop.School == LubricationSchool.SealedRing;
        return LoadCheck.AtMost(
            ChainSpeed,
            point.Kind,
            loop.Speed(point),
            LoadLimits.Get("chain speed", isSealed ? "sealed" : "oiled"),
            isSealed ? null : ChainLubrication.UpTo(LoopLengths.UnitMm(loop.Loop)).BathMS
        );
    }

    private static readonly Quantity PullQuantity = new("pull", "N");
    private static readonly Quantity ShockQuantity = new("shock factor", "");
    private static readonly Quantity StandingQuantity = new("from going round and sag", "N");

    private static readonly Formula<Func<double, double>> TurnsToSameGap = new(
        "Odd number of gaps",
        "turns",
        ("until the same gap is used again", ""),
        N => N - 2 * Math.Floor(N / 2) + 1,
        [("gaps of the smaller wheel", "")],
        "ACA, double pitch chain",
        "2 for an odd number of gaps, 1 for an even one."
    );

    private static readonly Formula<Func<double, double, double>> LesserWrap = new(
        "Wrap",
        "θ",
        ("the smaller of both", "°"),
        (front, rear) => Math.Min(front, rear),
        [("wrap", "°"), ("wrap", "°")],
        "Shigley ch. 17; ACA",
        "At rest, without sag."
    );

    private static string UseOf(LoadedLoop loop) => loop.IsVehicle ? "vehicle" : "machine";

    private static Given Breaking(LoadedLoop loop, double load) =>
        new(load, IsUsual: loop.Strength.BreakingLoadN is null);

    private static readonly Formula<Func<double, double, double>> OverPull = new(
        "Breaking load over pull",
        "S",
        ("margin", ""),
        (F_B, F) => F_B / F,
        [("breaking load of all strands", "N"), PullQuantity],
        "machine-element textbooks",
        "The maker's figure wins."
    );

    private static readonly Formula<Func<double, double, double, double, double>> OverAll = new(
        "Breaking load, shock counted",
        "S",
        ("margin", ""),
        (F_B, F, k, F_0) => F_B / (F * k + F_0),
        [("breaking load of all strands", "N"), PullQuantity, ShockQuantity, StandingQuantity],
        "machine-element textbooks",
        "The maker's figure wins."
    );

    private static readonly Formula<Func<double, double, double, double, double>> InThePins = new(
        "Pressure in the pins",
        "p",
        ("of pin in bush", "N/mm²"),
        (F, k, F_0, A) => (F * k + F_0) / A,
        [PullQuantity, ShockQuantity, StandingQuantity, ("pins times bushes", "mm²")],
        PinRow.Source,
        "The maker's figure wins."
    );
}
