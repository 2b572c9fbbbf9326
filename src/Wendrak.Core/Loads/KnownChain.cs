using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Loads;

/// <summary>A chain drive that is known to last, by the figures people remember of it.</summary>
/// <param name="Standard">Chain of the tables.</param>
/// <param name="Teeth">Of the driving sprocket.</param>
/// <param name="Rpm">Of its shaft.</param>
/// <param name="PowerKw">That it passes on, kW.</param>
public sealed record KnownChainInput(string Standard, int Teeth, double Rpm, double PowerKw);

/// <param name="PinPressureMpa">From the pull alone; null where the tables do not tell the bearing area.</param>
/// <param name="SpeedMS">Of the chain, m/s.</param>
/// <param name="PullN">From the power, N.</param>
/// <param name="FirstToothN">Force on the tooth where the tight run comes on, N.</param>
/// <param name="EvenShareN">Pull over the teeth in mesh, N.</param>
/// <param name="MassKgPerM">Of the chain.</param>
public sealed record KnownChainResult(
    double SpeedMS,
    double PullN,
    double FirstToothN,
    double EvenShareN,
    double? PinPressureMpa,
    double MassKgPerM,
    IReadOnlyList<Working> Workings
);

/// <summary>Loads of a drive that is only known by chain, teeth, speed and power. Source: Shigley ch. 17; Binder.</summary>
public static class KnownChain
{
    // Nobody remembers the other sprocket: as if it were as large.
    private const double WrapDeg = 180;

    /// <exception cref="InvalidInputException">The chain is not in the tables, or a figure is not physical.</exception>
    public static KnownChainResult Compute(KnownChainInput input)
    {
        ChainSize? chain = Chains.Find(input.Standard);
        new Guard()
            .That(chain is not null, nameof(input.Standard), "unknown", "Give a chain of the tables.")
            .Between(nameof(input.Teeth), input.Teeth, 5, 200, "teeth")
            .Between(nameof(input.Rpm), input.Rpm, 0.1, 50_000, "rpm")
            .Between(nameof(input.PowerKw), input.PowerKw, 0.001, 10_000, "kW")
            .ThrowIfAny();
        Explained speed = ChainPull.Speed.With(input.Teeth, chain!.PitchMm, input.Rpm);
        Explained pull = ChainPull.OfPower.With(new(input.PowerKw, Meaning: "power"), speed.Value);
        ToothLoadsResult teeth = ToothLoads.Compute(input.Teeth, WrapDeg, pull.Value);
        return new(
            speed.Value,
            pull.Value,
            teeth.FirstToothN,
            teeth.EvenShareN,
            pull.Value / chain.BearingAreaMm2,
            chain.MassKgPerM,
            [
                pull.Working with
                {
                    Title = "Pull of the known drive",
                    Limits = "Half a turn of wrap; no shock, sag or speed counted.",
                },
                speed.Working,
                ToothLoads.FirstTooth.With(pull.Value, input.Teeth, teeth.PressureAngleDeg).Working,
            ]
        );
    }
}
