namespace Wendrak.Core.Lengths;

/// <summary>The handbooks' short form of a length in its three pieces, in links, belt teeth or mm.</summary>
/// <param name="Runs">Both runs, as long as the centre distance.</param>
/// <param name="Wheels">Half of either wheel: what lies on them if they were equal.</param>
/// <param name="Difference">What two unequal wheels add: the runs lean, and more lies on the large one than leaves the small one.</param>
/// <remarks>Source: Shigley ch. 17; Machinery's Handbook.</remarks>
public sealed record LengthPieces(double Runs, double Wheels, double Difference)
{
    /// <summary>All three together.</summary>
    public double Sum => Runs + Wheels + Difference;

    internal LengthPieces In(double unit) => new(Runs / unit, Wheels / unit, Difference / unit);
}
