using Wendrak.Core.Quantities;

namespace Wendrak.Core.Procedures;

/// <summary>Whether a step can be one: those of a file come from anywhere.</summary>
internal static class StepChecks
{
    private const int MostHands = 10;
    private const int MostOfAKind = 40; // tools, fields, parts of one step
    private const double MostCureHours = 1_000;
    private const double LeastTimes = 0.1;
    private const double MostTimes = 10;
    private const double FarthestValue = 1_000_000;

    public static Guard Check(ProcedureStep step)
    {
        Guard guard = new Guard()
            .Named(nameof(step.Key), step.Key)
            .That(step.Do.Trim().Length > 0, nameof(step.Do), "missing", "Say what is to be done.")
            .Note(nameof(step.Do), step.Do)
            .Note(nameof(step.Why), step.Why)
            .Note(nameof(step.Trap), step.Trap)
            .Note(nameof(step.Caution), step.Caution)
            .Note(nameof(step.WayOut), step.WayOut)
            .OneOf(nameof(step.Phase), step.Phase)
            .OneOf(nameof(step.Place), step.Place)
            .Between(nameof(step.Minutes), step.Minutes, 0, StepBounds.MostMinutes, "min")
            .Count(nameof(step.Hands), step.Hands, 1, MostHands, "pairs of hands")
            .Count(nameof(step.Tools), step.Tools.Count, 0, MostOfAKind, "tools")
            .Count(nameof(step.When), step.When.Count, 0, MostOfAKind, "conditions")
            .Count(nameof(step.Unless), step.Unless.Count, 0, MostOfAKind, "conditions")
            .Count(nameof(step.After), step.After.Count, 0, StepBounds.MostSteps, "steps")
            .Count(nameof(step.Closes), step.Closes.Count, 0, StepBounds.MostSteps, "steps")
            .Count(nameof(step.Habit), step.Habit.Count, 0, StepBounds.MostSteps, "steps")
            .Count(nameof(step.Records), step.Records.Count, 0, MostOfAKind, "fields")
            .Count(nameof(step.Parts), step.Parts.Count, 0, MostOfAKind, "parts");
        for (int i = 0; i < step.Tools.Count; i++)
            guard.Include(
                new Guard($"{nameof(step.Tools)}[{i}].")
                    .OneOf(nameof(StepTool.Kind), step.Tools[i].Kind)
                    .Note(nameof(StepTool.Size), step.Tools[i].Size)
            );
        for (int i = 0; i < step.Records.Count; i++)
            guard.Include(Check(step.Records[i], $"{nameof(step.Records)}[{i}]."));
        for (int i = 0; i < step.Parts.Count; i++)
            guard.Include(Check(step.Parts[i], $"{nameof(step.Parts)}[{i}]."));
        if (step.Fastener is { } fastener)
            guard.Include(Check(fastener));
        return step.Way is { } way ? guard.Include(Check(way)) : guard;
    }

    private static Guard Check(StepField field, string at) =>
        new Guard(at)
            .Named(nameof(field.Key), field.Key)
            .Note(nameof(field.Label), field.Label)
            .Note(nameof(field.Unit), field.Unit)
            .That(
                field.Low < field.High && Math.Abs(field.Low) <= FarthestValue && Math.Abs(field.High) <= FarthestValue,
                nameof(field.High),
                "below_low",
                "Give more than the least, and no more than a million."
            );

    private static Guard Check(TrayPart part, string at) =>
        new Guard(at)
            .Named(nameof(part.Key), part.Key)
            .Note(nameof(part.What), part.What)
            .Note(nameof(part.Position), part.Position)
            .OneOf(nameof(part.Kind), part.Kind)
            .Count(nameof(part.Count), part.Count, 1, StepBounds.MostFasteners, "pieces");

    private static Guard Check(StepFastener fastener) =>
        new Guard("Fastener.")
            .Named(nameof(fastener.What), fastener.What)
            .OneOf(nameof(fastener.Lock), fastener.Lock)
            .Count(nameof(fastener.Count), fastener.Count ?? 1, 1, StepBounds.MostFasteners, "fasteners")
            .BetweenIfGiven(nameof(fastener.CureHours), fastener.CureHours, 0, MostCureHours, "h")
            .BetweenIfGiven(
                nameof(fastener.TorqueNm),
                fastener.TorqueNm,
                StepBounds.LeastTorqueNm,
                StepBounds.MostTorqueNm,
                "Nm"
            )
            .OneOf(nameof(fastener.TorqueFor), fastener.TorqueFor ?? TorqueThread.Dry);

    private static Guard Check(PartWay way)
    {
        Guard guard = new Guard("Way.")
            .Note(nameof(way.Question), way.Question)
            .Note(nameof(way.Right), way.Right)
            .Count(nameof(way.Wrong), way.Wrong.Count, 1, MostOfAKind, "ways");
        foreach (WrongWay wrong in way.Wrong)
            guard.Note(nameof(way.Wrong), wrong.Way).Note(nameof(way.Wrong), wrong.Does);
        if (way.Measure is { } measure)
            guard.Include(
                new Guard("Measure.")
                    .Note(nameof(measure.What), measure.What)
                    .Between(nameof(measure.Times), measure.Times, LeastTimes, MostTimes, "times")
            );
        return guard;
    }
}
