using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>Marks in a working what of it nobody measured or typed.</summary>
/// <remarks>
/// What a chain or belt is counted with is marked where it is put in. A value of the machine goes through many hands before a formula
/// has it: by what it is called there it is found that it is assumed.
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

    private readonly HashSet<string> _meanings;
    private readonly string[] _stages;

    public AssumedInputs(MachineInView view)
    {
        GuessKind[] kinds = [.. GuessList.Assumed(view)];
        _meanings = [.. kinds.SelectMany(k => OfMachine.GetValueOrDefault(k) ?? [])];
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
