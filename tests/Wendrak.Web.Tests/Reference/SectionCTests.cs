using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Sprockets and pulleys in the hand: engineering.md c.</summary>
public sealed class SectionCTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Fact]
    public async Task C1_a_sprocket()
    {
        JsonNode result = await Of(server, "/api/fit/sprocket", new SprocketInput("08A", 17));
        Agrees("c1", 0.01, 69.1158, result["pitchDiameterMm"]);
        Agrees("c1", 0.01, 75.559, result["outsideMm"]);
        Agrees("c1", 0.1, 61.1958, result["rootMm"]); // the table's roller is 7.92 mm
        Agrees("c1", 0.1, 60.901, result["caliperMm"]);
        Agrees("c1", 0.1, 77.0708, result["tipLargestMm"]);
        Agrees("c1", 0.1, 72.7005, result["tipSmallestMm"]);
    }

    [Fact]
    public async Task C2_a_sprocket()
    {
        JsonNode result = await Of(server, "/api/fit/sprocket", new SprocketInput("10A", 42));
        Agrees("c2", 0.01, 212.431, result["pitchDiameterMm"]);
        Agrees("c2", 0.01, 221.362, result["outsideMm"]);
        Agrees("c2", 0.1, 202.271, result["caliperMm"]);
    }

    /// <summary>The pulleys of a loop as they are drawn: pitch circle, and rim by the profile's line differential.</summary>
    [Theory]
    [InlineData("c3", "8M", 30, 76.3944, 75.0224)]
    [InlineData("c4", "L", 20, 60.638, 59.876)]
    public async Task C3_c4_pulleys(string row, string profile, double teeth, double pitchMm, double outsideMm)
    {
        LoopChoice choice = new("final", teeth, teeth, null);
        JsonNode result = await Of(
            server,
            "/api/fit/loop",
            new LoopFitInput(
                DriveOf(null, LoopOf(DriveElement.ToothedBelt, profile)),
                choice,
                choice,
                Apart(300),
                null,
                false,
                null
            )
        );
        JsonNode outline = result["path"]!["wheels"]![0]!["outline"]!;
        Agrees(row, 0.01, pitchMm / 2, outline["runRadiusMm"]);
        Agrees(row, 0.01, outsideMm / 2, outline["outsideRadiusMm"]);
    }
}
