using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Evaluation;

/// <summary>Where the cure of a cause is done on a machine.</summary>
/// <param name="Cause">Key of the cause.</param>
/// <param name="Cure">What mends it, in words.</param>
/// <param name="Station">Where; null where none of them is about it.</param>
/// <param name="Family">The procedure of the work, of a cure at Build; null elsewhere.</param>
/// <param name="Change">What is changed by it; null elsewhere.</param>
public sealed record FaultCure(string Cause, string Cure, Station? Station, ProcedureFamily? Family, ChangeKind? Change)
{
    internal static FaultCure Of(FaultCause cause, Machine machine, Loop loop)
    {
        Station? station = cause.CureAt is { } at ? Enum.Parse<Station>(at, true) : null;
        if (station != Records.Station.Build)
            return new(cause.Key, cause.Cure, station, null, null);
        FamilyChoice usual = WorkPlan.FamiliesFor(machine, loop)[0];
        ChangeKind wanted = Enum.Parse<ChangeKind>(cause.CureChange!, true);
        // A family that does not know the change does it with more: nothing that is to be changed is left on.
        ChangeKind change =
            usual.Changes.Contains(wanted) ? wanted
            : usual.Changes.Contains(ChangeKind.WholeSet) ? ChangeKind.WholeSet
            : usual.Changes[0];
        return new(cause.Key, cause.Cure, station, usual.Family, change);
    }
}
