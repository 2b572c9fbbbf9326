using Wendrak.Core.Stock;

namespace Wendrak.Core.Procedures;

/// <summary>Parts of the work, in their order.</summary>
public enum StepPhase
{
    /// <summary>Before anything is loosened.</summary>
    Before,

    /// <summary>What comes off.</summary>
    Off,

    /// <summary>What goes on.</summary>
    On,

    /// <summary>Tension and track, at Set.</summary>
    Set,

    /// <summary>Before it goes out.</summary>
    Close,
}

/// <summary>Where the hands are.</summary>
public enum WorkPlace
{
    /// <summary>At the bench.</summary>
    Bench,

    /// <summary>Beside the machine, hands free.</summary>
    Machine,

    /// <summary>At the driving shaft.</summary>
    Front,

    /// <summary>At the driven shaft.</summary>
    Rear,

    /// <summary>At the chain or belt between them.</summary>
    Run,

    /// <summary>At axle, slide or cams.</summary>
    Adjuster,

    /// <summary>At cover and guards.</summary>
    Cover,

    /// <summary>At the arm or frame that stands round the loop.</summary>
    Frame,
}

/// <summary>What keeps a fastener from coming loose.</summary>
public enum LockKind
{
    None,

    /// <summary>Dry compound that is on it when it comes new.</summary>
    PreApplied,

    /// <summary>Threadlocker from the bottle, which cures.</summary>
    Threadlocker,
    TabWasher,
    SplitPin,
    LockNut,

    /// <summary>A line across nut and part that shows whether it moved.</summary>
    PaintLine,
    Circlip,
    Rivet,
    Clip,

    /// <summary>A screw down on a key, or the edge of its keyway pressed in over it.</summary>
    KeyLock,
}

/// <summary>A tool that a step asks for.</summary>
/// <param name="Size">Its size or range, in free words; null for any.</param>
public sealed record StepTool(ToolKind Kind, string? Size = null);

/// <summary>A value that a step writes down.</summary>
/// <param name="Key">Short name, one of its step.</param>
/// <param name="Label">What it is, as it is asked.</param>
/// <param name="Unit">Unit it is typed in; empty for a count.</param>
/// <param name="Low">Least that can be.</param>
/// <param name="High">Most that can be.</param>
public sealed record StepField(string Key, string Label, string Unit, double Low, double High);

/// <summary>Screws or nuts that a step tightens.</summary>
/// <param name="What">What they hold: “front nut”.</param>
/// <param name="Count">How many the machine has; null where that differs from machine to machine.</param>
/// <param name="Lock">What keeps them.</param>
/// <param name="CureHours">Until it holds, h; null for what holds at once.</param>
/// <param name="TorqueNm">The maker’s, as it was typed for this machine, Nm; null where nobody did.</param>
/// <param name="GoesIn">Wet where grease belongs on its thread; null for as its lock leaves it.</param>
/// <param name="TorqueFor">What thread the maker gives that torque for; null where nobody said.</param>
public sealed record StepFastener(
    string What,
    int? Count,
    LockKind Lock,
    double? CureHours = null,
    double? TorqueNm = null,
    TorqueThread? GoesIn = null,
    TorqueThread? TorqueFor = null
)
{
    /// <summary>Whether it is pulled to a torque: clips, rivets, pins and locks of keys are not.</summary>
    public bool TakesTorque =>
        Lock is not (LockKind.Rivet or LockKind.Clip or LockKind.Circlip or LockKind.SplitPin or LockKind.KeyLock);

    /// <summary>Whether something on its thread makes a dry torque pull harder. Source: common practice.</summary>
    internal bool IsWet => GoesIn == TorqueThread.Wet || Lock == LockKind.Threadlocker;
}

/// <summary>A thread as a maker’s torque means it.</summary>
public enum TorqueThread
{
    /// <summary>Clean and dry.</summary>
    Dry,

    /// <summary>With the grease or threadlocker that belongs on it.</summary>
    Wet,
}

/// <summary>A way that a part must not go on.</summary>
/// <param name="Way">In a few words.</param>
/// <param name="Does">What it would do, as a sentence.</param>
public sealed record WrongWay(string Way, string Does);

/// <summary>Which way round a part goes on.</summary>
/// <param name="Question">As it is asked, before it goes on.</param>
/// <param name="Right">The way it goes, in a few words.</param>
/// <param name="Wrong">The other ways.</param>
/// <param name="Measure">What tells by how much the first of them is off; null where nothing does.</param>
public sealed record PartWay(string Question, string Right, IReadOnlyList<WrongWay> Wrong, WayMeasure? Measure = null);

/// <summary>What is measured once on a machine, so that both ways round can be drawn to scale.</summary>
/// <param name="What">What is measured: “dish of the sprocket”.</param>
/// <param name="Times">How far the part stands off the wrong way round, for each mm of it.</param>
public sealed record WayMeasure(string What, double Times);

/// <summary>Something that must lie on the tray before it is begun.</summary>
/// <param name="Key">Short name, one of its plan.</param>
/// <param name="What">What it is.</param>
/// <param name="Position">Where it goes.</param>
/// <param name="Kind">By which Stock counts it; other for what no list of parts counts.</param>
/// <param name="Count">How many.</param>
public sealed record TrayPart(string Key, string What, string Position, PartKind Kind = PartKind.Other, int Count = 1);

/// <summary>One step of a procedure, as its file tells it.</summary>
/// <param name="Key">Short name, one of its procedure.</param>
/// <param name="Do">What to do, as a sentence.</param>
/// <param name="Why">Why now, as a sentence.</param>
/// <param name="Trap">What goes wrong here; null for nothing of note.</param>
/// <param name="Minutes">Usual working time, min.</param>
/// <param name="Hands">Pairs of hands.</param>
/// <param name="Place">Where the hands are.</param>
/// <param name="When">It applies where of each list one fact holds; always where there is none.</param>
/// <param name="Unless">It does not where one of these holds.</param>
/// <param name="After">Steps that must have been done.</param>
/// <param name="Closes">Steps that can’t be done any more once this is done.</param>
/// <param name="Habit">Steps that are usually done before; nothing breaks where they are not.</param>
/// <param name="Records">What is written down.</param>
/// <param name="Fastener">What is tightened; null for nothing.</param>
/// <param name="Way">Which way round a part goes; null where there is one way.</param>
/// <param name="Caution">What must be so where the hand goes in; null for nothing of note.</param>
/// <param name="WayOut">What to do where it can’t be done; null where there is nothing else.</param>
/// <param name="IsMust">Without it the machine does not go out.</param>
/// <param name="IsAtSet">It is done at Set, and done when that closes.</param>
/// <param name="Parts">What it takes from the tray.</param>
public sealed record ProcedureStep(
    string Key,
    StepPhase Phase,
    string Do,
    string Why,
    string? Trap,
    double Minutes,
    int Hands,
    WorkPlace Place,
    IReadOnlyList<StepTool> Tools,
    IReadOnlyList<IReadOnlyList<Fact>> When,
    IReadOnlyList<Fact> Unless,
    IReadOnlyList<string> After,
    IReadOnlyList<string> Closes,
    IReadOnlyList<string> Habit,
    IReadOnlyList<StepField> Records,
    StepFastener? Fastener,
    PartWay? Way,
    string? Caution,
    string? WayOut,
    bool IsMust,
    bool IsAtSet,
    IReadOnlyList<TrayPart> Parts
)
{
    /// <summary>Whether it belongs to a work of which these facts hold.</summary>
    public bool AppliesTo(IReadOnlySet<Fact> facts) =>
        When.All(any => any.Any(facts.Contains)) && !Unless.Any(facts.Contains);
}
