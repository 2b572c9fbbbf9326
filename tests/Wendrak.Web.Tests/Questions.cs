using Wendrak.Core.Gearing;

namespace Wendrak.Web.Tests;

/// <summary>A question to the Ratio station about a demo machine, as the page asks it.</summary>
internal static class Questions
{
    public static async Task<RatioSearchInput> SearchAsync(WendrakServer server, string machine = "Curlew")
    {
        MachineCard card = (await server.GetAsync<MachineCard[]>("/api/machines")).First(c =>
            c.Machine.Name == machine
        );
        return new(
            card.Machine.Drives[0],
            card.Fitted.Loops,
            [],
            [card.Summary.Loops[^1].Search],
            new CruiseSpeed(90, 5, 5020, 5330),
            [],
            RatioRanking.LeastWork,
            []
        );
    }

    /// <summary>The JSON of a question with one piece of its text replaced.</summary>
    public static StringContent Spoiled(RatioSearchInput question, string from, string to)
    {
        string json = System.Text.Json.JsonSerializer.Serialize(question, Json.Options);
        string spoiled = json.Replace(from, to, StringComparison.Ordinal);
        Assert.NotEqual(json, spoiled);
        return new(spoiled, System.Text.Encoding.UTF8, "application/json");
    }
}
