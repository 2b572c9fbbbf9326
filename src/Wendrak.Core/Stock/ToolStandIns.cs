namespace Wendrak.Core.Stock;

/// <summary>What does the work of a tool that is not there, and what is risked by it.</summary>
/// <param name="Tool">The one that is not there.</param>
/// <param name="StandIn">What is taken in its place, as a sentence.</param>
/// <param name="Risk">What that risks, as a sentence.</param>
public sealed record ToolStandIn(ToolKind Tool, string StandIn, string Risk);

/// <summary>Tools in the place of others. Source: common practice.</summary>
public static class ToolStandIns
{
    /// <summary>Of the tools that a work asks for, those that the workshop does not have.</summary>
    /// <param name="needed">In the order in which they are taken up.</param>
    /// <param name="onHand">Empty where nobody listed any: then nothing is known to be missing.</param>
    public static IReadOnlyList<ToolStandIn> Missing(
        IEnumerable<ToolKind> needed,
        IReadOnlyCollection<HandTool> onHand
    ) => onHand.Count == 0 ? [] : [.. needed.Distinct().Where(k => onHand.All(t => t.Kind != k)).Select(Find)];

    public static ToolStandIn Find(ToolKind tool) =>
        tool switch
        {
            ToolKind.Stand => new(
                tool,
                "Somebody holds the machine, a block under the frame.",
                "It can fall or roll: no hand between wheel and frame while it is only held."
            ),
            ToolKind.Spanner => new(
                tool,
                "An adjustable spanner, jaws pulled tight.",
                "It rounds the flats of a tight nut."
            ),
            ToolKind.Socket => new(tool, "A ring spanner.", "Less room to swing; it slips off a shallow nut."),
            ToolKind.HexKey => new(tool, "A star driver of the nearest size.", "It spoils the socket of the screw."),
            ToolKind.Screwdriver => new(tool, "A bit in a spanner.", "It slips out and spoils the head."),
            ToolKind.TorqueWrench => new(
                tool,
                "A spanner, by feel.",
                "Nobody knows how tight it is: it stands in the record as torque by feel."
            ),
            ToolKind.TensionGauge => new(
                tool,
                "A rule and a known weight, or the sound of a pluck.",
                "It reads coarser: read every place twice."
            ),
            ToolKind.StraightEdge => new(
                tool,
                "A string pulled tight along both wheels.",
                "It tells about 1 mm, not tenths."
            ),
            ToolKind.FeelerGauge => new(
                tool,
                "A strip of card of known thickness.",
                "It tells tenths of a mm at best."
            ),
            ToolKind.Caliper => new(tool, "A steel rule.", "It tells half a mm: no judgement of wear by it."),
            ToolKind.ChainTool => new(
                tool,
                "Pins ground flush and driven out with a punch; riveting has no stand-in.",
                "A rivet hammered by hand can let go: have the link riveted where the tool is."
            ),
            ToolKind.Puller => new(tool, "Two levers, opposite each other.", "They bend a flange and mark the shaft."),
            ToolKind.Punch => new(tool, "A bolt of the right thickness.", "It bends, and spreads the end of the pin."),
            ToolKind.Clamp => new(tool, "A second pair of hands.", "What is held by hand moves as it is tightened."),
            ToolKind.Pliers => new(
                tool,
                "A flat driver at the split pin or clip.",
                "It slips and flies off: cover your eyes."
            ),
            ToolKind.Tachometer => new(
                tool,
                "A phone that hears the note of the motor.",
                "It may take half or double of it: compare with a speed that is known."
            ),
            _ => new(tool, "Held on the bench by a second pair of hands.", "It turns as the force comes on."),
        };
}
