using Wendrak.Core.Quantities;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Records that stand by themselves in a list: each is added, changed and removed on its own.</summary>
/// <param name="check">Refuses what may not be stored.</param>
/// <param name="described">One of them in a few words, for the history.</param>
/// <param name="order">The order of the list.</param>
public sealed class ListStore<T>(
    Database database,
    ChangeLog log,
    Repository<T> repository,
    Action<T> check,
    Func<T, string> described,
    Func<IEnumerable<T>, IEnumerable<T>> order
)
    where T : StoredRecord
{
    public Task<IReadOnlyList<T>> ListAsync() =>
        database.ReadAsync<IReadOnlyList<T>>(async session => [.. order(await repository.ListAsync(session))]);

    /// <exception cref="InvalidInputException">It may not be stored.</exception>
    public Task<T> AddAsync(string? who, T value, CancellationToken ct)
    {
        check(value);
        return log.CommitAsync(who, $"added {described(value)}", w => repository.AddAsync(w, value), ct);
    }

    /// <exception cref="InvalidInputException">It may not be stored.</exception>
    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<T> ChangeAsync(string? who, T value, CancellationToken ct)
    {
        check(value);
        return log.CommitAsync(who, $"changed {described(value)}", w => repository.ChangeAsync(w, value), ct);
    }

    /// <exception cref="StillUsedException">Something else needs it.</exception>
    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task RemoveAsync(string? who, long id, int version, CancellationToken ct) =>
        log.CommitAsync(
            who,
            $"removed a {repository.Kind.Word}",
            async edit =>
            {
                if (await repository.FindAsync(edit.Session, id) is { } value)
                    edit.What = $"removed {described(value)}";
                await repository.RemoveAsync(edit, id, version);
                return true;
            },
            ct
        );
}
