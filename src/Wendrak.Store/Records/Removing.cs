using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>Takes records away together with what is a part of them, and never what something else needs.</summary>
internal static class Removing
{
    /// <exception cref="StillUsedException">Something that stays can't be without it.</exception>
    public static async Task WithPartsAsync(Edit edit, string kind, long id)
    {
        List<(string Kind, long Id)> gone = [(kind, id)];
        for (int i = 0; i < gone.Count; i++)
            gone.AddRange(await ReferenceRows.PartsOfAsync(edit.Session, gone[i].Kind, gone[i].Id));
        List<string> users = [];
        foreach ((string k, long n) in gone)
        foreach ((string Kind, long Id) user in await ReferenceRows.HoldersAsync(edit.Session, k, n, Hold.Needs))
            if (!gone.Contains(user))
                users.Add(await CalledAsync(edit, user.Kind, user.Id));
        if (users.Count > 0)
            throw new StillUsedException(
                $"Used by {string.Join(", ", users.Distinct())}. Give those another one first."
            );
        // Parts first, so that nothing stands there without what it belongs to.
        foreach ((string k, long n) in gone.AsEnumerable().Reverse())
            await RecordRows.RemoveAsync(edit, edit.KindOf(k), n);
    }

    /// <summary>A stored record in a few words.</summary>
    public static async Task<string> CalledAsync(Edit edit, string kind, long id)
    {
        IStoredKind known = edit.KindOf(kind);
        return await RecordRows.FindAsync(edit.Session, kind, id) is { } row
            ? known.Called(row.Newest(known))
            : known.Word;
    }
}
