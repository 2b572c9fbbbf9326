using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>Looks for what makes a fit poor.</summary>
internal static class FitFindings
{
    private const int LeastTeethInMesh = 6; // ISO 5295
    private const int LeastTeethOnIdler = 3; // common practice

    public static IReadOnlyList<FitFinding> Find(FittedLoop fitted, LoopPath path, AdjustmentReserve? reserve)
    {
        List<FitFinding> findings = [];
        int n = path.Wheels.Count;
        for (int k = 0; k < n; k++)
        {
            WrappedWheel wheel = path.Wheels[k];
            bool isDriver = k == 0 || k == fitted.RearIndex;
            if (fitted.Loop.DriveElement == DriveElement.Chain && isDriver && wheel.WrapDeg < CentreAdvice.LeastWrapDeg)
                findings.Add(
                    new(
                        FitFindingKind.LittleWrap,
                        wheel.Name,
                        wheel.WrapDeg,
                        CentreAdvice.LeastWrapDeg,
                        "Shigley ch. 17; ACA"
                    )
                );
            if (
                fitted.Loop.DriveElement == DriveElement.ToothedBelt
                && isDriver
                && wheel.TeethEngaged < LeastTeethInMesh
            )
                findings.Add(
                    new(
                        FitFindingKind.FewTeethInMesh,
                        wheel.Name,
                        wheel.TeethEngaged!.Value,
                        LeastTeethInMesh,
                        "ISO 5295, teeth in mesh factor"
                    )
                );
            if (fitted.Loop.DriveElement == DriveElement.Chain && !isDriver && wheel.TeethEngaged < LeastTeethOnIdler)
                findings.Add(
                    new(
                        FitFindingKind.FewTeethOnIdler,
                        wheel.Name,
                        wheel.TeethEngaged!.Value,
                        LeastTeethOnIdler,
                        "common practice"
                    )
                );
            WrappedWheel next = path.Wheels[(k + 1) % n];
            double gap =
                wheel.Centre.DistanceTo(next.Centre) - wheel.Outline.OutsideRadiusMm - next.Outline.OutsideRadiusMm;
            if (gap < 0 && (n > 2 || k == 0))
                findings.Add(new(FitFindingKind.TipsTouch, wheel.Name, gap, 0, "geometry"));
        }
        AddCentre(findings, fitted, path);
        foreach (Idler idler in fitted.Layout.Idlers.Where(i => i.Run == LoopRun.Tight))
            findings.Add(new(FitFindingKind.IdlerOnTightRun, idler.Name, 0, 0, "common practice"));
        AddLength(findings, fitted, reserve);
        return findings;
    }

    private static void AddCentre(List<FitFinding> findings, FittedLoop fitted, LoopPath path)
    {
        if (fitted.Loop.DriveElement != DriveElement.Chain)
            return;
        double pitches = path.Wheels[0].Centre.DistanceTo(path.Wheels[fitted.RearIndex].Centre) / fitted.UnitMm;
        if (pitches < CentreAdvice.FewestPitches)
            findings.Add(
                new(
                    FitFindingKind.ShortCentre,
                    null,
                    pitches,
                    CentreAdvice.FewestPitches,
                    "common practice; Shigley: 30"
                )
            );
        if (pitches > CentreAdvice.MostPitches)
            findings.Add(
                new(FitFindingKind.LongCentre, null, pitches, CentreAdvice.MostPitches, "Shigley ch. 17; ACA")
            );
    }

    private static void AddLength(List<FitFinding> findings, FittedLoop fitted, AdjustmentReserve? reserve)
    {
        if (fitted.ChosenLength is not double length)
            return;
        if (fitted.Loop.DriveElement == DriveElement.Chain && length % 2 != 0)
            findings.Add(
                new(FitFindingKind.HalfLink, null, length, 0, "ISO 606 practice; weaker by 20 to 30 %, from memory")
            );
        if (fitted.Range is not { } range)
            return;
        double mm = length * fitted.UnitMm;
        if (fitted.IsOnTrack == false)
            findings.Add(
                new(FitFindingKind.OffTheTrack, null, mm, mm > range.MostMm ? range.MostMm : range.LeastMm, "geometry")
            );
        else if (reserve is { IsNearlyUsedUp: true })
            findings.Add(
                new(
                    FitFindingKind.LittleReserve,
                    null,
                    reserve.LeftMm,
                    AdjustmentReserve.LeastSharePercent / 100 * fitted.TrackMm,
                    "common practice"
                )
            );
    }
}
