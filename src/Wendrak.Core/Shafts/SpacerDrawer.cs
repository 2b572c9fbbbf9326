using Wendrak.Core.Gearing;

namespace Wendrak.Core.Shafts;

/// <summary>A shaft to be filled, with the drive it belongs to.</summary>
internal sealed record ShaftToFill(Drive Drive, ShaftWidths Shaft);

/// <summary>Fills several shafts from one drawer, so that no two of them spend the same piece.</summary>
/// <remarks>
/// Depth first over the shafts, the hardest to fill first, each from what the ones before it left; where all can't be filled, as
/// many as can. What is left over is then shared out shaft by shaft.
/// </remarks>
internal sealed class SpacerDrawer
{
    // Bores and shafts are written to a tenth.
    private const double SameBoreMm = 0.05;

    // Searches of one shaft each; a rail of six axles needs a dozen.
    private const int MostSearches = 80;

    private readonly IReadOnlyList<ShaftToFill> _shafts;
    private readonly IReadOnlyList<BoredSpacers> _spacers;
    private readonly FilledShaft?[] _chosen;
    private FilledShaft?[] _best;
    private int _mostFilled;
    private int _searches;

    private SpacerDrawer(IReadOnlyList<ShaftToFill> shafts, IReadOnlyList<BoredSpacers> spacers)
    {
        (_shafts, _spacers) = (shafts, spacers);
        _chosen = new FilledShaft?[shafts.Count];
        _best = new FilledShaft?[shafts.Count];
    }

    /// <summary>One answer per shaft, in the order given; null where the drawer has no spacer of its diameter.</summary>
    /// <remarks>The first way of each goes together with the first of all others; further ways of a shaft leave the others theirs.</remarks>
    /// <exception cref="Quantities.InvalidInputException">A shaft is refused; its fields begin with “Shaft.”.</exception>
    public static IReadOnlyList<SpacerStacksResult?> Fill(
        IReadOnlyList<ShaftToFill> shafts,
        IReadOnlyList<BoredSpacers> spacers,
        Func<int, Func<SpacerStacksResult>, SpacerStacksResult> named
    )
    {
        SpacerDrawer drawer = new(shafts, spacers);
        SpacerStacksResult?[] alone =
        [
            .. shafts.Select(
                (s, i) => drawer.Fitting(i).Count == 0 ? null : named(i, () => drawer.Ask(i, drawer.Fitting(i)))
            ),
        ];
        int[] hardestFirst =
        [
            .. Enumerable.Range(0, shafts.Count).Where(i => alone[i] is not null).OrderBy(i => alone[i]!.Ways.Count),
        ];
        drawer._mostFilled = drawer.MostFilled(hardestFirst);
        drawer.Choose(hardestFirst, 0);
        drawer.ShareOut(hardestFirst);
        return [.. alone.Select((a, i) => a is null ? null : drawer.ResultFor(i))];
    }

    private void Choose(int[] order, int at)
    {
        if (at == order.Length)
        {
            if (Filled(_chosen) > Filled(_best) || _best.All(b => b is null))
                _best = [.. _chosen];
            return;
        }
        int shaft = order[at];
        foreach (FilledShaft way in Ways(shaft))
        {
            _chosen[shaft] = way;
            Choose(order, at + 1);
            if (Filled(_best) >= _mostFilled || _searches >= MostSearches)
                break;
        }
        _chosen[shaft] = null;
        // What can't be filled, or has left nothing for the rest, is passed over; never where all are filled already.
        if (Filled(_best) < _mostFilled && Filled(_chosen) + order.Length - at - 1 > Filled(_best))
            Choose(order, at + 1);
    }

    /// <summary>How many shafts the drawer can fill at most, by what all its pieces of a bore measure together.</summary>
    private int MostFilled(int[] shafts) =>
        shafts
            .GroupBy(i => Math.Round(_shafts[i].Shaft.DiameterMm, 1))
            .Sum(bore =>
            {
                double there = Fitting(bore.First()).Sum(s => s.ThicknessMm * s.Count);
                return bore.Select(i => SpacerStacks.LeastToFillMm(_shafts[i].Shaft))
                    .Order()
                    .TakeWhile(need => (there -= need) >= 0)
                    .Count();
            });

    /// <summary>Each shaft may better itself by what nobody else needs.</summary>
    private void ShareOut(int[] order)
    {
        _best.CopyTo(_chosen, 0);
        foreach (int shaft in order)
        {
            _chosen[shaft] = null;
            _chosen[shaft] = KnownShafts.Ways(Question(shaft, Left())).Ways is [var best, ..] ? best : null;
        }
    }

    private IReadOnlyList<FilledShaft> Ways(int shaft)
    {
        _searches++;
        return _searches > MostSearches ? [] : KnownShafts.Ways(Question(shaft, Left())).Ways;
    }

    private SpacerStacksResult ResultFor(int shaft)
    {
        FilledShaft? own = _chosen[shaft];
        _chosen[shaft] = null;
        SpacerStacksResult result = Ask(shaft, Left());
        _chosen[shaft] = own;
        return result.Missing is { IsMade: false } missing
            ? result with
            {
                Missing = missing with { TakenBy = TakerOf(missing.ThicknessMm, shaft) },
            }
            : result;
    }

    /// <summary>Another shaft of that bore that has spacers of a thickness on it.</summary>
    private string? TakerOf(double thicknessMm, int shaft) =>
        Enumerable
            .Range(0, _shafts.Count)
            .Where(i => i != shaft && IsOfBore(_shafts[shaft].Shaft.DiameterMm, _shafts[i].Shaft.DiameterMm))
            .Where(i => _chosen[i]?.Gaps.Any(g => g.PiecesMm.Contains(thicknessMm)) == true)
            .Select(i => _shafts[i].Shaft.Shaft)
            .FirstOrDefault();

    private SpacerStacksResult Ask(int shaft, IReadOnlyList<BoredSpacers> drawer)
    {
        SpacerStacksInput question = Question(shaft, drawer);
        SpacerStacks.Check(question);
        return KnownShafts.Told(question);
    }

    private SpacerStacksInput Question(int shaft, IReadOnlyList<BoredSpacers> drawer)
    {
        SpacerCount[] fitting =
        [
            .. drawer
                .Where(s => IsOfBore(s.BoreMm, _shafts[shaft].Shaft.DiameterMm))
                .Select(s => new SpacerCount(s.ThicknessMm, s.Count)),
        ];
        (Drive drive, ShaftWidths widths) = _shafts[shaft];
        return new(drive, widths, fitting, null, 0, null, SpacerOrder.FewestPieces);
    }

    private List<BoredSpacers> Fitting(int shaft) =>
        [.. _spacers.Where(s => IsOfBore(s.BoreMm, _shafts[shaft].Shaft.DiameterMm))];

    /// <summary>The drawer without the pieces that are chosen by now.</summary>
    private List<BoredSpacers> Left()
    {
        List<BoredSpacers> left = [.. _spacers];
        for (int i = 0; i < _shafts.Count; i++)
            foreach (double piece in _chosen[i]?.Gaps.SelectMany(g => g.PiecesMm) ?? [])
            {
                int at = left.FindIndex(s =>
                    s.Count > 0 && s.ThicknessMm == piece && IsOfBore(s.BoreMm, _shafts[i].Shaft.DiameterMm)
                );
                left[at] = left[at] with { Count = left[at].Count - 1 };
            }
        return left;
    }

    private static int Filled(FilledShaft?[] shafts) => shafts.Count(s => s is not null);

    private static bool IsOfBore(double boreMm, double diameterMm) => Math.Abs(boreMm - diameterMm) < SameBoreMm;
}
