using Wendrak.Core.Quantities;

namespace Wendrak.Core.Sharing;

/// <summary>A shared file beside what it would be taken into.</summary>
/// <param name="MachineId">Machine that a procedure or aims are for; null for a gearbox set.</param>
/// <param name="DriveKey">Drive that aims are for; null for anything else.</param>
/// <param name="IsBeside">
/// For a gearbox set whose name is here already: it is added beside it, by its author and version, and nothing here is changed.
/// </param>
public sealed record SharedTake(SharedFile File, long? MachineId, string? DriveKey, bool IsBeside)
{
    /// <summary>Refuses a file that can’t be taken in whole, and what does not go with it.</summary>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public void Check()
    {
        Refusal.Under(nameof(File), File.Check);
        bool isSet = File.Content is SharedGearboxSet;
        bool isAims = File.Content is SharedAims;
        new Guard()
            .That(isSet || MachineId is not null, nameof(MachineId), "missing", "Say which machine it is for.")
            .That(
                !isSet || MachineId is null,
                nameof(MachineId),
                "unasked",
                "Leave it out: a gearbox set belongs to no machine."
            )
            .That(!isAims || DriveKey is not null, nameof(DriveKey), "missing", "Say which drive they are for.")
            .That(isAims || DriveKey is null, nameof(DriveKey), "unasked", "Leave it out: only aims are for a drive.")
            .That(
                isSet || !IsBeside,
                nameof(IsBeside),
                "unasked",
                "Leave it false: only a gearbox set can stand beside another."
            )
            .ThrowIfAny();
    }
}
