using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.OperatingPointKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>A belt in the place of a chain, and back.</summary>
public sealed class LoopAlternativeTests
{
    private static readonly LoopAlternative Belt = new(
        "belt",
        DriveElement.ToothedBelt,
        "8M",
        34,
        102,
        new("final", WidthMm: 30, AllowedPullN: 4_000)
    );

    /// <summary>It is judged as if the machine had been built with it.</summary>
    [Fact]
    public void A_belt_in_the_place_of_a_chain_is_that_belt()
    {
        LoadsInput chain = Motorcycle();
        LoopLoadsResult beside = LoopLoads.Evaluate(chain with { Alternative = Belt });
        Drive built = chain.Drive with
        {
            Stages =
            [
                .. chain.Drive.Stages.Select(s =>
                    s is Loop loop ? loop with { DriveElement = DriveElement.ToothedBelt, Standard = "8M" } : s
                ),
            ],
        };
        LoopLoadsResult asBuilt = LoopLoads.Evaluate(
            chain with
            {
                Drive = built,
                Loops = [new("final", 34, 102, null)],
                Strength = Belt.Strength,
            }
        );
        Assert.Equivalent(asBuilt.Checks, beside.Checks, strict: true);
        Assert.Equal(asBuilt.MassKg, beside.MassKg);
        Assert.Equal(("8M", 34.0, 102.0), (beside.Standard, beside.FrontSize, beside.RearSize));
        // The same torque at the same ratio: only the circle it pulls on differs.
        double torque = LoopLoads.Evaluate(chain).At(HardestPull).Point.TorqueNm;
        Assert.Equal(torque, beside.At(HardestPull).Point.TorqueNm, 1e-9);
        Assert.Null(beside.Oiling);
    }

    [Fact]
    public void Idlers_of_the_chain_do_not_stand_in_the_belt()
    {
        Idler idler = new("guide", new(-300, 60), 10, true, RunSide.Inside, LoopRun.Slack);
        LoadsInput chain = Motorcycle() with { Layout = Fits.Slot(620, 700, idler) };
        LoopLoadsResult beside = LoopLoads.Evaluate(chain with { Alternative = Belt });
        Assert.DoesNotContain(beside.Points[0].Curve, c => c.Part == "guide");
    }

    [Theory]
    [InlineData(DriveElement.Chain)]
    [InlineData(DriveElement.ToothedBelt)]
    [InlineData(DriveElement.VBelt)]
    [InlineData(DriveElement.FlatBelt)]
    [InlineData(DriveElement.RoundBelt)]
    public void What_is_begun_with_comes_near_the_ratio_and_is_computed(DriveElement element)
    {
        LoadsInput input = Motorcycle();
        LoopAlternative start = LoopAlternative.Start(new(input.Drive, input.Loops[0], element));
        Assert.InRange(start.RearSize / start.FrontSize, 3 * 0.97, 3 * 1.03);
        Assert.NotEmpty(LoopLoads.Evaluate(input with { Alternative = start }).Checks);
    }

    [Fact]
    public void What_is_no_belt_is_refused_at_its_field()
    {
        void Judge(LoopAlternative other) => LoopLoads.Evaluate(Motorcycle() with { Alternative = other });
        Refusals.Names("Alternative.Standard", () => Judge(Belt with { Standard = "none" }));
        Refusals.Names("Alternative.FrontSize", () => Judge(Belt with { FrontSize = 1 }));
        Refusals.Names(
            "Alternative.Strength.WidthMm",
            () => Judge(Belt with { Strength = Belt.Strength with { WidthMm = 0 } })
        );
        Refusals.Names("Alternative.DriveElement", () => Judge(Belt with { DriveElement = (DriveElement)9 }));
    }

    [Fact]
    public void So_many_are_kept_beside_a_loop_and_they_go_with_it()
    {
        LoadsInput input = Motorcycle();
        Machine With(int n) =>
            new(0, 0, "Bike", input.Kind, null, 100, null, [input.Drive], null)
            {
                Loads = new([], [], [.. Enumerable.Repeat(Belt, n)]),
            };
        MachineRules.Check(With(3), input.Loops);
        Refusals.Names("Loads.Alternatives[3].Strength.LoopKey", () => MachineRules.Check(With(4), input.Loops));
        Assert.Equal(With(1).Loads!.Alternatives, MachineReconciling.ToDrives(With(1)).Loads!.Alternatives);
        Assert.Null(MachineReconciling.ToDrives(With(1) with { Drives = [] }).Loads);
    }
}
