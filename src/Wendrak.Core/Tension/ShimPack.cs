using Wendrak.Core.Lengths;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>Shims of a sheave that opens and closes, asked once of a machine. Nothing is moved before all of it is told.</summary>
/// <param name="ShimMm">Thickness of one.</param>
/// <param name="SheaveAngleDeg">Between the faces of the sheave.</param>
/// <param name="Sense">What they do here: both ways are built.</param>
/// <param name="Owned">That there are for each bolt, in it or beside it; null where nobody counted.</param>
/// <param name="Bolts">That have shims, the same count at each; null where nobody said.</param>
public sealed record ShimPack(
    double? ShimMm = null,
    double? SheaveAngleDeg = null,
    ShimSense? Sense = null,
    int? Owned = null,
    int? Bolts = null
)
{
    private const int FewestBolts = 2;
    private const int MostBolts = 12;

    /// <summary>What one shim at every bolt lets the belt rise or sink, mm; null where its thickness or the angle was not said.</summary>
    internal double? RisesMm =>
        (ShimMm, SheaveAngleDeg) is (double mm, double deg) ? SheaveShims.Sinking.Value(mm, deg) : null;

    /// <summary>Whether one that is put in lets the belt rise; null where nobody said what they do.</summary>
    public bool? RaisesByPuttingIn => Sense is ShimSense sense ? SheaveShims.PutsIn(sense, raises: true) : null;

    /// <summary>Whether it is known what one does.</summary>
    internal bool IsTold => RisesMm is not null && Sense is not null;

    internal Guard Check()
    {
        Guard guard = new Guard()
            .CheckShim(nameof(ShimMm), ShimMm)
            .CheckSheaveAngle(nameof(SheaveAngleDeg), SheaveAngleDeg)
            .BetweenIfGiven(nameof(Owned), Owned, 0, SheaveShims.MostShims, "shims")
            .BetweenIfGiven(nameof(Bolts), Bolts, FewestBolts, MostBolts, "bolts");
        if (Sense is ShimSense sense)
            guard.OneOf(nameof(Sense), sense);
        return guard;
    }
}

/// <summary>Shims at each bolt of a sheave: what is there, and what there would be after the move.</summary>
/// <param name="RisesMm">How far one at every bolt lets the belt rise or sink.</param>
/// <param name="In">There now; null where nobody counted.</param>
/// <param name="Spare">That could still be put in now; null where nobody counted.</param>
/// <param name="InAfter">There after the move.</param>
/// <param name="SpareAfter">That could still be put in then.</param>
/// <param name="MovedInAll">Shims of the move, all bolts together; null where nobody said how many bolts there are.</param>
public sealed record ShimsLeft(double RisesMm, int? In, int? Spare, int? InAfter, int? SpareAfter, int? MovedInAll)
{
    /// <summary>What one shim at every bolt does, for where it is told.</summary>
    internal Explained? Rises { get; private init; }

    /// <summary>By the newest count and what was done since.</summary>
    /// <param name="units">To be done next; positive raises the belt.</param>
    /// <returns>Null where no sheave is set by shims, or nobody said what they do.</returns>
    internal static ShimsLeft? Of(LoopSetting setting, IReadOnlyList<SetRound> rounds, double units)
    {
        if (setting is not { Adjuster.IsOfSheave: true, Shims: { IsTold: true, Sense: ShimSense sense } told })
            return null;
        int PutIn(double raised) => (int)Math.Round(SheaveShims.PutsIn(sense, raises: true) ? raised : -raised);
        int? count = null;
        foreach (SetRound round in rounds)
            count = round.ShimsIn ?? count + PutIn(round.LeftUnits);
        int next = PutIn(units);
        Explained rises = SheaveShims.Sinking.With(told.ShimMm!.Value, told.SheaveAngleDeg!.Value);
        return new(
            rises.Value,
            count,
            told.Owned - count,
            count + next,
            told.Owned - count - next,
            Math.Abs(next) * told.Bolts
        )
        {
            Rises = rises,
        };
    }

    /// <summary>Whether there are shims for it: none is taken out that is not there, none put in that nobody has.</summary>
    internal bool IsPossible => InAfter is not < 0 && SpareAfter is not < 0;
}
