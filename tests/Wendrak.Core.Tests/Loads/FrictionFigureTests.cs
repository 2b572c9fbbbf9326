using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.LoadCheckKind;
using static Wendrak.Core.Loads.OperatingPointKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Length factor, creep, ropes, and belts that are notched.</summary>
public sealed class FrictionFigureTests
{
    private static LoadsInput Round(LoopStrength strength)
    {
        LoadsInput input = VBelt();
        Stage[] stages =
        [
            .. input
                .Drive.Stages.OfType<Loop>()
                .Select(l => l with { DriveElement = DriveElement.RoundBelt, Standard = "rope" }),
        ];
        return input with { Drive = input.Drive with { Stages = stages }, Strength = strength };
    }

    /// <summary>Shigley Table 17-14 and its example of a B112 belt (from memory): 1.05.</summary>
    [Theory]
    [InlineData("B", 112, 1.05)]
    [InlineData("A", 35, 0.85)]
    [InlineData("A", 75, 1)]
    [InlineData("AX", 75, 1)]
    [InlineData("C", 158, 1)]
    [InlineData("C", 210, 1.1)]
    [InlineData("D", 128, 0.85)]
    public void The_length_factor_is_that_of_the_table(string section, double insideInch, double factor)
    {
        double datum = insideInch * 25.4 + VSections.Find(section)!.InsideToPitchLengthAddMm!.Value;
        Assert.Equal(factor, VLengthFactors.Find(section, datum + 0.01));
    }

    [Fact]
    public void A_length_factor_is_asked_for_where_no_table_knows_the_section()
    {
        Assert.Null(VLengthFactors.Find("SPA", 1_500));
        LoadsInput narrow = VBelt() with { Strength = new("final", Standard: "SPA") };
        Assert.Equal(1, LoopLoads.Evaluate(narrow).Assumed.LengthFactor);
        LoopLoadsResult result = LoopLoads.Evaluate(
            narrow with
            {
                Strength = narrow.Strength with { LengthFactor = 0.9 },
            }
        );
        Assert.Equal(0.9, result.Friction!.LengthFactor);
        Refusals.Names(
            "Strength.LengthFactor",
            () => LoopLoads.Evaluate(VBelt() with { Strength = new("final", LengthFactor: 3) })
        );
    }

    /// <summary>Set to what its pull just needs it stands at the point of slipping: T1/T2 = e^(f'·θ), Euler and Eytelwein.</summary>
    [Fact]
    public void T1_over_T2_reaches_the_ratio_of_slip_at_the_tension_it_needs()
    {
        LoopLoadsResult Set(double? tension) =>
            LoopLoads.Evaluate(VBelt() with { Strength = new("final", InstalledTensionN: tension) });
        FrictionRuns advised = Set(null).Friction!.Runs!;
        double needed = advised.InstalledN / 1.3;
        FrictionRuns atSlip = Set(needed).Friction!.Runs!;
        Assert.Equal(atSlip.RatioAtSlip, atSlip.Ratio!.Value, 1e-6 * atSlip.RatioAtSlip);
        Assert.True(advised.Ratio < advised.RatioAtSlip);
        Assert.Equal(Set(null).At(HardestPull).PullN, advised.TightN - advised.SlackN, 1e-9);
        // Too slack to keep anything in its slack run it has no ratio.
        Assert.Null(Set(needed / 10).Friction!.Runs!.Ratio);
        Assert.Contains(Set(null).Workings, w => w.Result.Value == advised.Ratio);
    }

    /// <summary>Strain is force over E·A: a belt that a force F makes 1 % longer creeps 1 % under a pull of F.</summary>
    [Fact]
    public void Creep_goes_with_the_pull_and_the_stretch()
    {
        Assert.Null(LoopLoads.Evaluate(VBelt()).Friction!.CreepPercent);
        double pull = LoopLoads.Evaluate(VBelt()).At(HardestPull).PullN;
        LoopLoadsResult Of(double force) =>
            LoopLoads.Evaluate(VBelt() with { Strength = new("final", ForceAt1PercentN: force) });
        Assert.Equal(1, Of(pull).Friction!.CreepPercent!.Value, 1e-9);
        Assert.Equal(0.25, Of(4 * pull).Friction!.CreepPercent!.Value, 1e-9);
        Assert.Contains(Of(pull).Workings, w => w.Title.StartsWith("Creep", StringComparison.Ordinal));
    }

    /// <summary>e^(f·(θ + π)) = e^(f·θ)·e^(f·π): each half turn more multiplies what it holds.</summary>
    [Fact]
    public void Half_turns_of_a_rope_add_their_wrap()
    {
        double Ratio(int halfTurns)
        {
            LoopLoadsResult r = LoopLoads.Evaluate(
                Round(new("final", Friction: 0.2, InstalledTensionN: 400, ExtraHalfTurns: halfTurns))
            );
            double s = r.Check(Slip).Value!.Value * r.At(HardestPull).PullN / (2 * 400); // (E − 1)/(E + 1)
            return (1 + s) / (1 - s);
        }
        Assert.Equal(Ratio(0) * Math.Exp(0.2 * Math.PI), Ratio(1), 1e-6);
        Assert.Equal(Ratio(0) * Math.Exp(0.2 * 3 * Math.PI), Ratio(3), 1e-6);
    }

    /// <summary>Machinery's Handbook and common practice: 45° groove of fibre rope, 4/π of a round groove.</summary>
    [Fact]
    public void A_rope_grips_by_what_it_is_and_lies_in()
    {
        double F(RopeKind kind) =>
            LoopLoads
                .Evaluate(Round(new("final", InstalledTensionN: 2_000, Rope: kind)))
                .Workings.Single(w => w.Title.StartsWith("Friction with the groove", StringComparison.Ordinal))
                .Result.Value;
        Assert.Equal(0.2 / Math.Sin(22.5 * Math.PI / 180), F(RopeKind.FibreRope), 1e-9);
        Assert.Equal(0.1 * 4 / Math.PI, F(RopeKind.WireRoundGroove), 1e-9);
        Assert.Equal(0.1 / Math.Sin(22.5 * Math.PI / 180), F(RopeKind.WireVGroove), 1e-9);
        FrictionFigures wire = LoopLoads.Evaluate(Round(new("final", Rope: RopeKind.WireLinedSheave))).Friction!;
        FrictionFigures cord = LoopLoads.Evaluate(Round(new("final"))).Friction!;
        Assert.True(wire.DistanceFromM > cord.DistanceToM);
        Assert.NotNull(wire.RopeSource);
    }

    [Fact]
    public void A_rope_is_loaded_to_a_fifth_of_its_breaking_load()
    {
        LoadsInput input = Round(new("final", InstalledTensionN: 400, BreakingLoadN: 3_000));
        LoopLoadsResult result = LoopLoads.Evaluate(input);
        LoadCheck breaking = result.Check(LoadCheckKind.BreakingLoad);
        Assert.Equal((3_000 / result.At(HardestPull).TightN, 5.0), (breaking.Value!.Value, breaking.Limit!.Value));
    }

    [Fact]
    public void A_notched_belt_bends_easier_runs_faster_and_loses_less()
    {
        LoopLoadsResult Of(string section) =>
            LoopLoads.Evaluate(VBelt() with { Strength = new("final", Standard: section) });
        (LoopLoadsResult wrapped, LoopLoadsResult notched) = (Of("A"), Of("AX"));
        double Limit(LoopLoadsResult r, LoadCheckKind kind) => r.Checks.Single(c => c.Kind == kind).Limit!.Value;
        Assert.True(Limit(notched, SmallPulley) < Limit(wrapped, SmallPulley));
        Assert.Equal((25, 40), (Limit(wrapped, BeltSpeed), Limit(notched, BeltSpeed)));
        Assert.All(
            wrapped.Efficiency.Zip(notched.Efficiency),
            pair => Assert.Equal(pair.First.High + 0.02, pair.Second.High, 1e-9)
        );
    }
}
