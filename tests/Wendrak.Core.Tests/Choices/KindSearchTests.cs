using Wendrak.Core.Choices;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Choices;

/// <summary>Of every kind the smallest that holds in the place of a loop, by Fit and Loads.</summary>
public sealed class KindSearchTests
{
    private static LoadsInput Motorcycle(LoopStrength? strength = null, LoadSource? source = null) =>
        new(
            Drives.Motorcycle(),
            MachineKind.Motorcycle,
            Drives.Pair(15, 45),
            [],
            Fits.Slot(628, 668),
            source ?? new("drive", PeakTorqueNm: 28, PeakPowerKw: 25),
            strength ?? new("final")
        );

    private static KindAtPlace At(string kind, LoadsInput input, bool isJudged = true, params LoopAlternative[] own) =>
        new KindSearch(input, new("final", new(AdjusterKind.TwoEnds)), own, isJudged).At(ChoiceKinds.Find(kind)!);

    /// <summary>The window a visit at Set would begin with, of what is on and of what would be.</summary>
    [Fact]
    public void Each_says_what_it_would_be_set_to()
    {
        LoadsInput input = Motorcycle();
        KindWindow belt = At("toothedBelt", input).Window!;
        Assert.Equal(ReadingMethod.Pluck, belt.Method);
        Assert.True(belt.Loose < belt.Tight);
        Assert.Contains("keep this drive's hardest pull from tooth jump", belt.Reason, StringComparison.Ordinal);
        // How the axle is carried decides it of a chain, and nobody said.
        Assert.Null(At("plainChain", input).Window);
        LoopSetting own = new("final", new(AdjusterKind.TwoEnds), MakerMethod: ReadingMethod.FreePlay)
        {
            MakerLow = 25,
            MakerHigh = 35,
        };
        KindSearch search = new(input, own, [], true);
        KindWindow fitted = search.At(ChoiceKinds.Find(search.FittedKind!)!).Window!;
        Assert.Equal((ReadingMethod.FreePlay, "the maker's figure, as typed"), (fitted.Method, fitted.Reason));
        Assert.Equal((35, 25), (Math.Round(fitted.Loose, 6), Math.Round(fitted.Tight, 6)));
        Assert.Null(At("gearPair", input).Window);
    }

    [Theory]
    [InlineData("plainChain", LubricationSchool.Industrial, 1, null)]
    [InlineData("sealedChain", LubricationSchool.SealedRing, 1, null)]
    [InlineData("sealedChain", null, 1, null)]
    [InlineData("twoStrandChain", LubricationSchool.SealedRing, 2, null)]
    public void A_chain_is_told_by_how_it_is_oiled_and_by_its_strands(
        string expected,
        LubricationSchool? school,
        int strands,
        string? standard
    ) =>
        Assert.Equal(
            expected,
            KindOfLoop.Of(
                MachineLoop(),
                new("final", Standard: standard, Strands: strands, School: school),
                MachineKind.Motorcycle
            )
        );

    [Theory]
    [InlineData(DriveElement.Chain, "60H", "heavyChain")]
    [InlineData(DriveElement.Chain, "208B", "doublePitchChain")]
    [InlineData(DriveElement.ToothedBelt, "8M", "toothedBelt")]
    [InlineData(DriveElement.VBelt, "A", "vBelt")]
    [InlineData(DriveElement.RoundBelt, "round", "roundBelt")]
    [InlineData(DriveElement.FlatBelt, "flat", null)]
    public void Other_kinds_are_told_by_their_size(DriveElement element, string standard, string? expected) =>
        Assert.Equal(
            expected,
            KindOfLoop.Of(MachineLoop() with { DriveElement = element, Standard = standard }, null, MachineKind.Winch)
        );

    private static Loop MachineLoop() => Drives.Motorcycle().Stages.OfType<Loop>().Single();

    [Fact]
    public void What_is_on_is_told_as_it_is()
    {
        KindAtPlace at = At("sealedChain", Motorcycle());
        Assert.True(at.IsFitted);
        Assert.Equal((15, 45, 0), (at.Setup!.FrontSize, at.Setup.RearSize, at.RatioPercent));
    }

    [Fact]
    public void The_same_size_is_tried_first_so_that_the_wheels_stay()
    {
        LoadsInput slow = Motorcycle(source: new("drive", PeakTorqueNm: 6, PeakPowerKw: 3));
        Drive drive = slow.Drive with { Input = slow.Drive.Input with { LowSpeedRpm = 500, LimitSpeedRpm = 2_000 } };
        KindAtPlace at = At("plainChain", slow with { Drive = drive });
        Assert.Equal(("520", 15, 45), (at.Setup!.Standard, at.Setup.FrontSize, at.Setup.RearSize));
        Assert.Equal(LubricationSchool.Industrial, at.Setup.Strength.School);
    }

    [Fact]
    public void A_belt_a_size_narrower_would_not_hold()
    {
        LoadsInput input = Motorcycle(source: new("drive", PeakTorqueNm: 1.5)) with { Kind = MachineKind.Robot };
        KindAtPlace at = At("toothedBelt", input);
        Assert.Equal(KindHolds.Holds, at.Holds);
        SynchronousProfile profile = SynchronousProfiles.Find(at.Setup!.Standard)!;
        Assert.NotNull(profile.AllowedTensionAtBaseWidthN);
        double[] narrower = [6.4, 7.9, 9.5, 12.7, 19.1, 25.4, 38.1, 50.8, 76.2];
        double width = narrower.Last(w => w < at.Setup.Strength.WidthMm);
        LoopLoadsResult less = LoopLoads.Evaluate(
            input with
            {
                Alternative = at.Setup with { Strength = at.Setup.Strength with { WidthMm = width } },
            }
        );
        Assert.Contains(less.Checks, c => c is { Kind: LoadCheckKind.BeltPull, Margin: < 1 });
    }

    [Fact]
    public void What_holds_does_so_by_every_check_of_loads()
    {
        LoadsInput input = Motorcycle(source: new("drive", PeakTorqueNm: 1.5)) with { Kind = MachineKind.Robot };
        foreach (ChoiceKind kind in ChoiceKinds.All.Where(k => k.Element is not null))
        {
            KindAtPlace at = At(kind.Key, input);
            if (at is not { Holds: KindHolds.Holds, IsFitted: false, Setup: { } setup })
                continue;
            LoopLoadsResult loads = LoopLoads.Evaluate(input with { Alternative = setup });
            Assert.DoesNotContain(loads.Checks, c => c.Verdict is Verdict.Stop or Verdict.Watch);
        }
    }

    [Fact]
    public void Its_ratio_is_within_two_percent_of_what_is_on()
    {
        foreach (ChoiceKind kind in ChoiceKinds.All.Where(k => k.Element is not null))
            if (At(kind.Key, Motorcycle()) is { Setup: { } setup } at)
            {
                Assert.InRange(at.RatioPercent, -2, 2);
                // A V-belt or cord slips by 2 %: its wheels are so much nearer to each other. Common practice.
                double slip = setup.DriveElement is DriveElement.VBelt or DriveElement.RoundBelt ? 0.02 : 0;
                Assert.Equal((setup.RearSize / setup.FrontSize / (1 - slip) / 3 - 1) * 100, at.RatioPercent, 6);
            }
    }

    [Fact]
    public void A_length_of_it_closes_on_the_track_that_is_there()
    {
        LoadsInput input = Motorcycle();
        KindAtPlace at = At("toothedBelt", input);
        Assert.NotNull(at.Fit!.Length);
        Loop belt = MachineLoop() with { DriveElement = DriveElement.ToothedBelt, Standard = at.Setup!.Standard };
        LoopChoice choice = new("final", at.Setup.FrontSize, at.Setup.RearSize, (int)at.Fit.Length);
        LoopFitResult fit = LoopFit.Evaluate(
            new(
                input.Drive with
                {
                    Stages = [.. input.Drive.Stages.Select(s => s.Key == "final" ? belt : s)],
                },
                choice,
                choice,
                input.Layout!,
                null,
                false,
                null
            )
        );
        Assert.InRange(fit.ClosingTravelMm!.Value, 0, fit.TrackMm);
    }

    [Fact]
    public void A_belt_whose_maker_alone_tells_says_what_he_must_allow()
    {
        KindAtPlace at = At("toothedBelt", Motorcycle());
        Assert.Equal((KindHolds.NotTold, "Strength.AllowedPullN"), (at.Holds, at.Missing));
        // What is asked of the maker is the pull of Loads times its shock.
        LoopLoadsResult loads = LoopLoads.Evaluate(Motorcycle() with { Alternative = at.Setup });
        Assert.Equal(loads.Figures.HardestPullN!.Value * loads.ShockFactor, at.NeedsPullN!.Value, 6);
    }

    [Fact]
    public void One_that_was_typed_with_its_makers_figures_goes_before_the_tables()
    {
        LoopAlternative typed = new(
            "belt",
            DriveElement.ToothedBelt,
            "MOTO14",
            30,
            90,
            new("final", WidthMm: 28, AllowedPullN: 9_000)
        );
        KindAtPlace at = At("toothedBelt", Motorcycle(), true, typed);
        Assert.True(at.IsOwn);
        Assert.Equal((30, 90), (at.Setup!.FrontSize, at.Setup.RearSize));
        Assert.Null(at.Missing);
    }

    [Fact]
    public void Without_a_pull_nothing_is_said_of_holding()
    {
        KindAtPlace at = At("plainChain", Motorcycle(source: new("drive")));
        Assert.Equal((KindHolds.NotTold, "PeakTorqueNm"), (at.Holds, at.Missing));
        Assert.NotNull(at.Fit);
    }

    [Fact]
    public void What_hoists_gets_figures_and_no_word_on_holding()
    {
        KindAtPlace at = At("plainChain", Motorcycle(), isJudged: false);
        Assert.Equal(KindHolds.FiguresOnly, at.Holds);
        Assert.NotNull(at.Figures);
        Assert.Null(at.Worst);
    }

    [Fact]
    public void Gears_reach_from_shaft_to_shaft_by_half_the_sum_of_their_diameters()
    {
        // By hand: 648 mm and 3 to 1 ask for 2·648/4 = 324 and 972 mm. Machinery’s Handbook, spur gears.
        KindAtPlace at = At("gearPair", Motorcycle());
        double[] diameters = [.. at.Workings.Select(w => w.Result.Value)];
        Assert.Equal(3, diameters[1] / diameters[0], 9);
        Point front = Fits.Slot(628, 668).Front;
        Assert.Equal(2 * front.DistanceTo(Fits.Slot(628, 668).Rear), diameters.Sum(), 9);
        Assert.Equal(KindHolds.NotJudgedHere, at.Holds);
    }

    [Fact]
    public void A_stage_that_does_not_give_the_ratio_says_so()
    {
        Assert.Equal(KindHolds.NotThisRatio, At("direct", Motorcycle()).Holds);
        Assert.Equal(2, At("planetary", Motorcycle()).Workings.Single().Result.Value, 9);
        LoadsInput two = Motorcycle() with { Loops = Drives.Pair(15, 30) };
        Assert.Equal(KindHolds.NotThisRatio, At("planetary", two).Holds);
        LoadsInput one = Motorcycle() with { Loops = Drives.Pair(20, 20) };
        Assert.Equal(KindHolds.NotJudgedHere, At("direct", one).Holds);
    }

    [Fact]
    public void Where_no_size_of_the_tables_comes_near_that_is_said() =>
        Assert.Equal(KindHolds.NothingNear, At("heavyChain", Motorcycle() with { Drive = WithSmallChain() }).Holds);

    private static Drive WithSmallChain() =>
        Drives.Motorcycle() with
        {
            Stages = [.. Drives.Motorcycle().Stages.Select(s => s is Loop loop ? loop with { Standard = "06C" } : s)],
        };
}
