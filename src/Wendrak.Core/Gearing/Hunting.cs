using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Gearing;

/// <summary>How often the same tooth meets the same link.</summary>
/// <param name="FrontLoopTurns">Turns of the chain or belt until the same front tooth meets the same link.</param>
/// <param name="RearLoopTurns">The same for the rear wheel.</param>
/// <param name="AllLoopTurns">Until front tooth, link and rear tooth all meet again.</param>
/// <param name="LinksMetByFrontTooth">How many different links one front tooth ever meets.</param>
/// <param name="FrontHunts">True when every front tooth meets every link: wear is spread over all of them.</param>
/// <param name="LinksMetByRearTooth">The same for a rear tooth.</param>
/// <param name="RearHunts">The same for the rear wheel.</param>
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
    public static HuntingResult Count(int frontTeeth, int rearTeeth, int links) =>
        Count(new MeetingWheel(frontTeeth, links), new MeetingWheel(rearTeeth, links));

    /// <summary>The same for one pair of many: what concerns one wheel alone is worked out once.</summary>
    internal static HuntingResult Count(MeetingWheel front, MeetingWheel rear) =>
        new(
            front.LoopTurns,
            rear.LoopTurns,
            front.TurnsWith(rear),
            front.LinksMet,
            rear.LinksMet,
            front.Hunts,
            rear.Hunts
        );

    /// <summary>Loop turns until a tooth of the front wheel meets the same link again.</summary>
    internal static readonly Formula<Func<double, double, double, double>> FrontTurns = new(
        "How often a front tooth meets the same link",
        "turns",
        ("loop turns until they meet again", ""),
        (N1, X, g) => N1 / Gcd(N1, X * g),
        [("front wheel", "teeth"), ("links or belt teeth", ""), ("gaps that one of them takes", "")],
        "elementary number theory; odd-tooth advice: Machinery's Handbook",
        "1 means that a tooth only ever meets every N1-th link."
    );
}

/// <summary>One wheel on a loop, and how its teeth meet the links.</summary>
internal sealed class MeetingWheel
{
    private readonly int[] _commonByRemainder;

    public int LoopTurns { get; }
    public int LinksMet { get; }
    public bool Hunts { get; }

    public MeetingWheel(int teeth, int links)
    {
        int share = (int)Gcd(teeth, links);
        (LoopTurns, LinksMet, Hunts) = (teeth / share, links / share, share == 1);
        _commonByRemainder = new int[LoopTurns];
    }

    /// <summary>Loop turns until the tooth of each wheel meets the same link again: lcm of the turns of both.</summary>
    public int TurnsWith(MeetingWheel other)
    {
        // The common divisor depends on the remainder alone.
        ref int common = ref _commonByRemainder[other.LoopTurns % LoopTurns];
        if (common == 0)
            common = (int)Gcd(LoopTurns, other.LoopTurns);
        return LoopTurns / common * other.LoopTurns;
    }
}
