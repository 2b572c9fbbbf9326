using Wendrak.Core.Loops;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>How a machine stood when a setup came off it: what is put back with it, if it is fitted again.</summary>
/// <param name="PutOnAt">When it had gone on; null where nobody kept it.</param>
/// <param name="TakenOffAt">When it came off.</param>
/// <param name="Layouts">Where the wheels of its loops stood.</param>
/// <param name="Shafts">What sat on its shafts, spacers and shims with it.</param>
/// <param name="Settings">How its loops were set.</param>
public sealed record FittedState(
    DateTimeOffset? PutOnAt,
    DateTimeOffset TakenOffAt,
    IReadOnlyList<LoopLayout>? Layouts,
    IReadOnlyList<ShaftWidths>? Shafts,
    IReadOnlyList<LoopSetting>? Settings
);
