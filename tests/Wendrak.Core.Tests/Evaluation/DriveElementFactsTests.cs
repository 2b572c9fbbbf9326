using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Tests.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>The fields a form shows are those that are taken; LoadsInputsTests hold the ones of Loads.</summary>
public sealed class DriveElementFactsTests
{
    public static TheoryData<DriveElement> Elements => [.. Enum.GetValues<DriveElement>()];

    [Theory]
    [MemberData(nameof(Elements))]
    public void A_field_of_a_loop_is_shown_where_it_is_not_refused(DriveElement element)
    {
        IReadOnlyList<string> shown = DriveElementFacts.For(element).LoopFields;
        Loop loop = Drives.Chain("final", "in", "out") with { DriveElement = element };
        Assert.Equal(
            (shown.Contains("slipFraction"), shown.Contains("arrangement")),
            (
                IsTaken(loop with { SlipFraction = 0.01 }, nameof(loop.SlipFraction)),
                IsTaken(loop with { Arrangement = BeltArrangement.Crossed }, nameof(loop.Arrangement))
            )
        );

        static bool IsTaken(Loop loop, string field) =>
            !DriveRules.Check(Drives.WithStages([loop])).Issues.Any(i => i.Field == $"Stages[0].{field}");
    }

    [Fact]
    public void What_makes_a_toothed_belt_longer_is_shown_for_it_since_Set_counts_it()
    {
        Assert.Contains("forceAt1PercentN", DriveElementFacts.For(DriveElement.ToothedBelt).StrengthFields);
        SetInput belt = SetCases.Belt();
        SetInput given = belt with { Strength = belt.Strength! with { ForceAt1PercentN = 900 } };
        Assert.Equal(90_000, SetEvaluation.Advise(given).Span.AxialStiffnessN);
    }

    /// <summary>Common practice: V-belts have grooves and codes, flat and round belts are cut and joined.</summary>
    [Theory]
    [InlineData(DriveElement.Chain, BenchTool.LengthForCentre, BenchTool.Sprocket)]
    [InlineData(DriveElement.ToothedBelt, BenchTool.LengthForCentre, BenchTool.BeltCode)]
    [InlineData(
        DriveElement.VBelt,
        BenchTool.LengthForCentre,
        BenchTool.BeltCode,
        BenchTool.Groove,
        BenchTool.CutToLength,
        BenchTool.Shims
    )]
    [InlineData(DriveElement.FlatBelt, BenchTool.CutToLength)]
    [InlineData(DriveElement.RoundBelt, BenchTool.CutToLength)]
    public void What_can_be_found_with_the_part_in_hand_hangs_on_its_kind(
        DriveElement element,
        params BenchTool[] tools
    ) => Assert.Equal(tools, DriveElementFacts.For(element).BenchTools);
}
