using System.Diagnostics;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Prints whether any of 10 000 random works breaks a bound, and what a plan of sixty steps takes.</summary>
internal static class PlanFigures
{
    private const int Works = 10_000;
    private const int Steps = 60;

    public static void Print()
    {
        Random random = new(1);
        int broken = 0;
        int changes = 0;
        int filed = 0;
        for (int i = 0; i < Works; i++)
        {
            (Procedure procedure, IReadOnlyList<PlannedStep> plan) = Draw(random);
            string[] keys = [.. plan.Select(s => s.Step.Key)];
            ProcedureStep[] inFile = [.. procedure.Steps.Where(s => keys.Contains(s.Key))];
            broken += new StepOrder(procedure.Steps, inFile).FirstFault(keys) is null ? 0 : 1;
            changes += StepPlanner.CountChanges(plan.Select(s => s.Step));
            filed += StepPlanner.CountChanges(inFile);
        }
        Console.WriteLine($"{Works} random machines and changes: {broken} break a bound");
        Console.WriteLine(
            $"changes of place and tool: {(double)changes / Works:0.0}, in the order of the files {(double)filed / Works:0.0}"
        );
        Procedure sixty = Sixty(random);
        double[] ms = [.. Enumerable.Range(0, 200).Select(_ => Measure(sixty)).Skip(20).Order()];
        Console.WriteLine(
            $"a plan of {Steps} steps: median {ms[ms.Length / 2]:0.00} ms, 95th {ms[ms.Length * 95 / 100]:0.00} ms"
        );
    }

    private static (Procedure, IReadOnlyList<PlannedStep>) Draw(Random random)
    {
        Procedure procedure = ProcedureLibrary.Get((ProcedureFamily)random.Next(11));
        MachineDraft draft = StartingMachines.For((MachineKind)random.Next(8));
        Drive drive = draft.Machine.Drives[0];
        Loop loop = drive.Stages.OfType<Loop>().First();
        DriveElement element = procedure.Elements[random.Next(procedure.Elements.Count)];
        Loop changed = loop with { DriveElement = element };
        Machine machine = draft.Machine with
        {
            Drives = [drive with { Stages = [.. drive.Stages.Select(s => s == loop ? changed : s)] }],
            Settings = [new(loop.Key, new Adjuster((AdjusterKind)random.Next(9)))],
        };
        Setup fitted = StoredMachine.From(draft with { Machine = machine }, default).Fitted;
        ChangeKind[] possible =
        [
            .. procedure.Changes.Where(c =>
                c is not (ChangeKind.BeltToChain or ChangeKind.ChainToBelt)
                || (c == ChangeKind.ChainToBelt) == (element == DriveElement.Chain)
            ),
        ];
        PlanMade sent = new(possible[random.Next(possible.Length)], loop.Key, procedure.Family, null);
        return (procedure, WorkPlan.Fill(sent, machine, fitted, "").Made!.Steps);
    }

    /// <summary>Sixty steps at any place with any tool, each waiting for up to two that come before it.</summary>
    private static Procedure Sixty(Random random) =>
        new(
            ProcedureFamily.FinalChain,
            "sixty",
            1,
            "",
            "",
            [DriveElement.Chain],
            [ChangeKind.Loop],
            [
                .. Enumerable
                    .Range(0, Steps)
                    .Select(i => new ProcedureStep(
                        $"s{i}",
                        (StepPhase)(i * 5 / Steps),
                        "",
                        "",
                        null,
                        1,
                        1,
                        (WorkPlace)random.Next(8),
                        [new((ToolKind)random.Next(16))],
                        [],
                        [],
                        i == 0
                            ? []
                            : [.. Enumerable.Range(0, random.Next(3)).Select(_ => $"s{random.Next(i)}").Distinct()],
                        [],
                        [],
                        [],
                        null,
                        null,
                        null,
                        null,
                        false,
                        false,
                        []
                    )),
            ]
        );

    private static double Measure(Procedure procedure)
    {
        long started = Stopwatch.GetTimestamp();
        StepPlanner.Compose(procedure, new HashSet<Fact>());
        return Stopwatch.GetElapsedTime(started).TotalMilliseconds;
    }
}
