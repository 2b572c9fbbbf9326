using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Fit;

public sealed class LoopFitTests
{
    [Fact]
    public void A_slot_agrees_with_the_check_row()
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(Slot(640, 675), 15, 44, 112)); // d5
        FittingLength own = fit.Lengths.Single(l => l.Length == 112);
        Published.AgreesWithin(0.01, 650.714, own.CentreMm!.Value, "engineering.md d5");
        Published.AgreesWithin(0.01, 30.612, own.TravelUsedPercent!.Value, "engineering.md d5");
        Published.AgreesWithin(0.01, 2.71506, own.ReservePercent!.Value, "engineering.md d5");
        Assert.True(own.Fits);
        Assert.True(own.ReachesWearLimit);
        Assert.Equal(own.CentreMm!.Value, fit.CentreMm, 1e-6);
        Assert.Equal(112, fit.ExactLength, 1e-6);
        Assert.Equal(CentreAdvice.Advise(15.875, 15, 44), fit.CentreAdvice);
    }

    /// <summary>The picture of the design: 15/43 in a slot of 628 to 668 mm.</summary>
    [Fact]
    public void Lengths_that_reach_are_listed_with_one_beyond_either_end()
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(Slot(628, 668), 15, 43, 110));
        Assert.Equal([108.0, 110, 112, 114], fit.Lengths.Select(l => l.Length));
        Assert.Equal([false, true, true, false], fit.Lengths.Select(l => l.Fits));
        double[] centres = [623, 639, 655, 671];
        Assert.All(centres.Zip(fit.Lengths), p => Assert.Equal(p.First, p.Second.CentreMm!.Value, 1.0));
        Assert.Equal((110.0, LengthReason.FrontThird), (fit.RecommendedLength, fit.Reason));
        Assert.True(fit.Lengths[0].TravelMm < 0);
        Assert.True(fit.Lengths[3].ReservePercent < 0);
    }

    /// <summary>Growth g·X·p needs dC = g·X·p/(2·cos α) to first order.</summary>
    [Fact]
    public void Reserve_is_the_elongation_that_brings_the_axle_to_the_end()
    {
        FittingLength own = LoopFit
            .Evaluate(Motorcycle(Slot(640, 675), 15, 44, 112))
            .Lengths.Single(l => l.Length == 112);
        double grownPitch = 15.875 * (1 + own.ReservePercent!.Value / 100);
        // A grown chain lies on the same sprockets: only its straight part is longer, so scale the whole path.
        double path = 112 * grownPitch;
        double end = ChainLength.Links(15.875, 15, 44, 675) * 15.875;
        Assert.Equal(end, path, 1e-6);
    }

    [Fact]
    public void The_wheelbase_is_told_against_as_fitted_and_only_where_the_axle_moves()
    {
        LoopFitResult axle = LoopFit.Evaluate(Motorcycle(Slot(628, 668), 15, 43, 112));
        double fitted = ChainLength.CentreMm(15.875, 15, 45, 112);
        double here = ChainLength.CentreMm(15.875, 15, 43, 112);
        Assert.Equal(here - fitted, axle.Lengths.Single(l => l.Length == 112).WheelbaseChangeMm!.Value, 1e-4);
        LoopLayout slides = Slot(628, 668) with
        {
            Moving = new(LoopLayout.FrontName, new LineTrack(new(-20, 0), new(20, 0))),
        };
        LoopFitResult engine = LoopFit.Evaluate(Motorcycle(slides, 15, 43, 110));
        Assert.All(engine.Lengths, l => Assert.Null(l.WheelbaseChangeMm));
        Assert.Equal((true, false), (axle.MovesRoadWheel, engine.MovesRoadWheel));
    }

    /// <summary>engineering.md i4: 45 mm of play on a 600 mm run is 1.685 mm of chain.</summary>
    [Fact]
    public void Free_play_follows_from_the_length_that_is_over()
    {
        LoopLayout layout = Slot(628, 668);
        LoopFitInput input = Motorcycle(layout, 15, 43, 110);
        LoopFitResult taut = LoopFit.Evaluate(input);
        Assert.Equal(0, taut.FreePlay!.ExcessMm, 1e-6);
        LoopFitResult slack = LoopFit.Evaluate(input with { TravelMm = taut.TravelMm - 0.5 });
        FreePlay play = slack.FreePlay!;
        Assert.Equal(0.5, play.TakenUpByMm!.Value, 1e-6);
        double half = play.RunMm / 2;
        double byTriangle = 2 * (Math.Sqrt(half * half + Math.Pow(play.FreePlayMm / 2, 2)) - half);
        Assert.Equal(byTriangle, play.ExcessMm, 1e-9);
        Assert.InRange(play.FreePlayMm, 25, 40);
        LoopFitResult tight = LoopFit.Evaluate(input with { TravelMm = taut.TravelMm + 0.5 });
        Assert.Equal(0, tight.FreePlay!.FreePlayMm);
        Assert.True(tight.FreePlay.ExcessMm < 0);
    }

    [Fact]
    public void A_slack_run_agrees_with_the_check_row()
    {
        Published.AgreesWithin(0.01, 1.68513, SlackRun.ExcessMm(600, 45), "engineering.md i4");
        Assert.Equal(45, SlackRun.PlayMm(600, SlackRun.ExcessMm(600, 45)), 1e-9);
        Assert.Equal(0, SlackRun.PlayMm(600, -1));
    }

    [Fact]
    public void Half_links_are_offered_only_when_asked_for()
    {
        LoopFitInput input = Motorcycle(Slot(628, 668), 15, 43, 110);
        LoopFitResult with = LoopFit.Evaluate(input with { HalfLinks = true });
        Assert.Contains(with.Lengths, l => l is { Length: 111, IsHalfLink: true, Fits: true });
        Assert.Equal(110, with.RecommendedLength);
        LoopFitResult odd = LoopFit.Evaluate(Motorcycle(Slot(628, 668), 15, 43, 111));
        Assert.Contains(odd.Lengths, l => l is { Length: 111, IsHalfLink: true });
        Assert.Contains(odd.Findings, f => f.Kind == FitFindingKind.HalfLink);
    }

    [Fact]
    public void Nothing_that_reaches_is_said()
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(Slot(640, 642), 15, 45, 112));
        Assert.Equal((null, LengthReason.NoneReaches), (fit.RecommendedLength, fit.Reason));
        FitFinding off = fit.Findings.Single(f => f.Kind == FitFindingKind.OffTheTrack);
        Assert.Equal(112 * 15.875, off.Value, 1e-9);
        Assert.Equal(ChainLength.Links(15.875, 15, 45, 642) * 15.875, off.Limit, 1e-6);
    }

    [Fact]
    public void A_toothed_belt_is_chosen_by_teeth_and_a_v_belt_by_standard_lengths()
    {
        LoopFitInput toothed = Belt(Slot(410, 430), 28, 70, 155);
        LoopFitResult fit = LoopFit.Evaluate(toothed); // e4
        Published.AgreesWithin(0.01, 420.596, fit.CentreMm, "engineering.md e4");
        Assert.Equal(12, fit.Path.Wheels[0].TeethEngaged);
        Published.AgreesWithin(0.01, 165.391, fit.Path.Wheels[0].WrapDeg, "engineering.md e4");
        Loop v = Drives.Chain("final", "in", "out") with { DriveElement = DriveElement.VBelt, Standard = "A" };
        LoopFitResult vFit = LoopFit.Evaluate(
            toothed with
            {
                Drive = Drives.WithStages([v]),
                Choice = new("final", 100, 250, null),
                Fitted = new("final", 100, 250, null),
                Layout = Slot(400, 460),
            }
        ); // e5
        FittingLength standard = vFit.Lengths.Single(l => l.Length == 1400);
        Published.AgreesWithin(0.01, 418.37, standard.CentreMm!.Value, "engineering.md e5");
        Assert.True(standard.Fits);
        Assert.Equal([1250.0, 1400, 1600], vFit.Lengths.Select(l => l.Length));
    }

    [Fact]
    public void A_tensioner_closes_the_loop_where_the_axles_stand_still()
    {
        Idler tensioner = new("tensioner", new(-300, -70), 12, true, RunSide.Inside, LoopRun.Slack);
        LoopLayout layout = Slot(640, 641, tensioner) with
        {
            Moving = new("tensioner", new LineTrack(new(-300, -80), new(-300, -130))),
        };
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(layout, 15, 45, 112));
        Assert.True(fit.Lengths.Single(l => l.Length == 112).Fits);
        Assert.Equal(112, fit.ExactLength, 1e-6);
        Assert.Equal(["front", "tensioner", "rear"], fit.Path.Wheels.Select(w => w.Name));
        LoopLayout onTop = layout with
        {
            Idlers = [tensioner with { Run = LoopRun.Tight, Centre = new(-300, 130) }],
            Moving = null,
        };
        Assert.Contains(
            LoopFit.Evaluate(Motorcycle(onTop, 15, 45, 112)).Findings,
            f => f.Kind == FitFindingKind.IdlerOnTightRun
        );
    }

    [Fact]
    public void Fixed_centres_have_a_length_and_its_slack_but_no_list()
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(Slot(640, 641) with { Moving = null }, 15, 45, 112));
        Assert.Empty(fit.Lengths);
        Assert.Equal(111.196, fit.ExactLength, 0.01);
        Assert.Equal((112 - fit.ExactLength) * 15.875, fit.FreePlay!.ExcessMm, 1e-6);
        Assert.Null(fit.FreePlay.TakenUpByMm);
    }

    [Fact]
    public void Every_figure_has_a_working_that_ends_in_it()
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(Slot(628, 668), 15, 43, 110));
        double Result(string title) => fit.Workings.Single(w => w.Title == title).Result.Value;
        Assert.Equal(fit.ExactLength, Result("Length in links"), 1e-9);
        Assert.Equal(fit.Path.Wheels[0].WrapDeg, Result("Wrap of front"), 1e-9);
        double reserve = fit.Lengths.Single(l => l.Length == 110).ReservePercent!.Value;
        Assert.Equal(reserve, Result("Elongation that can still be taken up"), 1e-9);
        Assert.Equal(fit.ExactLength, Result("The handbooks' short form, beside it"), 0.01);
        Assert.All(fit.Workings, w => Assert.All(new[] { w.Formula, w.Source, w.Limits }, Assert.NotEmpty));
    }

    [Fact]
    public void Poor_fits_are_found()
    {
        LoopFitResult near = LoopFit.Evaluate(Motorcycle(Slot(150, 250), 15, 45, 60));
        FitFindingKind[] kinds = [.. near.Findings.Select(f => f.Kind)];
        Assert.Contains(FitFindingKind.ShortCentre, kinds);
        LoopFitResult long_ = LoopFit.Evaluate(Motorcycle(Slot(1300, 1400), 15, 45, null));
        Assert.Contains(long_.Findings, f => f.Kind == FitFindingKind.LongCentre);
        LoopFitResult touching = LoopFit.Evaluate(Motorcycle(Slot(155, 156), 15, 45, null));
        Assert.Contains(touching.Findings, f => f.Kind == FitFindingKind.TipsTouch);
        // A bicycle has its small sprocket behind.
        FitFinding wrap = LoopFit
            .Evaluate(Motorcycle(Slot(185, 186), 60, 11, null))
            .Findings.Single(f => f.Kind == FitFindingKind.LittleWrap);
        Assert.Equal("rear", wrap.Wheel);
    }

    [Fact]
    public void Impossible_layouts_and_values_are_named()
    {
        LoopLayout slot = Slot(628, 668);
        void Refused(string field, LoopFitInput input) => Refusals.Names(field, () => LoopFit.Evaluate(input));
        Refused("Layout.front", Motorcycle(Slot(20, 30), 15, 45, 112));
        Refused("Layout.LoopKey", Motorcycle(slot with { LoopKey = "nowhere" }, 15, 45, 112));
        Refused("Choice.FrontSize", Motorcycle(slot, 0, 45, 112));
        Refused("Choice.Links", Motorcycle(slot, 15, 45, 0));
        Refused("TravelMm", Motorcycle(slot, 15, 45, 112) with { TravelMm = 41 });
        Refused("TravelMm", Motorcycle(slot, 15, 45, 112) with { TravelMm = double.NaN });
        Refused("WearLimitPercent", Motorcycle(slot, 15, 45, 112) with { WearLimitPercent = 0 });
        Refused("Layout.Moving.Track.To", Motorcycle(Slot(640, 640), 15, 45, 112));
        Refused("Layout.Front.XMm", Motorcycle(slot with { Front = new(double.NaN, 0) }, 15, 45, 112));
        Idler free = new("idler", new(-300, -300), 40, false, RunSide.Back, LoopRun.Slack);
        Refused("Layout.idler", Motorcycle(Slot(628, 668, free), 15, 45, 112));
        Refused("Layout.Idlers[0].Name", Motorcycle(Slot(628, 668, free with { Name = "rear" }), 15, 45, 112));
        Refused("Layout.Idlers[0].Size", Motorcycle(Slot(628, 668, free with { Size = 0 }), 15, 45, 112));
        LoopLayout noWheel = slot with { Moving = slot.Moving! with { Wheel = "idler" } };
        Refused("Layout.Moving.Wheel", Motorcycle(noWheel, 15, 45, 112));
    }

    /// <summary>A slot with its ends given the other way round is the same slot, travelled from its other end.</summary>
    [Fact]
    public void A_slot_with_its_ends_swapped_gives_the_same_places()
    {
        FittingLength forth = LoopFit
            .Evaluate(Motorcycle(Slot(628, 668), 15, 43, 110))
            .Lengths.Single(l => l.Length == 110);
        FittingLength back = LoopFit
            .Evaluate(Motorcycle(Slot(668, 628), 15, 43, 110))
            .Lengths.Single(l => l.Length == 110);
        Assert.Equal(forth.CentreMm!.Value, back.CentreMm!.Value, 1e-6);
        Assert.Equal(40, forth.TravelMm!.Value + back.TravelMm!.Value, 1e-6);
    }
}
