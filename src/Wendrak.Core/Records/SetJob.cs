using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>How a visit ended.</summary>
/// <param name="TorqueNm">Of what holds it; null where nobody measured it.</param>
/// <param name="Done">Steps in their order.</param>
/// <param name="Despite">What it was closed over, as it stood then; null for nothing.</param>
/// <param name="Reason">Why it was closed over that.</param>
/// <param name="Outside">Readings outside their windows, as they stood then; null for none, and where nobody kept them.</param>
/// <param name="ClosedOn">Day of closing.</param>
/// <param name="Who">Who closed it; null where nobody said.</param>
/// <param name="NextCheckOn">Day to look again; null for none.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record SetClosing(
    DateOnly ClosedOn,
    string? Who,
    double? TorqueNm,
    IReadOnlyList<ClosingStep> Done,
    DateOnly? NextCheckOn,
    string? Note,
    IReadOnlyList<ClosedDespite>? Despite = null,
    string? Reason = null,
    IReadOnlyList<OutsideReading>? Outside = null
);

/// <summary>One visit at which a loop is set, from as found to as left. It can be broken off and gone on with anywhere.</summary>
/// <param name="Goal">What the rounds are for.</param>
/// <param name="Rounds">The first is as found and is never edited.</param>
/// <param name="Closing">Null while it goes on.</param>
/// <param name="InHand">What was begun and is not kept yet, so that it can be gone on with; null where nothing was.</param>
/// <param name="Cautions">Who said that what must be so before hands go near was so; null where nobody has.</param>
/// <param name="Id">Of the visit.</param>
/// <param name="Version">Counts its events.</param>
/// <param name="MachineId">Of the machine it belongs to.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="OpenedOn">Day it was begun.</param>
/// <param name="Who">Who began it; null where nobody said.</param>
public sealed record SetJob(
    long Id,
    int Version,
    long MachineId,
    string LoopKey,
    DateOnly OpenedOn,
    string? Who,
    SetGoal Goal,
    IReadOnlyList<SetRound> Rounds,
    IReadOnlyList<CalibrationPair> Gauge,
    SetClosing? Closing,
    SetInHand? InHand = null,
    CautionsConfirmed? Cautions = null
);

/// <summary>What is done in a visit and not kept yet.</summary>
/// <param name="Round">Being read.</param>
/// <param name="Done">Of the closing list, in its order.</param>
public sealed record SetInHand(SetRound? Round, IReadOnlyList<ClosingStep> Done);
