using System.Text.Json;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What can be found out with the part in hand.</summary>
public enum BenchTool
{
    /// <summary>Lengths for a wanted centre distance.</summary>
    LengthForCentre,

    /// <summary>What a code on a belt says.</summary>
    BeltCode,

    /// <summary>Whether a section and a measured groove belong together.</summary>
    Groove,

    /// <summary>Length to cut of a belt that is made up on the spot.</summary>
    CutToLength,

    /// <summary>Shims of a sheave that opens and closes.</summary>
    Shims,

    /// <summary>Diameters that tell a sprocket.</summary>
    Sprocket,
}

/// <summary>What is true of every chain or belt of one kind, whatever machine it runs on: which fields a form of it has.</summary>
/// <param name="IsToothed">True where wheels are counted in teeth; other pulleys are measured across.</param>
/// <param name="LengthUnit">What its length is counted in.</param>
/// <param name="LoopFields">Of what a <see cref="Loop"/> has for some kinds only: those that apply.</param>
/// <param name="StrengthFields">Of what a <see cref="LoopStrength"/> has for some kinds only: those that count.</param>
/// <param name="BenchTools">What can be found out with the part in hand.</param>
public sealed record DriveElementFacts(
    bool IsToothed,
    LengthUnit LengthUnit,
    IReadOnlyList<string> LoopFields,
    IReadOnlyList<string> StrengthFields,
    IReadOnlyList<BenchTool> BenchTools
)
{
    public static DriveElementFacts For(DriveElement element) =>
        new(
            element.IsToothed(),
            LoopLengths.UnitOf(element),
            [.. (element.IsToothed() ? [] : DriveRules.OfFriction).Select(JsonNamingPolicy.CamelCase.ConvertName)],
            [.. UncountedInputs.FieldsOf(element).Select(JsonNamingPolicy.CamelCase.ConvertName)],
            ToolsFor(element)
        );

    // Flat and round belts are made up to fit and carry no code; V-belts come endless or as link belts: common practice.
    private static IReadOnlyList<BenchTool> ToolsFor(DriveElement element) =>
        element switch
        {
            DriveElement.Chain => [BenchTool.LengthForCentre, BenchTool.Sprocket],
            DriveElement.ToothedBelt => [BenchTool.LengthForCentre, BenchTool.BeltCode],
            DriveElement.VBelt =>
            [
                BenchTool.LengthForCentre,
                BenchTool.BeltCode,
                BenchTool.Groove,
                BenchTool.CutToLength,
                BenchTool.Shims,
            ],
            _ => [BenchTool.CutToLength],
        };
}
