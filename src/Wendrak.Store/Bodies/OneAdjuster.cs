using System.Text.Json.Nodes;

namespace Wendrak.Store.Bodies;

/// <summary>
/// Brings a machine of form 2 to form 3. What tensions a loop stood in two places, and they could disagree: “mover” of its
/// layout and the first fields of its setting. Since form 3 the layout says which wheel moves along what, and the setting what
/// moves it. Where they disagreed, the wheel that was laid out has the say.
/// </summary>
internal static class OneAdjuster
{
    private static readonly string[] OfAdjuster =
    [
        "kind",
        "mmPerUnit",
        "smallestStep",
        "leftClockwiseTightens",
        "rightClockwiseTightens",
        "seenFrom",
        "eccentricMm",
        "eccentricDeg",
    ];

    public static JsonObject Machine(JsonObject machine)
    {
        bool onOneScrew = machine["kind"]?.GetValue<string>() is "robot" or "other";
        Dictionary<string, JsonObject?> movers = [];
        foreach (JsonObject layout in EarlierBodies.Each(machine, "layouts"))
        {
            JsonObject? mover = layout["mover"] as JsonObject;
            layout.Remove("mover");
            layout["moving"] = mover is null
                ? null
                : new JsonObject { ["wheel"] = mover["wheel"]!.DeepClone(), ["track"] = mover["track"]!.DeepClone() };
            movers[layout["loopKey"]!.GetValue<string>()] = mover;
        }
        HashSet<string> set = [];
        foreach (JsonObject setting in EarlierBodies.Each(machine, "settings"))
        {
            string loop = setting["loopKey"]!.GetValue<string>();
            set.Add(loop);
            setting["adjuster"] = AdjusterOf(
                setting,
                movers.ContainsKey(loop),
                movers.GetValueOrDefault(loop),
                onOneScrew
            );
            foreach (string name in OfAdjuster)
                setting.Remove(name);
        }
        foreach ((string loop, JsonObject? mover) in movers.Where(m => m.Value is not null && !set.Contains(m.Key)))
        {
            if (machine["settings"] is not JsonArray)
                machine["settings"] = new JsonArray();
            machine["settings"]!
                .AsArray()
                .Add(
                    new JsonObject
                    {
                        ["loopKey"] = loop,
                        ["adjuster"] = AdjusterOf(
                            new() { ["mmPerUnit"] = mover!["step"]?["travelMm"]?.DeepClone() },
                            true,
                            mover,
                            onOneScrew
                        ),
                        ["bias"] = 0.5,
                    }
                );
        }
        return machine;
    }

    private static JsonObject AdjusterOf(JsonObject setting, bool isLaidOut, JsonObject? mover, bool onOneScrew)
    {
        string typed = setting["kind"]?.GetValue<string>() ?? "";
        string kind =
            !isLaidOut ? (typed == "" ? "twoEnds" : typed)
            : mover is null ? "fixedCentres"
            : Fits(typed, mover) ? typed
            : KindOf(mover, onOneScrew);
        bool isArc = mover?["track"]?["kind"]?.GetValue<string>() == "arc";
        JsonObject adjuster = new() { ["kind"] = kind };
        foreach (string name in OfAdjuster.Skip(1))
            adjuster[name] = setting[name]?.DeepClone();
        adjuster["leftClockwiseTightens"] ??= true;
        adjuster["rightClockwiseTightens"] ??= true;
        // What a hand can make is another amount with every kind; how far an eccentric is off its middle is laid out.
        if (kind != typed)
            adjuster["smallestStep"] = null;
        if (isArc)
            adjuster["eccentricMm"] = null;
        return adjuster;
    }

    private static bool Fits(string kind, JsonObject mover)
    {
        string wheel = mover["wheel"]!.GetValue<string>();
        return kind switch
        {
            "twoEnds" or "cam" => wheel == "rear",
            "slidingMotor" or "springSlide" => wheel == "front",
            "sprungArm" => wheel is not ("front" or "rear"),
            "eccentric" => mover["track"]!["kind"]!.GetValue<string>() == "arc",
            "oneScrew" or "shims" => true,
            _ => false,
        };
    }

    /// <summary>As the program took it from the layout as long as nobody had said it.</summary>
    private static string KindOf(JsonObject mover, bool onOneScrew)
    {
        string? step = mover["step"]?["kind"]?.GetValue<string>();
        string kind = mover["kind"]!.GetValue<string>() switch
        {
            "eccentric" => "eccentric",
            _ when step == "shim" => "shims",
            "axle" or "bothArms" => step == "click" ? "cam"
            : onOneScrew ? "oneScrew"
            : "twoEnds",
            "motor" => "slidingMotor",
            _ => "oneScrew",
        };
        return Fits(kind, mover) ? kind : "oneScrew";
    }
}
