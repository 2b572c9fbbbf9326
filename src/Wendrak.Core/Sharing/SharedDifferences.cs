using Wendrak.Core.Procedures;

namespace Wendrak.Core.Sharing;

/// <summary>How something in a shared file stands to what is here.</summary>
public enum SharedState
{
    /// <summary>Only the file has it: it is added.</summary>
    New,

    /// <summary>Both have it and say other things: the file’s is taken.</summary>
    Other,

    /// <summary>Only here: it stays.</summary>
    OnlyHere,

    /// <summary>Both say the same.</summary>
    Same,

    /// <summary>The file’s does not suit what is here: it is left out.</summary>
    CannotBe,
}

/// <summary>A step in own words, here and in the file.</summary>
/// <param name="Step">Its key.</param>
/// <param name="Usual">What the procedure itself says.</param>
/// <param name="Here">Null where here it is as the procedure says.</param>
/// <param name="There">Null where the file does not speak of it.</param>
public sealed record WordingDifference(
    string Step,
    string Usual,
    SharedState State,
    StepWording? Here,
    StepWording? There
);

/// <summary>A step that the procedure itself does not have, here and in the file.</summary>
/// <param name="Key">Its key, where it is told.</param>
/// <param name="Here">Null where it is not here.</param>
/// <param name="There">Null where the file does not have it.</param>
/// <param name="AfterHere">What is done before it, in words, here; null for nothing of note.</param>
/// <param name="AfterThere">The same in the file.</param>
public sealed record AddedStepDifference(
    string Key,
    SharedState State,
    AddedStep? Here,
    AddedStep? There,
    string? AfterHere,
    string? AfterThere
);

/// <summary>A gear of a set, here and in the file.</summary>
/// <param name="Gear">Counted from 1.</param>
/// <param name="Here">Input turns per output turn; 0 for nobody knows; null where the set here has no such gear.</param>
/// <param name="There">The same in the file.</param>
public sealed record GearDifference(int Gear, SharedState State, double? Here, double? There);

/// <summary>Something of a set that is no gear.</summary>
/// <param name="What">“sense of turning” or “note”.</param>
/// <param name="Here">In words.</param>
/// <param name="There">In words.</param>
public sealed record SetDifference(string What, string Here, string There);

/// <summary>An aim, here and in the file.</summary>
/// <param name="Name">By which the two are the same aim.</param>
/// <param name="Here">Null where it is not here.</param>
/// <param name="There">Null where the file does not have it.</param>
/// <param name="Why">Why the file’s can’t be; null where it can.</param>
public sealed record AimDifference(string Name, SharedState State, SharedAim? Here, SharedAim? There, string? Why);

/// <summary>What reading a shared file would change.</summary>
/// <param name="Wordings">Of a procedure, in the order of its steps.</param>
/// <param name="AddedSteps">Of a procedure.</param>
/// <param name="Gears">Of a gearbox set.</param>
/// <param name="Set">Of a gearbox set, beside its gears.</param>
/// <param name="Aims">Of a venue.</param>
/// <param name="ChangesHere">How many things here would become other ones.</param>
/// <param name="Adds">How many things it would add.</param>
/// <param name="Stays">How many are only here and stay.</param>
/// <param name="IsKnown">There is something here that it speaks of: a set of its name, an own procedure, aims of its venue.</param>
/// <param name="Caution">What a person must know before taking it; null for nothing.</param>
public sealed record SharedDifferences(
    IReadOnlyList<WordingDifference> Wordings,
    IReadOnlyList<AddedStepDifference> AddedSteps,
    IReadOnlyList<GearDifference> Gears,
    IReadOnlyList<SetDifference> Set,
    IReadOnlyList<AimDifference> Aims,
    int ChangesHere,
    int Adds,
    int Stays,
    bool IsKnown,
    string? Caution
)
{
    internal static SharedDifferences Empty { get; } = new([], [], [], [], [], 0, 0, 0, false, null);

    /// <summary>Counts what the rows say.</summary>
    internal SharedDifferences Counted()
    {
        SharedState[] states =
        [
            .. Wordings.Select(w => w.State),
            .. AddedSteps.Select(a => a.State),
            .. Gears.Select(g => g.State),
            .. Set.Select(_ => SharedState.Other),
            .. Aims.Select(a => a.State),
        ];
        return this with
        {
            ChangesHere = states.Count(s => s == SharedState.Other),
            Adds = states.Count(s => s == SharedState.New),
            Stays = states.Count(s => s == SharedState.OnlyHere),
        };
    }
}
