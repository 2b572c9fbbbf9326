namespace Wendrak.Core.Shafts;

/// <summary>
/// Tries stacks from the left shoulder to the right, thick pieces first, and keeps the best. A stack is a count per
/// thickness, so that no stack is tried twice.
/// </summary>
internal sealed class SpacerSearch
{
    private const int MostWays = 8;

    // Enough for every stock of a workshop's drawer; the answer says when it was not.
    public const int MostTries = 200_000;

    /// <summary>Enough to see whether there is a way at all: one way is found early, or there is none.</summary>
    public const int TriesForOne = 4_000;

    // Thicknesses are typed in hundredths.
    private const double RoundingMm = 1e-6;

    private readonly ShaftWidths _shaft;
    private readonly double[] _thickness;
    private readonly int[] _left;
    private readonly int[][] _used;
    private readonly SpacerOrder _order;
    private readonly double _floatLeast;
    private readonly bool[] _turned;
    private readonly double[] _faces;
    private readonly double[] _errors;
    private readonly List<Found> _best = [];
    private readonly double _hubsMm;
    private double _tolerance;
    private double _floatMost;
    private double _placed;
    private readonly int _mostTries;
    private int _tries;

    public SpacerSearch(
        ShaftWidths shaft,
        IReadOnlyList<SpacerCount> stock,
        SpacerOrder order,
        double floatLeastMm,
        int mostTries = MostTries
    )
    {
        _mostTries = mostTries;
        _shaft = shaft;
        _order = order;
        _floatLeast = floatLeastMm;
        SpacerCount[] sorted =
        [
            .. stock
                .Where(s => s.Count > 0)
                .GroupBy(s => s.ThicknessMm)
                .Select(g => new SpacerCount(g.Key, g.Sum(s => s.Count)))
                .OrderByDescending(s => s.ThicknessMm),
        ];
        _thickness = [.. sorted.Select(s => s.ThicknessMm)];
        _left = [.. sorted.Select(s => s.Count)];
        _hubsMm = shaft.Sprockets.Sum(s => s.HubWidthMm);
        int n = shaft.Sprockets.Count;
        _used = [.. Enumerable.Range(0, n + 1).Select(_ => new int[_thickness.Length])];
        (_turned, _faces, _errors) = (new bool[n], new double[n], new double[n]);
    }

    public bool IsComplete => _tries < _mostTries;

    public IReadOnlyList<FilledShaft> Ways(double toleranceMm, double floatMostMm)
    {
        _floatMost = floatMostMm;
        // Whatever lies within a part of the tolerance is nearer than the rest: with enough of it, that is not looked at.
        double[] parts = _order == SpacerOrder.NearestToLine ? [0, 0.1, 1] : [1];
        foreach (double part in parts)
        {
            (_tolerance, _tries) = (part * toleranceMm, 0);
            _best.Clear();
            if (Remaining(0) >= ToFillMm - RoundingMm)
                Seat(0, 0, 0);
            if (_best.Count == MostWays)
                break;
        }
        return [.. _best.Select(Way)];
    }

    /// <summary>Fills the gap before a sprocket, or the last one of the shaft.</summary>
    private void Seat(int gap, double edge, int pieces)
    {
        if (gap == _shaft.Sprockets.Count)
        {
            double rest = _shaft.LengthMm - edge;
            Fill(gap, 0, rest - _floatMost, rest - _floatLeast, 0, pieces, (sum, all) => Keep(rest - sum, all));
            return;
        }
        SprocketOnShaft sprocket = _shaft.Sprockets[gap];
        foreach (bool turned in sprocket.CanBeTurned ? [false, true] : new[] { false })
        {
            double plane = PlaneOf(sprocket, turned);
            double wanted = sprocket.LineMm - plane - edge;
            void Next(double sum, int all)
            {
                (_turned[gap], _faces[gap]) = (turned, edge + sum);
                _errors[gap] = edge + sum + plane - sprocket.LineMm;
                Seat(gap + 1, edge + sum + sprocket.HubWidthMm, all);
            }
            Fill(gap, 0, wanted - _tolerance, wanted + _tolerance, 0, pieces, Next);
        }
    }

    /// <summary>Every count of the thicknesses from one on whose sum lies between the bounds.</summary>
    private void Fill(int gap, int from, double least, double most, double sum, int pieces, Action<double, int> next)
    {
        if (++_tries >= _mostTries || sum > most + RoundingMm)
            return;
        if (from == _thickness.Length)
        {
            if (sum >= least - RoundingMm)
                next(sum, pieces);
            return;
        }
        double thickness = _thickness[from];
        // No piece from here on is thicker, so that at least this many more are needed: for this gap, and for the shaft.
        int needed = Math.Max(PiecesFor(least - sum, thickness), PiecesFor(ToFillMm - _placed, _thickness[0]));
        if (IsWorse(pieces + needed) || sum + Remaining(from) < least - RoundingMm)
            return;
        int fitting = Math.Min(_left[from], (int)Math.Floor((most - sum) / thickness + RoundingMm));
        for (int count = fitting; count >= 0; count--)
        {
            _left[from] -= count;
            _used[gap][from] = count;
            _placed += count * thickness;
            Fill(gap, from + 1, least, most, sum + count * thickness, pieces + count, next);
            _left[from] += count;
            _placed -= count * thickness;
        }
        _used[gap][from] = 0;
    }

    /// <summary>Least thickness that the whole shaft takes.</summary>
    private double ToFillMm => _shaft.LengthMm - _hubsMm - _floatMost;

    private static int PiecesFor(double mm, double thickestMm) =>
        Math.Max(0, (int)Math.Ceiling(mm / thickestMm - RoundingMm));

    /// <summary>What is left of the thicknesses from one on, all pieces together.</summary>
    private double Remaining(int from)
    {
        double all = 0;
        for (int i = from; i < _thickness.Length; i++)
            all += _left[i] * _thickness[i];
        return all;
    }

    /// <summary>True when a way with so many pieces could not be kept any more.</summary>
    private bool IsWorse(int pieces) =>
        _order == SpacerOrder.FewestPieces && _best.Count == MostWays && pieces > _best[^1].Pieces;

    private void Keep(double free, int pieces)
    {
        Rank rank = RankOf(free, pieces);
        int at = _best.Count;
        while (at > 0 && rank.IsBefore(_best[at - 1].Rank))
            at--;
        if (at == MostWays)
            return;
        if (_best.Count == MostWays)
            _best.RemoveAt(MostWays - 1);
        int[][] used = Array.ConvertAll(_used, gap => (int[])gap.Clone());
        _best.Insert(at, new(rank, used, [.. _faces], [.. _errors], [.. _turned], free, pieces));
    }

    private Rank RankOf(double free, int pieces)
    {
        double error = 0;
        foreach (double of in _errors)
            error = Math.Max(error, Math.Abs(of));
        // Sums of decimal thicknesses: equal to the micrometre is equal.
        (error, free) = (Math.Round(error, 3), Math.Round(free, 3));
        return _order == SpacerOrder.FewestPieces ? new(pieces, error, free) : new(error, free, pieces);
    }

    /// <summary>What a way is ordered by, the first number first.</summary>
    private readonly record struct Rank(double First, double Second, double Third)
    {
        public bool IsBefore(Rank other) =>
            First != other.First ? First < other.First
            : Second != other.Second ? Second < other.Second
            : Third < other.Third;
    }

    /// <summary>As it stood when it was found: most are pushed out by better ones and never laid out.</summary>
    private sealed record Found(
        Rank Rank,
        int[][] Used,
        double[] Faces,
        double[] Errors,
        bool[] Turned,
        double Free,
        int Pieces
    );

    private FilledShaft Way(Found found)
    {
        int n = _shaft.Sprockets.Count;
        SpacerGap[] gaps = new SpacerGap[n + 1];
        double wantedEdge = 0;
        for (int gap = 0; gap <= n; gap++)
        {
            double face = gap < n ? WantedFace(gap, found.Turned[gap]) : _shaft.LengthMm;
            double[] stacked = [.. PiecesOf(found.Used[gap])];
            double wanted = face - wantedEdge;
            gaps[gap] = new(stacked, wanted, wanted - stacked.Sum());
            wantedEdge = face + (gap < n ? _shaft.Sprockets[gap].HubWidthMm : 0);
        }
        SeatedSprocket[] seated =
        [
            .. _shaft.Sprockets.Select(
                (s, i) =>
                    new SeatedSprocket(
                        s.LoopKey,
                        s.Side,
                        found.Faces[i],
                        s.HubWidthMm,
                        s.LineMm + found.Errors[i],
                        found.Errors[i],
                        found.Turned[i]
                    )
            ),
        ];
        return new(gaps, seated, seated.Max(s => Math.Abs(s.ErrorMm)), found.Free, found.Pieces);
    }

    private IEnumerable<double> PiecesOf(int[] counts) =>
        _thickness.SelectMany((thickness, i) => Enumerable.Repeat(thickness, counts[i]));

    private double WantedFace(int gap, bool turned) =>
        _shaft.Sprockets[gap].LineMm - PlaneOf(_shaft.Sprockets[gap], turned);

    private static double PlaneOf(SprocketOnShaft sprocket, bool turned) =>
        turned ? sprocket.HubWidthMm - sprocket.PlaneMm : sprocket.PlaneMm;
}
