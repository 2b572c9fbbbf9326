using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>No change, whatever made it, leaves a record without what it can't be without.</summary>
internal static class Whole
{
    /// <param name="refuse">Makes the refusal from a sentence that names what is in the way.</param>
    public static async Task CheckAsync(Edit edit, Func<string, Exception> refuse)
    {
        foreach ((string kind, long id) in edit.Items.Where(i => i.Refers).Select(i => (i.Kind, i.Id)).Distinct())
            if (await RecordRows.FindAsync(edit.Session, kind, id) is null)
                await CheckGoneAsync(edit, kind, id, refuse);
            else
                await CheckThereAsync(edit, kind, id, refuse);
    }

    private static async Task CheckGoneAsync(Edit edit, string kind, long id, Func<string, Exception> refuse)
    {
        List<(string Kind, long Id)> left =
        [
            .. await ReferenceRows.PartsOfAsync(edit.Session, kind, id),
            .. await ReferenceRows.HoldersAsync(edit.Session, kind, id, Hold.Needs),
        ];
        if (left.Count == 0)
            return;
        const int mostNamed = 5;
        List<string> names = [];
        foreach ((string k, long n) in left.Take(mostNamed))
            names.Add(await Removing.CalledAsync(edit, k, n));
        string more = left.Count > mostNamed ? $" and {left.Count - mostNamed} more" : "";
        throw refuse(
            $"This {edit.KindOf(kind).Word} is held by {string.Join(", ", names)}{more}. Undo or remove that first."
        );
    }

    private static async Task CheckThereAsync(Edit edit, string kind, long id, Func<string, Exception> refuse)
    {
        foreach ((string k, long _) in await ReferenceRows.MissingOfAsync(edit.Session, kind, id))
            throw refuse(
                $"{await Removing.CalledAsync(edit, kind, id)} needs a {edit.KindOf(k).Word} that is not there any more. Bring that back first."
            );
    }
}
