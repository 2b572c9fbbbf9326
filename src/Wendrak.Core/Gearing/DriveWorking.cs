using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Workings of the figures of a drive.</summary>
public static class DriveWorking
{
    private const string GearTrainSource = "Machinery's Handbook, gear trains";

    /// <summary>Overall ratio to the reference output, in the last gear.</summary>
    public static Working Overall(DriveTrain train)
    {
        DriveGear gear = train.Gears[^1];
        return Overall(train, gear, train.ReferenceOutput());
    }

    /// <summary>Overall ratio to one output in one gear, stage by stage.</summary>
    public static Working Overall(DriveTrain train, DriveGear gear, DriveOutput output)
    {
        IReadOnlyList<int> path = train.PathTo(output.Shaft);
        WorkingValue[] values =
        [
            .. path.Select((s, n) => OfStage(train, train.Drive.Stages[s], gear.StageGears[s], n + 1)),
        ];
        string formula =
            path.Count == 0 ? "i = 1 (direct drive)" : "i = " + string.Join(" · ", values.Select(v => v.Symbol));
        string inGear = gear.Label.Length == 0 ? "" : $" in gear {gear.Label}";
        return new(
            $"Overall ratio to {output.Name}{inGear}",
            formula,
            values,
            new("i", "input turns per turn of the output", Math.Abs(train.Reduction(output.Shaft, gear)), ""),
            GearTrainSource,
            "Without slip unless a loop states one. A minus sign of a stage means that it turns the sense round."
        );
    }

    /// <summary>Ratio of one loop with given wheels.</summary>
    public static Working OfLoop(Loop loop, double frontSize, double rearSize)
    {
        string unit = WheelSize.Unit(loop.Medium);
        List<WorkingValue> values =
        [
            new("N1", "front wheel, drives", frontSize, unit),
            new("N2", "rear wheel, is driven", rearSize, unit),
        ];
        if (!loop.IsToothed)
            values.Add(new("s", "slip and creep", loop.SlipFraction, "", IsDefault: loop.SlipFraction == 0));
        return new(
            $"Ratio of {loop.Name}",
            loop.IsToothed ? "i = N2 / N1" : "i = N2 / N1 / (1 − s)",
            values,
            new("i", "front turns per rear turn", Math.Abs(StageRatio.OfLoop(loop, frontSize, rearSize)), ""),
            "Machinery's Handbook, chain and belt drives",
            loop.IsToothed
                ? "Exact on average over a turn."
                : "Datum diameters; slip 1 to 2 % for V-belts is common practice."
        );
    }

    /// <summary>Shaft speed at a road speed.</summary>
    public static Working ShaftSpeed(double speedKmh, double reduction, double circumferenceMm) =>
        new(
            "Shaft speed at a road speed",
            "n = v · 10⁶ / 60 / U · i",
            [
                new("v", "road speed", speedKmh, "km/h"),
                new("U", "rolling circumference", circumferenceMm, "mm"),
                new("i", "overall ratio", reduction, ""),
            ],
            new("n", "shaft speed", RoadSpeed.ShaftRpm(speedKmh, reduction, circumferenceMm), "rpm"),
            GearTrainSource,
            "Leaves out tyre slip, 1 to 3 % under full pull."
        );

    private static WorkingValue OfStage(DriveTrain train, Stage stage, int gearIndex, int number)
    {
        LoopChoice? choice = stage is Loop ? train.ChoiceOf(stage.Key) : null;
        double reduction = StageRatio.OfGear(stage, gearIndex, choice);
        return new($"i{number}", $"{stage.Name}: {Described(stage, gearIndex, choice)}", reduction, "");
    }

    private static string Described(Stage stage, int gearIndex, LoopChoice? choice) =>
        stage switch
        {
            FixedPair pair => $"{pair.DrivenTeeth} / {pair.DriverTeeth} teeth",
            Gearbox box => $"gear {gearIndex + 1} of {box.Set.Name}",
            HubGear hub => FormattableString.Invariant($"1 / {hub.SpeedFactors[gearIndex]} in gear {gearIndex + 1}"),
            PlanetaryStage p => $"sun {p.SunTeeth}, ring {p.RingTeeth}, {p.Held.ToString().ToLowerInvariant()} held",
            Loop loop => FormattableString.Invariant(
                $"{choice!.RearSize} / {choice.FrontSize} {WheelSize.Unit(loop.Medium)}"
            ),
            _ => "",
        };
}
