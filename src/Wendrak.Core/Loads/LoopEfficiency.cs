using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>How the loss of a chain or belt is looked at.</summary>
public enum EfficiencySchool
{
    /// <summary>Clean, oiled, aligned, near its rated power: the chain loses less.</summary>
    TestBench,

    /// <summary>Dirt, rain and part load as they come: the belt loses less.</summary>
    Everyday,
}

/// <summary>Part of the power that a loop passes on, from low to high, and what is lost while cruising.</summary>
/// <param name="LossMostKw">At the low end; null where no cruise is known.</param>
/// <param name="Low">Part passed on at worst.</param>
/// <param name="High">Part passed on at best.</param>
/// <param name="LossLeastKw">At the high end.</param>
/// <param name="Source">Who says so.</param>
public sealed record LoopEfficiency(
    EfficiencySchool School,
    double Low,
    double High,
    double? LossMostKw,
    double? LossLeastKw,
    string Source
)
{
    /// <summary>Both schools: the trade disagrees which kind loses more.</summary>
    internal static IReadOnlyList<LoopEfficiency> Estimate(LoadedLoop loop)
    {
        DriveElement element = loop.Loop.DriveElement;
        double? cruiseKw = loop.PointOf(OperatingPointKind.Cruise)?.PowerKw;
        bool isNotched = element == DriveElement.VBelt && VSections.Find(loop.Standard) is { IsNotched: true };
        return
        [
            Estimate(EfficiencySchool.TestBench, Notched(OnTheBench(element), isNotched), cruiseKw),
            Estimate(EfficiencySchool.Everyday, Notched(Everyday(element), isNotched), cruiseKw),
        ];
    }

    /// <summary>A notched V-belt bends easier: about 2 % better. Source: US DOE, Motor Systems Tip Sheet 5 (from memory).</summary>
    private static (double, double) Notched((double Low, double High) range, bool isNotched)
    {
        const double better = 0.02;
        return isNotched ? (range.Low + better, range.High + better) : range;
    }

    private static LoopEfficiency Estimate(EfficiencySchool school, (double Low, double High) range, double? kw) =>
        new(
            school,
            range.Low,
            range.High,
            kw * (1 - range.Low),
            kw * (1 - range.High),
            school == EfficiencySchool.TestBench
                ? "handbooks and makers, clean and near rated power (from memory)"
                : "common practice: dirt, rain and part load"
        );

    /// <summary>Middle of the range of a school.</summary>
    internal static double MeanOf(EfficiencySchool school, DriveElement element)
    {
        (double low, double high) = school == EfficiencySchool.TestBench ? OnTheBench(element) : Everyday(element);
        return (low + high) / 2;
    }

    private static (double, double) OnTheBench(DriveElement element) =>
        element switch
        {
            DriveElement.Chain => (0.97, 0.99),
            DriveElement.ToothedBelt => (0.96, 0.98),
            DriveElement.VBelt => (0.93, 0.96),
            _ => (0.96, 0.98),
        };

    private static (double, double) Everyday(DriveElement element) =>
        element switch
        {
            DriveElement.Chain => (0.92, 0.97),
            DriveElement.ToothedBelt => (0.95, 0.98),
            DriveElement.VBelt => (0.88, 0.95),
            _ => (0.92, 0.97),
        };
}
