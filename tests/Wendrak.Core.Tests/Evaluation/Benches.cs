using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Stored machines to ask about.</summary>
internal static class Benches
{
    public static readonly EvaluationScope Final = new(["final"]);

    /// <summary>A motorcycle of one chain, laid out, with what pulls it.</summary>
    public static StoredMachine Motorcycle(params Setup[] more)
    {
        Machine machine = new(7, 1, "Curlew", MachineKind.Motorcycle, null, null, null, [Drives.Motorcycle()], null)
        {
            Layouts = [Fits.Slot(628, 668)],
            Loads = new([new("drive", PeakTorqueNm: 60)], []),
            Said = Enum.GetValues<GuessKind>(),
        };
        return Of(machine, Drives.Pair(15, 45), more);
    }

    public static StoredMachine Of(Machine machine, IReadOnlyList<LoopChoice> fitted, params Setup[] more)
    {
        Setup asFitted = Setup(1, SetupStatus.AsFitted, fitted);
        return new(machine, asFitted, [asFitted, .. more], [], []);
    }

    public static Setup Setup(long id, SetupStatus status, IReadOnlyList<LoopChoice> loops, string name = "B") =>
        new(id, 1, 7, name, status, loops, [], new(2026, 5, 1), null, null, null);

    public static SetJob Visit(long id, string loopKey, params double[] playMm) =>
        new(
            id,
            1,
            7,
            loopKey,
            new(2026, 11, 1),
            null,
            SetGoal.Both,
            playMm.Length == 0
                ? []
                :
                [
                    new(
                        0,
                        0,
                        LockState.Nipped,
                        [.. playMm.Select((p, i) => new Reading(ReadingMethod.FreePlay, p, i))]
                    ),
                ],
            [],
            null
        );

    /// <summary>Two drives of two chains each, the right one as the left one.</summary>
    public static StoredMachine Rail(params Setup[] more)
    {
        Drive left = Drives.WithStages(
            [Drives.Chain("left first", "in", "middle"), Drives.Chain("left last", "middle", "axle")],
            new DriveOutput("left wheel", "axle", true, new(null, 300))
        ) with
        {
            Key = "left",
            Name = "Left",
        };
        Drive right = Drives.WithStages(
            [Drives.Chain("right first", "in", "middle"), Drives.Chain("right last", "middle", "axle")],
            new DriveOutput("right wheel", "axle", true, new(null, 300))
        ) with
        {
            Key = "right",
            Name = "Right",
            Mirrors = "left",
        };
        string[] keys = ["left first", "left last", "right first", "right last"];
        Machine machine = new(7, 1, "Pipit", MachineKind.Robot, null, null, null, [left, right], null)
        {
            Settings = [.. keys.Select(k => new LoopSetting(k, new(AdjusterKind.TwoEnds), SpanMm: 400))],
        };
        return Of(machine, [.. keys.Select(k => new LoopChoice(k, 15, 45, 100))], more);
    }

    public static EvaluationAnswer Ask(
        this StoredMachine machine,
        EvaluationParts parts,
        EvaluationScope? scope = null,
        Workshop? workshop = null
    ) => MachineEvaluation.Answer(machine, workshop, scope ?? Final, parts);
}
