using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loops;

/// <summary>What makes a layout impossible.</summary>
public enum LayoutFault
{
    /// <summary>Two wheels that follow each other leave no straight run between them.</summary>
    Overlap,

    /// <summary>The loop passes a wheel without lying on it.</summary>
    NotTouching,

    /// <summary>The loop crosses itself.</summary>
    CrossesItself,

    /// <summary>A run would go through a wheel.</summary>
    CutsWheel,
}

/// <param name="Wheel">The wheel, or the first of two.</param>
/// <param name="Other">The second of two.</param>
/// <param name="ByMm">How much is missing, mm; null where that can't be said.</param>
public sealed record LayoutProblem(LayoutFault Fault, string Wheel, string? Other, double? ByMm);

/// <summary>Lays a loop round wheels: tangents, wraps, length.</summary>
/// <remarks>
/// With signed radii q = ±r, run k → k+1 of centres D apart is √(D² − w²) long, w = q(k+1) − q(k), and heads
/// atan2(dy, dx) − asin(w/D); a wheel is wrapped by the change of heading. Plane geometry.
/// </remarks>
public static class LoopTracing
{
    public const int FewestWheels = 2;

    /// <summary>More is a mistake of the file, not a drive.</summary>
    public const int MostWheels = 40;

    private const double FullTurn = 2 * Math.PI;
    private const double Tiny = 1e-9;

    /// <summary>Lays the loop, or says why that can't be.</summary>
    /// <param name="wheels">In running order.</param>
    /// <exception cref="InvalidInputException">Too few or too many wheels, a radius or place that is no number.</exception>
    public static (LoopPath? Path, LayoutProblem? Problem) Trace(
        IReadOnlyList<LoopWheel> wheels,
        Turning turning,
        BeltArrangement arrangement = BeltArrangement.Open
    )
    {
        Check(wheels).ThrowIfAny();
        Flat flat = new(wheels, turning, arrangement);
        if (flat.Fault is { } fault)
            return (null, fault);
        LoopPath path = flat.ToPath();
        return arrangement == BeltArrangement.Open && Collision(path) is { } collision
            ? (null, collision)
            : (path, null);
    }

    /// <summary>Length alone, for solving; NaN where the layout is impossible.</summary>
    internal static double Length(IReadOnlyList<LoopWheel> wheels, Turning turning, BeltArrangement arrangement)
    {
        Flat flat = new(wheels, turning, arrangement);
        return flat.Fault is null ? flat.Length : double.NaN;
    }

    internal static Guard Check(IReadOnlyList<LoopWheel> wheels)
    {
        Guard guard = new();
        guard.Count("Wheels", wheels.Count, FewestWheels, MostWheels, "wheels");
        for (int i = 0; i < wheels.Count; i++)
        {
            WheelOutline o = wheels[i].Outline;
            guard
                .Between($"Wheels[{i}].Centre.XMm", wheels[i].Centre.XMm, -1e5, 1e5, "mm")
                .Between($"Wheels[{i}].Centre.YMm", wheels[i].Centre.YMm, -1e5, 1e5, "mm")
                .Between($"Wheels[{i}].Outline.RunRadiusMm", o.RunRadiusMm, 0.5, 5e3, "mm")
                .Between($"Wheels[{i}].Outline.ArcRadiusMm", o.ArcRadiusMm, 0.5, 5e3, "mm");
        }
        return guard;
    }

    /// <summary>Runs that cross each other, or go through a wheel they do not belong to.</summary>
    private static LayoutProblem? Collision(LoopPath path)
    {
        int n = path.Spans.Count;
        for (int i = 0; i < n; i++)
        for (int k = i + 1; k < n; k++)
            if (Segments.Cross(path.Spans[i].Start, path.Spans[i].End, path.Spans[k].Start, path.Spans[k].End))
                return new(LayoutFault.CrossesItself, path.Spans[i].From, path.Spans[k].From, null);
        for (int i = 0; i < n; i++)
        for (int w = 0; w < n; w++)
        {
            if (w == i || w == (i + 1) % n)
                continue;
            WrappedWheel wheel = path.Wheels[w];
            double missing =
                wheel.Outline.RunRadiusMm - Segments.Distance(wheel.Centre, path.Spans[i].Start, path.Spans[i].End);
            if (missing > 1e-6)
                return new(LayoutFault.CutsWheel, wheel.Name, path.Spans[i].From, missing);
        }
        return null;
    }

    /// <summary>Headings, runs and wraps as plain arrays: a solver asks for thousands.</summary>
    private readonly struct Flat
    {
        private readonly IReadOnlyList<LoopWheel> _wheels;
        private readonly double[] _headings;
        private readonly double[] _spans;
        private readonly double[] _wraps;
        private readonly bool _mirrored;
        private readonly BeltArrangement _arrangement;

        public LayoutProblem? Fault { get; }
        public double Length { get; }

        public Flat(IReadOnlyList<LoopWheel> wheels, Turning turning, BeltArrangement arrangement)
        {
            // The formulas are for a counterclockwise loop; a clockwise one is its mirror image.
            _mirrored = turning == Turning.Clockwise;
            _wheels = wheels;
            _arrangement = arrangement;
            int n = wheels.Count;
            (_headings, _spans, _wraps) = (new double[n], new double[n], new double[n]);
            for (int k = 0; k < n; k++)
            {
                LoopWheel from = wheels[k];
                LoopWheel to = wheels[(k + 1) % n];
                double dx = to.Centre.XMm - from.Centre.XMm;
                double dy = (to.Centre.YMm - from.Centre.YMm) * (_mirrored ? -1 : 1);
                double apart = Math.Sqrt(dx * dx + dy * dy);
                double w = SignOf(k + 1) * to.Outline.RunRadiusMm - SignOf(k) * from.Outline.RunRadiusMm;
                if (!(apart > Math.Abs(w)))
                {
                    Fault = new(LayoutFault.Overlap, from.Name, to.Name, Math.Abs(w) - apart);
                    Length = double.NaN;
                    return;
                }
                _spans[k] = Math.Sqrt(apart * apart - w * w);
                _headings[k] = Math.Atan2(dy, dx) - Math.Asin(w / apart);
            }
            Fault = Wrap();
            double length = 0;
            for (int k = 0; k < n; k++)
                length += _spans[k] + wheels[k].Outline.ArcRadiusMm * _wraps[k];
            Length = length;
        }

        /// <summary>A crossed belt runs over its second wheel as a back side would.</summary>
        private int SignOf(int k)
        {
            int at = k % _wheels.Count;
            return _arrangement == BeltArrangement.Crossed && at == 1 ? -_wheels[at].Sign : _wheels[at].Sign;
        }

        /// <summary>Wraps that close; a wheel whose wrap would be negative is not touched.</summary>
        private LayoutProblem? Wrap()
        {
            int n = _wheels.Count;
            double turned = 0;
            for (int k = 0; k < n; k++)
            {
                int sign = SignOf(k);
                double change = sign * (_headings[k] - _headings[(k + n - 1) % n]) % FullTurn;
                // Rounding must not make a full turn of a run that goes straight on.
                _wraps[k] = change < -Tiny ? change + FullTurn : Math.Max(0, change);
                turned += sign * _wraps[k];
            }
            double wanted = _arrangement == BeltArrangement.Crossed ? 0 : FullTurn;
            for (; turned > wanted + 1; turned -= FullTurn)
                TakeTurn(1);
            for (; turned < wanted - 1; turned += FullTurn)
                TakeTurn(-1);
            for (int k = 0; k < n; k++)
                if (_wraps[k] < -Tiny)
                    return new(LayoutFault.NotTouching, _wheels[k].Name, null, Gap(k));
            return null;
        }

        private void TakeTurn(int sign)
        {
            int largest = -1;
            for (int k = 0; k < _wheels.Count; k++)
                if (SignOf(k) == sign && (largest < 0 || _wraps[k] > _wraps[largest]))
                    largest = k;
            if (largest >= 0)
                _wraps[largest] -= FullTurn;
        }

        /// <summary>How far the loop passes a wheel it should lie on: the straight tangent of its neighbours to its rim.</summary>
        private double? Gap(int k)
        {
            int n = _wheels.Count;
            if (n < 3)
                return null;
            LoopWheel before = _wheels[(k + n - 1) % n];
            LoopWheel after = _wheels[(k + 1) % n];
            Flat without = new(
                [before, after],
                _mirrored ? Turning.Clockwise : Turning.Counterclockwise,
                BeltArrangement.Open
            );
            if (without._spans[0] == 0)
                return null;
            LoopSpan span = without.SpanOf(0);
            return Math.Abs(
                Segments.Distance(_wheels[k].Centre, span.Start, span.End) - _wheels[k].Outline.RunRadiusMm
            );
        }

        private LoopSpan SpanOf(int k)
        {
            int n = _wheels.Count;
            LoopWheel from = _wheels[k];
            LoopWheel to = _wheels[(k + 1) % n];
            return new(from.Name, to.Name, Contact(k, k), Contact((k + 1) % n, k), _spans[k]);
        }

        /// <summary>Where run <paramref name="span"/> touches wheel <paramref name="wheel"/>.</summary>
        private Point Contact(int wheel, int span)
        {
            double q = SignOf(wheel) * _wheels[wheel].Outline.RunRadiusMm;
            double mirror = _mirrored ? -1 : 1;
            // Centre less q times the left normal of the run's direction.
            double nx = -Math.Sin(_headings[span]);
            double ny = Math.Cos(_headings[span]);
            Point centre = _wheels[wheel].Centre;
            return new(centre.XMm - q * nx, centre.YMm - q * ny * mirror);
        }

        public LoopPath ToPath()
        {
            int n = _wheels.Count;
            LoopSpan[] spans = new LoopSpan[n];
            for (int k = 0; k < n; k++)
                spans[k] = SpanOf(k);
            WrappedWheel[] wheels = new WrappedWheel[n];
            for (int k = 0; k < n; k++)
            {
                LoopWheel w = _wheels[k];
                int? teeth = w.ToothPitchMm is double p ? (int)(w.Outline.ArcRadiusMm * _wraps[k] / p + 1e-9) : null;
                wheels[k] = new(
                    w.Name,
                    w.Centre,
                    w.Outline,
                    w.Side,
                    _wraps[k] * 180 / Math.PI,
                    SignOf(k) > 0,
                    teeth,
                    spans[(k + n - 1) % n].End,
                    spans[k].Start
                );
            }
            return new(wheels, spans, Length);
        }
    }
}
