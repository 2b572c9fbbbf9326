using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Power to enter the charts of chain makers with, by both practices.</summary>
/// <remarks>
/// ISO 10823: P·f1·f2 with f2 = (19/z)^1.08; f1 from memory. ACA: P·Ks over the strand factor, for tables that know the teeth. The
/// power is the greatest that lasts: charts are for all day, not for a moment's pull.
/// </remarks>
/// <param name="Rpm">Of the small sprocket, to find the place in the chart.</param>
/// <param name="ApplicationFactor">f1 of ISO 10823, by how load and drive behave.</param>
/// <param name="ToothFactor">f2 of ISO 10823, by the teeth of the small sprocket.</param>
/// <param name="PowerKw">Power that lasts, as it is, kW.</param>
/// <param name="IsoKw">To enter charts by ISO 10823 with, kW.</param>
/// <param name="AcaKw">To enter tables that know the teeth with, kW.</param>
public sealed record ChartPower(
    OperatingPointKind Point,
    double PowerKw,
    double Rpm,
    double ApplicationFactor,
    double ToothFactor,
    double IsoKw,
    double AcaKw
)
{
    /// <returns>Null for belts.</returns>
    internal static ChartPower? Compute(LoadedLoop loop)
    {
        if (loop.Loop.DriveElement != DriveElement.Chain)
            return null;
        OperatingPoint point = loop.Lasting;
        LoadCharacter character = loop.Input.Source.Character ?? LoadCharacter.ModerateShock;
        double f1 = ShockFactors.IsoOf(loop.Input.Drive.Input.Kind, character).Factor;
        Given power = new(point.PowerKw, Meaning: $"power, {LoadWorkings.NameOf(point.Kind)}");
        Explained f2 = ChainRating.ToothFactorIso.With(loop.SmallerLinks);
        Explained iso = ChainRating.ChartPowerIso.With(
            power,
            new(f1, IsUsual: loop.Input.Source.Character is null),
            f2.Value
        );
        Explained aca = ChainRating.ChartPowerAca.With(
            power,
            loop.Shock,
            ChainRating.StrandFactor(loop.Strength.Strands)
        );
        return new(point.Kind, point.PowerKw, loop.SmallerRpm(point), f1, f2.Value, iso.Value, aca.Value)
        {
            Figures = [iso, f2, aca],
        };
    }

    private IReadOnlyList<Explained> Figures { get; init; } = [];

    internal IEnumerable<Working> Workings() => Figures.Select(f => f.Working);
}
