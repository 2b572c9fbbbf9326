using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Which parts of a machine belong together in a question about it.</summary>
public sealed class MachineEvaluationTests
{
    private static EvaluationScope Picked(double front, double rear, double? length = null) =>
        Benches.Final with
        {
            Picks = [new("final", front, rear, length)],
        };

    [Fact]
    public void Answers_what_is_asked_and_nothing_else()
    {
        EvaluationAnswer answer = Benches.Motorcycle().Ask(new() { Fit = new() });
        Assert.NotNull(answer.Fit?.Answer);
        Assert.Equal(1, typeof(EvaluationAnswer).GetProperties().Count(p => p.GetValue(answer) is not null));
    }

    [Fact]
    public void Every_part_has_an_answer_of_its_name() =>
        Assert.Equal(
            typeof(EvaluationParts).GetProperties().Where(p => p.PropertyType != typeof(bool)).Select(p => p.Name),
            typeof(EvaluationAnswer).GetProperties().Select(p => p.Name)
        );

    [Fact]
    public void What_is_asked_as_stored_is_what_the_single_calls_say()
    {
        StoredMachine stored = Benches.Motorcycle();
        Machine machine = stored.Machine;
        LoopChoice picked = new("final", 14, 46, 112);
        EvaluationAnswer answer = stored.Ask(
            new() { Fit = new(Workings: true), Loads = new(Workings: true) },
            Picked(14, 46)
        );
        LoopFitResult fit = LoopFit.Evaluate(
            new(machine.Drives[0], picked, stored.Fitted.Loops[0], machine.Layouts![0], null, false, 1)
        );
        Assert.Equivalent(fit, answer.Fit!.Answer, strict: true);
        LoopLoadsResult loads = LoopLoads.Evaluate(
            new(
                machine.Drives[0],
                machine.Kind,
                [picked],
                [],
                machine.Layouts[0],
                machine.Loads!.Sources[0],
                new("final")
            )
        );
        Assert.Equivalent(loads, answer.Loads!.Answer, strict: true);
    }

    [Fact]
    public void Workings_come_on_request()
    {
        EvaluationParts bare = new()
        {
            Comparison = new(),
            Drives = new(3000),
            Bands = new(new FinalRatio(2.9, 3.1)),
            Fit = new(),
            Loads = new(),
            Set = new(),
            LengthForCentre = new(640),
        };
        EvaluationAnswer without = Benches.Motorcycle().Ask(bare);
        Assert.All(without.Comparison!.Answer!.Setups, s => Assert.Empty(s.Workings));
        Assert.Empty(without.Drives!.Answer!.Workings);
        Assert.Empty(without.Fit!.Answer!.Workings);
        Assert.Empty(without.Loads!.Answer!.Workings);
        Assert.Empty(without.Set!.Answer!.Workings);
        Assert.Empty(without.LengthForCentre!.Answer!.Workings);
        EvaluationAnswer with = Benches
            .Motorcycle()
            .Ask(
                new()
                {
                    Comparison = new(true),
                    Drives = new(3000, true),
                    Bands = new(new CruiseSpeed(90, 5, 5000, 5300), true),
                    Fit = new(Workings: true),
                    Loads = new(Workings: true),
                    LengthForCentre = new(640, true),
                }
            );
        Assert.NotEmpty(with.Comparison!.Answer!.Setups[0].Workings);
        Assert.NotEmpty(with.Drives!.Answer!.Workings);
        Assert.NotEmpty(with.Bands!.Answer!.Workings);
        Assert.NotEmpty(with.Fit!.Answer!.Workings);
        Assert.NotEmpty(with.Loads!.Answer!.Workings);
        Assert.NotEmpty(with.LengthForCentre!.Answer!.Workings);
        // The figures are the same with and without.
        Assert.Equivalent(with.Loads.Answer with { Workings = [] }, without.Loads.Answer, strict: true);
    }

    [Fact]
    public void One_part_refused_keeps_no_other_back()
    {
        StoredMachine stored = Benches.Motorcycle();
        LoopLayout off = stored.Machine.Layouts![0] with { Rear = new(1, 1), Moving = null };
        EvaluationAnswer answer = stored.Ask(new() { Fit = new(Layout: off), Comparison = new() });
        Assert.Null(answer.Fit!.Answer);
        Assert.StartsWith("Layout.", Assert.Single(answer.Fit.Refused!).Field, StringComparison.Ordinal);
        Assert.NotNull(answer.Comparison!.Answer);
    }

    [Fact]
    public void A_visit_that_was_removed_meanwhile_keeps_no_other_part_back()
    {
        EvaluationAnswer answer = Benches.Motorcycle().Ask(new() { Set = new(new(99, "final")), Headlines = new() });
        Assert.Equal("Visit", Assert.Single(answer.Set!.Refused!).Field);
        Assert.NotNull(answer.Headlines!.Answer);
    }

    [Fact]
    public void A_refusal_names_the_member_of_the_question()
    {
        StoredMachine stored = Benches.Motorcycle() with { Visits = [Benches.Visit(3, "final", 40, 42)] };
        SetRound hot = new(0, 0, LockState.Nipped, [], TemperatureC: 400);
        EvaluationAnswer answer = stored.Ask(
            new()
            {
                Search = new([new("final", FrontMin: 0)], [], RatioRanking.LeastWork, 12),
                Bands = new(new FinalRatio(3, 2)),
                Set = new(new(3, "final"), Round: hot),
                Loads = new(new("drive", PeakTorqueNm: -1)),
                LoadsBeside = new(Alternatives: [new("belt", DriveElement.ToothedBelt, "none", 28, 98, new("final"))]),
            },
            workshop: new([], [], [], [])
        );
        static string Field<T>(Part<T>? part) => part!.Refused![0].Field;
        Assert.Equal("Changes[0].FrontMin", Field(answer.Search));
        Assert.Equal("Target.High", Field(answer.Bands));
        Assert.Equal("Round.TemperatureC", Field(answer.Set));
        Assert.Equal("Source.PeakTorqueNm", Field(answer.Loads));
        Assert.StartsWith("Alternatives[0].", Field(answer.LoadsBeside), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("loop")]
    [InlineData("pick")]
    [InlineData("setup")]
    [InlineData("aim")]
    [InlineData("many")]
    public void What_the_machine_has_not_is_no_scope(string wrong)
    {
        (EvaluationScope scope, string field) = wrong switch
        {
            "loop" => (new EvaluationScope(["other"]), "Scope.LoopKeys[0]"),
            "pick" => (Benches.Final with { Picks = [new("other", 1, 1)] }, "Scope.Picks[0].LoopKey"),
            "setup" => (Benches.Final with { SetupId = 99 }, "Scope.SetupId"),
            "aim" => (Benches.Final with { AimId = 99 }, "Scope.AimId"),
            _ => (new EvaluationScope(["final", "final", "final"]), "Scope.LoopKeys"),
        };
        InvalidInputException refused = Assert.Throws<InvalidInputException>(() =>
            Benches.Motorcycle().Ask(new() { Headlines = new() }, scope)
        );
        Assert.Equal(field, Assert.Single(refused.Issues).Field);
    }

    [Fact]
    public void What_is_in_view_is_picked_before_stored_and_stored_before_fitted()
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.Trial, Drives.Pair(14, 45)));
        double Final(EvaluationScope scope) =>
            stored.Ask(new() { Comparison = new() }, scope).Comparison!.Answer!.Setups[^1].FinalRatio;
        Assert.Equal(3, Final(Benches.Final));
        Assert.Equal(45 / 14.0, Final(Benches.Final with { SetupId = 2 }));
        Assert.Equal(43 / 15.0, Final(Picked(15, 43) with { SetupId = 2 }));
        // What is fitted, picked once more, is as fitted.
        Assert.Single(stored.Ask(new() { Comparison = new() }, Picked(15, 45)).Comparison!.Answer!.Setups);
    }

    [Fact]
    public void A_length_picked_is_links_of_a_chain_and_millimetres_of_a_belt_without_teeth()
    {
        LoopFitResult chain = Benches.Motorcycle().Ask(new() { Fit = new() }, Picked(15, 45, 114)).Fit!.Answer!;
        Assert.Equal(114, chain.ChosenLength);
        MachineDraft winch = StartingMachines.For(MachineKind.Winch);
        StoredMachine stored = StoredMachine.From(winch, new(2026, 11, 28));
        Loop belt = MachineRules.LoopsOf(winch.Machine).First();
        EvaluationScope scope = new([belt.Key]);
        LoopLayout layout = stored.Ask(new() { StartingLayout = new() }, scope).StartingLayout!.Answer!.Layout;
        LoopChoice fitted = winch.Fitted[0];
        EvaluationAnswer answer = stored.Ask(
            new() { Fit = new(Layout: layout) },
            scope with
            {
                Picks = [new(belt.Key, fitted.FrontSize, fitted.RearSize, 1250)],
            }
        );
        Assert.Equal(1250, answer.Fit!.Answer!.ChosenLength);
    }

    [Fact]
    public void A_comparison_speaks_of_the_loop_chosen_and_of_every_other_of_its_drive_that_differs()
    {
        StoredMachine rail = Benches.Rail();
        double Final(params PickedWheels[] picks) =>
            rail.Ask(new() { Comparison = new() }, new(["left last"], Picks: picks))
                .Comparison!.Answer!.Setups[^1]
                .FinalRatio;
        Assert.Equal(45 / 14.0, Final(new PickedWheels("left last", 14, 45)), 1e-12);
        Assert.Equal(3 * 45 / 14.0, Final(new PickedWheels("left first", 14, 45)), 1e-12);
        // Of another drive it says nothing.
        Assert.Equal(3, Final(new PickedWheels("right last", 14, 45)), 1e-12);
    }

    [Fact]
    public void The_speedometer_is_told_against_what_was_delivered()
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.AsDelivered, Drives.Pair(15, 43)));
        stored = stored with
        {
            Machine = stored.Machine with
            {
                Drives = [stored.Machine.Drives[0] with { SpeedPickup = SpeedPickup.GearboxOutput }],
            },
        };
        SetupFigures fitted = stored.Ask(new() { Comparison = new() }).Comparison!.Answer!.Setups[0];
        Assert.Equal((45 / 43.0 - 1) * 100, fitted.Speedometer!.ErrorPercent, 1e-9);
    }

    [Fact]
    public void An_aim_counts_for_its_drive_and_a_dragged_band_before_it()
    {
        Aim aim = new(
            4,
            1,
            7,
            "Road",
            "drive",
            new FinalRatio(2.8, 2.9),
            new(null, null, null),
            new(0, 0, 0, 0, 0, 0),
            null,
            []
        );
        StoredMachine stored = Benches.Motorcycle() with { Aims = [aim, aim with { Id = 5, DriveKey = "other" }] };
        bool? Meets(EvaluationScope scope) =>
            stored.Ask(new() { Comparison = new() }, scope).Comparison!.Answer!.Setups[0].MeetsAim;
        Assert.False(Meets(Benches.Final with { AimId = 4 }));
        Assert.True(Meets(Benches.Final with { AimId = 4, Band = new(2.9, 3.1) }));
        Assert.Null(Meets(Benches.Final with { AimId = 5 }));
        Assert.Null(Meets(Benches.Final));
    }

    [Fact]
    public void A_search_begins_wide_enough_and_takes_what_was_typed_and_tried()
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.Trial, Drives.Pair(11, 60)));
        Workshop shelf = new([new(1, 1, new("520", WheelSide.Rear, 52, null, 1, null, false), null)], [], [], []);
        EvaluationAnswer answer = stored.Ask(
            new()
            {
                StartingSearch = new([]),
                Search = new([new("final", FrontMax: 15)], [], RatioRanking.LeastWork, 12),
            },
            workshop: shelf
        );
        Assert.Equal(52, answer.StartingSearch!.Answer![0].RearMax);
        RatioSearchResult found = answer.Search!.Answer!.Found;
        IEnumerable<(double, double)> pairs = found
            .Hits.Concat(found.Others)
            .Select(c => (c.Loops[0].FrontSize, c.Loops[0].RearSize));
        Assert.Contains((15, 52), pairs);
        Assert.Contains((11, 60), pairs);
        Assert.DoesNotContain(pairs, p => p.Item1 == 16);
    }

    [Fact]
    public void A_tool_that_the_workshop_does_not_have_is_said_at_set()
    {
        SetManual Of(params HandTool[] tools) =>
            Benches.Motorcycle().Ask(new() { Set = new() }, workshop: new([], [], tools, [])).Set!.Answer!.Manual;
        Assert.Equal([ToolKind.Stand, ToolKind.Spanner, ToolKind.StraightEdge, ToolKind.TorqueWrench], Of().Tools);
        Assert.Empty(Of().MissingTools);
        Assert.Equal(
            [ToolKind.Stand, ToolKind.StraightEdge],
            Of(new(1, 1, ToolKind.Spanner, null), new(2, 1, ToolKind.TorqueWrench, null))
                .MissingTools.Select(t => t.Tool)
        );
        EvaluationAnswer practised = Benches
            .Motorcycle()
            .Ask(
                new() { Set = new(Practised: new(SetGoal.Both, [], [])) },
                workshop: new([], [], [new(1, 1, ToolKind.Puller, null)], [])
            );
        Assert.Empty(practised.Set!.Answer!.Manual.MissingTools);
    }

    [Fact]
    public void Where_the_axle_goes_is_told_for_the_rows_that_are_shown()
    {
        SearchAnswer Of(int rows, EvaluationScope? scope = null) =>
            Benches
                .Motorcycle()
                .Ask(
                    new() { Search = new([], [], RatioRanking.LeastWork, rows) },
                    scope ?? Benches.Final with { Band = new(2.8, 3.2) },
                    new([], [], [], [])
                )
                .Search!.Answer!;
        SearchAnswer few = Of(3);
        Assert.Equal(few.Found.Hits.Take(3).Select(h => h.Loops[0].RearSize), few.Fits.Select(f => f.RearSize));
        Assert.Empty(Of(0).Fits);
    }

    [Fact]
    public void Both_sides_are_held_against_each_other_by_their_newest_visits()
    {
        StoredMachine rail = Benches.Rail() with
        {
            Visits =
            [
                Benches.Visit(9, "right last", 30, 32),
                Benches.Visit(8, "right last", 60),
                Benches.Visit(7, "left last", 20, 22),
            ],
        };
        EvaluationScope left = new(["left last"]);
        SideMatchAnswer? match = rail.Ask(new() { SideMatch = new(new(7, "left last")) }, left).SideMatch!.Answer;
        Assert.Equal(new(9, "right last"), match!.Other);
        Assert.False(match.Match!.Matches);
        // From the other side it is the same pair; a loop that nothing mirrors has no other side.
        SideMatchAnswer? other = rail.Ask(
            new() { SideMatch = new(new(9, "right last")) },
            new(["right last"])
        ).SideMatch!.Answer;
        Assert.Equal(new(7, "left last"), other!.Other);
        Assert.Null(rail.Ask(new() { SideMatch = new() }, new(["left first"])).SideMatch!.Answer);
        // Not read yet: there is another side, and nothing to hold against it.
        Assert.Null((rail.Ask(new() { SideMatch = new() }, left)).SideMatch!.Answer!.Match);
    }

    [Fact]
    public void What_is_set_is_what_is_fitted_with_the_round_in_hand()
    {
        SetJob visit = Benches.Visit(3, "final", 40, 42);
        SetRound inHand = new(0, 0, LockState.Nipped, [new(ReadingMethod.FreePlay, 35)]);
        StoredMachine stored = Benches.Motorcycle() with { Visits = [visit with { InHand = new(inHand, []) }] };
        VisitKey kept = new(3, "final");
        SetAdvice Of(SetQuestion question) => stored.Ask(new() { Set = question }, Picked(14, 46)).Set!.Answer!;
        Assert.Equal(2, Of(new(kept)).Rounds.Count);
        Assert.Single(Of(new(kept, IsKeptOnly: true)).Rounds);
        Assert.NotEqual(
            Of(new(kept)).Rounds[1].Loosest,
            Of(new(kept, Round: inHand with { Readings = [new(ReadingMethod.FreePlay, 50)] })).Rounds[1].Loosest
        );
        Assert.Empty(Of(new()).Rounds);
        Assert.Single(Of(new(Practised: new(SetGoal.Both, [inHand], []))).Rounds);
    }

    [Fact]
    public void Trials_and_other_kinds_stand_beside_as_fitted()
    {
        StoredMachine stored = Benches.Motorcycle(
            Benches.Setup(2, SetupStatus.Trial, Drives.Pair(14, 45), "Hill"),
            Benches.Setup(3, SetupStatus.Former, Drives.Pair(13, 45), "Old")
        );
        LoopAlternative belt = stored
            .Ask(new() { StartingAlternative = new(DriveElement.ToothedBelt) })
            .StartingAlternative!.Answer!;
        IReadOnlyList<LoadsColumn> columns = stored
            .Ask(new() { LoadsBeside = new(Alternatives: [belt with { Name = "belt" }]) })
            .LoadsBeside!.Answer!;
        Assert.Equal(["as fitted", "Hill", "belt"], columns.Select(c => c.Name));
        Assert.Equal([null, 2L, null], columns.Select(c => c.SetupId));
        Assert.Equal([null, null, 0], columns.Select(c => c.Alternative));
        // What is laid side by side is what each says of itself.
        LoopLoadsResult loads = stored.Ask(new() { Loads = new() }).Loads!.Answer!;
        PointLoads hardest = loads.Points.Single(p => p.Point.Kind == OperatingPointKind.HardestPull);
        LoopFigures fitted = columns[0].Figures;
        Assert.Equal((loads.Smallest!.Kind, loads.Smallest.Margin), (fitted.Smallest!.Kind, fitted.Smallest.Margin));
        Assert.Equal((loads.GreatestSpeedMS, loads.MassKg), (fitted.GreatestSpeedMS, fitted.MassKg));
        Assert.Equal(
            (loads.Standard, loads.FrontSize, loads.RearSize),
            (fitted.Standard, fitted.FrontSize, fitted.RearSize)
        );
        Assert.Equal(
            (hardest.PullN, hardest.Teeth!.FirstToothN, hardest.Teeth.EvenShareN, hardest.FrontShaft.LoadN),
            (fitted.HardestPullN, fitted.FirstToothN, fitted.EvenShareN, fitted.ShaftLoadN)
        );
        Assert.Equal(
            loads.Checks.SingleOrDefault(c => c.Kind == LoadCheckKind.PinPressure)?.Value,
            fitted.PinPressureMpa
        );
        Assert.Equal(14, columns[1].Figures.FrontSize);
        Assert.Null(columns[2].Figures.FirstToothN);
        Assert.NotNull(columns[2].Figures.InstalledTensionN);
    }
}
