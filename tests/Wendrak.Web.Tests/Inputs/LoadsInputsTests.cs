using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;
using Wendrak.Web.Tests.Fuzz;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>What was typed of one kind of chain or belt counts for it, or the answer says why not: never neither, never both.</summary>
public sealed class LoadsInputsTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private const string Path = "/api/loads/loop";

    private static readonly LoadSource Source = new(
        "drive",
        PeakTorqueNm: 50,
        PeakTorqueRpm: 2_000,
        PeakPowerKw: 20,
        ContinuousTorqueNm: 20,
        MassKg: 250,
        Friction: 0.5,
        CruiseKmh: 60,
        BrakingTorqueNm: 15,
        DrivenMassKg: 60,
        Efficiency: EfficiencySchool.TestBench
    );

    private static readonly LoopStrength Strength = new(
        "final",
        BreakingLoadN: 20_000,
        MassKgPerM: 1,
        BearingAreaMm2: 60,
        Strands: 2,
        WidthMm: 40,
        AllowedPullN: 3_000,
        InstalledTensionN: 900,
        SagMm: 10,
        ShockFactor: 1.4,
        School: LubricationSchool.Industrial,
        Friction: 0.3,
        GrooveAngleDeg: 38,
        PressureAngleDeg: 22,
        RatingPerBeltKw: 4,
        LengthFactor: 0.95,
        ForceAt1PercentN: 20_000,
        Rope: RopeKind.FibreRope,
        ExtraHalfTurns: 1,
        ElongationLimitPercent: 0.8
    );

    // A measured pull and a pedalling rider put other inputs out of use: they are asked without, as is a torque that slips no tyre.
    private static readonly (LoadSource, LoopStrength)[] Given =
    [
        (Source, Strength),
        (Source with { PeakTorqueNm = 500, PeakPowerKw = null }, Strength),
        (new("drive", PeakTorqueNm: 50, RiderMassKg: 80), new("final", InstalledTensionN: 900, WidthMm: 40)),
    ];

    [Theory]
    [InlineData(DriveElement.Chain, "12A", 15, 45)]
    [InlineData(DriveElement.ToothedBelt, "H", 24, 60)]
    [InlineData(DriveElement.VBelt, "B", 150, 300)]
    [InlineData(DriveElement.FlatBelt, "flat", 150, 300)]
    [InlineData(DriveElement.RoundBelt, "round", 150, 300)]
    public async Task What_is_given_counts_or_is_said_not_to(
        DriveElement element,
        string standard,
        double front,
        double rear
    )
    {
        ApiDescription api = new(ApiDescription.Kept);
        JsonNode schema = api.Operations.First(o => o.Path == Path).Body!;
        foreach (MachineKind kind in new[] { MachineKind.Motorcycle, MachineKind.Winch })
        {
            Dictionary<string, bool> counts = [];
            HashSet<string> said = [];
            foreach ((LoadSource source, LoopStrength strength) in Given)
            {
                LoadsInput question = new(
                    DriveOf(
                        kind == MachineKind.Motorcycle ? 1_950 : null,
                        Pair("primary", "in", "mid", 20, 40),
                        LoopOf(element, standard, "mid")
                    ),
                    kind,
                    Wheels(front, rear),
                    [],
                    Apart(600),
                    source,
                    strength
                );
                JsonNode body = JsonSerializer.SerializeToNode(question, Json.Options)!;
                string result = (await AskAsync(body.ToJsonString()))!;
                said.UnionWith(Said(result));
                foreach (InputLeaf leaf in new InputLeaves(api).Of(schema, body).Where(IsTyped).ToArray())
                    if (!counts.GetValueOrDefault(leaf.Name))
                        counts[leaf.Name] = await CountsAsync(body, result, leaf);
            }
            Assert.True(counts.Count > 25);
            foreach ((string name, bool count) in counts)
                Assert.True(
                    count != said.Contains(name),
                    $"{kind}, {name}: {(count ? "counts and is said not to" : "is ignored without a word")}"
                );
        }
    }

    private static bool IsTyped(InputLeaf leaf) =>
        leaf.Name.StartsWith("LoopStrength.", StringComparison.Ordinal)
        || leaf.Name.StartsWith("LoadSource.", StringComparison.Ordinal);

    /// <summary>Names as the schema has them, of what an answer says it did not count.</summary>
    private static IEnumerable<string> Said(string result) =>
        JsonNode.Parse(result)!["uncounted"]!
            .AsArray()
            .Select(u => ((string)u!["field"]!).Split('.'))
            .Select(f =>
                $"{(f[0] == "Strength" ? "LoopStrength" : "LoadSource")}.{JsonNamingPolicy.CamelCase.ConvertName(f[1])}"
            );

    private async Task<bool> CountsAsync(JsonNode question, string result, InputLeaf leaf)
    {
        foreach (string changed in leaf.Changed(question))
            if (await AskAsync(changed) is { } answer && Figures(answer) != Figures(result))
                return true;
        return false;
    }

    /// <summary>The answer without what it says of inputs.</summary>
    private static string Figures(string result)
    {
        JsonNode answer = JsonNode.Parse(result)!;
        answer["uncounted"] = null;
        return answer.ToJsonString();
    }

    private async Task<string?> AskAsync(string body)
    {
        using StringContent content = new(body, System.Text.Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.PostAsync(Path, content);
        return response.IsSuccessStatusCode ? await response.Content.ReadAsStringAsync() : null;
    }
}
