using Wendrak.Core.Evaluation;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What can stand in the place of a loop; whoever types prices asks for it with each.</summary>
public sealed class OptionsReader(Database database, MachineReader reader)
{
    private const int MostKept = 20;
    private readonly SinceCommit<(long, string, string?), OptionsAtLoop> _known = new(database, MostKept);

    /// <param name="id">Number of the machine.</param>
    /// <param name="loopKey">Key of the loop.</param>
    /// <param name="matter">What is weighed; null for the kind of drive.</param>
    /// <returns>Null when there is no such machine, or no such loop on it.</returns>
    /// <exception cref="Core.Quantities.InvalidInputException">No such matter at that loop.</exception>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public Task<OptionsAtLoop?> FindAsync(long id, string loopKey, string? matter) =>
        _known.FindAsync(
            (id, loopKey, matter),
            async () =>
                await reader.FindAsync(id) is { } stored && stored.HasLoop(loopKey)
                    ? new(stored, await reader.WorkshopAsync(), loopKey, matter)
                    : null
        );
}
