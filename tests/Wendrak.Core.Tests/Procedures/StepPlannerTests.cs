using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>The planner against every order there is, and on machines nobody chose.</summary>
public sealed class StepPlannerTests
{
    private static ProcedureStep Step(
        string key,
        StepPhase phase = StepPhase.On,
        WorkPlace place = WorkPlace.Bench,
        ToolKind? tool = null,
        string[]? after = null,
        string[]? closes = null,
        string[]? habit = null,
        Fact[]? when = null
    ) =>
        new(
            key,
            phase,
            key,
            "why",
            null,
            1,
            1,
            place,
            tool is ToolKind t ? [new(t)] : [],
            when is null ? [] : [when],
            [],
            after ?? [],
            closes ?? [],
            habit ?? [],
            [],
            null,
            null,
            null,
            null,
            false,
            false,
            []
        );

    private static Procedure Of(params ProcedureStep[] steps) =>
        new(ProcedureFamily.FinalChain, "t", 1, "a", "s", [DriveElement.Chain], [ChangeKind.Loop], steps);

    private static string[] Plan(Procedure procedure, params Fact[] facts) =>
        [.. StepPlanner.Compose(procedure, facts.ToHashSet()).Select(s => s.Step.Key)];

    private static readonly Gen<Procedure> Any = Gen.Select(
            Gen.Int[3, 7],
            Gen.Int[0, 2].Array[7],
            Gen.Int[0, 2].Array[7],
            Gen.Int[-1, 1].Array[7],
            Gen.Int[0, 11].Array[21]
        )
        .Select(
            (n, phases, places, tools, bounds) =>
                Of([
                    .. Enumerable
                        .Range(0, n)
                        .Select(i =>
                        {
                            string[] Earlier(int kind) =>
                                [
                                    .. Enumerable
                                        .Range(0, i)
                                        .Where(j => bounds[((i * (i - 1)) / 2) + j] == kind)
                                        .Select(j => $"s{j}"),
                                ];
                            return Step(
                                $"s{i}",
                                // In the order of the file, as a procedure has it.
                                (StepPhase)phases.Take(i + 1).Max(),
                                (WorkPlace)places[i],
                                tools[i] < 0 ? null : (ToolKind)tools[i],
                                Earlier(0),
                                Earlier(1),
                                Earlier(2)
                            );
                        }),
                ])
        );

    [Fact]
    public void No_order_that_holds_has_fewer_changes_of_place_and_tool() =>
        Any.Sample(
            procedure =>
            {
                StepOrder bounds = new(procedure.Steps);
                PlannedStep[] plan = [.. StepPlanner.Compose(procedure, new HashSet<Fact>())];
                Assert.Null(bounds.FirstFault(plan.Select(s => s.Step.Key)));
                int fewest = Orders([.. procedure.Steps])
                    .Where(o => bounds.FirstFault(o.Select(s => s.Key)) is null)
                    .Min(StepPlanner.CountChanges);
                Assert.Equal(fewest, StepPlanner.CountChanges(plan.Select(s => s.Step)));
            },
            iter: 80,
            threads: 1
        );

    private static IEnumerable<IReadOnlyList<ProcedureStep>> Orders(IReadOnlyList<ProcedureStep> steps)
    {
        if (steps.Count == 0)
            yield return [];
        for (int i = 0; i < steps.Count; i++)
            foreach (IReadOnlyList<ProcedureStep> rest in Orders([.. steps.Where((_, j) => j != i)]))
                yield return [steps[i], .. rest];
    }

    [Fact]
    public void What_a_step_waits_for_is_waited_for_through_steps_that_do_not_apply()
    {
        Procedure procedure = Of(
            Step("last", place: WorkPlace.Rear),
            Step("first", place: WorkPlace.Front),
            Step("between", after: ["first"], when: [Fact.Engine]),
            Step("late", place: WorkPlace.Rear, after: ["between"])
        );
        string[] plan = Plan(procedure);
        Assert.DoesNotContain("between", plan);
        Assert.True(Array.IndexOf(plan, "first") < Array.IndexOf(plan, "late"));
        Assert.Contains("between", Plan(procedure, Fact.Engine));
    }

    [Fact]
    public void Parts_of_the_work_follow_each_other_and_alike_orders_stay_as_the_file_has_them()
    {
        Assert.Equal(
            ["look", "off", "on"],
            Plan(Of(Step("on"), Step("off", StepPhase.Off), Step("look", StepPhase.Before)))
        );
        Assert.Equal(["a", "b", "c"], Plan(Of(Step("a"), Step("b"), Step("c"))));
        // Bare hands lay no tool down.
        Assert.Equal(
            0,
            StepPlanner.CountChanges([Step("a", tool: ToolKind.Socket), Step("b"), Step("c", tool: ToolKind.Socket)])
        );
        Assert.Equal(1, StepPlanner.CountChanges([Step("a", tool: ToolKind.Socket), Step("b", tool: ToolKind.Punch)]));
    }

    [Fact]
    public void Every_family_change_adjuster_and_kind_of_machine_gives_an_order_that_holds() =>
        Gen.Select(
                Gen.Enum<ProcedureFamily>(),
                Gen.Enum<MachineKind>(),
                Gen.Enum<AdjusterKind>(),
                Gen.Int[0, 9],
                Gen.Int[0, 9]
            )
            .Sample(
                (family, kind, adjuster, change, element) =>
                {
                    Procedure procedure = ProcedureLibrary.Get(family);
                    (Machine, Setup, Loop Loop) machine = Works.On(
                        kind,
                        procedure.Elements[element % procedure.Elements.Count],
                        adjuster
                    );
                    ChangeKind[] possible =
                    [
                        .. procedure.Changes.Where(c =>
                            c != ChangeKind.BeltToChain && c != ChangeKind.ChainToBelt
                            || (c == ChangeKind.ChainToBelt) == (machine.Loop.DriveElement == DriveElement.Chain)
                        ),
                    ];
                    PlannedStep[] plan =
                    [
                        .. Works.Plan(machine, family, possible[change % possible.Length]).Made!.Steps,
                    ];
                    Assert.Null(new StepOrder([.. plan.Select(s => s.Step)]).FirstFault(plan.Select(s => s.Step.Key)));
                    // Against all bounds of the file, too, as far as both steps are there.
                    string[] keys = [.. plan.Select(s => s.Step.Key)];
                    Assert.All(
                        procedure.Steps.Where(s => keys.Contains(s.Key)),
                        s =>
                            Assert.All(
                                s.After.Concat(s.Closes).Concat(s.Habit).Where(keys.Contains),
                                e => Assert.True(Array.IndexOf(keys, e) < Array.IndexOf(keys, s.Key), $"{e} {s.Key}")
                            )
                    );
                },
                iter: 400
            );
}
