using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Machines;
using Wendrak.Core.Quantities;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>A machine file as text: what earlier versions wrote is brought to the newest form first.</summary>
public static class MachineFileText
{
    /// <exception cref="JsonException">It is no JSON of a machine file.</exception>
    /// <exception cref="InvalidInputException">A newer program wrote it.</exception>
    public static MachineFile Read(string text) => Read(JsonNode.Parse(text));

    /// <exception cref="JsonException">It is no JSON of a machine file.</exception>
    /// <exception cref="InvalidInputException">A newer program wrote it.</exception>
    public static MachineFile Read(JsonNode? file)
    {
        if (file is not JsonObject members)
            throw new JsonException("A machine file is a JSON object.");
        if (members["machine"] is JsonObject machine && members["formatVersion"]?.GetValue<int>() == 1)
        {
            foreach (JsonObject visit in (members["setJobs"] as JsonArray ?? []).OfType<JsonObject>())
                EarlierBodies.Visit(visit);
        }
        return members.Deserialize<MachineFile>(Rows.Json) ?? throw new JsonException("null");
    }
}
