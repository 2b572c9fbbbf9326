namespace Wendrak.Web.Tests;

public sealed class ContractTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    /// <summary>Set by tools/refresh-api, to write the description instead of comparing it.</summary>
    private const string WriteTo = "WENDRAK_WRITE_CONTRACT";

    [Fact]
    public async Task The_description_the_front_end_was_generated_from_is_the_one_that_is_served()
    {
        string served =
            (await server.Client.GetStringAsync("/openapi/v1.json")).ReplaceLineEndings("\n").TrimEnd() + "\n";
        if (Environment.GetEnvironmentVariable(WriteTo) is { Length: > 0 } file)
            await File.WriteAllTextAsync(file, served);
        string kept = await File.ReadAllTextAsync(Path.Combine(Repository.Root, "web", "openapi.json"));
        Assert.True(kept.ReplaceLineEndings("\n") == served, "web/openapi.json is stale: run tools/refresh-api.");
    }
}
