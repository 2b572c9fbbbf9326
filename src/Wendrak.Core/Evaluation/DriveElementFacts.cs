using System.Text.Json;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What is true of every chain or belt of one kind, whatever machine it runs on: which fields a form of it has.</summary>
/// <param name="IsToothed">True where wheels are counted in teeth; other pulleys are measured across.</param>
/// <param name="LengthUnit">What its length is counted in.</param>
/// <param name="LoopFields">Of what a <see cref="Loop"/> has for some kinds only: those that apply.</param>
/// <param name="StrengthFields">Of what a <see cref="LoopStrength"/> has for some kinds only: those that count.</param>
public sealed record DriveElementFacts(
    bool IsToothed,
    LengthUnit LengthUnit,
    IReadOnlyList<string> LoopFields,
    IReadOnlyList<string> StrengthFields
)
{
    public static DriveElementFacts For(DriveElement element) =>
        new(
            element.IsToothed(),
            LoopLengths.UnitOf(element),
            [.. (element.IsToothed() ? [] : DriveRules.OfFriction).Select(JsonNamingPolicy.CamelCase.ConvertName)],
            [.. UncountedInputs.FieldsOf(element).Select(JsonNamingPolicy.CamelCase.ConvertName)]
        );
}
