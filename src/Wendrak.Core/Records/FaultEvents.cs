using Wendrak.Core.Faults;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>Another machine that is used alike and does not have the fault.</summary>
/// <param name="MachineId">Of the yard; null for one that is only described.</param>
/// <param name="Circumstances">What somebody says it met as well.</param>
/// <param name="NotSo">What its record says and somebody says is not so.</param>
public sealed record ControlSaid(
    long? MachineId,
    IReadOnlyList<string> Circumstances,
    IReadOnlyList<string>? NotSo = null
);

/// <summary>What a loop does that it should not, and what came before: said anew as a whole each time.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Signs">What it does: keys of the table.</param>
/// <param name="Circumstances">What somebody says came before.</param>
/// <param name="NotSo">What the record says came before and somebody says is not so; null for nothing.</param>
/// <param name="Control">Null where no other machine is used alike.</param>
/// <param name="People">Who can lend a hand, the one who searches among them.</param>
/// <param name="Words">More of it, in free words; null for nothing.</param>
/// <param name="IsNew">Another search begins: what was answered before counts no more; null for no.</param>
/// <param name="LoopKind">What the loop is. The core says it by the machine, whoever sends what.</param>
/// <param name="At">What is at it or beside it; said by the core, too.</param>
public sealed record FaultDescribed(
    string LoopKey,
    IReadOnlyList<string> Signs,
    IReadOnlyList<string> Circumstances,
    IReadOnlyList<string>? NotSo = null,
    ControlSaid? Control = null,
    int People = 1,
    string? Words = null,
    bool? IsNew = null,
    FaultKind LoopKind = FaultKind.Chain,
    IReadOnlyList<FaultSetting>? At = null
) : JobEvent;

/// <summary>What came of a test. The last answer of a test counts.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Test">Key of the test.</param>
/// <param name="Answer">One of its answers, that it can’t be told or can’t be done; of what was measured the core says it.</param>
/// <param name="Values">What was measured; null where it was looked at.</param>
/// <param name="Unit">Of the values; the core says it.</param>
/// <param name="Seen">What stops the machine by this answer, in words; the core says it. Null for nothing.</param>
public sealed record FaultTested(
    string LoopKey,
    string Test,
    string Answer,
    IReadOnlyList<double>? Values = null,
    string? Unit = null,
    string? Seen = null
) : JobEvent;

/// <summary>The cause is found, as far as anybody can tell: a finding stands for it.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Causes">Keys of one cause or two.</param>
/// <param name="What">Of the finding; the core says it.</param>
/// <param name="Why">What ruled out the others; the core says it.</param>
/// <param name="Grade">A stop, watched, or fine where it is normal; the core says it.</param>
/// <param name="Tests">Keys of the tests whose answers it rests on; the core says it.</param>
public sealed record FaultFound(
    string LoopKey,
    IReadOnlyList<string> Causes,
    string What = "",
    string? Why = null,
    FindingGrade Grade = FindingGrade.Watch,
    IReadOnlyList<string>? Tests = null
) : JobEvent;

/// <summary>Whether it is gone, asked after the cure.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="IsGone">It does it no more.</param>
public sealed record CureJudged(string LoopKey, bool IsGone) : JobEvent;
