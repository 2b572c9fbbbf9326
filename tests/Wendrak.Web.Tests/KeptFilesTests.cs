using System.Text.Json;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests;

/// <summary>Files of the page that are written from what the program says, by tools/refresh-api, and must be as it says.</summary>
public sealed class KeptFilesTests
{
    /// <summary>“yes” by tools/refresh-api, to write what is kept before it is compared.</summary>
    private const string Write = "WENDRAK_WRITE_CONTRACT";

    private static readonly JsonSerializerOptions Indented = new(Json.Options) { WriteIndented = true };

    [Fact]
    public async Task The_description_that_is_served_is_the_one_the_program_makes_of_itself()
    {
        await using LoopbackServer server = new(describesItself: true);
        await server.StartAsync();
        await AssertKeptAsync(
            Path.Combine("public", "openapi.json"),
            await server.Client.GetStringAsync("/openapi/v1.json")
        );
    }

    [Fact]
    public async Task What_the_page_knows_of_chains_and_belts_is_what_the_core_says()
    {
        Dictionary<string, DriveElementFacts> facts = Enum.GetValues<DriveElement>()
            .ToDictionary(e => JsonNamingPolicy.CamelCase.ConvertName($"{e}"), DriveElementFacts.For);
        await AssertKeptAsync(
            Path.Combine("src", "api", "driveElements.json"),
            JsonSerializer.Serialize(facts, Indented)
        );
    }

    /// <summary>A file of the page that is written from what the program says.</summary>
    private static async Task AssertKeptAsync(string name, string said)
    {
        string file = Path.Combine(Repository.Root, "web", name);
        string text = said.ReplaceLineEndings("\n").TrimEnd() + "\n";
        if (Environment.GetEnvironmentVariable(Write) == "yes")
            await File.WriteAllTextAsync(file, text);
        string kept = File.Exists(file) ? await File.ReadAllTextAsync(file) : "";
        Assert.True(kept.ReplaceLineEndings("\n") == text, $"web/{name} is stale: run tools/refresh-api.");
    }
}
