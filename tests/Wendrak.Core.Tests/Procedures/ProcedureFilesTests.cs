using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>The files of the procedures: they can be read, hold together, and say what a hand needs.</summary>
public sealed class ProcedureFilesTests
{
    public static TheoryData<ProcedureFamily> Families => [.. Enum.GetValues<ProcedureFamily>()];

    [Theory]
    [MemberData(nameof(Families))]
    public void Bounds_name_steps_that_are_there_and_the_file_holds_them(ProcedureFamily family)
    {
        IReadOnlyList<ProcedureStep> steps = ProcedureLibrary.Get(family).Steps;
        string[] keys = [.. steps.Select(s => s.Key)];
        Assert.Equal(keys.Distinct(), keys);
        Assert.All(steps.SelectMany(s => s.After.Concat(s.Closes).Concat(s.Habit)), k => Assert.Contains(k, keys));
        Assert.Null(new StepOrder(steps).FirstFault(keys));
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Each_says_what_to_do_why_and_how_long(ProcedureFamily family)
    {
        Procedure procedure = ProcedureLibrary.Get(family);
        Assert.True(procedure.Version >= 1);
        Assert.NotEmpty(procedure.Elements);
        Assert.NotEmpty(procedure.Changes);
        Assert.Contains("common practice", procedure.Source, StringComparison.Ordinal);
        Assert.All(
            procedure.Steps,
            s =>
            {
                Assert.EndsWith(".", s.Do, StringComparison.Ordinal);
                Assert.EndsWith(".", s.Why, StringComparison.Ordinal);
                // A sentence that a hand reads in passing, not a page.
                Assert.InRange(s.Do.Length, 5, 130);
                Assert.InRange(s.Minutes, 1, 15);
                Assert.InRange(s.Hands, 1, 2);
                Assert.All(s.Records, r => Assert.True(r.Low < r.High, $"{s.Key}: {r.Key}"));
                Assert.Equal(s.Records.Select(r => r.Key).Distinct(), s.Records.Select(r => r.Key));
                Assert.DoesNotContain(s.Way?.Right, s.Way?.Wrong.Select(w => w.Way) ?? []);
            }
        );
        // Each part of the tray and each position is one of its plan.
        Assert.Equal(
            procedure.Steps.SelectMany(s => s.Parts).Select(p => p.Key).Distinct(),
            procedure.Steps.SelectMany(s => s.Parts).Select(p => p.Key)
        );
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Each_change_goes_through_Set_ends_with_a_look_and_has_its_caution(ProcedureFamily family)
    {
        Procedure procedure = ProcedureLibrary.Get(family);
        foreach (ChangeKind change in procedure.Changes)
        {
            // The machine it is tried on has a belt.
            if (change == ChangeKind.ChainToBelt)
                continue;
            IReadOnlyList<PlannedStep> plan = Works.Plan(Works.For(family), family, change).Made!.Steps;
            Assert.Single(plan, s => s.Step.IsAtSet);
            Assert.Contains(plan, s => s.Step.Phase == StepPhase.Close && s.Step.IsMust);
            Assert.Contains(plan, s => s.Step.Caution is not null);
            Assert.All(plan, s => Assert.NotEmpty(s.Because));
        }
    }

    [Fact]
    public void What_no_step_asks_is_no_fact_and_an_unknown_family_is_refused()
    {
        HashSet<Fact> asked =
        [
            .. Enum.GetValues<ProcedureFamily>()
                .SelectMany(f => ProcedureLibrary.Get(f).Steps)
                .SelectMany(s => s.When.SelectMany(w => w).Concat(s.Unless)),
        ];
        Assert.Equal([], Enum.GetValues<Fact>().Except(asked));
        Refusals.Names("Family", () => ProcedureLibrary.Get((ProcedureFamily)99));
    }

    [Fact]
    public void An_order_made_wrong_is_named_at_its_first_wrong_step()
    {
        IReadOnlyList<ProcedureStep> steps = ProcedureLibrary.Get(ProcedureFamily.ArmSwap).Steps;
        StepOrder bounds = new(steps);
        List<string> order = [.. steps.Select(s => s.Key)];
        order.Remove("feed");
        order.Insert(order.IndexOf("arm-in") + 1, "feed");
        OrderFault fault = bounds.FirstFault(order)!;
        // The arm goes in and closes the way; the hub before it needs the loop round it.
        Assert.Equal(("round-hub", "feed", OrderBound.Needs), (fault.Step, fault.Missing, fault.Bound));
        order.Remove("round-hub");
        order.Add("round-hub");
        fault = bounds.FirstFault(order)!;
        Assert.Equal(("arm-in", "feed", OrderBound.ClosesTheWay), (fault.Step, fault.Missing, fault.Bound));
        Assert.Contains("closes the way", fault.Sentence, StringComparison.Ordinal);
    }
}
