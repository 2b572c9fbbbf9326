using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>The three members of a simple planetary set that can be held, driven or taken off.</summary>
public enum PlanetaryMember
{
    Sun,
    Ring,
    Carrier,
}

/// <summary>Ratio and buildability of a simple planetary set.</summary>
/// <param name="Reduction">Input turns per output turn; negative when the output turns against the input.</param>
/// <param name="PlanetTeeth">(ring − sun)/2; not whole when the set can't be built with unshifted gears.</param>
/// <param name="Output">The member that is neither held nor driven.</param>
public sealed record PlanetaryRatio(double Reduction, double PlanetTeeth, PlanetaryMember Output);

public static class Planetary
{
    /// <summary>Fewest teeth of a sun or ring taken at face value.</summary>
    public const int FewestTeeth = 6;

    /// <summary>Most teeth of a ring: beyond this a typing mistake is likelier than a gear.</summary>
    public const int MostTeeth = 2000;

    /// <summary>Reduction of a simple planetary set with one member held.</summary>
    /// <exception cref="InvalidInputException">Ring not larger than sun, or the held member is also the input.</exception>
    /// <remarks>
    /// Willis: (ωs − ωc)/(ωr − ωc) = −Zr/Zs, with the held speed set to 0. Source: Machinery's Handbook, planetary
    /// gears. Leaves out tooth friction; says nothing about planet spacing.
    /// </remarks>
    public static PlanetaryRatio Ratio(int sunTeeth, int ringTeeth, PlanetaryMember held, PlanetaryMember input)
    {
        Check(sunTeeth, ringTeeth, held, input).ThrowIfAny();
        PlanetaryMember output = Enum.GetValues<PlanetaryMember>().First(m => m != held && m != input);
        return new(SpeedOf(input) / SpeedOf(output), (ringTeeth - sunTeeth) / 2.0, output);

        // One solution of Willis for each held member: all speeds relative to it.
        double SpeedOf(PlanetaryMember member) =>
            (held, member) switch
            {
                (PlanetaryMember.Ring, PlanetaryMember.Carrier) => sunTeeth,
                (PlanetaryMember.Ring, PlanetaryMember.Sun) => sunTeeth + ringTeeth,
                (PlanetaryMember.Sun, PlanetaryMember.Carrier) => ringTeeth,
                (PlanetaryMember.Sun, PlanetaryMember.Ring) => sunTeeth + ringTeeth,
                (PlanetaryMember.Carrier, PlanetaryMember.Sun) => ringTeeth,
                (PlanetaryMember.Carrier, PlanetaryMember.Ring) => -sunTeeth,
                _ => 0,
            };
    }

    internal static Guard Check(int sunTeeth, int ringTeeth, PlanetaryMember held, PlanetaryMember input) =>
        new Guard()
            .Between(nameof(PlanetaryStage.SunTeeth), sunTeeth, FewestTeeth, MostTeeth, "teeth")
            .Between(
                nameof(PlanetaryStage.RingTeeth),
                ringTeeth,
                Math.Max(FewestTeeth, sunTeeth) + 1,
                MostTeeth,
                "teeth"
            )
            .OneOf(nameof(PlanetaryStage.Held), held)
            .OneOf(nameof(PlanetaryStage.Input), input)
            .That(
                held != input,
                nameof(PlanetaryStage.Input),
                "same_member",
                "Give another member than the held one: what is held can't be driven."
            );
}
