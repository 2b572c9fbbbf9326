using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>What makes a drive complete enough to compute with.</summary>
public static class DriveRules
{
    public const int MostStages = 20;
    public const int MostOutputs = 12;
    public const int MostGears = 40;

    private const double SmallestReduction = 0.01;
    private const double LargestReduction = 200;
    private const double HighestSpeedRpm = 100_000;

    /// <summary>Everything wrong with a drive, field by field; empty when it can be computed.</summary>
    public static Guard Check(Drive drive) => DriveFacts.AreKnown(drive) ? new() : Find(drive);

    /// <exception cref="InvalidInputException">The drive is refused; every issue is named.</exception>
    internal static void Require(Drive drive) => new Guard($"{nameof(Drive)}.").Include(Check(drive)).ThrowIfAny();

    /// <summary>Looks for it, whatever was found before.</summary>
    internal static Guard Find(Drive drive)
    {
        Guard guard = new();
        guard
            .Named(nameof(drive.Key), drive.Key)
            .Named(nameof(drive.Name), drive.Name)
            .Count(nameof(drive.Stages), drive.Stages.Count, 0, MostStages, "stages")
            .Count(nameof(drive.Outputs), drive.Outputs.Count, 1, MostOutputs, "outputs")
            .OneOf(nameof(drive.SpeedPickup), drive.SpeedPickup)
            .Between(nameof(drive.SpeedometerErrorPercent), drive.SpeedometerErrorPercent, -50, 50, "percent");
        guard.Include(CheckInput(drive.Input));
        CheckTree(drive, guard);
        for (int i = 0; i < drive.Stages.Count; i++)
            guard.Include(CheckStage(drive.Stages[i], $"{nameof(drive.Stages)}[{i}]."));
        for (int i = 0; i < drive.Outputs.Count; i++)
            guard.Include(CheckOutput(drive.Outputs[i], $"{nameof(drive.Outputs)}[{i}]."));
        return guard;
    }

    /// <summary>Refuses loop choices that are missing, doubled, or no wheels.</summary>
    /// <param name="at">Where the choices stand in the input.</param>
    /// <param name="areOthersPassedOver">Whether choices of other loops are for another drive, and none of this one's matter.</param>
    /// <param name="mayBeLeftOut">Whether a loop that is not named stays as it is.</param>
    public static Guard CheckChoices(
        IEnumerable<Loop> loops,
        IReadOnlyList<LoopChoice> choices,
        string at = "Loops",
        bool areOthersPassedOver = false,
        bool mayBeLeftOut = false
    )
    {
        Guard guard = new();
        Dictionary<string, Loop> byKey = [];
        foreach (Loop loop in loops)
            byKey.TryAdd(loop.Key, loop);
        HashSet<string> seen = [];
        for (int i = 0; i < choices.Count; i++)
        {
            LoopChoice choice = choices[i];
            string here = $"{at}[{i}].";
            if (areOthersPassedOver && !byKey.ContainsKey(choice.LoopKey))
                continue;
            guard.That(seen.Add(choice.LoopKey), here + nameof(choice.LoopKey), "double", "Name each loop once.");
            if (!byKey.TryGetValue(choice.LoopKey, out Loop? loop))
            {
                guard.That(
                    false,
                    here + nameof(choice.LoopKey),
                    "unknown",
                    $"Give one of this machine's loops: {string.Join(", ", byKey.Keys)}."
                );
                continue;
            }
            guard.CheckChoice(here, choice, loop);
        }
        foreach (string key in byKey.Keys.Where(k => !mayBeLeftOut && !seen.Contains(k)))
            guard.That(false, at, "missing", $"Give the wheels of loop “{key}”.");
        return guard;
    }

    private static Guard CheckInput(DriveInput input)
    {
        Guard guard = new($"{nameof(Drive.Input)}.");
        return guard
            .Named(nameof(input.Shaft), input.Shaft)
            .OneOf(nameof(input.Kind), input.Kind)
            .Between(nameof(input.LowSpeedRpm), input.LowSpeedRpm, 1, HighestSpeedRpm, "rpm")
            .Between(nameof(input.LimitSpeedRpm), input.LimitSpeedRpm, 1, HighestSpeedRpm, "rpm")
            .Ordered(
                nameof(input.LowSpeedRpm),
                input.LowSpeedRpm,
                nameof(input.LimitSpeedRpm),
                input.LimitSpeedRpm,
                "rpm"
            )
            .BetweenIfGiven(nameof(input.CrankLengthMm), input.CrankLengthMm, 50, 300, "mm");
    }

    /// <summary>Stages in order: each starts on the input shaft or on one driven before it, so there is no circle.</summary>
    private static void CheckTree(Drive drive, Guard guard)
    {
        HashSet<string> shafts = [drive.Input.Shaft];
        HashSet<string> keys = [];
        for (int i = 0; i < drive.Stages.Count; i++)
        {
            Stage stage = drive.Stages[i];
            string at = $"{nameof(drive.Stages)}[{i}].";
            guard
                .That(keys.Add(stage.Key), at + nameof(stage.Key), "double", "Give each stage its own key.")
                .That(
                    shafts.Contains(stage.DrivingShaft),
                    at + nameof(stage.DrivingShaft),
                    "unknown_shaft",
                    $"Give a shaft that is driven already: {string.Join(", ", shafts)}."
                )
                .That(
                    shafts.Add(stage.DrivenShaft),
                    at + nameof(stage.DrivenShaft),
                    "driven_twice",
                    "Give another shaft: this one is driven already, and a shaft has one source."
                );
        }
        HashSet<string> names = [];
        for (int i = 0; i < drive.Outputs.Count; i++)
        {
            DriveOutput output = drive.Outputs[i];
            string at = $"{nameof(drive.Outputs)}[{i}].";
            guard
                .That(names.Add(output.Name), at + nameof(output.Name), "double", "Give each output its own name.")
                .That(
                    shafts.Contains(output.Shaft),
                    at + nameof(output.Shaft),
                    "unknown_shaft",
                    $"Give a shaft of this drive: {string.Join(", ", shafts)}."
                );
        }
        int gears = drive.Stages.Aggregate(1, (n, s) => Math.Min(100_000, n * Math.Max(1, StageRatio.GearCount(s))));
        guard.That(
            gears <= MostGears,
            nameof(drive.Stages),
            "too_many",
            $"Give {MostGears} gears or fewer in all.",
            MostGears
        );
    }

    private static Guard CheckStage(Stage stage, string at)
    {
        Guard guard = new(at);
        guard
            .Named(nameof(stage.Key), stage.Key)
            .Named(nameof(stage.Name), stage.Name)
            .Named(nameof(stage.DrivingShaft), stage.DrivingShaft)
            .Named(nameof(stage.DrivenShaft), stage.DrivenShaft);
        switch (stage)
        {
            case FixedPair pair:
                guard
                    .Between(nameof(pair.DriverTeeth), pair.DriverTeeth, 5, Planetary.MostTeeth, "teeth")
                    .Between(nameof(pair.DrivenTeeth), pair.DrivenTeeth, 5, Planetary.MostTeeth, "teeth")
                    .OneOf(nameof(pair.Meshing), pair.Meshing);
                break;
            case Gearbox box:
                guard.Include(PrefixedWith(nameof(box.Set), CheckSet(box.Set)));
                break;
            case HubGear hub:
                guard
                    .Count(nameof(hub.SpeedFactors), hub.SpeedFactors.Count, 1, MostGears, "gears")
                    .BetweenIfGiven(nameof(hub.SmallestPrimaryRatio), hub.SmallestPrimaryRatio, 0.1, 10, "");
                for (int g = 0; g < hub.SpeedFactors.Count; g++)
                    guard.Between($"{nameof(hub.SpeedFactors)}[{g}]", hub.SpeedFactors[g], 0.05, 20, "");
                break;
            case PlanetaryStage p:
                guard.Include(Planetary.Check(p.SunTeeth, p.RingTeeth, p.Held, p.Input));
                break;
            case Loop loop:
                CheckLoop(loop, guard);
                break;
        }
        return guard;
    }

    /// <summary>Everything wrong with a gearbox set.</summary>
    public static Guard CheckSet(GearboxSet set)
    {
        Guard guard = new();
        guard
            .Named(nameof(set.Name), set.Name)
            .Note(nameof(set.Note), set.Note)
            .Count(nameof(set.Reductions), set.Reductions.Count, 1, MostGears, "gears");
        for (int g = 0; g < set.Reductions.Count; g++)
            if (set.Reductions[g] != GearboxSet.Gap)
                guard.Between(
                    $"{nameof(set.Reductions)}[{g}]",
                    set.Reductions[g],
                    SmallestReduction,
                    LargestReduction,
                    ""
                );
        return guard.That(
            set.Reductions.Count == 0 || set.Reductions.Any(r => r != GearboxSet.Gap),
            nameof(set.Reductions),
            "only_gaps",
            "Give the ratio of at least one gear."
        );
    }

    /// <summary>What only a loop that drives by friction may have; <see cref="CheckLoop"/> refuses it elsewhere.</summary>
    internal static readonly IReadOnlyList<string> OfFriction = [nameof(Loop.SlipFraction), nameof(Loop.Arrangement)];

    private static void CheckLoop(Loop loop, Guard guard)
    {
        guard
            .OneOf(nameof(loop.DriveElement), loop.DriveElement)
            .OneOf(nameof(loop.Arrangement), loop.Arrangement)
            .Named(nameof(loop.Standard), loop.Standard)
            .Between(nameof(loop.SlipFraction), loop.SlipFraction, 0, 0.1, "")
            .That(
                !loop.IsToothed || loop.SlipFraction == 0,
                nameof(loop.SlipFraction),
                "no_slip",
                "Give 0: teeth do not slip.",
                0
            )
            .That(
                loop.Arrangement == BeltArrangement.Open || !loop.IsToothed,
                nameof(loop.Arrangement),
                "cannot_cross",
                "Give “open”: only flat, round and V-belts may be crossed."
            )
            .Note(nameof(loop.FrontMounting), loop.FrontMounting)
            .Note(nameof(loop.RearMounting), loop.RearMounting);
        double smallest = WheelSize.Smallest(loop.DriveElement);
        double largest = WheelSize.Largest(loop.DriveElement);
        string unit = WheelSize.Unit(loop.DriveElement);
        guard
            .BetweenIfGiven(nameof(loop.LargestRear), loop.LargestRear, smallest, largest, unit)
            .BetweenIfGiven(nameof(loop.SmallestFront), loop.SmallestFront, smallest, largest, unit);
    }

    private static Guard CheckOutput(DriveOutput output, string at)
    {
        Guard guard = new(at);
        guard.Named(nameof(output.Name), output.Name).Named(nameof(output.Shaft), output.Shaft);
        if (output.RoadWheel is { } wheel)
            guard.Include(PrefixedWith(nameof(output.RoadWheel), RollingCircumference.Check(wheel)));
        return guard;
    }

    private static Guard PrefixedWith(string name, Guard inner)
    {
        Guard outer = new(name + ".");
        return outer.Include(inner);
    }
}
