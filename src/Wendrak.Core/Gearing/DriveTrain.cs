using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>A drive with its wheels on: ratios and speeds of every shaft in every gear.</summary>
public sealed class DriveTrain
{
    private readonly Dictionary<string, LoopChoice> _choices;
    private readonly DriveFacts _facts;

    public Drive Drive { get; }
    public IReadOnlyList<DriveGear> Gears => _facts.Gears;

    /// <param name="drive">The drive; it is checked here.</param>
    /// <param name="choices">Wheels of every loop of the drive; those of other drives are passed over.</param>
    /// <exception cref="InvalidInputException">The drive or a choice is refused; every issue is named.</exception>
    /// <param name="at">Where the choices stand in the input, for the refusal.</param>
    public DriveTrain(Drive drive, IReadOnlyList<LoopChoice> choices, string at = "Loops")
    {
        _facts = DriveFacts.For(drive);
        DriveRules.CheckChoices(_facts.Loops, choices, at, areOthersPassedOver: true).ThrowIfAny();
        Drive = drive;
        _choices = choices.Where(c => _facts.LoopKeys.Contains(c.LoopKey)).ToDictionary(c => c.LoopKey);
    }

    public LoopChoice ChoiceOf(string loopKey) => _choices[loopKey];

    /// <summary>Stages between the input and a shaft, in running order; empty for the input shaft itself.</summary>
    public IReadOnlyList<int> PathTo(string shaft) => _facts.PathTo(shaft);

    /// <summary>Signed overall reduction to a shaft: input turns per turn of it, negative when it turns round.</summary>
    /// <param name="without">Loops left out, as if they had ratio 1: what is left is fixed while they are chosen.</param>
    /// <remarks>i = product of the stages' reductions. Source: Machinery's Handbook, gear trains.</remarks>
    public double Reduction(string shaft, DriveGear gear, params IReadOnlyCollection<string> without)
    {
        double product = 1;
        foreach (int s in PathTo(shaft))
        {
            Stage stage = Drive.Stages[s];
            if (without.Contains(stage.Key))
                continue;
            product *= StageRatio.OfGear(stage, gear.StageGears[s], _choices.GetValueOrDefault(stage.Key));
        }
        return product;
    }

    /// <summary>Final ratio: product of the given loops' reductions, without regard to sense.</summary>
    public double FinalRatio(IReadOnlyCollection<string> loopKeys)
    {
        double product = 1;
        foreach (Loop loop in Drive.Stages.OfType<Loop>().Where(l => loopKeys.Contains(l.Key)))
            product *= Math.Abs(StageRatio.Compute(loop, ChoiceOf(loop.Key)));
        return product;
    }

    /// <summary>
    /// The output that gearing is judged by: the first one, or the first one behind a given loop. Behind a loop that drives
    /// nothing the shaft itself stands for one: it turns, and nothing rolls on it.
    /// </summary>
    public DriveOutput ReferenceOutput(string? loopKey = null) =>
        Drive.Outputs.FirstOrDefault(o => loopKey is null || IsBehind(o.Shaft, loopKey))
        ?? (IdleShaft(loopKey) is string shaft ? new(shaft, shaft, false, null) : Drive.Outputs[0]);

    /// <summary>Shaft behind a loop, where no output is behind it; null where there is one, or no such loop.</summary>
    public string? IdleShaft(string? loopKey) =>
        Drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == loopKey) is { } loop
        && !Drive.Outputs.Any(o => IsBehind(o.Shaft, loop.Key))
            ? loop.DrivenShaft
            : null;

    private bool IsBehind(string shaft, string loopKey) => PathTo(shaft).Any(s => Drive.Stages[s].Key == loopKey);
}
