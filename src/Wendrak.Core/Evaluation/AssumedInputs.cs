using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>Marks in a working what of it nobody measured or typed.</summary>
/// <remarks>
/// A formula is handed numbers and does not know where they come from. What they mean is told beside them, and by that it is found
/// which of them is assumed of this machine.
/// </remarks>
internal sealed class AssumedInputs
{
    /// <summary>What stands for a value of the machine, as its formulas call it; a stage is called by its name.</summary>
    internal static readonly IReadOnlyDictionary<GuessKind, string[]> OfMachine = new Dictionary<GuessKind, string[]>
    {
        [GuessKind.Tyre] = ["free diameter from the marking", "rolling circumference"],
        [GuessKind.Speeds] = ["limit speed of the input"],
        [GuessKind.Front] = ["front wheel", "front wheel, drives"],
        [GuessKind.Rear] = ["rear wheel, is driven"],
        [GuessKind.Mass] =
        [
            "torque on the driving wheel, bounded by the tyre's grip",
            "torque on the driving wheel, bounded by the front wheel lifting",
            "torque on the driving wheel, bounded by what holds the vehicle back",
        ],
    };

    /// <summary>What stands for a value of a chain or belt, and whether somebody typed it.</summary>
    internal static readonly IReadOnlyDictionary<string, Func<LoopStrength?, bool>> OfLoop = new Dictionary<
        string,
        Func<LoopStrength?, bool>
    >
    {
        ["sag at its middle"] = s => s?.SagMm is not null,
        ["shock factor"] = s => s?.ShockFactor is not null,
        ["service factor"] = s => s?.ShockFactor is not null,
        ["application factor"] = s => s?.ShockFactor is not null,
        ["mass of a metre"] = s => s?.MassKgPerM is not null,
        ["breaking load of all strands"] = s => s?.BreakingLoadN is not null,
        ["pins times bushes"] = s => s?.BearingAreaMm2 is not null,
        ["pressure angle"] = s => s?.PressureAngleDeg is not null,
        ["one run at rest"] = s => s?.InstalledTensionN is not null,
    };

    private readonly HashSet<string> _meanings;
    private readonly string[] _stages;

    /// <param name="view">The machine.</param>
    /// <param name="strength">The chain or belt as it is typed; null for what is stored.</param>
    public AssumedInputs(MachineInView view, LoopStrength? strength = null)
    {
        GuessKind[] kinds = [.. GuessList.Assumed(view)];
        LoopStrength? told = strength ?? (view.Loop is { } loop ? GuessList.StrengthOf(view, loop) : null);
        _meanings =
        [
            .. kinds.SelectMany(k => OfMachine.GetValueOrDefault(k) ?? []),
            .. OfLoop.Where(m => !m.Value(told)).Select(m => m.Key),
        ];
        _stages =
        [
            .. view
                .Drive.Stages.Where(s =>
                    s switch
                    {
                        Gearbox or HubGear => kinds.Contains(GuessKind.Gearbox),
                        FixedPair or PlanetaryStage => kinds.Contains(GuessKind.Reductions),
                        Loop of => of == view.Loop
                            && (kinds.Contains(GuessKind.Front) || kinds.Contains(GuessKind.Rear)),
                        _ => false,
                    }
                )
                .Select(s => $"{s.Name}: "),
        ];
    }

    public IReadOnlyList<Working> Mark(IReadOnlyList<Working> workings) =>
        [.. workings.Select(w => w with { Values = [.. w.Values.Select(Mark)] })];

    private WorkingValue Mark(WorkingValue value) =>
        _meanings.Contains(value.Meaning) || _stages.Any(s => value.Meaning.StartsWith(s, StringComparison.Ordinal))
            ? value with
            {
                IsDefault = true,
            }
            : value;
}
