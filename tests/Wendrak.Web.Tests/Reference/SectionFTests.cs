using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Loops round more than two wheels: engineering.md f. The first two wheels drive and are driven, the others are idlers.</summary>
public sealed class SectionFTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<JsonNode> FitAsync(
        double front,
        double rear,
        LoopLayout layout,
        double? lengthMm = null,
        double? travel = null
    )
    {
        LoopChoice choice = new("final", front, rear, null, lengthMm);
        Drive drive = DriveOf(null, LoopOf(DriveElement.FlatBelt, "flat"));
        return Of(server, "/api/fit/loop", new LoopFitInput(drive, choice, choice, layout, travel, false, null));
    }

    private static void AgreesInTurn(string row, double[] expected, IEnumerable<JsonNode?> result)
    {
        JsonNode?[] all = [.. result];
        Assert.Equal(expected.Length, all.Length);
        foreach ((double value, JsonNode? one) in expected.Zip(all))
            Agrees(row, 0.01, value, one);
    }

    private static Idler Roller(string name, double x, double y, double radius, RunSide side, LoopRun run) =>
        new(name, new(x, y), 2 * radius, false, side, run);

    [Fact]
    public async Task F1_three_wheels()
    {
        LoopLayout layout = new(
            "final",
            Turning.Counterclockwise,
            new(0, 0),
            new(400, 0),
            [Roller("third", 200, 230, 40, RunSide.Inside, LoopRun.Tight)],
            null
        );
        JsonNode result = (await FitAsync(100, 200, layout))["path"]!;
        Agrees("f1", 0.01, 1_430.19, result["lengthMm"]);
        AgreesInTurn("f1", [396.863, 298.831, 304.631], result["spans"]!.AsArray().Select(s => s!["lengthMm"]));
        AgreesInTurn("f1", [125.709, 149.543, 84.7486], result["wheels"]!.AsArray().Select(w => w!["wrapDeg"]));
    }

    [Fact]
    public async Task F2_a_back_idler()
    {
        LoopLayout layout = new(
            "final",
            Turning.Counterclockwise,
            new(0, 0),
            new(500, -20),
            [
                Roller("idler", 300, 130, 35, RunSide.Back, LoopRun.Tight),
                Roller("fourth", 150, 180, 40, RunSide.Inside, LoopRun.Tight),
            ],
            null
        );
        JsonNode result = (await FitAsync(120, 240, layout))["path"]!;
        Agrees("f2", 0.01, 1_689.98, result["lengthMm"]);
        AgreesInTurn("f2", [496.79, 196.15, 139.194, 233.452], result["spans"]!.AsArray().Select(s => s!["lengthMm"]));
        AgreesInTurn(
            "f2",
            [125.525, 190.623, 48.1977, 92.0493],
            result["wheels"]!.AsArray().Select(w => w!["wrapDeg"])
        );
        Assert.Equal([true, true, false, true], result["wheels"]!.AsArray().Select(w => (bool)w!["turnsWithLoop"]!));
    }

    [Fact]
    public async Task F3_a_tensioner_is_solved()
    {
        LoopLayout layout = new(
            "final",
            Turning.Counterclockwise,
            new(0, 0),
            new(500, 0),
            [Roller("tensioner", 260, 130, 30, RunSide.Back, LoopRun.Tight)],
            new("tensioner", new LineTrack(new(260, 130), new(260, 40)))
        );
        double travel = (double)(await FitAsync(120, 240, layout, 1_590))["closingTravelMm"]!;
        Agrees("f3", 0.01, 72.8003, JsonValue.Create(travel));
        JsonNode closed = await FitAsync(120, 240, layout, 1_590, travel);
        JsonNode tensioner = closed["path"]!["wheels"]!.AsArray().First(w => (string)w!["name"]! == "tensioner")!;
        Agrees("f3", 0.01, 57.1997, tensioner["centre"]!["yMm"]);
        AgreesInTurn("f3", [180.46, 210.93, 31.3895], closed["path"]!["wheels"]!.AsArray().Select(w => w!["wrapDeg"]));
    }
}
