using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>What it takes to change wheels on a machine, each in minutes and money.</summary>
/// <param name="BothMinutes">Both wheels in one go: less than one after the other.</param>
/// <param name="FrontMinutes">For the front wheel.</param>
/// <param name="FrontMoney">For the front wheel, beside its price.</param>
/// <param name="RearMinutes">For the rear wheel.</param>
/// <param name="RearMoney">For the rear wheel, beside its price.</param>
/// <param name="BothMoney">The same in money.</param>
public sealed record WorkCosts(
    double FrontMinutes,
    double FrontMoney,
    double RearMinutes,
    double RearMoney,
    double BothMinutes,
    double BothMoney
)
{
    /// <summary>Stands in until the workshop gives its own figures: front less than rear less than both.</summary>
    /// <remarks>Common practice: the front wheel is behind a cover, the rear one behind the road wheel.</remarks>
    public static WorkCosts Default { get; } = new(25, 0, 60, 0, 75, 0);

    /// <summary>Where the rear sprocket is in halves it comes off with the road wheel in place.</summary>
    public static WorkCosts DefaultWithSplitRear { get; } = new(25, 0, 15, 0, 35, 0);

    public static WorkCosts DefaultFor(Loop loop) => loop.RearIsSplit ? DefaultWithSplitRear : Default;

    internal static Guard Check(WorkCosts costs)
    {
        const double longestMinutes = 10_000;
        const double mostMoney = 1_000_000;
        return new Guard()
            .Between(nameof(FrontMinutes), costs.FrontMinutes, 0, longestMinutes, "min")
            .Between(nameof(RearMinutes), costs.RearMinutes, 0, longestMinutes, "min")
            .Between(nameof(BothMinutes), costs.BothMinutes, 0, longestMinutes, "min")
            .Between(nameof(FrontMoney), costs.FrontMoney, 0, mostMoney, "")
            .Between(nameof(RearMoney), costs.RearMoney, 0, mostMoney, "")
            .Between(nameof(BothMoney), costs.BothMoney, 0, mostMoney, "");
    }
}
