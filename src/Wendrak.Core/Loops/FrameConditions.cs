namespace Wendrak.Core.Loops;

/// <summary>Something a belt asks of the frame it is put into.</summary>
/// <param name="Name">A word or two.</param>
/// <param name="Sentence">What it asks, as a sentence.</param>
/// <param name="Source">Who says so.</param>
public sealed record FrameCondition(string Name, string Sentence, string Source);

/// <summary>What to look at before a bicycle gets a toothed belt.</summary>
public static class FrameConditions
{
    public static IReadOnlyList<FrameCondition> ForBelt { get; } =
    [
        new(
            "Opening",
            "An endless belt can't be parted: the rear triangle must open, or the belt can't be put in.",
            "common practice"
        ),
        new(
            "Stiffness",
            "The rear triangle must not give under a hard pedal stroke: the belt would go slack and jump teeth. Ask the frame's maker.",
            "common practice"
        ),
        new(
            "Snubber",
            "A roller just outside the rear sprocket keeps a slack belt from jumping: about 1 mm of gap, never touching.",
            "common practice"
        ),
        new(
            "Adjustment",
            "Both sides must move alike and hold: the axle square to the belt, both sprockets within 0.5 mm of one line.",
            "common practice"
        ),
        new("No twist", "Never fold, twist or lever the belt on: a kinked cord breaks later.", "common practice"),
    ];
}
