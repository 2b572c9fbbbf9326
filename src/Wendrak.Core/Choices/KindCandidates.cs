using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Choices;

/// <summary>Sizes and wheels of a kind that are tried in the place of a loop, the lightest first.</summary>
/// <param name="hardestNm">Torque with shock on the driving wheel; null where nobody knows how hard it is pulled.</param>
/// <param name="smallerRpm">Of the smaller wheel at most; null likewise.</param>
internal sealed class KindCandidates(
    Loop loop,
    LoopChoice choice,
    LoopStrength strength,
    MachineKind machine,
    double? hardestNm,
    double? smallerRpm
)
{
    /// <summary>A belt that by its table is weaker than this part of the pull needs no second look.</summary>
    private const double FarTooWeakShare = 0.7;

    // A pitch from 0.6 of what is there to 1.6: beyond it nothing around would suit. Judgement.
    private const double LeastPitchShare = 0.6;
    private const double MostPitchShare = 1.6;
    private const double UsualPitchMm = 12.7;

    /// <summary>Smaller ones are not made with rings: common practice.</summary>
    private const double LeastSealedMm = 12.7;

    /// <summary>How far the ratio may be off, as a part of it.</summary>
    private const double RatioOffShare = 0.02;

    /// <summary>How much larger the driven wheel may be than the one that is on: judgement; the room is checked at Fit.</summary>
    public const double MostLargerShare = 1.15;
    private const int FrontsTried = 16;
    private const int Kept = 3;
    private const int MostBelts = 4;

    private readonly double _ratio = Math.Abs(StageRatio.Compute(loop, choice));
    private readonly double _frontMm = DiameterMm(loop, choice.FrontSize);
    private readonly double _rearMm = DiameterMm(loop, choice.RearSize);

    public IEnumerable<LoopAlternative> Of(ChoiceKind kind) =>
        kind.Key switch
        {
            "plainChain" => OfChains(IsPlain, 1, LubricationSchool.Industrial),
            "sealedChain" => OfChains(c => IsPlain(c) && c.PitchMm >= LeastSealedMm, 1, LubricationSchool.SealedRing),
            "heavyChain" => OfChains(c => c.Family == "A heavy", 1, LubricationSchool.Industrial),
            "doublePitchChain" => OfChains(c => c.IsDoublePitch, 1, LubricationSchool.Industrial),
            "twoStrandChain" => OfChains(c => c.Family is "A" or "B", 2, LubricationSchool.Industrial),
            "toothedBelt" => OfToothed(),
            "vBelt" => OfV(),
            "roundBelt" => Wheels(DriveElement.RoundBelt, "round")
                .Select(w => Make(DriveElement.RoundBelt, "round", w)),
            _ => [],
        };

    private bool IsPlain(ChainSize chain) =>
        chain.Family is var family
        && machine switch
        {
            MachineKind.Motorcycle or MachineKind.Moped or MachineKind.LoadCarrier => family == "motorcycle",
            MachineKind.Bicycle => family == "bicycle",
            _ => family is "A" or "B",
        };

    private IEnumerable<LoopAlternative> OfChains(Predicate<ChainSize> suits, int strands, LubricationSchool school) =>
        // The size that is on first: its wheels stay.
        from size in Chains
            .All.Where(c => suits(c) && IsNear(c.PitchMm / c.GapsPerLink))
            .OrderBy(c => c.ChainId != loop.Standard)
            .ThenBy(c => c.MassKgPerM)
        from wheels in Wheels(DriveElement.Chain, size.ChainId)
        select Make(DriveElement.Chain, size.ChainId, wheels, new(loop.Key, Strands: strands, School: school));

    private IEnumerable<LoopAlternative> OfToothed()
    {
        var belts =
            from profile in SynchronousProfiles.All
            where IsUsual(profile)
            from width in WidthsMm(profile)
            orderby profile.MassKgPerMPerMmWidth * width
            select (Profile: profile, Width: width);
        // Where only the maker tells what a profile can take, another width of it would not tell more: the lightest stands for all.
        bool isUntoldTried = false;
        foreach ((SynchronousProfile profile, double width) in belts)
        {
            bool isTold = profile.AllowedTensionAtBaseWidthN is not null;
            if (!isTold && isUntoldTried)
                continue;
            foreach ((double Front, double Rear) wheels in Wheels(DriveElement.ToothedBelt, profile.ProfileId))
            {
                if (IsFarTooWeak(profile, width, wheels.Front))
                    continue;
                isUntoldTried |= !isTold;
                yield return Make(DriveElement.ToothedBelt, profile.ProfileId, wheels, new(loop.Key, WidthMm: width));
            }
        }
    }

    private bool IsFarTooWeak(SynchronousProfile profile, double widthMm, double front)
    {
        if (
            hardestNm is not double torque
            || profile is not { BaseWidthMm: double baseWidth, AllowedTensionAtBaseWidthN: double tension }
        )
            return false;
        double pull = ChainPull.OfTorque.Value(torque, front * profile.PitchMm / Math.PI);
        return SynchronousLoads.WidthShare.Value(widthMm, baseWidth) * tension < FarTooWeakShare * pull;
    }

    private IEnumerable<LoopAlternative> OfV() =>
        from belts in (
            from section in VSections.All
            from count in Enumerable.Range(1, MostBelts)
            orderby section.MassKgPerM * count
            select (section.Section, count)
        )
        from wheels in Wheels(DriveElement.VBelt, belts.Section)
        select Make(DriveElement.VBelt, belts.Section, wheels, new(loop.Key, Strands: belts.count));

    private LoopAlternative Make(
        DriveElement element,
        string standard,
        (double Front, double Rear) wheels,
        LoopStrength? with = null
    ) => new("", element, standard, wheels.Front, wheels.Rear, with ?? new(loop.Key));

    private bool IsNear(double pitchMm)
    {
        double own = loop.IsToothed ? WheelOutline.PitchMm(loop) / WheelSize.GapsPerLink(loop) : UsualPitchMm;
        return pitchMm >= LeastPitchShare * own && pitchMm <= MostPitchShare * own;
    }

    /// <summary>Profiles that such machines are driven by: common practice.</summary>
    private bool IsUsual(SynchronousProfile profile) =>
        machine switch
        {
            MachineKind.Bicycle => profile.ProfileId.StartsWith("BIKE", StringComparison.Ordinal),
            MachineKind.Motorcycle or MachineKind.Moped or MachineKind.LoadCarrier => profile.ProfileId
                is "8M"
                    or "14M"
                    or "MOTO11"
                    or "MOTO14",
            _ => profile.PitchMm <= MostPitchShare * UsualPitchMm
                && !profile.ProfileId.StartsWith("MOTO", StringComparison.Ordinal)
                && !profile.ProfileId.StartsWith("BIKE", StringComparison.Ordinal),
        };

    /// <summary>Widths that belts are made in, mm. Source: ISO 5296 and the trade’s metric series, from memory.</summary>
    private static double[] WidthsMm(SynchronousProfile profile) =>
        profile.ProfileId switch
        {
            "MXL" => [3.2, 4.8, 6.4],
            "XL" => [6.4, 7.9, 9.5],
            "L" => [12.7, 19.1, 25.4],
            "H" => [19.1, 25.4, 38.1, 50.8, 76.2],
            "XH" => [50.8, 76.2, 101.6],
            "3M" => [6, 9, 15],
            "5M" => [9, 15, 25],
            "8M" => [20, 30, 50, 85],
            "14M" => [40, 55, 85],
            "MOTO11" or "MOTO14" => [20, 24, 28, 32, 38],
            "BIKE8" or "BIKE11" => [10, 12, 15],
            _ => [10, 16, 25, 32, 50],
        };

    /// <summary>Pairs near the ratio that is fitted: those about as large as the wheels that are on, the smallest first.</summary>
    private IEnumerable<(double Front, double Rear)> Wheels(DriveElement element, string standard)
    {
        Loop other = loop with
        {
            DriveElement = element,
            Standard = standard,
            SlipFraction = Loop.UsualSlip(element),
            LargestRear = null,
            SmallestFront = null,
        };
        // The very pair that is on, where it goes on such a chain or belt.
        if (element == loop.DriveElement && IsOfThePitch(other))
            return [(choice.FrontSize, choice.RearSize)];
        bool isToothed = other.IsToothed;
        // Driven over driving wheel: what slips is made so much shorter that the speed is the same.
        double ratio = _ratio * (1 - other.SlipFraction);
        double least = Math.Max(
            FewestAtSpeed(other)
                ?? SmallWheel.AdvisedMinimum(other)
                ?? WheelSize.Smallest(element) * WheelSize.GapsPerLink(other),
            isToothed ? 0 : WheelSize.SmallestDatumMm
        );
        // The smaller of both wheels has the least; where it is driven, the driving one is larger by the ratio.
        least = Math.Ceiling(least * Math.Max(1, 1 / ratio));
        double unitMm = isToothed ? DiameterMm(other, least) / least : 1;
        double about = Math.Max(least, Math.Floor(_frontMm / unitMm));
        double step = isToothed ? WheelSize.GapsPerLink(other) : 1;
        double smallest = Math.Max(WheelSize.Smallest(element) * WheelSize.GapsPerLink(other), least);
        return Enumerable
            .Range(0, FrontsTried)
            .Select(n => Math.Max(smallest, about - step) + n * step)
            .Select(front => (Front: front, Rear: Math.Round(front * ratio / step) * step))
            .Where(w =>
                w.Rear >= least / Math.Max(1, 1 / ratio)
                && Math.Abs(w.Rear / w.Front / ratio - 1) <= RatioOffShare
                && w.Rear * unitMm <= MostLargerShare * Math.Max(_rearMm, least * ratio * unitMm)
            )
            .OrderBy(w => w.Front)
            .Take(Kept);
    }

    private double? FewestAtSpeed(Loop other) =>
        other.DriveElement == DriveElement.ToothedBelt && smallerRpm is double rpm
            ? SynchronousProfiles.Find(other.Standard)?.FewestTeethAt(rpm)
            : null;

    private bool IsOfThePitch(Loop other) =>
        other.IsToothed
            ? Math.Abs(WheelOutline.PitchMm(other) - WheelOutline.PitchMm(loop)) < 0.05
            : other.Standard == loop.Standard;

    private static double DiameterMm(Loop loop, double size) => 2 * WheelOutline.For(loop, size).RunRadiusMm;

    /// <summary>Of its own kind: as it is, or a size more or less on the same wheels.</summary>
    public LoopAlternative AsItIs =>
        new("", loop.DriveElement, strength.Standard ?? loop.Standard, choice.FrontSize, choice.RearSize, strength);
}
