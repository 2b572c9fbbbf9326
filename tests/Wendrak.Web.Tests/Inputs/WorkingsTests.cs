using System.Net.Http.Json;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tests.Quantities;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>Every working of every call: worked out by hand from what it prints, and told of a figure that is shown.</summary>
public sealed partial class WorkingsTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    /// <summary>What a working may be of without being shown in the same answer, and why.</summary>
    private static readonly Dictionary<string, string> Steps = new()
    {
        ["Float along the shaft"] = "shown with the stacks, which are another call",
        ["Line error of"] = "shown with the stacks",
        ["Friction with the groove in it"] = "step to the slip margin",
        ["How often a front tooth of"] = "shown in the search",
        ["How this machine answers"] = "step to the next move",
        ["Installed tension at which teeth would jump"] = "step to the margin of tooth jump",
        ["Lean of the runs"] = "step to the length",
        ["Length for a centre distance"] = "in mm, where teeth are shown",
        ["Least pressure angle"] = "step to what is left after the last tooth",
        ["Left over after a tooth"] = "step to what is left after the last tooth",
        ["Loop that is more than the path"] = "shown as what is missing, or as play",
        ["Part that is left by now"] = "step to what to set",
        ["Rating by"] = "step to the power that is allowed",
        ["Short form:"] = "in mm, where teeth are shown",
        ["The handbooks' short form"] = "in mm, where teeth are shown",
        ["Tension from sag"] = "step to the tension of every run",
        ["Wrap factor of V-belts"] = "step to the belts side by side",
    };

    [Fact]
    public async Task Whoever_works_out_a_working_comes_to_its_result()
    {
        List<(Working Working, HashSet<double> Shown)> found = [];
        foreach ((string path, JsonNode question) in await QuestionsAsync())
        {
            using HttpResponseMessage response = await server.Client.PostAsJsonAsync(path, question);
            string result = await response.Content.ReadAsStringAsync();
            Assert.True(response.IsSuccessStatusCode, $"{path}: {result}");
            JsonNode answer = JsonNode.Parse(result)!;
            HashSet<double> shown = [];
            List<Working> workings = [];
            Collect(answer, workings, shown);
            found.AddRange(workings.Select(w => (w, shown)));
        }
        Assert.True(found.DistinctBy(f => f.Working.Formula).Count() > 80, "hardly a formula was asked for");
        Assert.All(found, f => PrintedFormula.Holds(f.Working));
        HashSet<string> stated = [.. Stated()];
        Assert.All(found, f => Assert.True(stated.Contains(f.Working.Formula) || Series().IsMatch(f.Working.Formula)));
        Assert.All(found, f => Assert.All([f.Working.Source, f.Working.Limits], Assert.NotEmpty));
        string[] nowhere =
        [
            .. found
                .Where(f => !f.Shown.Any(s => IsShownAs(s, f.Working.Result.Value)))
                .Select(f => f.Working.Title)
                .Distinct()
                .Where(t => !Steps.Keys.Any(s => t.StartsWith(s, StringComparison.Ordinal)))
                .Order(),
        ];
        Assert.True(nowhere.Length == 0, "shown nowhere: " + string.Join("; ", nowhere));
        Assert.All(
            Steps.Keys,
            s => Assert.Contains(found, f => f.Working.Title.StartsWith(s, StringComparison.Ordinal))
        );
    }

    /// <summary>Formulas that the core computes with; none is printed beside another way of computing.</summary>
    private static IEnumerable<string> Stated() =>
        typeof(IFormula)
            .Assembly.GetTypes()
            .SelectMany(t => t.GetFields(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic))
            .Where(f => f.FieldType.IsAssignableTo(typeof(IFormula)))
            .Select(f => ((IFormula)f.GetValue(null)!).Text);

    /// <summary>A sum or product of as many parts as there are.</summary>
    [GeneratedRegex(@"^\w+ = (?:1|\|\w+(?:·\w+)*\||\w+(?: \+ \w+)*)$")]
    private static partial Regex Series();

    /// <summary>What is shown has eight digits.</summary>
    private static bool IsShownAs(double shown, double value) =>
        Math.Abs(shown - value) <= 1e-7 * Math.Abs(value) || IsNear(shown, value);

    private static bool IsNear(double one, double other) => Math.Abs(one - other) <= 1e-9 * Math.Max(1, Math.Abs(one));

    /// <summary>The workings of an answer, and the numbers that stand outside of them.</summary>
    private static void Collect(JsonNode? node, List<Working> workings, HashSet<double> shown)
    {
        switch (node)
        {
            case JsonObject o when o.ContainsKey("formula") && o.ContainsKey("limits"):
                workings.Add(o.Deserialize<Working>(JsonSerializerOptions.Web)!);
                break;
            case JsonObject o:
                foreach ((_, JsonNode? child) in o)
                    Collect(child, workings, shown);
                break;
            case JsonArray a:
                foreach (JsonNode? child in a)
                    Collect(child, workings, shown);
                break;
            case JsonValue v when v.GetValueKind() == JsonValueKind.Number:
                shown.Add(v.GetValue<double>());
                break;
        }
    }

    private async Task<IReadOnlyList<(string Path, JsonNode Question)>> QuestionsAsync()
    {
        MachineCard[] cards = await server.GetAsync<MachineCard[]>("/api/machines");
        return
        [
            .. InputQuestions.All(),
            .. EvaluationQuestions
                .All(cards)
                .Concat(cards.SelectMany(c => c.Fitted.Loops.Select(l => OfLoop(c, l.LoopKey))))
                .Select(q => ("/api/evaluation", JsonSerializer.SerializeToNode(q, Json.Options)!)),
        ];
    }

    private static EvaluationQuestion OfLoop(MachineCard card, string key) =>
        new(
            new([key]),
            new()
            {
                Comparison = new(true),
                Drives = new(4_000, true),
                Fit = new(Workings: true),
                LengthForCentre = new(640, true),
                Loads = new(Workings: true),
                Set = new(Workings: true),
            },
            card.Machine.Id
        );
}
