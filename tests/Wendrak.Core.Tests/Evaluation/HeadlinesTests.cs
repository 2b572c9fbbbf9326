using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What every station says of a machine in one line.</summary>
public sealed class HeadlinesTests
{
    private static StationHeadlines Of(StoredMachine stored, EvaluationScope? scope = null) =>
        stored.Ask(new() { Headlines = new() }, scope).Headlines!.Answer!;

    private static StoredMachine With(Machine machine, StoredMachine stored) => stored with { Machine = machine };

    [Fact]
    public void A_machine_that_is_known_has_a_figure_at_every_station()
    {
        StoredMachine stored = Benches.Motorcycle();
        StationHeadlines lines = Of(stored, Benches.Final with { Band = new(2.9, 3.1) });
        Assert.Equal(new(StationState.Done, new FinalRatio(2.9, 3.1)), lines.Aim);
        Assert.Equal(new(StationState.Done, null, 3, null, true), lines.Ratio);
        Assert.Equal(new(StationState.Done, null, new(112, LengthUnit.Links)), lines.Fit);
        LoopLoadsResult loads = stored.Ask(new() { Loads = new() }).Loads!.Answer!;
        Assert.Equal((loads.Verdict, loads.Smallest!.Margin), (lines.Loads.Verdict, lines.Loads.SmallestMargin));
        Assert.Equal(new(StationState.Open, null), lines.Set);
    }

    [Fact]
    public void What_is_off_or_missing_is_not_done()
    {
        StoredMachine stored = Benches.Motorcycle();
        StationHeadlines off = Of(
            stored,
            Benches.Final with
            {
                Band = new(2, 2.1),
                Picks = [new("final", 15, 45, 140)],
            }
        );
        Assert.Equal((StationState.Open, false), (off.Ratio.State, off.Ratio.MeetsAim));
        Assert.Equal((StationState.Open, true), (off.Fit.State, off.Fit.IsOffTheTrack));
        StationHeadlines bare = Of(With(stored.Machine with { Layouts = null, Loads = null }, stored));
        Assert.Equal(new(StationState.Open, null), bare.Aim);
        Assert.Equal(NoFigure.NotLaidOut, bare.Fit.Without);
        Assert.Equal(NoFigure.NoPull, bare.Loads.Without);
        StationHeadlines direct = Of(stored, new([]));
        Assert.Equal(
            [NoFigure.NoLoop, NoFigure.NoLoop, NoFigure.NoLoop],
            [direct.Fit.Without, direct.Loads.Without, direct.Set.Without]
        );
        // A pair that can't be laid is said to be refused, and the others speak all the same.
        StationHeadlines refused = Of(stored, Benches.Final with { Picks = [new("final", 10, 300)] });
        Assert.Equal(NoFigure.Refused, refused.Fit.Without);
        Assert.Equal(30, refused.Ratio.FinalRatio);
    }

    [Fact]
    public void A_change_in_view_is_told_against_as_fitted()
    {
        RatioHeadline ratio = Of(Benches.Motorcycle(), Benches.Final with { Picks = [new("final", 14, 45)] }).Ratio;
        Assert.Equal((15 / 14.0 - 1) * 100, ratio.ChangePercent!.Value, 1e-9);
    }

    [Fact]
    public void What_a_change_of_parts_reopened_is_to_be_looked_at_again_while_it_is_in_view()
    {
        StoredMachine stored = Benches.Motorcycle();
        Setup reopened = stored.Fitted with
        {
            FollowUps =
            [
                new(FollowUpKind.Length, "drive", "final", [ChangedPart.RearWheel]),
                new(FollowUpKind.Reading, "drive", "final", [ChangedPart.RearWheel]),
            ],
        };
        stored = stored with { Fitted = reopened, Setups = [reopened] };
        StationHeadlines lines = Of(stored);
        Assert.Equal(StationState.LookAgain, lines.Fit.State);
        Assert.Equal(StationState.LookAgain, lines.Set.State);
        Assert.NotEqual(StationState.LookAgain, lines.Ratio.State);
        Assert.NotEqual(
            StationState.LookAgain,
            Of(stored, Benches.Final with { Picks = [new("final", 15, 44)] }).Fit.State
        );
    }

    [Fact]
    public void The_newest_visit_is_told_by_its_last_round_that_was_read()
    {
        SetJob open = Benches.Visit(3, "final", 55, 48);
        SetJob closed = open with
        {
            Closing = new(new(2026, 11, 2), null, 98, [], null, null),
            Rounds =
            [
                .. open.Rounds,
                new(0, 0, LockState.Torqued, [new(ReadingMethod.FreePlay, 31), new(ReadingMethod.FreePlay, 34)]),
            ],
        };
        StoredMachine stored = Benches.Motorcycle();
        Assert.Equal(
            new(StationState.Open, null, ReadingMethod.FreePlay, 48, 55, true),
            Of(stored with { Visits = [open, closed] }).Set
        );
        Assert.Equal(
            new(StationState.Done, null, ReadingMethod.FreePlay, 31, 34),
            Of(stored with { Visits = [closed] }).Set
        );
        Assert.Null(Of(stored with { Visits = [closed with { LoopKey = "other" }] }).Set.Lowest);
    }

    [Fact]
    public void What_this_program_does_not_judge_has_no_verdict()
    {
        StoredMachine stored = Benches.Motorcycle();
        MachineLoads lifts = new([new("drive", PeakTorqueNm: 60, LiftsOrFlies: true)], []);
        LoadsHeadline loads = Of(With(stored.Machine with { Loads = lifts }, stored)).Loads;
        Assert.Equal((false, Verdict.NotApplicable, StationState.Open), (loads.IsJudged, loads.Verdict, loads.State));
        LoadsHeadline hard = Of(
            With(stored.Machine with { Loads = new([new("drive", PullN: 60_000)], []) }, stored)
        ).Loads;
        Assert.Equal((Verdict.Stop, StationState.Open), (hard.Verdict, hard.State));
        Assert.NotNull(hard.Worst);
    }
}
