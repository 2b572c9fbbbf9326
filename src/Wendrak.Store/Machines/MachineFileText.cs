using System.Buffers;
using System.IO.Pipelines;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Machines;

/// <summary>
/// Machine files as they are written and read. The newest form is read as it streams in, and strictly; one that an earlier
/// version wrote is brought to the newest form first.
/// </summary>
public static partial class MachineFileText
{
    private const int LongestStart = 256;

    /// <exception cref="JsonException">It is no whole JSON of a machine file; says where.</exception>
    public static async Task<MachineFile> ReadAsync(PipeReader text, CancellationToken ct)
    {
        ReadResult start = await text.ReadAtLeastAsync(LongestStart, ct);
        ReadOnlySequence<byte> looked = start.Buffer.Slice(0, Math.Min(LongestStart, start.Buffer.Length));
        bool isNewest =
            Version().Match(System.Text.Encoding.UTF8.GetString(looked.ToArray())) is { Success: true } version
            && version.Groups[1].Value == $"{MachineFile.NewestVersion}";
        text.AdvanceTo(start.Buffer.Start);
        MachineFile? file = isNewest
            ? await JsonSerializer.DeserializeAsync<MachineFile>(text, BodyJson.Numbered, ct)
            : ReadNode(await JsonNode.ParseAsync(text.AsStream(), cancellationToken: ct));
        return file ?? throw new JsonException("null");
    }

    public static Task WriteAsync(PipeWriter text, MachineFile file, CancellationToken ct) =>
        JsonSerializer.SerializeAsync(text, file, BodyJson.Numbered, ct);

    private static MachineFile? ReadNode(JsonNode? file)
    {
        try
        {
            return Read(file);
        }
        catch (InvalidOperationException e)
        {
            // Half a letter, as “\ud800” alone is: the reader of nodes finds it only when it looks at the text.
            throw new JsonException(e.Message, e);
        }
    }

    private static MachineFile? Read(JsonNode? file)
    {
        if (file is not JsonObject members)
            throw new JsonException("A machine file is a JSON object.");
        if (
            members["formatVersion"] is not JsonValue version
            || !version.TryGetValue(out int number)
            || number is not (1 or 2 or 3 or 4)
        )
            return members.Deserialize<MachineFile>(BodyJson.Numbered);
        foreach (JsonObject visit in number == 1 ? EarlierBodies.Each(members, "setJobs") : [])
            EarlierBodies.Visit(visit);
        if (number < 4)
        {
            if (members["machine"] is JsonObject machine)
                WordsOfTheField.Machine(number < 3 ? OneAdjuster.Machine(machine) : machine);
            foreach (JsonObject setup in EarlierBodies.Each(members, "setups"))
                WordsOfTheField.Setup(setup);
        }
        VisitsToJobs(members, number == 1 ? EarlierJson.Json : BodyJson.Numbered);
        members["formatVersion"] = MachineFile.NewestVersion;
        return members.Deserialize<MachineFile>(number == 1 ? EarlierJson.Json : BodyJson.Numbered);
    }

    /// <summary>Until form 4 a file told visits to loops whole; now it tells jobs, by what happened at them.</summary>
    private static void VisitsToJobs(JsonObject members, JsonSerializerOptions options)
    {
        IEnumerable<FiledJob> jobs = EarlierBodies
            .Each(members, "setJobs")
            .Select(v => v.Deserialize<SetJob>(options) ?? throw new JsonException("null"))
            .OrderBy(v => v.OpenedOn)
            .ThenBy(v => v.Id)
            .Select(FiledJob.From);
        members["jobs"] = JsonSerializer.SerializeToNode<IReadOnlyList<FiledJob>>([.. jobs], BodyJson.Numbered);
        members.Remove("setJobs");
    }

    [GeneratedRegex(@"""formatVersion""\s*:\s*(\d+)", RegexOptions.CultureInvariant)]
    private static partial Regex Version();
}
