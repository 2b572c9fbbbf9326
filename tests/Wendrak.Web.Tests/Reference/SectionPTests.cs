using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Choices;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Reference;

/// <summary>Cost per distance: engineering.md p, weighed on a machine of the demo.</summary>
public sealed class SectionPTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Fact]
    public async Task P1_chain_and_belt_for_1000_km_and_when_the_belt_is_paid_back()
    {
        LoopWeighing weighing = LoopWeighing.Empty("final", null) with
        {
            Shown = ["sealedChain", "toothedBelt"],
            RatePerHour = 60,
            FuelPrice = 1.8,
            Figures =
            [
                new(
                    "sealedChain",
                    Price: 180,
                    FitMinutes: 90,
                    LifeLow: 22_000,
                    OilCost: 1.2,
                    OilEvery: 800,
                    UpkeepMinutes: 12,
                    UpkeepEvery: 1_500,
                    FuelPer100: 5
                ),
                new(
                    "toothedBelt",
                    Price: 420,
                    FitMinutes: 150,
                    LifeLow: 60_000,
                    UpkeepMinutes: 12,
                    UpkeepEvery: 8_000,
                    FuelPer100: 5.1,
                    Conversion: 300
                ),
            ],
        };
        JsonNode desk = await Of(server, "/api/machines/1/choice/final", new ChoiceAsked(null, weighing));
        JsonNode chain = desk["columns"]![0]!;
        JsonNode belt = desk["columns"]![1]!;
        Agrees("p1", 0.1, 111.773, chain["cost"]!["low"]);
        Agrees("p1", 0.1, 102.8, belt["cost"]!["high"]);
        Agrees("p1", 0.1, -8.97273, (double)belt["cost"]!["low"]! - (double)chain["cost"]!["low"]!);
        Agrees("p1", 0.1, 33_434.7, belt["paidBackAfter"]);
    }
}
