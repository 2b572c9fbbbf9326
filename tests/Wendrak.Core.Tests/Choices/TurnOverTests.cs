using Wendrak.Core.Choices;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Choices;

/// <summary>What would turn an outcome does turn it, and less of it does not.</summary>
public sealed class TurnOverTests
{
    private static readonly string[] Keys = ["sealedChain", "toothedBelt", "plainChain"];
    private static readonly string[] Questions = ["frameOpens"];

    /// <summary>By cost, upkeep and mass; the belt is out where the frame does not open, or must stay closed.</summary>
    private static Decision Decide(LoopWeighing weighing, IReadOnlyDictionary<string, double> massKg) =>
        Decision.Of(
            [
                .. Keys.Select(key =>
                {
                    OptionFigures figures = weighing.Figures.First(f => f.Option == key);
                    RunningCost cost = RunningCost.Of(figures, weighing.RatePerHour, null)!;
                    bool isOut =
                        key == "toothedBelt"
                        && (
                            weighing.Musts.Contains(DriveMust.FrameStaysClosed)
                            || weighing.Answers.Any(a => a is { Question: "frameOpens", IsYes: false })
                        );
                    return new WeighedOption(
                        key,
                        isOut,
                        [
                            new(DriveWish.LowCost, cost.Low, cost.High, SaidBy.MeasuredHere),
                            new(DriveWish.LowMass, massKg[key], massKg[key], SaidBy.MakerOrStandard),
                            new(
                                DriveWish.LongLife,
                                figures.LifeLow!.Value,
                                figures.LifeHigh!.Value,
                                SaidBy.MeasuredHere
                            ),
                        ],
                        new Dictionary<DriveWish, int>()
                    );
                }),
            ],
            weighing.Wishes
        );

    private static (LoopWeighing Weighing, Dictionary<string, double> MassKg) Draw(Random random)
    {
        OptionFigures Figures(string key)
        {
            double life = random.Next(5_000, 60_000);
            return new(
                key,
                Price: random.Next(50, 500),
                FitMinutes: random.Next(120),
                LifeLow: life,
                LifeHigh: life * (1 + random.NextDouble()),
                UpkeepMinutes: random.Next(20),
                UpkeepEvery: random.Next(300, 4_000),
                Failures: random.NextDouble(),
                FailureCost: random.Next(1_000)
            );
        }
        LoopWeighing weighing = new(
            "final",
            null,
            [
                new(DriveWish.LowCost, random.Next(4)),
                new(DriveWish.LowMass, random.Next(4)),
                new(DriveWish.LongLife, random.Next(4)),
            ],
            null,
            random.Next(3) == 0 ? [DriveMust.FrameStaysClosed] : [],
            random.Next(2) == 0 ? [new("frameOpens", random.Next(2) == 0)] : [],
            [.. Keys.Select(Figures)],
            [],
            RatePerHour: random.Next(10, 80)
        );
        return (weighing, Keys.ToDictionary(k => k, _ => 0.5 + 2 * random.NextDouble()));
    }

    [Fact]
    public void Every_change_that_is_told_puts_first_what_it_says()
    {
        Random random = new(11);
        Dictionary<TurnedBy, int> told = [];
        for (int i = 0; i < 150; i++)
        {
            (LoopWeighing weighing, Dictionary<string, double> mass) = Draw(random);
            Decision now = Decide(weighing, mass);
            foreach (TurnOver turn in TurnOver.Find(weighing, w => Decide(w, mass), Keys, Questions))
            {
                told[turn.By] = told.GetValueOrDefault(turn.By) + 1;
                Assert.Equal(turn.First, Decide(turn.On(weighing), mass).First);
                Assert.NotEqual(now.First, turn.First);
                // A little less of it, towards what it is now, does not: the point is told, not a point beyond it.
                if (turn.By is TurnedBy.Price or TurnedBy.Life or TurnedBy.Failures)
                {
                    double less = turn.To * (turn.To > turn.From ? 1 - 1e-4 : 1 + 1e-4);
                    Assert.NotEqual(turn.First, Decide((turn with { To = less }).On(weighing), mass).First);
                }
            }
        }
        Assert.All(Enum.GetValues<TurnedBy>(), by => Assert.True(told.GetValueOrDefault(by) > 10, $"{by}"));
    }

    [Fact]
    public void A_wish_is_told_by_the_nearest_weight_that_turns_it()
    {
        Random random = new(12);
        int told = 0;
        for (int i = 0; i < 100; i++)
        {
            (LoopWeighing weighing, Dictionary<string, double> mass) = Draw(random);
            Decision now = Decide(weighing, mass);
            foreach (
                TurnOver turn in TurnOver
                    .Find(weighing, w => Decide(w, mass), Keys, Questions)
                    .Where(t => t.By == TurnedBy.Wish)
            )
            {
                told++;
                for (int weight = 0; weight <= WishWeight.Most; weight++)
                    if (Math.Abs(weight - turn.From) < Math.Abs(turn.To - turn.From))
                    {
                        string? first = Decide((turn with { To = weight }).On(weighing), mass).First;
                        Assert.True(first is null || first == now.First);
                    }
            }
        }
        Assert.True(told > 20);
    }

    [Fact]
    public void Nothing_is_told_where_nothing_turns_it()
    {
        LoopWeighing weighing = LoopWeighing.Empty("final", null) with { Wishes = [new(DriveWish.Quiet, 1)] };
        Decision alone = new(OutcomeKind.OneLeft, "toothedBelt", null, [], [], [], []);
        Assert.Empty(TurnOver.Find(weighing, _ => alone, Keys, Questions));
    }
}
