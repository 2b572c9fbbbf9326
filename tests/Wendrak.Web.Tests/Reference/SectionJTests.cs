using System.Text.Json.Nodes;
using Wendrak.Core.Alignment;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>How straight it runs: engineering.md j.</summary>
public sealed class SectionJTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Fact]
    public async Task J1_four_gaps()
    {
        JsonNode result = await Of(
            server,
            "/api/set/straightness",
            new StraightnessInput(
                MachineKind.Moped,
                DriveElement.ToothedBelt,
                560,
                null,
                null,
                new([0, 200, 600, 720], [0, 0, 2.0, 3.2], 30, 30),
                null,
                null
            )
        );
        Agrees("j1", 0.1, 2.6, result["offsetMm"]);
        Agrees("j1", 0.1, 0.572939, result["angleDeg"]);
    }

    [Fact]
    public async Task J2_j3_a_skewed_axle_and_its_turns()
    {
        JsonNode result = await Of(
            server,
            "/api/set/straightness",
            new StraightnessInput(
                MachineKind.Moped,
                DriveElement.ToothedBelt,
                600,
                250,
                new LoopSetting("final", new(AdjusterKind.TwoEnds, MmPerUnit: 1.25)),
                null,
                new(612, 613.5),
                null
            )
        );
        Agrees("j2", 0.1, 0.343771, result["angleDeg"]);
        Assert.Equal("left", (string)result["walksTo"]!);
        JsonNode move = result["move"]!;
        // −1.2 turns: the right one is let out.
        Assert.Equal(("right", false), ((string)move["side"]!, (bool)move["tightens"]!));
        Assert.InRange((double)move["units"]!, 1.2 - 1 / 32.0, 1.2 + 1 / 32.0); // told in sixteenths
        double units = (double)move["units"]!;
        Agrees("j3", 0.1, units * 1.25, JsonValue.Create(Math.Abs((double)move["mm"]!)));
        Agrees("j3", 0.1, 0.208333, JsonValue.Create(Math.Abs((double)move["mm"]!) / (double)move["flats"]!));
    }
}
