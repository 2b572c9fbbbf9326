using Wendrak.Core.Gearing;

namespace Wendrak.Core.Wear;

/// <summary>What is replaced when a chain is at its limit.</summary>
public enum Replacing
{
    /// <summary>Nobody looked at the teeth of both wheels: that decides.</summary>
    LookAtTeeth,

    /// <summary>The wheels are worn: a new chain on them wears as fast as they make it.</summary>
    Set,

    /// <summary>The wheels are even: the chain alone may do.</summary>
    ChainMayDo,
}

/// <summary>The whole set, or a single part of it: both schools of the trade.</summary>
/// <param name="Replacing">By the wear of the wheels.</param>
/// <param name="Why">In a sentence.</param>
/// <param name="OtherSchool">What is said by those who do it otherwise.</param>
/// <param name="OnceMinutes">Working time for both wheels in one go with the chain, min.</param>
/// <param name="TwiceMinutes">The same for one after the other, min.</param>
/// <param name="OnceMoney">Money for it in one go, in the owner’s; 0 where nobody gave any.</param>
/// <param name="TwiceMoney">The same for one after the other.</param>
public sealed record SetOrPart(
    Replacing Replacing,
    string Why,
    string OtherSchool,
    double OnceMinutes,
    double TwiceMinutes,
    double OnceMoney,
    double TwiceMoney
)
{
    /// <remarks>Source: common practice. Sprockets usually go with the chain on motorcycles, one pair with two belts.</remarks>
    /// <param name="areLooked">Somebody looked at the teeth of both wheels since this chain is on.</param>
    /// <param name="areWorn">One of them is watched or stops.</param>
    /// <param name="work">Of changing its wheels on this machine.</param>
    internal static SetOrPart Of(bool areLooked, bool areWorn, WorkCosts work)
    {
        Replacing replacing =
            areWorn ? Replacing.Set
            : areLooked ? Replacing.ChainMayDo
            : Replacing.LookAtTeeth;
        return new(
            replacing,
            replacing switch
            {
                Replacing.Set =>
                    "The teeth are worn: they have the pitch of the old chain, and would wear a new one to it.",
                Replacing.ChainMayDo => "The teeth were found even: a new chain alone may do.",
                _ => "Look at the teeth of both wheels first: they decide.",
            },
            replacing == Replacing.Set
                ? "Others put a second chain on the same wheels while no tooth leans, and look more often."
                : "Others always replace the set: it wore in together, and the work is done once.",
            work.BothMinutes,
            work.FrontMinutes + work.RearMinutes,
            work.BothMoney,
            work.FrontMoney + work.RearMoney
        );
    }
}
