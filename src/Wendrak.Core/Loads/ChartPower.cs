using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Power to enter the charts of chain makers with, by both practices.</summary>
/// <remarks>
/// ISO 10823: P·f1·f2 with f2 = (19/z)^1.08; f1 from memory. ACA: P·Ks over the strand factor, for tables that know the teeth. The
/// power is the greatest that lasts: charts are for all day, not for a moment's pull.
/// </remarks>
/// <param name="Rpm">Of the small sprocket, to find the place in the chart.</param>
/// <param name="ApplicationFactor">f1.</param>
/// <param name="ToothFactor">f2.</param>
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
    internal static ChartPower? Of(LoadedLoop loop)
    {
        if (loop.Loop.Medium != DriveElement.Chain)
            return null;
        OperatingPoint point = loop.Lasting;
        LoadCharacter character = loop.Input.Source.Character ?? LoadCharacter.ModerateShock;
        double f1 = ShockFactors.IsoOf(loop.Input.Drive.Input.Kind, character).Factor;
        double f2 = ChainRating.ToothFactor(loop.SmallerLinks);
        return new(
            point.Kind,
            point.PowerKw,
            loop.SmallerRpm(point),
            f1,
            f2,
            ChainRating.CorrectedKw(point.PowerKw, f1, loop.SmallerLinks),
            point.PowerKw * loop.ShockFactor / ChainRating.StrandFactor(loop.Strength.Strands)
        );
    }

    internal IEnumerable<Working> Explain(LoadedLoop loop)
    {
        WorkingValue power = new("P", $"power, {LoadWorkings.NameOf(Point)}", PowerKw, "kW");
        yield return new(
            "Power for the chart, ISO 10823",
            "P_c = P·f1·f2, f2 = (19/z)^1.08",
            [
                power,
                new("f1", "application factor", ApplicationFactor, "", loop.Input.Source.Character is null),
                new("z", "teeth of the small sprocket", loop.SmallerLinks, ""),
                new("f2", "tooth factor", ToothFactor, ""),
            ],
            new("P_c", "look up at the speed of the small sprocket", IsoKw, "kW"),
            "ISO 10823 (f1 from memory)",
            "One strand: divide by the maker's strand factor for more."
        );
        yield return new(
            "Power for the table, ACA",
            "P_d = P·k/strands",
            [
                power,
                new("k", "service factor", loop.ShockFactor, "", loop.Strength.ShockFactor is null),
                new("strands", "factor of strands side by side", ChainRating.StrandFactor(loop.Strength.Strands), ""),
            ],
            new("P_d", "look up at teeth and speed of the small sprocket", AcaKw, "kW"),
            "Shigley ch. 17; strands by Table 17-23",
            "For tables that know the teeth: no tooth factor beside them."
        );
    }
}
