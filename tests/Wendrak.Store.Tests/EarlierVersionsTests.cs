using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Data folders and files of every earlier schema open with everything they held.</summary>
public sealed class EarlierVersionsTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-earlier-").FullName;

    public void Dispose()
    {
        if (Directory.Exists(_folder))
            Directory.Delete(_folder, recursive: true);
    }

    public static TheoryData<string> Fixtures =>
        [.. Directory.GetFiles(Place, "*.zip").Select(f => Path.GetFileName(f)).Order()];

    private static string Place => Path.Combine(AppContext.BaseDirectory, "Fixtures");

    private TempStore Open(string fixture, out JsonObject held)
    {
        ZipFile.ExtractToDirectory(Path.Combine(Place, fixture), _folder);
        held = JsonNode.Parse(File.ReadAllText(Path.Combine(_folder, "held.json")))!.AsObject();
        return new TempStore(_folder);
    }

    [Theory, MemberData(nameof(Fixtures))]
    public async Task It_opens_with_everything_it_held(string fixture)
    {
        using TempStore store = Open(fixture, out JsonObject held);
        Assert.Empty(store.Database.Damage.Found);
        foreach (JsonNode? card in held["machines"]!.AsArray())
        {
            long id = card!["machine"]!["id"]!.GetValue<long>();
            FittedMachine read = (await store.Machines.FindAsync(id))!;
            Holds(AsNow(card["machine"]!), read.Machine);
            Holds(WithFollowUps(card["fitted"]!), read.Fitted);
            Holds(WithFollowUps(held["setups"]![$"{id}"]!), await store.Setups.ListAsync(id));
            Holds(held["aims"]![$"{id}"]!, await store.Aims.ListAsync(id));
            Holds(held["setJobs"]![$"{id}"]!, await store.Jobs.ListAsync(id));
        }
        Assert.Equal(held["machines"]!.AsArray().Count, (await store.Machines.ListAsync()).Count);
        Holds(held["stock"]!, await store.Stock.Wheels.ListAsync());
        Holds(held["spacers"]!, await store.Stock.Spacers.ListAsync());
        Holds(held["gearboxSets"]!, await store.Stock.GearboxSets.ListAsync());
    }

    [Theory, MemberData(nameof(Fixtures))]
    public async Task Its_history_is_whole_and_its_last_changes_can_be_undone(string fixture)
    {
        using TempStore store = Open(fixture, out JsonObject held);
        Dictionary<long, Change> read = (await store.History.ListAsync(null, null, 1000)).ToDictionary(c => c.Id);
        foreach (JsonNode? change in held["changes"]!.AsArray())
        {
            Change kept = read[change!["id"]!.GetValue<long>()];
            Assert.Equal(change["what"]!.GetValue<string>(), kept.What);
            Assert.Equal(change["undoneBy"]?.GetValue<long>(), kept.UndoneBy);
            Assert.Equal(change["things"]!.AsArray().Count, kept.Things.Count);
            foreach ((JsonNode? thing, ChangeDetail now) in change["things"]!.AsArray().Zip(kept.Things))
            {
                Assert.Equal(thing!["after"] is null, now.After is null);
                Assert.Equal(thing["before"] is null, now.Before is null);
            }
        }
        // Everything that can be undone is, one after the other, and nothing fails in any other way than by a refusal.
        int undone = 0;
        foreach (Change change in read.Values.Where(c => c.UndoneBy is null).OrderByDescending(c => c.Id))
            try
            {
                await store.Undoing.UndoAsync("Ann", change.Id, default);
                undone++;
            }
            catch (CannotUndoException) { }
        Assert.InRange(undone, 10, int.MaxValue);
        Assert.Empty(store.Database.Damage.Found);
    }

    [Theory, MemberData(nameof(Fixtures))]
    public async Task The_first_change_since_differs_in_nothing_but_what_was_changed(string fixture)
    {
        using TempStore store = Open(fixture, out _);
        FittedMachine found = (await store.Machines.ListAsync())[0];
        await store.Machines.ChangeAsync(
            "Ann",
            new(found.Machine with { Note = "changed since" }, found.Fitted.Loops),
            found.Fitted.Version,
            default
        );
        Change change = (await store.History.ListAsync(null, null, 1))[0];
        ChangeDetail machine = change.Things.Single(t => t.Thing == "machine");
        JsonObject before = JsonNode.Parse(machine.Before!)!.AsObject();
        JsonObject after = JsonNode.Parse(machine.After!)!.AsObject();
        Assert.Equal("changed since", (string?)after["note"]);
        before["note"] = after["note"]!.DeepClone();
        Assert.Equal(after.ToJsonString(), before.ToJsonString());
    }

    [Theory, MemberData(nameof(Fixtures))]
    public async Task A_machine_file_it_wrote_is_read_whole(string fixture)
    {
        using TempStore store = Open(fixture, out _);
        string text = await File.ReadAllTextAsync(Path.Combine(_folder, "machine-file.json"));
        MachineFile file = await FileText.ReadAsync(text);
        FittedMachine read = await store.Files.ReadAsync("Ann", file, default);
        JsonObject written = JsonNode.Parse(text)!.AsObject();
        Holds(AsNow(written["machine"]!), read.Machine);
        Assert.Equal(written["setups"]!.AsArray().Count, (await store.Setups.ListAsync(read.Machine.Id)).Count);
        Assert.Equal(written["aims"]!.AsArray().Count, (await store.Aims.ListAsync(read.Machine.Id)).Count);
        Assert.Equal(written["setJobs"]?.AsArray().Count ?? 0, (await store.Jobs.ListAsync(read.Machine.Id)).Count);
    }

    [Theory]
    [InlineData("""{"thicknessMm":1,"boreMm":12}""", "missing")]
    [InlineData("""{"thicknessMm":1,"boreMm":12,"count":3,"colour":"red"}""", "unknown")]
    [InlineData("""{"thicknessMm":1,"boreMm":12,"count":null}""", "null")]
    [InlineData("""{"thicknessMm":"1","boreMm":12,"count":3}""", "text for a number")]
    public void A_body_is_read_strictly_never_filled_in(string body, string what)
    {
        UnreadableBodyException refused = Assert.Throws<UnreadableBodyException>(() =>
            Kinds.StockSpacer.Read(Kinds.StockSpacer.Schema, body)
        );
        Assert.True(refused.Message.Contains("spacer", StringComparison.Ordinal), what);
    }

    [Fact]
    public void A_body_of_a_newer_form_is_refused_with_both_numbers()
    {
        UnreadableBodyException refused = Assert.Throws<UnreadableBodyException>(() =>
            Kinds.StockSpacer.Read(9, """{"thicknessMm":1,"boreMm":12,"count":3}""")
        );
        Assert.Contains("form 9", refused.Message, StringComparison.Ordinal);
        Assert.Contains($"up to {Kinds.StockSpacer.Schema}", refused.Message, StringComparison.Ordinal);
    }

    private static readonly HashSet<string> NotHeld = ["id", "version", "machineId", "isTurnAssumed", "assumed"];

    /// <summary>What an earlier version said is said still; what is said beside it now was not known then.</summary>
    private static void Holds<T>(JsonNode held, T now) => Holds(held, JsonNode.Parse(EarlierJson.ToJson(now)), "");

    /// <summary>
    /// Since form 3 of a machine, what its layouts and its settings both said of an adjuster stands once. Its kind is tried by
    /// itself: where the two disagreed it is another one now.
    /// </summary>
    private static JsonNode WithOneAdjuster(JsonNode machine)
    {
        JsonNode now = machine.DeepClone();
        foreach (JsonObject layout in Objects(now["layouts"]))
        {
            if (layout["mover"] is JsonObject mover)
                layout["moving"] = new JsonObject
                {
                    ["wheel"] = mover["wheel"]!.DeepClone(),
                    ["track"] = mover["track"]!.DeepClone(),
                };
            layout.Remove("mover");
        }
        foreach (JsonObject setting in Objects(now["settings"]))
        {
            JsonObject adjuster = [];
            foreach (
                string name in (string[])
                    ["mmPerUnit", "leftClockwiseTightens", "rightClockwiseTightens", "seenFrom", "eccentricDeg"]
            )
                adjuster[name] = setting[name]?.DeepClone();
            foreach (
                string name in (string[])
                    [.. adjuster.Select(a => a.Key), "kind", "smallestStep", "eccentricMm", .. WorkedOut]
            )
                setting.Remove(name);
            setting["adjuster"] = adjuster;
        }
        // Loops that were laid out and never asked about have a setting now.
        if (Objects(now["settings"]).Count() < Objects(now["layouts"]).Count(l => l["moving"] is not null))
            now.AsObject().Remove("settings");
        return now;
    }

    /// <summary>Since form 4 of a machine and 3 of a setup some things stand there by the words of the field.</summary>
    private static JsonNode AsNow(JsonNode machine)
    {
        JsonNode now = IsOfOneAdjuster(machine) ? machine.DeepClone() : WithOneAdjuster(machine);
        foreach (
            JsonObject loop in Objects(now["drives"])
                .SelectMany(d => Objects(d["stages"]))
                .Concat(Objects(now["loads"]?["alternatives"]))
        )
        {
            Renamed(loop, "medium", "driveElement");
            Renamed(loop, "course", "arrangement");
        }
        return now;
    }

    private static bool IsOfOneAdjuster(JsonNode machine) =>
        Objects(machine["settings"]).All(s => s["adjuster"] is not null)
        && Objects(machine["layouts"]).All(l => l.ContainsKey("moving"));

    private static JsonNode WithFollowUps(JsonNode setups)
    {
        JsonNode now = setups.DeepClone();
        foreach (JsonObject setup in now is JsonArray ? Objects(now) : [now.AsObject()])
            Renamed(setup, "redo", "followUps");
        return now;
    }

    private static void Renamed(JsonObject of, string was, string name)
    {
        if (of.Remove(was, out JsonNode? value))
            of[name] = value;
    }

    private static readonly string[] WorkedOut =
    [
        "step",
        "mostAtOnce",
        "eccentricOffset",
        "eccentricStart",
        "turns",
        "setsItself",
        "hasTwoEnds",
    ];

    private static IEnumerable<JsonObject> Objects(JsonNode? list) => (list as JsonArray ?? []).OfType<JsonObject>();

    /// <summary>Where layout and setting named two adjusters, the wheel that was laid out has the say.</summary>
    [Fact]
    public async Task Of_two_adjusters_that_disagreed_the_one_laid_out_is_kept()
    {
        using TempStore store = Open("9-two-adjusters.zip", out _);
        async Task<Adjuster> AdjusterOf(long id) =>
            Assert.Single((await store.Machines.FindAsync(id))!.Machine.Settings!).Adjuster;
        // A motor on its slide was typed, and an axle in its slots laid out.
        Adjuster moped = await AdjusterOf(2);
        Assert.Equal(new(AdjusterKind.TwoEnds, 1.25, SeenFrom: WrenchView.Behind), moped);
        // An eccentric 9 mm off its middle was typed, and one of 8 mm laid out.
        Adjuster bicycle = await AdjusterOf(3);
        Assert.Equal(new(AdjusterKind.Eccentric, 1.25, LeftClockwiseTightens: false, EccentricDeg: 70), bicycle);
        // Nobody had been asked: what was laid out is stored now, with what it was counted in.
        Assert.Equal(AdjusterKind.SlidingMotor, (await AdjusterOf(4)).Kind);
        Machine board = (await store.Machines.FindAsync(6))!.Machine;
        Assert.All(board.Settings!, s => Assert.Equal(new(AdjusterKind.Shims, 0.5), s.Adjuster));
        // Between fixed centres nothing is stored: nothing moves there.
        Assert.Null((await store.Machines.FindAsync(5))!.Machine.Settings);
    }

    private static void Holds(JsonNode? held, JsonNode? now, string at)
    {
        switch (held)
        {
            case JsonObject members:
                foreach ((string name, JsonNode? value) in members)
                    if (!NotHeld.Contains(name) && value is not null)
                        Holds(value, now?[name], $"{at}.{name}");
                break;
            case JsonArray list:
                Assert.Equal((at, list.Count), (at, now!.AsArray().Count));
                for (int i = 0; i < list.Count; i++)
                    Holds(list[i], now[i], $"{at}[{i}]");
                break;
            default:
                Assert.True(Same(held, now), $"{at}: {held} became {now}");
                break;
        }
    }

    private static bool Same(JsonNode? held, JsonNode? now) =>
        held?.GetValueKind() == JsonValueKind.Number && now?.GetValueKind() == JsonValueKind.Number
            ? held.GetValue<double>() == now.GetValue<double>()
        : DateTimeOffset.TryParse($"{held}", out DateTimeOffset a)
        && DateTimeOffset.TryParse($"{now}", out DateTimeOffset b)
            ? a == b
        : $"{held}" == $"{now}";
}
