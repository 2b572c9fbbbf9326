using System.Text.Json.Serialization;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Procedures;

/// <summary>A procedure as its file tells it.</summary>
internal sealed record FiledProcedure
{
    public required string Title { get; init; }
    public required int Version { get; init; }
    public required string Author { get; init; }
    public required string Source { get; init; }
    public required IReadOnlyList<DriveElement> Elements { get; init; }
    public required IReadOnlyList<ChangeKind> Changes { get; init; }
    public required IReadOnlyList<FiledStep> Steps { get; init; }
}

/// <summary>A step as a file tells it: what it leaves out is nothing of note.</summary>
/// <remarks>What may be left out is set, not initialised: what is written for the latter gives all of them a value.</remarks>
internal sealed record FiledStep
{
    public required string Key { get; init; }
    public required StepPhase Phase { get; init; }
    public required string Do { get; init; }
    public required string Why { get; init; }
    public string? Trap { get; set; }
    public required double Minutes { get; init; }
    public int Hands { get; set; } = 1;
    public required WorkPlace Place { get; init; }
    public IReadOnlyList<StepTool> Tools { get; set; } = [];
    public IReadOnlyList<IReadOnlyList<Fact>> When { get; set; } = [];
    public IReadOnlyList<Fact> Unless { get; set; } = [];
    public IReadOnlyList<string> After { get; set; } = [];
    public IReadOnlyList<string> Closes { get; set; } = [];
    public IReadOnlyList<string> Habit { get; set; } = [];
    public IReadOnlyList<StepField> Records { get; set; } = [];
    public StepFastener? Fastener { get; set; }
    public PartWay? Way { get; set; }
    public string? Caution { get; set; }
    public string? WayOut { get; set; }
    public bool Must { get; set; }
    public bool AtSet { get; set; }
    public IReadOnlyList<TrayPart> Parts { get; set; } = [];

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

/// <summary>How a file is read, written when the program is compiled: reflection would write code anew at each start.</summary>
[JsonSerializable(typeof(FiledProcedure))]
internal sealed partial class FiledProcedureTypes : JsonSerializerContext;
