using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Loops;

public sealed class LoopClosingTests
{
    [Fact]
    public void The_place_that_closes_a_length_gives_it_again_and_is_the_nearest_to_the_track()
    {
        int laid = 0;
        for (int seed = 0; laid < 2_000; seed++)
        {
            ClosingCase tried = ClosingCases.Of(seed);
            Assert.True(tried.Fault() is null, $"loop {seed}: {tried.Fault()}");
            laid += tried.LengthAt(tried.PlaceMm) is null ? 0 : 1;
        }
    }

    /// <summary>Two belts of 5 mm pitch on 16 and 40 teeth: 80 mm apart, the mirror place is not 160 mm away.</summary>
    [Fact]
    public void A_short_belt_closes_on_its_own_side_of_the_driving_wheel()
    {
        // The closed form of Shigley ch. 17, which knows of no track.
        double centre = BeltLength.HandbookCentreMm(16 * 5 / Math.PI, 40 * 5 / Math.PI, 300);
        LoopFitInput input = Belt(Slot(60, 100), 16, 40, 60);
        LoopFitResult fit = LoopFit.Evaluate(input with { Drive = WithProfile(input.Drive, "5M") });
        FittingLength own = fit.Lengths.Single(l => l.Length == 60);
        Assert.True(own.Fits);
        Assert.Equal(centre, own.CentreMm!.Value, 0.1);
        Assert.True(own.TravelMm > 0);
        Assert.DoesNotContain(fit.Findings, f => f.Kind == FitFindingKind.OffTheTrack);
        Assert.All(fit.Lengths.Where(l => l.TravelMm is not null), l => Assert.InRange(l.TravelMm!.Value, -30, 60));
    }

    [Fact]
    public void A_whole_turn_of_an_eccentric_closes_at_its_first_place()
    {
        WheelOutline same = WheelOutline.Roller(120);
        LoopWheel[] wheels =
        [
            new("a", new(0, 0), same, RunSide.Inside, null),
            new("b", new(490, 0), same, RunSide.Inside, null),
        ];
        ArcTrack whole = new(new(500, 0), 10, 180, -360);
        double length = 2 * 505 + Math.PI * 120;
        double? travel = LoopClosing.TravelMm(wheels, 1, whole, Turning.Clockwise, BeltArrangement.Open, length);
        Assert.InRange(travel!.Value, 0, 10 * Math.PI); // before its tightest place, not after it
    }

    /// <summary>Every machine that can be added, laid out with nothing typed.</summary>
    [Fact]
    public void A_new_machine_of_any_kind_is_laid_out_so_that_its_length_reaches()
    {
        foreach (MachineKind kind in Enum.GetValues<MachineKind>())
        {
            MachineDraft draft = StartingMachines.For(kind);
            foreach (LoopChoice choice in draft.Fitted)
            foreach (
                Drive drive in draft.Machine.Drives.Where(d =>
                    d.Stages.OfType<Loop>().Any(l => l.Key == choice.LoopKey)
                )
            )
            {
                LoopLayout layout = StartingLayout.For(drive, choice);
                LoopFitResult fit = LoopFit.Evaluate(new(drive, choice, choice, layout, null, false, null));
                Assert.True(fit.ChosenLength is not null, $"{kind}: no length to begin with");
                Assert.True(
                    fit.Lengths.Single(l => l.Length == fit.ChosenLength).Fits,
                    $"{kind}: its length is off the slot"
                );
                Assert.NotEqual(LengthReason.NoneReaches, fit.Reason);
                Assert.DoesNotContain(
                    fit.Findings,
                    f => f.Kind is FitFindingKind.OffTheTrack or FitFindingKind.TipsTouch
                );
            }
        }
    }

    private static Drive WithProfile(Drive drive, string profile) =>
        drive with
        {
            Stages = [.. drive.Stages.Select(s => s is Loop loop ? loop with { Standard = profile } : s)],
        };
}
