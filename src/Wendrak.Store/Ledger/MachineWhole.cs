using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>A machine that was put back must suit the setups that were made since.</summary>
internal static class MachineWhole
{
    private static readonly MachineRepository Machines = new();
    private static readonly Repository<Setup> Setups = new(Kinds.Setup);

    /// <exception cref="CannotUndoException">A setup would not suit its machine.</exception>
    public static async Task CheckAsync(Edit edit)
    {
        string[] kinds = [Kinds.Machine.Name, Kinds.Setup.Name];
        if (!edit.Items.Any(i => kinds.Contains(i.Kind)) || edit.MachineId is not long id)
            return;
        if (await Machines.FindAsync(edit.Session, id) is not { } machine)
            return;
        foreach (Setup setup in await Setups.ListOfMachineAsync(edit.Session, id))
            try
            {
                MachineRules.Check(setup, machine);
            }
            catch (InvalidInputException e)
            {
                throw new CannotUndoException(
                    $"Setup “{setup.Name}” would not suit the machine as it was. Undo what was done to it first.",
                    e
                );
            }
    }
}
