using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>A vehicle or robot, with one drive or several that mirror each other.</summary>
/// <param name="Id">Where it is stored; 0 for one that is not stored yet.</param>
/// <param name="Version">Grows with every change; a change must name the version it was made from.</param>
/// <param name="OdometerKm">Distance run, km; null where none is counted.</param>
/// <param name="RetiredOn">Day it left the yard; null while it is in use.</param>
/// <param name="Work">Minutes and money of changing its wheels; null for the default.</param>
/// <param name="Layouts">Where the wheels of its loops stand, for those that were measured.</param>
/// <param name="Shafts">What sits on its shafts from side to side, for those that were measured.</param>
/// <param name="Settings">How its loops are set, for those that were asked about.</param>
/// <param name="Loads">What drives its drives and what its chains and belts can take, as far as somebody said.</param>
/// <param name="Procedures">What it has of its own beside the procedures it is worked on by; null for nothing.</param>
/// <param name="Inspections">How its loops are looked at, for those of which somebody said more than the trade does.</param>
/// <param name="Weighings">What was weighed in the place of its loops; null for nothing.</param>
/// <param name="Said">What somebody said is so, though it is as a typical machine of the kind has it; null for nothing.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record Machine(
    long Id,
    int Version,
    string Name,
    MachineKind Kind,
    string? Note,
    double? OdometerKm,
    DateOnly? RetiredOn,
    IReadOnlyList<Drive> Drives,
    WorkCosts? Work,
    IReadOnlyList<LoopLayout>? Layouts = null,
    IReadOnlyList<ShaftWidths>? Shafts = null,
    MachineLoads? Loads = null,
    IReadOnlyList<LoopSetting>? Settings = null,
    IReadOnlyList<OwnProcedure>? Procedures = null,
    IReadOnlyList<LoopInspection>? Inspections = null,
    IReadOnlyList<LoopWeighing>? Weighings = null,
    IReadOnlyList<GuessKind>? Said = null
) : StoredRecord(Id, Version);
