using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>Judges the smaller wheel of a loop. Few teeth are computed and marked, never refused.</summary>
public sealed class SmallWheel
{
    // Chain sprockets. 17: industrial minimum for smooth drives, Shigley ch. 17. 13 and 9: common practice.
    private const int SmoothTeeth = 17;
    private const int UsualTeeth = 13;

    /// <summary>Fewer are for muscle only, as the speed ripple says; common practice.</summary>
    public const int FewestTeethOfAPowerDrive = 9;

    private readonly DriveElement _element;
    private readonly int _gapsPerLink;
    private readonly double? _advisedMinimum;

    public SmallWheel(Loop loop)
    {
        _element = loop.DriveElement;
        _gapsPerLink = WheelSize.GapsPerLink(loop);
        _advisedMinimum = AdvisedMinimum(loop);
    }

    /// <summary>Smallest wheel the tables advise for a loop, teeth or datum mm; null where they are silent.</summary>
    /// <remarks>Toothed belts: fewest teeth below 900 rpm; ISO 5294 family. V-belts: smallest datum, ISO 4183.</remarks>
    public static double? AdvisedMinimum(Loop loop) =>
        loop.DriveElement switch
        {
            DriveElement.Chain => SmoothTeeth * WheelSize.GapsPerLink(loop),
            DriveElement.ToothedBelt => SynchronousProfiles.Find(loop.Standard)?.MinTeethBelow900Rpm,
            DriveElement.VBelt => VSections.Find(loop.Standard)?.MinDatumDiameterMm,
            _ => null,
        };

    /// <summary>Smallest wheel that is more than a makeshift: 13 teeth of a chain, common practice; of belts as advised; null where the tables are silent.</summary>
    public static double? Fewest(Loop loop) =>
        loop.DriveElement == DriveElement.Chain ? UsualTeeth * WheelSize.GapsPerLink(loop) : AdvisedMinimum(loop);

    public SmallWheelAdvice Judge(double size)
    {
        if (_element != DriveElement.Chain)
            return size < _advisedMinimum ? SmallWheelAdvice.BelowAdvised : SmallWheelAdvice.Fine;
        return (size / _gapsPerLink) switch
        {
            < FewestTeethOfAPowerDrive => SmallWheelAdvice.BelowAdvised,
            < UsualTeeth => SmallWheelAdvice.SlowOnly,
            < SmoothTeeth => SmallWheelAdvice.Compromise,
            _ => SmallWheelAdvice.Fine,
        };
    }
}
