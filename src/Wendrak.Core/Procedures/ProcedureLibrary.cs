using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Procedures;

/// <summary>Procedures that come with the program, each from its file.</summary>
public static class ProcedureLibrary
{
    private static readonly ConcurrentDictionary<ProcedureFamily, Procedure> Known = [];

    private static readonly JsonSerializerOptions Options = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        ReadCommentHandling = JsonCommentHandling.Skip,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
        TypeInfoResolver = FiledProcedureTypes.Default,
    };

    /// <exception cref="InvalidInputException">There is no such family.</exception>
    public static Procedure Get(ProcedureFamily family) =>
        Enum.IsDefined(family)
            ? Known.GetOrAdd(family, Read)
            : throw new InvalidInputException("Family", "unknown", "Name one of the families.");

    private static Procedure Read(ProcedureFamily family)
    {
        string resource =
            $"Wendrak.Core.Procedures.Files.{JsonNamingPolicy.KebabCaseLower.ConvertName($"{family}")}.json";
        using Stream stream =
            Assembly.GetExecutingAssembly().GetManifestResourceStream(resource)
            ?? throw new InvalidOperationException($"The procedure {resource} was not built in.");
        FiledProcedure filed = JsonSerializer.Deserialize<FiledProcedure>(stream, Options)!;
        return new(
            family,
            filed.Title,
            filed.Version,
            filed.Author,
            filed.Source,
            filed.Elements,
            filed.Changes,
            [.. filed.Steps.Select(s => s.ToStep())]
        );
    }
}
