using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Workings of the figures of a drive.</summary>
public static class DriveWorking
{
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
        string inGear = gear.Label.Length == 0 ? "" : $" in gear {gear.Label}";
        return Series.Product(
            $"Overall ratio to {output.Name}{inGear}",
            "i",
            ("input turns per turn of the output", ""),
            values,
            RoadSpeed.Source,
            "Without slip unless a loop states one. A minus sign of a stage means that it turns the sense round."
        );
    }

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
                $"{choice!.RearSize} / {choice.FrontSize} {WheelSize.Unit(loop.DriveElement)}"
            ),
            _ => "",
        };
}
