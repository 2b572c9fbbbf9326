using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tension;

/// <summary>Every instrument with every goal, as simulated drives are set by them.</summary>
public static class InstrumentCases
{
    private static readonly string[] Instruments = ["play", "pluck", "push", "gauge", "feel", "feel of a chain"];

    public static IEnumerable<(string Name, SetInput Loop, PracticeInstrument Instrument)> All =>
        from instrument in Instruments
        from goal in Enum.GetValues<SetGoal>()
        select ($"{instrument}, {goal}", Loop(instrument) with { Goal = goal }, InstrumentOf(instrument));

    private static PracticeInstrument InstrumentOf(string name) =>
        name switch
        {
            "push" => PracticeInstrument.Push,
            "gauge" => PracticeInstrument.Gauge,
            "feel" or "feel of a chain" => PracticeInstrument.Feel,
            _ => PracticeInstrument.Usual,
        };

    private static SetInput Loop(string instrument)
    {
        SetInput belt = SetCases.Belt();
        SetInput chain = SetCases.Chain() with { Setting = SetCases.Chain().Setting with { GapSide = Side.Left } };
        return instrument switch
        {
            "play" or "feel of a chain" => chain,
            // The maker's window as his gauge shows it; nobody knows what that is in newtons.
            "gauge" => belt with
            {
                Setting = belt.Setting with { MakerMethod = ReadingMethod.Gauge, MakerLow = 5, MakerHigh = 7 },
            },
            "push" => belt with
            {
                Setting = belt.Setting with
                {
                    MakerMethod = ReadingMethod.Push,
                    MakerLow = 5.5,
                    MakerHigh = 8,
                    MakerForceN = 20,
                },
            },
            _ => belt,
        };
    }
}
