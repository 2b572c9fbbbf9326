namespace Wendrak.Core.Gearing;

/// <summary>How often the same tooth meets the same link.</summary>
/// <param name="FrontLoopTurns">Turns of the chain or belt until the same front tooth meets the same link.</param>
/// <param name="RearLoopTurns">The same for the rear wheel.</param>
/// <param name="AllLoopTurns">Until front tooth, link and rear tooth all meet again.</param>
/// <param name="LinksMetByFrontTooth">How many different links one front tooth ever meets.</param>
/// <param name="FrontHunts">True when every front tooth meets every link: wear is spread over all of them.</param>
public sealed record HuntingResult(
    int FrontLoopTurns,
    int RearLoopTurns,
    int AllLoopTurns,
    int LinksMetByFrontTooth,
    int LinksMetByRearTooth,
    bool FrontHunts,
    bool RearHunts
);

public static class Hunting
{
    /// <summary>Meeting of teeth and links.</summary>
    /// <remarks>
    /// Elementary number theory: after N/gcd(N, X) loop turns a tooth of an N-tooth wheel meets the same link of X.
    /// The advice to choose odd teeth is in Machinery's Handbook, roller chain drives.
    /// </remarks>
    public static HuntingResult Of(int frontTeeth, int rearTeeth, int links) =>
        Of(frontTeeth, Gcd(frontTeeth, links), rearTeeth, Gcd(rearTeeth, links), links);

    /// <summary>The same, where the common divisors with the links are known: a search needs each many times.</summary>
    internal static HuntingResult Of(int frontTeeth, int frontShare, int rearTeeth, int rearShare, int links)
    {
        // All meet after lcm(N1, N2, X)/X = lcm(N1, N2)/gcd(lcm(N1, N2), X) turns, and gcd spreads over lcm.
        int bothWheels = Lcm(frontTeeth, rearTeeth);
        int all = bothWheels / Lcm(frontShare, rearShare);
        return new(
            frontTeeth / frontShare,
            rearTeeth / rearShare,
            all,
            links / frontShare,
            links / rearShare,
            frontShare == 1,
            rearShare == 1
        );
    }

    /// <summary>Greatest common divisor of two positive whole numbers (Euclid VII.2).</summary>
    public static int Gcd(int a, int b)
    {
        while (b != 0)
            (a, b) = (b, a % b);
        return a;
    }

    private static int Lcm(int a, int b) => a / Gcd(a, b) * b;
}
