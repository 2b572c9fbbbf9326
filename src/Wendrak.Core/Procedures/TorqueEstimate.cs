using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Procedures;

/// <summary>What the pull at the end of an arm is told by.</summary>
public enum PullTold
{
    /// <summary>A spring scale hooked to the arm.</summary>
    Scale,

    /// <summary>A hand that knows its own pull.</summary>
    Hand,
}

/// <summary>A pull at the end of an arm, square to it.</summary>
/// <param name="ArmMm">From the middle of the nut to the middle of the pull, mm.</param>
/// <param name="PullN">Force of the pull, N.</param>
public sealed record TorqueEstimateInput(double ArmMm, double PullN, PullTold Told);

/// <summary>An estimate of a torque: no reading.</summary>
/// <param name="TorqueNm">Best estimate, Nm.</param>
/// <param name="LowNm">Least that it may be, Nm.</param>
/// <param name="HighNm">Most that it may be, Nm.</param>
/// <param name="Workings">Formula, values, source and limits.</param>
public sealed record TorqueEstimateResult(
    double TorqueNm,
    double LowNm,
    double HighNm,
    IReadOnlyList<Working> Workings
);

/// <summary>Length of an arm times its pull.</summary>
public static class TorqueEstimate
{
    private const double ScaleWithin = 0.1; // judgement: a luggage scale, read while it moves
    private const double HandWithin = 0.4; // judgement: people told to pull 200 N pull 120 to 280
    private const double GripMm = 15; // judgement: half a hand's width on the arm
    private const double ShortestArmMm = 50;
    private const double LongestArmMm = 2_000;
    private const double MostPullN = 1_500; // more than a person hangs on an arm: common practice

    private static readonly Formula<Func<double, double, double>> Torque = new(
        "Torque by arm and pull",
        "T",
        ("at the nut", "Nm"),
        (L, F) => L * F / 1_000,
        [("length of the arm", "mm"), ("pull", "N")],
        "statics: moment of a force about the nut",
        "Pull square to the arm, nut free to turn. An estimate, no torque reading: what sticks in thread and face is in it."
    );

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static TorqueEstimateResult From(TorqueEstimateInput input)
    {
        new Guard()
            .Between(nameof(input.ArmMm), input.ArmMm, ShortestArmMm, LongestArmMm, "mm")
            .Between(nameof(input.PullN), input.PullN, 1, MostPullN, "N")
            .OneOf(nameof(input.Told), input.Told)
            .ThrowIfAny();
        Explained torque = Torque.With(input.ArmMm, input.PullN);
        double pull = input.Told == PullTold.Scale ? ScaleWithin : HandWithin;
        // Both by their worst: neither is a chance that evens out.
        double grip = GripMm / input.ArmMm;
        return new(
            torque.Value,
            torque.Value * (1 - pull) * (1 - grip),
            torque.Value * (1 + pull) * (1 + grip),
            [torque.Working]
        );
    }
}
