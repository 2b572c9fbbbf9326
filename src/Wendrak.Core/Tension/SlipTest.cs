using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>A way to tell tightness by hand alone, and what each verdict asks for.</summary>
/// <param name="Name">What people call the way.</param>
/// <param name="Steps">What to do, in order.</param>
/// <param name="Loose">What tells that it is loose.</param>
/// <param name="Right">What tells that it is right.</param>
/// <param name="Tight">What tells that it is tight.</param>
public sealed record SlipTestWay(string Name, IReadOnlyList<string> Steps, string Loose, string Right, string Tight);

/// <summary>Tightness by hand, where there is no instrument: it advises by itself. Source: common practice.</summary>
internal static class SlipTest
{
    private static readonly SlipTestWay[] Belts =
    [
        new(
            "Slip test, both ways",
            [
                "Wheel on, power off. Hold the driving pulley still.",
                "Turn the wheel forwards by hand, as hard as a hand can.",
                "Turn it backwards as hard: braking loads the other run.",
                "Feel whether it slips or jumps a tooth.",
            ],
            "it slips or jumps, one way or the other: tighten one step",
            "it just holds, both ways: keep it",
            "it would hold one step looser as well, or the shaft turns hard: loosen one step"
        ),
        new(
            "Twist of the run",
            [
                "Take the longest free run at its middle between thumb and finger.",
                "Twist it without strength, and see how far it goes.",
            ],
            "well over a quarter of a turn: tighten one step",
            "about a quarter of a turn: keep it",
            "much less than a quarter of a turn: loosen one step"
        ),
    ];

    /// <summary>Ways of the trade for a loop; none for a chain, whose play is a figure.</summary>
    public static IReadOnlyList<SlipTestWay> WaysFor(DriveElement element) =>
        element == DriveElement.Chain ? [] : Belts;
}
