using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>How the figures of a fit came about.</summary>
internal static class FitWorkings
{
    public static IReadOnlyList<Working> Of(
        FittedLoop fitted,
        LoopPath path,
        LoopFitInput input,
        AdjustmentReserve? left,
        double travelMm
    )
    {
        List<Working> workings = [Length(fitted, path)];
        if (path.Wheels.Count == 2 && fitted.Loop.Course == BeltArrangement.Open)
            workings.Add(ShortForm(fitted, path));
        workings.AddRange(path.Wheels.Select(w => Wrap(w)));
        if (fitted.ChosenLength is double length && fitted.Layout.Moving is not null)
        {
            FittingLength here = fitted.LengthOf(length);
            if (here.ReservePercent is double reserve)
                workings.Add(Reserve(fitted, length, reserve, input.WearLimitPercent));
        }
        if (left is not null)
            workings.Add(Left(fitted, left, travelMm));
        return workings;
    }

    private static Working Left(FittedLoop fitted, AdjustmentReserve reserve, double travelMm)
    {
        AdjusterStep? step = fitted.Counted;
        List<WorkingValue> values =
        [
            new("t_end", "travel at the longest path", fitted.Range!.Value.TightestAtMm, "mm"),
            new("t", "travel where it stands", travelMm, "mm"),
            new("T", "whole way", fitted.TrackMm, "mm"),
        ];
        if (step is not null)
            values.Add(new("s", $"way of one {step.Kind.ToString().ToLowerInvariant()}", step.TravelMm, "mm"));
        return new(
            "Adjustment left",
            step is null
                ? "left = |t_end − t|, share = left / T"
                : "left = |t_end − t|, share = left / T, n = left / s",
            values,
            new("share", "of the adjuster", reserve.LeftPercent, "%"),
            "plane geometry; warned of under 10 %: common practice",
            reserve.Steps is double steps
                ? FormattableString.Invariant(
                    $"n = {steps:0.##}; clicks and shims count whole. An adjuster may bind before its end: the maker's mark wins."
                )
                : "An adjuster may bind before its end: the maker's mark wins."
        );
    }

    private static Working Length(FittedLoop fitted, LoopPath path) =>
        new(
            "Length of the loop",
            "L = Σ (run + arc radius · wrap)",
            [
                .. path.Spans.Select(s => new WorkingValue($"run {s.From}–{s.To}", "straight run", s.LengthMm, "mm")),
                .. path.Wheels.Select(w => new WorkingValue(
                    $"arc {w.Name}",
                    "loop lying on it",
                    w.Outline.ArcRadiusMm * w.WrapDeg * Math.PI / 180,
                    "mm"
                )),
            ],
            new("L", "length of the path", path.LengthMm / fitted.UnitMm, UnitWord(fitted)),
            "plane geometry; ISO 10823 for chains",
            "Wheels in one plane; a chain counts teeth where it lies on a sprocket, a belt its pitch or datum circle."
        );

    private static Working ShortForm(FittedLoop fitted, LoopPath path)
    {
        double centre = path.Wheels[0].Centre.DistanceTo(path.Wheels[1].Centre);
        double front = WheelSize.LinksRound(fitted.Loop, fitted.Choice.FrontSize);
        double rear = WheelSize.LinksRound(fitted.Loop, fitted.Choice.RearSize);
        bool chain = fitted.Loop.Medium == DriveElement.Chain;
        double d1 = 2 * path.Wheels[0].Outline.RunRadiusMm;
        double d2 = 2 * path.Wheels[1].Outline.RunRadiusMm;
        double approximate = chain
            ? ChainLength.HandbookLinks(fitted.UnitMm, front, rear, centre)
            : BeltLength.HandbookMm(BeltArrangement.Open, d1, d2, centre) / fitted.UnitMm;
        return new(
            "The handbooks' short form, beside it",
            chain ? "X = 2C/p + (N1 + N2)/2 + (N2 − N1)²·p/(4π²·C)" : "L = 2C + π(D + d)/2 + (D − d)²/(4C)",
            chain
                ?
                [
                    new("C", "centre distance", centre, "mm"),
                    new("p", "pitch", fitted.UnitMm, "mm"),
                    new("N1", "links once round the front", front, ""),
                    new("N2", "links once round the rear", rear, ""),
                ]
                :
                [
                    new("C", "centre distance", centre, "mm"),
                    new("d", "front, pitch or datum circle", d1, "mm"),
                    new("D", "rear, pitch or datum circle", d2, "mm"),
                ],
            new(chain ? "X" : "L", "short form", approximate, UnitWord(fitted)),
            "Shigley ch. 17; Machinery's Handbook",
            FormattableString.Invariant(
                $"Differs from the exact length by {approximate - path.LengthMm / fitted.UnitMm:0.####} {UnitWord(fitted)} here."
            )
        );
    }

    private static Working Wrap(WrappedWheel wheel) =>
        new(
            $"Wrap of {wheel.Name}",
            "wrap = change of heading between the runs",
            [new("r", "pitch or datum radius", wheel.Outline.RunRadiusMm, "mm")],
            new("wrap", wheel.Side == RunSide.Back ? "on the back" : "inside", wheel.WrapDeg, "°"),
            "plane geometry",
            "A wheel on the back turns against the loop."
        );

    private static Working Reserve(FittedLoop fitted, double length, double reserve, double? limit) =>
        new(
            "Elongation that can still be taken up",
            "reserve = L_end / (X · u) − 1",
            [
                new("L_end", "longest path on the track", fitted.Range!.Value.MostMm, "mm"),
                new("X", "length in view", length, UnitWord(fitted)),
                new("u", "length of one", fitted.UnitMm, "mm"),
            ],
            new("reserve", "elongation", reserve, "%"),
            "plane geometry",
            limit is double percent
                ? FormattableString.Invariant(
                    $"The chain is replaced at {percent} %: beyond that the reserve is of no use."
                )
                : "Says nothing about when a belt is worn."
        );

    private static string UnitWord(FittedLoop fitted) =>
        fitted.LengthUnit switch
        {
            LengthUnit.Links => "links",
            LengthUnit.BeltTeeth => "teeth",
            _ => "mm",
        };
}
