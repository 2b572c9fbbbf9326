using System.Data.Common;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>One change being made: everything in it is stored together or not at all.</summary>
public sealed class Edit
{
    public const int LongestActor = 60;
    private readonly KindRegistry _kinds;

    /// <summary>Number of the change itself; null while nobody asked for it.</summary>
    internal long? Number { get; private set; }

    public Session Session { get; }
    internal SqliteConnection Connection => Session.Connection;
    internal DbTransaction Transaction => Session.Transaction;

    /// <summary>Who makes it; null where nobody said.</summary>
    public string? Actor { get; }

    /// <summary>When, as written in every row.</summary>
    public string At { get; }

    /// <summary>Records as this change leaves them, in its order.</summary>
    internal List<ChangeItem> Items { get; } = [];

    /// <summary>The machine it is about, for the history on that machine's page; null for stock and gearbox sets.</summary>
    public long? MachineId { get; set; }

    /// <summary>What was done, where only the doing tells it; null for what was said at first.</summary>
    public string? What { get; set; }

    internal Edit(Session session, KindRegistry kinds, string? actor, DateTimeOffset now)
    {
        (Session, _kinds) = (session, kinds);
        Actor = string.IsNullOrWhiteSpace(actor) ? null : actor.Trim()[..Math.Min(LongestActor, actor.Trim().Length)];
        At = Moment.Text(now);
    }

    internal IStoredKind KindOf(string name) =>
        _kinds.Find(name)
        ?? throw new CannotUndoException("An earlier version of Wendrak wrote this: it can be read and not undone.");

    /// <summary>Number of the change itself, given at its first use; those of its events follow it.</summary>
    internal async Task<long> NumberAsync()
    {
        Number ??= await Connection.ExecuteScalarAsync<long>($"SELECT {NextNumber}", transaction: Transaction);
        return Number.Value;
    }

    /// <summary>SQL of the next number in the one order of changes and events. The write lock is held: nobody else gets it too.</summary>
    internal const string NextNumber =
        "1 + max(coalesce((SELECT max(id) FROM change), 0), coalesce((SELECT max(id) FROM job_event), 0))";
}

/// <summary>One record as a change left it.</summary>
/// <param name="Body">Null where it was removed.</param>
/// <param name="Refers">Whether it came, went, or refers to something else than before: only then others must be looked at.</param>
internal sealed record ChangeItem(string Kind, long Id, long Version, long Schema, string? Body, bool Refers);
