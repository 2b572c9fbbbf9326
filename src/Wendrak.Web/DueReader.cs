using Wendrak.Core.Evaluation;
using Wendrak.Core.Stock;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What is due on one machine.</summary>
/// <param name="MachineId">Of the machine.</param>
/// <param name="Machine">Its name.</param>
public sealed record MachineDue(long MachineId, string Machine, DueAnswer Due);

/// <summary>What is due on each machine that is in use; every page of the yard asks for it.</summary>
public sealed class DueReader(Database database, MachineStore machines, MachineReader reader)
{
    private readonly SinceCommit<string, IReadOnlyList<MachineDue>> _known = new(database, 1);

    /// <summary>By name of the machine.</summary>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public Task<IReadOnlyList<MachineDue>> AllAsync() => _known.GetAsync("", ReadAsync);

    private async Task<IReadOnlyList<MachineDue>> ReadAsync()
    {
        Workshop workshop = await reader.WorkshopAsync();
        Shelf shelf = new(workshop.Parts, workshop.Wheels);
        return
        [
            .. (await machines.ListAsync())
                .Where(m => m.Machine.RetiredOn is null)
                .Select(m => new MachineDue(
                    m.Machine.Id,
                    m.Machine.Name,
                    DueList.Of(m.Machine, m.Fitted, m.Jobs, m.Odometer, shelf)
                )),
        ];
    }
}
