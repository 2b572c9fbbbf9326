using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Loads;

/// <summary>A chain drive that is known to last, by the figures people remember of it.</summary>
/// <param name="Standard">Chain of the tables.</param>
/// <param name="Teeth">Of the driving sprocket.</param>
/// <param name="Rpm">Of its shaft.</param>
public sealed record KnownChainInput(string Standard, int Teeth, double Rpm, double PowerKw);

/// <param name="PinPressureMpa">From the pull alone; null where the tables do not tell the bearing area.</param>
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
    public static KnownChainResult Of(KnownChainInput input)
    {
        ChainSize? chain = Chains.Find(input.Standard);
        new Guard()
            .That(chain is not null, nameof(input.Standard), "unknown", "Give a chain of the tables.")
            .Between(nameof(input.Teeth), input.Teeth, 5, 200, "teeth")
            .Between(nameof(input.Rpm), input.Rpm, 0.1, 50_000, "rpm")
            .Between(nameof(input.PowerKw), input.PowerKw, 0.001, 10_000, "kW")
            .ThrowIfAny();
        double speed = ChainPull.SpeedMS(chain!.PitchMm, input.Teeth, input.Rpm);
        double pull = ChainPull.PullOfPowerN(input.PowerKw, speed);
        ToothLoadsResult teeth = ToothLoads.Of(input.Teeth, WrapDeg, pull);
        return new(
            speed,
            pull,
            teeth.FirstToothN,
            teeth.EvenShareN,
            pull / chain.BearingAreaMm2,
            chain.MassKgPerM,
            [
                new(
                    "Pull of the known drive",
                    "F = 1000·P/v, v = N·p·n/60 000",
                    [
                        new("P", "power", input.PowerKw, "kW"),
                        new("N", "teeth of the driving sprocket", input.Teeth, ""),
                        new("p", "pitch", chain.PitchMm, "mm"),
                        new("n", "speed of the shaft", input.Rpm, "rpm"),
                        new("v", "speed of the chain", speed, "m/s"),
                    ],
                    new("F", "pull", pull, "N"),
                    "Shigley ch. 17",
                    "Half a turn of wrap; no shock, sag or speed counted."
                ),
            ]
        );
    }
}
