using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Lengths;

/// <summary>The two-wheel formulas of chains and belts under one hood; lengths in links, belt teeth or mm.</summary>
internal sealed class TwoPulleyFormulas(Loop loop, double front, double rear)
{
    private readonly WheelOutline _front = WheelOutline.For(loop, front);
    private readonly WheelOutline _rear = WheelOutline.For(loop, rear);

    public Loop Loop => loop;
    public double UnitMm { get; } = LoopLengths.UnitMm(loop);
    public double? SmallTeeth => loop.IsToothed ? Math.Min(FrontLinks, RearLinks) : null;
    private double FrontLinks { get; } = WheelSize.LinksRound(loop, front);
    private double RearLinks { get; } = WheelSize.LinksRound(loop, rear);
    public double FrontDiameterMm => 2 * _front.RunRadiusMm;
    public double RearDiameterMm => 2 * _rear.RunRadiusMm;

    /// <summary>Centre distance at which the rims, or the runs of a crossed belt, touch.</summary>
    public double TouchingMm =>
        Math.Max(
            _front.OutsideRadiusMm + _rear.OutsideRadiusMm,
            loop.Arrangement == BeltArrangement.Crossed ? _front.RunRadiusMm + _rear.RunRadiusMm : 0
        );

    public double Length(double centreMm) =>
        IsChain
            ? ChainLength.Links(UnitMm, FrontLinks, RearLinks, centreMm)
            : BeltLength.Mm(loop.Arrangement, FrontDiameterMm, RearDiameterMm, centreMm) / UnitMm;

    /// <summary>How the length came about, the figure in links, belt teeth or mm first.</summary>
    public IEnumerable<Working> Workings(double centreMm)
    {
        bool isCrossed = loop.Arrangement == BeltArrangement.Crossed;
        Explained lean = (isCrossed ? RunLean.Crossed : RunLean.Open).With(FrontDiameterMm, RearDiameterMm, centreMm);
        Explained length = IsChain
            ? ChainLength.Exact.With(centreMm, UnitMm, FrontLinks, RearLinks, lean.Value)
            : (isCrossed ? BeltLength.Crossed : BeltLength.Open).With(
                centreMm,
                FrontDiameterMm,
                RearDiameterMm,
                lean.Value
            );
        if (loop.DriveElement == DriveElement.ToothedBelt)
            yield return LoopLengths.InTeeth.With(length.Value, UnitMm).Working;
        yield return length.Working;
        yield return lean.Working;
    }

    /// <summary>The handbooks' short form, and its three pieces; in links or mm.</summary>
    public IEnumerable<Working> ShortForm(double centreMm, double exact)
    {
        Explained[] pieces = IsChain
            ?
            [
                ChainLength.ShortRuns.With(centreMm, UnitMm),
                ChainLength.ShortWheels.With(FrontLinks, RearLinks),
                ChainLength.ShortDifference.With(FrontLinks, RearLinks, UnitMm, centreMm),
            ]
            :
            [
                BeltLength.ShortRuns.With(centreMm),
                BeltLength.ShortWheels.With(FrontDiameterMm, RearDiameterMm),
                BeltLength.ShortDifference.With(RearDiameterMm - FrontDiameterMm, centreMm),
            ];
        string unit = pieces[0].Working.Result.Unit;
        double beside = IsChain ? exact : exact * UnitMm;
        yield return Series.Sum(
            "The handbooks' short form, beside it",
            IsChain ? "X" : "L",
            ("short form", unit),
            [.. pieces.Select(p => p.Working.Result)],
            "Shigley ch. 17; Machinery's Handbook",
            FormattableString
                .Invariant($"Differs from the exact length by {pieces.Sum(p => p.Value) - beside:0.####} {unit} here.")
                .Replace('-', '−')
        );
        foreach (Explained piece in pieces)
            yield return piece.Working;
    }

    public LengthPieces HandbookPieces(double centreMm) =>
        IsChain
            ? ChainLength.HandbookPieces(UnitMm, FrontLinks, RearLinks, centreMm)
            : BeltLength.HandbookPieces(loop.Arrangement, FrontDiameterMm, RearDiameterMm, centreMm).In(UnitMm);

    public double CentreMm(double length) =>
        IsChain
            ? ChainLength.CentreMm(UnitMm, FrontLinks, RearLinks, length)
            : BeltLength.CentreMm(loop.Arrangement, FrontDiameterMm, RearDiameterMm, length * UnitMm);

    /// <summary>Whether a length goes round both wheels without their rims touching.</summary>
    public bool Reaches(double length) => length > Length(Apart(TouchingMm));

    public double SmallWrapDeg(double centreMm)
    {
        bool crossed = loop.Arrangement == BeltArrangement.Crossed;
        double across = crossed ? -(FrontDiameterMm + RearDiameterMm) : Math.Abs(RearDiameterMm - FrontDiameterMm);
        return 180 - 2 * Math.Asin(across / (2 * centreMm)) * 180 / Math.PI;
    }

    // The formulas want wheels that do not quite touch.
    private static double Apart(double touchingMm) => touchingMm + 1e-6;

    private bool IsChain => loop.DriveElement == DriveElement.Chain;
}
