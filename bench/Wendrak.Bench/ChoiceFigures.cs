using System.Diagnostics;
using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Prints how long the kinds of drive of a loop take to be weighed, as it opens and with every price and wish typed.</summary>
internal static class ChoiceFigures
{
    private const int Times = 300;
    private const int Warming = 100;

    public static void Print()
    {
        foreach (MachineKind kind in Enum.GetValues<MachineKind>())
        {
            StoredMachine machine = StoredMachine.From(StartingMachines.For(kind), default);
            string loopKey = MachineRules.LoopsOf(machine.Machine).First().Key;
            ChoiceDesk Weigh(LoopWeighing? weighing) =>
                ChoiceDesk.Of(new(machine, null, loopKey, null), weighing, new(2026, 11, 1));
            LoopWeighing typed = Typed(Weigh(null));
            (double Median, double P95) open = Measure(() => Weigh(null));
            (double Median, double P95) priced = Measure(() => Weigh(typed));
            Console.WriteLine(
                FormattableString.Invariant(
                    $"{kind, -12} as it opens: median {open.Median:0.0} ms, 95th {open.P95:0.0}; typed, {Weigh(typed).Turns.Count} that turn it: {priced.Median:0.0}, 95th {priced.P95:0.0}"
                )
            );
        }
    }

    private static LoopWeighing Typed(ChoiceDesk desk) =>
        desk.Weighing with
        {
            Wishes = [.. Enum.GetValues<DriveWish>().Select(w => new WishWeight(w, 1 + (int)w % WishWeight.Most))],
            RatePerHour = 22,
            Figures =
            [
                .. desk.Columns.Select(
                    (column, n) =>
                        new OptionFigures(
                            column.Key,
                            Price: 70 + 150 * n,
                            LifeLow: 8000 + 9000 * n,
                            LifeHigh: 12000 + 12000 * n,
                            LifeBy: SaidBy.MakerOrStandard,
                            UpkeepMinutes: 12,
                            UpkeepEvery: 500 + 900 * n,
                            Failures: 1,
                            FailureCost: 300
                        )
                ),
            ],
        };

    private static (double Median, double P95) Measure(Func<ChoiceDesk> weigh)
    {
        double[] ms =
        [
            .. Enumerable
                .Range(0, Warming + Times)
                .Select(_ =>
                {
                    Stopwatch clock = Stopwatch.StartNew();
                    weigh();
                    return clock.Elapsed.TotalMilliseconds;
                })
                .Skip(Warming)
                .Order(),
        ];
        return (ms[Times / 2], ms[Times * 95 / 100]);
    }
}
