using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>A loop as another kind than the one that is on, with all that hangs on its kind.</summary>
/// <param name="LoopKey">Key of the loop whose place it takes.</param>
/// <param name="Standard">Chain size, belt profile or section.</param>
/// <param name="SlipFraction">Speed lost to slip and creep, 0 to below 0.1.</param>
/// <param name="FrontMounting">How a driving wheel of it sits on its shaft; null when not noted.</param>
/// <param name="RearMounting">How a driven wheel sits; null when not noted.</param>
/// <param name="LargestRear">Largest driven wheel that clears its surroundings; null if not known.</param>
/// <param name="SmallestFront">Smallest driving wheel the owner accepts; null for the table's.</param>
/// <param name="RearIsSplit">The driven wheel is in two halves.</param>
/// <param name="Strength">What it can take, as far as somebody said.</param>
/// <param name="Layout">Where its wheels stand; null where nobody measured.</param>
/// <param name="Setting">How it is set; null for the usual.</param>
/// <param name="Inspection">How it is looked at; null for what the trade says.</param>
public sealed record LoopKind(
    string LoopKey,
    DriveElement DriveElement,
    string Standard,
    BeltArrangement Arrangement,
    double SlipFraction,
    string? FrontMounting,
    string? RearMounting,
    double? LargestRear,
    double? SmallestFront,
    bool RearIsSplit,
    LoopStrength? Strength = null,
    LoopLayout? Layout = null,
    LoopSetting? Setting = null,
    LoopInspection? Inspection = null
)
{
    /// <summary>A loop of a machine as it is.</summary>
    internal static LoopKind Of(Machine machine, Loop loop) =>
        new(
            loop.Key,
            loop.DriveElement,
            loop.Standard,
            loop.Arrangement,
            loop.SlipFraction,
            loop.FrontMounting,
            loop.RearMounting,
            loop.LargestRear,
            loop.SmallestFront,
            loop.RearIsSplit,
            machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loop.Key),
            machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key),
            machine.Settings?.FirstOrDefault(s => s.LoopKey == loop.Key),
            machine.Inspections?.FirstOrDefault(i => i.LoopKey == loop.Key)
        );

    /// <summary>The loop between the same shafts under the same name, as this kind.</summary>
    internal Loop On(Loop loop) =>
        loop with
        {
            DriveElement = DriveElement,
            Standard = Standard,
            Arrangement = Arrangement,
            SlipFraction = SlipFraction,
            FrontMounting = FrontMounting,
            RearMounting = RearMounting,
            LargestRear = LargestRear,
            SmallestFront = SmallestFront,
            RearIsSplit = RearIsSplit,
        };
}
