using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;

namespace Wendrak.Store.Machines;

/// <summary>What is still to be done again on a machine.</summary>
internal static class OpenWork
{
    /// <summary>After a setup is on it; null for nothing.</summary>
    public static IReadOnlyList<FollowUpTask>? After(
        Setup old,
        Machine oldMachine,
        Setup next,
        Machine machine,
        MachineChange change = MachineChange.OtherParts
    )
    {
        FollowUpInput made = new(DrivesAsBuilt.From(oldMachine, old), DrivesAsBuilt.From(machine, next));
        IReadOnlyList<FollowUpTask> open =
            change == MachineChange.Correction
                ? FollowUps.StillThere(old.FollowUps ?? [], made.After)
                : FollowUps.With(old.FollowUps ?? [], made);
        return open.Count == 0 ? null : open;
    }
}
