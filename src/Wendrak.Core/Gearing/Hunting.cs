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
    public static HuntingResult Of(int frontTeeth, int rearTeeth, int links)
    {
        int front = Gcd(frontTeeth, links);
        int rear = Gcd(rearTeeth, links);
        // lcm(N1, N2, X)/X, without the large product: teeth are at most 500, so both wheels' lcm fits.
        int bothWheels = frontTeeth / Gcd(frontTeeth, rearTeeth) * rearTeeth;
        int all = bothWheels / Gcd(bothWheels, links);
        return new(frontTeeth / front, rearTeeth / rear, all, links / front, links / rear, front == 1, rear == 1);
    }

    /// <summary>Greatest common divisor of two positive whole numbers (Euclid VII.2).</summary>
    public static int Gcd(int a, int b)
    {
        while (b != 0)
            (a, b) = (b, a % b);
        return a;
    }
}
