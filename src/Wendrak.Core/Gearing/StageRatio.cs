using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>Reduction and sense of rotation of single stages.</summary>
public static class StageRatio
{
    /// <summary>Signed reduction of a stage that has one ratio: input turns per output turn, negative = turns round.</summary>
    /// <param name="choice">The wheels on it, for a <see cref="Loop"/>; ignored otherwise.</param>
    /// <exception cref="InvalidOperationException">The stage has several gears: ask <see cref="OfGear"/>.</exception>
    public static double Compute(Stage stage, LoopChoice? choice) =>
        stage switch
        {
            FixedPair pair => OfPair(pair),
            PlanetaryStage p => Planetary.Ratio(p.SunTeeth, p.RingTeeth, p.Held, p.Input).Reduction,
            Loop loop => OfLoop(
                loop,
                (choice ?? throw new InvalidOperationException($"No wheels for loop {loop.Key}.")).FrontSize,
                choice.RearSize
            ),
            _ => throw new InvalidOperationException($"Stage {stage.Key} has several gears."),
        };

    /// <summary>Signed reduction of a stage in one gear; stages with one ratio give it whatever the gear.</summary>
    public static double OfGear(Stage stage, int gearIndex, LoopChoice? choice) =>
        stage switch
        {
            Gearbox box => (box.Set.TurnsRound ? -1 : 1) * box.Set.Reductions[gearIndex],
            // A hub is described by turns out per turn in, the other way up.
            HubGear hub => 1 / hub.SpeedFactors[gearIndex],
            _ => Compute(stage, choice),
        };

    /// <summary>Indices of the gears a stage has and whose ratio is known; one for a stage that can't be shifted.</summary>
    public static IEnumerable<int> KnownGears(Stage stage) =>
        stage is Gearbox box
            ? Enumerable.Range(0, box.Set.Reductions.Count).Where(g => box.Set.Reductions[g] != GearboxSet.Gap)
            : Enumerable.Range(0, GearCount(stage));

    /// <summary>How many gears a stage has, known or not; 1 when it can't be shifted.</summary>
    public static int GearCount(Stage stage) =>
        stage switch
        {
            Gearbox box => box.Set.Reductions.Count,
            HubGear hub => hub.SpeedFactors.Count,
            _ => 1,
        };

    private static readonly Formula<Func<double, double, double>> Toothed = new(
        "Ratio of a loop",
        "i",
        ("front turns per rear turn", ""),
        (N1, N2) => N2 / N1,
        [("front wheel, drives", "teeth"), ("rear wheel, is driven", "teeth")],
        "Machinery's Handbook, chain and belt drives",
        "Exact on average over a turn."
    );

    private static readonly Formula<Func<double, double, double, double>> Slipping = new(
        "Ratio of a loop",
        "i",
        ("front turns per rear turn", ""),
        (d1, d2, s) => d2 / d1 / (1 - s),
        [("front wheel, drives", "mm"), ("rear wheel, is driven", "mm"), ("slip and creep", "")],
        "Machinery's Handbook, chain and belt drives; Shigley ch. 17",
        "Datum diameters; slip 1 to 2 % for V-belts is common practice."
    );

    /// <summary>Signed reduction of a loop with the given wheels (teeth, or datum diameters in mm).</summary>
    public static double OfLoop(Loop loop, double frontSize, double rearSize)
    {
        double reduction = loop.IsToothed
            ? Toothed.Value(frontSize, rearSize)
            : Slipping.Value(frontSize, rearSize, loop.SlipFraction);
        return loop.Arrangement == BeltArrangement.Crossed ? -reduction : reduction;
    }

    /// <summary>The same without its sign, with its working.</summary>
    internal static Explained Explain(Loop loop, double frontSize, double rearSize) =>
        loop.IsToothed
            ? Toothed.With(frontSize, rearSize)
            : Slipping.With(frontSize, rearSize, new(loop.SlipFraction, IsUsual: loop.SlipFraction == 0));

    private static double OfPair(FixedPair pair)
    {
        double reduction = (double)pair.DrivenTeeth / pair.DriverTeeth;
        return pair.Meshing == Meshing.ExternalGears ? -reduction : reduction;
    }
}
