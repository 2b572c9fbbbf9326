namespace Wendrak.Store.Ledger;

/// <summary>Adds, changes and removes one kind of thing, and writes down how it was before and after.</summary>
internal sealed class Recorder<T>(IShelf<T> shelf)
    where T : class
{
    public async Task<T> AddAsync(Writing writing, T value)
    {
        T first = shelf.With(value, shelf.IdOf(value), 1);
        long id = await shelf.InsertAsync(writing.Session, first);
        T stored = shelf.With(first, id, 1);
        writing.Things.Add(new(shelf.Thing, id, null, Snapshot(stored)));
        return stored;
    }

    /// <summary>Stores a new state of a thing.</summary>
    /// <exception cref="ChangedMeanwhileException">Its version is not the stored one.</exception>
    public async Task<T> ChangeAsync(Writing writing, T value)
    {
        T? current = await shelf.FindAsync(writing.Session, shelf.IdOf(value));
        if (current is null || shelf.VersionOf(current) != shelf.VersionOf(value))
            throw new ChangedMeanwhileException(shelf.Thing, current);
        T next = shelf.With(value, shelf.IdOf(value), shelf.VersionOf(value) + 1);
        if (Content(next) == Content(current))
            return current; // Saving without a change is not a change.
        await shelf.ReplaceAsync(writing.Session, next);
        writing.Things.Add(new(shelf.Thing, shelf.IdOf(next), Snapshot(current), Snapshot(next)));
        return next;
    }

    /// <exception cref="ChangedMeanwhileException">Its version is not the stored one, or it is gone.</exception>
    public async Task RemoveAsync(Writing writing, long id, int version)
    {
        T? current = await shelf.FindAsync(writing.Session, id);
        if (current is null || shelf.VersionOf(current) != version)
            throw new ChangedMeanwhileException(shelf.Thing, current);
        await shelf.RemoveAsync(writing.Session, id);
        writing.Things.Add(new(shelf.Thing, id, Snapshot(current), null));
    }

    /// <summary>Puts a thing back to how it was before a change; refuses when it was changed again since.</summary>
    public async Task RestoreAsync(Writing writing, ChangedThing change)
    {
        T? current = await shelf.FindAsync(writing.Session, change.ThingId);
        if (!IsAsLeft(current, change.After))
            throw new CannotUndoException(
                $"This {shelf.Thing.Replace('_', ' ')} was changed again since. Undo the later change first."
            );
        if (change.Before is null)
        {
            await shelf.RemoveAsync(writing.Session, change.ThingId);
            writing.Things.Add(change with { Before = change.After, After = null });
            return;
        }
        T before = Rows.FromJson<T>(change.Before);
        // Never an old version number again: another window that still holds it must notice.
        int version = Math.Max(current is null ? 0 : shelf.VersionOf(current), shelf.VersionOf(before)) + 1;
        T restored = shelf.With(before, change.ThingId, version);
        if (current is null)
            await shelf.InsertAsync(writing.Session, restored);
        else
            await shelf.ReplaceAsync(writing.Session, restored);
        writing.Things.Add(new(shelf.Thing, change.ThingId, change.After, Snapshot(restored)));
    }

    /// <summary>Compares contents, not versions: an undone and redone thing has a higher version and is the same.</summary>
    private bool IsAsLeft(T? current, string? after)
    {
        if (current is null || after is null)
            return current is null && after is null;
        return Content(current) == Content(Rows.FromJson<T>(after));
    }

    private string Snapshot(T value) => Rows.ToJson(shelf.OwnPart(value));

    private string Content(T value) => Snapshot(shelf.With(value, shelf.IdOf(value), 0));
}
