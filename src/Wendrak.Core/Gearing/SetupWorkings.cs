using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>The workings behind the figures of one setup.</summary>
internal static class SetupWorkings
{
    public static IReadOnlyList<Working> Explain(
        SetupComparisonInput input,
        DriveTrain train,
        DriveOutput output,
        DriveGear gear,
        RollingResult? rolling,
        double final,
        double fittedFinal,
        double wheelChange,
        SpeedometerResult? speedometer
    )
    {
        List<Working> workings = [];
        foreach (string key in input.LoopKeys)
        {
            Loop loop = train.Drive.Stages.OfType<Loop>().First(l => l.Key == key);
            LoopChoice choice = train.ChoiceOf(key);
            workings.Add(
                StageRatio.Explain(loop, choice.FrontSize, choice.RearSize).Working with
                {
                    Title = $"Ratio of {loop.Name}",
                }
            );
            workings.AddRange(ToothWorkings(loop, choice));
        }
        workings.Add(RatioChange.Felt.With(final, fittedFinal, wheelChange).Working);
        workings.Add(DriveWorking.Overall(train, gear, output));
        double overall = Math.Abs(train.Reduction(output.Shaft, gear));
        if (rolling is not null)
        {
            workings.Add(rolling.Working);
            workings.Add(RoadSpeed.Kmh.With(train.Drive.Input.LimitSpeedRpm, overall, rolling.CircumferenceMm).Working);
            if (input.Aim?.RoadSpeedKmh is double kmh)
                workings.Add(RoadSpeed.ShaftRpm.With(kmh, overall, rolling.CircumferenceMm).Working);
            if (train.Drive.Input.Kind == InputKind.Rider)
                workings.AddRange(
                    BicycleGear.Workings(overall, rolling.CircumferenceMm, train.Drive.Input.CrankLengthMm)
                );
        }
        if (speedometer is not null)
            workings.Add(
                Speedometer
                    .ErrorOf(
                        input.Drive.SpeedPickup,
                        input.Drive.SpeedometerErrorPercent,
                        speedometer.ReductionChange,
                        speedometer.CircumferenceChange
                    )
                    .Working
            );
        return workings;
    }

    private static IEnumerable<Working> ToothWorkings(Loop loop, LoopChoice choice)
    {
        if (loop.DriveElement == DriveElement.Chain)
        {
            double small = WheelSize.LinksRound(loop, Math.Min(choice.FrontSize, choice.RearSize));
            yield return SpeedRipple.Percent.With(small).Working with
            {
                Title = $"Speed ripple of {loop.Name}",
            };
        }
        if (!loop.IsToothed || choice.Links is not int links)
            yield break;
        yield return Hunting.FrontTurns.With(choice.FrontSize, links, WheelSize.GapsPerLink(loop)).Working with
        {
            Title = $"How often a front tooth of {loop.Name} meets the same link",
        };
    }
}
