using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Fit;

/// <summary>How the figures of a fit came about.</summary>
internal static class FitWorkings
{
    public static IReadOnlyList<Working> Explain(
        FittedLoop fitted,
        LoopPath path,
        LoopFitInput input,
        AdjustmentReserve? left,
        FreePlay? play,
        double travelMm
    )
    {
        List<Working> workings = [.. Length(fitted, path)];
        if (path.Wheels.Count == 2 && fitted.Loop.Arrangement == BeltArrangement.Open)
        {
            double centre = path.Wheels[0].Centre.DistanceTo(path.Wheels[1].Centre);
            TwoPulleyFormulas wheels = new(fitted.Loop, fitted.Choice.FrontSize, fitted.Choice.RearSize);
            workings.AddRange(wheels.ShortForm(centre, path.LengthMm / fitted.UnitMm));
        }
        workings.AddRange(path.Wheels.Select((w, i) => Wrap(path, i)));
        if (fitted.ChosenLength is double length)
        {
            if (fitted.Layout.Moving is not null && fitted.LengthOf(length).ReservePercent is not null)
                workings.Add(Reserve(fitted, length, input.WearLimitPercent));
            if (play is { ExcessMm: > 0 } slack)
                workings.AddRange(Play(fitted, path, length, slack));
        }
        if (left is not null)
            workings.AddRange(AdjustmentReserve.Workings(fitted, left, travelMm));
        return workings;
    }

    private static IEnumerable<Working> Length(FittedLoop fitted, LoopPath path)
    {
        if (fitted.LengthUnit != LengthUnit.Mm)
            yield return (fitted.LengthUnit == LengthUnit.Links ? LoopLengths.InLinks : LoopLengths.InTeeth)
                .With(path.LengthMm, fitted.UnitMm)
                .Working;
        yield return Series.Sum(
            "Length of the path",
            "L",
            ("all runs and arcs", "mm"),
            [
                .. path.Spans.Select(
                    (s, i) => new WorkingValue($"run{i + 1}", $"straight run, {s.From} to {s.To}", s.LengthMm, "mm")
                ),
                .. path.Wheels.Select(
                    (w, i) =>
                        new WorkingValue(
                            $"arc{i + 1}",
                            $"loop lying on {w.Name}",
                            w.Outline.ArcRadiusMm * Rad(w.WrapDeg),
                            "mm"
                        )
                ),
            ],
            "plane geometry; ISO 10823 for chains",
            "Wheels in one plane; a chain counts teeth where it lies on a sprocket, a belt its pitch or datum circle."
        );
    }

    private static readonly Formula<Func<double, double, double, double>> ChangeOfHeading = new(
        "Wrap",
        "wrap",
        ("loop lying on it", "°"),
        (h2, h1, n) => Deg(Abs(Rad(h2) - Rad(h1) + 2 * PI * n)),
        [("heading of the run that leaves", "°"), ("heading of the run that comes", "°"), ("whole turns between", "")],
        "plane geometry",
        "A wheel on the back turns against the loop."
    );

    private static Working Wrap(LoopPath path, int at)
    {
        WrappedWheel wheel = path.Wheels[at];
        double leaves = Heading(path.Spans[at]);
        double comes = Heading(path.Spans[(at + path.Spans.Count - 1) % path.Spans.Count]);
        double change = leaves - comes;
        double left = Round((wheel.WrapDeg - change) / 360);
        double right = Round((-wheel.WrapDeg - change) / 360);
        bool isLeft = Abs(wheel.WrapDeg - change - 360 * left) < Abs(-wheel.WrapDeg - change - 360 * right);
        return ChangeOfHeading.With(leaves, comes, isLeft ? left : right).Working with
        {
            Title = $"Wrap of {wheel.Name}",
            Beside = [new("r", "pitch or datum radius", wheel.Outline.RunRadiusMm, "mm")],
        };
    }

    private static double Heading(LoopSpan run) => Deg(Atan2(run.End.YMm - run.Start.YMm, run.End.XMm - run.Start.XMm));

    private static Working Reserve(FittedLoop fitted, double length, double? limit)
    {
        Working working = AdjustmentReserve
            .Elongation.With(
                fitted.Range!.Value.MostMm,
                new(length * fitted.UnitMm, Meaning: FormattableString.Invariant($"length in view, {length}"))
            )
            .Working;
        return limit is double percent
            ? working with
            {
                Limits = FormattableString.Invariant(
                    $"The chain is replaced at {percent} %: beyond that the reserve is of no use."
                ),
            }
            : working;
    }

    internal static readonly Formula<Func<double, double, double, double>> OverThePath = new(
        "Length over the path",
        "e",
        ("too much of loop", "mm"),
        (X, p, L) => X * p - L,
        [("length in view", ""), ("length of one", "mm"), ("length of the path", "mm")],
        "sum",
        "A loop of its nominal length: an elongated one has more."
    );

    private static IEnumerable<Working> Play(FittedLoop fitted, LoopPath path, double length, FreePlay play)
    {
        yield return SlackRun.Play.With(play.RunMm, play.ExcessMm).Working;
        yield return OverThePath.With(length, fitted.UnitMm, path.LengthMm).Working;
    }
}
