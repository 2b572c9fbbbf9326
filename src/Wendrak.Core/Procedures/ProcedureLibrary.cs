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
    };

    /// <exception cref="InvalidInputException">There is no such family.</exception>
    public static Procedure Get(ProcedureFamily family) =>
        Enum.IsDefined(family)
            ? Known.GetOrAdd(family, Read)
            : throw new InvalidInputException("Family", "unknown", "Name one of the families.");

    /// <summary>A step as a file tells it: what it leaves out is nothing of note.</summary>
    private sealed record Filed
    {
        public required string Key { get; init; }
        public required StepPhase Phase { get; init; }
        public required string Do { get; init; }
        public required string Why { get; init; }
        public string? Trap { get; init; }
        public required double Minutes { get; init; }
        public int Hands { get; init; } = 1;
        public required WorkPlace Place { get; init; }
        public IReadOnlyList<StepTool> Tools { get; init; } = [];
        public IReadOnlyList<IReadOnlyList<Fact>> When { get; init; } = [];
        public IReadOnlyList<Fact> Unless { get; init; } = [];
        public IReadOnlyList<string> After { get; init; } = [];
        public IReadOnlyList<string> Closes { get; init; } = [];
        public IReadOnlyList<string> Habit { get; init; } = [];
        public IReadOnlyList<StepField> Records { get; init; } = [];
        public StepFastener? Fastener { get; init; }
        public PartWay? Way { get; init; }
        public string? Caution { get; init; }
        public string? WayOut { get; init; }
        public bool Must { get; init; }
        public bool AtSet { get; init; }
        public IReadOnlyList<TrayPart> Parts { get; init; } = [];

        public ProcedureStep ToStep() =>
            new(
                Key,
                Phase,
                Do,
                Why,
                Trap,
                Minutes,
                Hands,
                Place,
                Tools,
                When,
                Unless,
                After,
                Closes,
                Habit,
                Records,
                Fastener,
                Way,
                Caution,
                WayOut,
                Must,
                AtSet,
                Parts
            );
    }

    private sealed record FiledProcedure
    {
        public required string Title { get; init; }
        public required int Version { get; init; }
        public required string Author { get; init; }
        public required string Source { get; init; }
        public required IReadOnlyList<Vocabulary.DriveElement> Elements { get; init; }
        public required IReadOnlyList<ChangeKind> Changes { get; init; }
        public required IReadOnlyList<Filed> Steps { get; init; }
    }

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
