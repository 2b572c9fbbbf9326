using Wendrak.Core.Procedures;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Evaluation;

/// <summary>A part of the tray against Stock.</summary>
/// <param name="What">What it is: of a wheel its teeth, of a chain or belt its size.</param>
/// <param name="InStock">How many there are; null for what no shelf counts.</param>
/// <param name="IsShort">Fewer than it takes; of spacers, where a shaft can't be filled with those there are.</param>
/// <param name="Lines">Lines of Stock that suit, as they are called there.</param>
/// <param name="StandIns">What can take its place where there is too little of it, the one that costs least first.</param>
/// <param name="Shafts">Of spacers: what goes on each measured shaft of the loop.</param>
public sealed record TrayCount(
    TrayPart Part,
    string What,
    int? InStock,
    bool IsShort,
    IReadOnlyList<string> Lines,
    IReadOnlyList<TrayStandIn> StandIns,
    IReadOnlyList<ShaftOnTray> Shafts
)
{
    /// <summary>What no shelf counts, or nobody can count any more.</summary>
    internal static TrayCount NotCounted(TrayPart part, string what) => new(part, what, null, false, [], [], []);
}

/// <summary>A line of Stock, or a part of another machine, that can take the place of what there is too little of.</summary>
/// <param name="Line">As it is called there.</param>
/// <param name="How">What is done to it, as a part of a sentence.</param>
/// <param name="Left">How many of it are left in Stock for other work then; null for what comes off a machine.</param>
public sealed record TrayStandIn(string Line, string How, int? Left);

/// <summary>Spacers of one shaft, as they are laid out.</summary>
/// <param name="Shaft">As it is called where it was measured.</param>
/// <param name="GapsMm">Thicknesses left of the first wheel, between them and right of the last, mm; of what comes nearest where it can't be filled.</param>
/// <param name="IsFilled">Whether the drawer fills it.</param>
/// <param name="Missing">The one piece more that would fill it, and which shaft takes the last of its kind; null for none, or where no single piece does.</param>
public sealed record ShaftOnTray(
    string Shaft,
    IReadOnlyList<IReadOnlyList<double>> GapsMm,
    bool IsFilled,
    MissingSpacer? Missing
);
