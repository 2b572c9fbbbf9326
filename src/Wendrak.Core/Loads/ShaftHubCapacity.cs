using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>A joint and the torque it must pass on.</summary>
/// <param name="TorqueNm">With shock, the hardest there is.</param>
/// <param name="YieldMpa">Of the softer part; null for mild steel.</param>
/// <param name="ProofTorqueNm">Torque that this joint was tested with and held; wins over the sum.</param>
/// <param name="LiftsOrFlies">As the drive's <see cref="LoadSource"/> says: then figures are told and no verdict.</param>
public sealed record ShaftHubCapacityInput(
    ShaftHubConnection Carrier,
    double TorqueNm,
    double? YieldMpa,
    double? ProofTorqueNm,
    bool LiftsOrFlies = false
);

/// <summary>What a joint of wheel and shaft can carry.</summary>
/// <param name="Margin">Of the proof test where there was one, else the smallest of the stresses.</param>
/// <param name="IsProven">True where a proof test has the say.</param>
/// <param name="YieldMpa">Yield stress it was counted with, MPa.</param>
/// <param name="WantedMargin">Margin that is wanted.</param>
public sealed record ShaftHubCapacityResult(
    IReadOnlyList<ConnectionStress> Stresses,
    double YieldMpa,
    double Margin,
    double WantedMargin,
    bool IsProven,
    Verdict Verdict,
    IReadOnlyList<Working> Workings
);

/// <summary>Whether key, spline, bolts or shaft hold a torque. Source: Shigley ch. 3, 7 and 8; statics.</summary>
public static class ShaftHubCapacity
{
    /// <summary>Mild steel as rolled: of the softer part where nobody said more (common practice).</summary>
    public const double MildSteelMpa = 235;

    private const double Wanted = 2; // against yield under alternating torque: common practice
    private const double WantedProven = 1.25; // tested over what is asked: common practice

    /// <exception cref="InvalidInputException">A size or torque is not physical.</exception>
    public static ShaftHubCapacityResult Compute(ShaftHubCapacityInput input)
    {
        new Guard()
            .Include(new Guard("Carrier.").Include(input.Carrier.Check()))
            .Between(nameof(input.TorqueNm), input.TorqueNm, 0.01, 1e6, "Nm")
            .Include(CheckMaterial(input.YieldMpa, input.ProofTorqueNm))
            .ThrowIfAny();
        double yield = input.YieldMpa ?? MildSteelMpa;
        IReadOnlyList<ConnectionStress> stresses = input.Carrier.At(input.TorqueNm, yield);
        bool isProven = input.ProofTorqueNm is not null;
        double margin = input.ProofTorqueNm / input.TorqueNm ?? stresses.Min(s => s.Margin);
        double wanted = isProven ? WantedProven : Wanted;
        bool isJudged = LoadSource.Judges(input.LiftsOrFlies);
        Verdict verdict =
            !isJudged ? Verdict.NotApplicable
            : margin >= wanted ? Verdict.Fine
            : margin >= 1 ? Verdict.Watch
            : Verdict.Stop;
        return new(
            stresses,
            yield,
            margin,
            wanted,
            isProven,
            verdict,
            [.. stresses.Select(s => Explain(s, input, yield))]
        );
    }

    internal static Guard CheckMaterial(double? yieldMpa, double? proofTorqueNm) =>
        new Guard()
            .BetweenIfGiven(nameof(ShaftHubCapacityInput.YieldMpa), yieldMpa, 20, 3_000, "N/mm²")
            .BetweenIfGiven(nameof(ShaftHubCapacityInput.ProofTorqueNm), proofTorqueNm, 0.01, 1e6, "Nm");

    private static Working Explain(ConnectionStress stress, ShaftHubCapacityInput input, double yield) =>
        stress.Stress.Working with
        {
            Title = FormattableString.Invariant($"{stress.Stress.Working.Title} at {input.TorqueNm:0.##} Nm"),
            Beside =
            [
                new("yield", "strength of the softer part", yield, "N/mm²", input.YieldMpa is null),
                new("limit", "where it gives way: yield, or 0.577 of it in shear", stress.YieldMpa, "N/mm²"),
            ],
        };
}
