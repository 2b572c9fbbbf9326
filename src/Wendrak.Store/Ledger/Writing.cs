using System.Data.Common;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store.Ledger;

/// <summary>One change being made: everything in it is stored together or not at all.</summary>
public sealed class Writing
{
    internal SqliteConnection Connection { get; }
    internal SqliteTransaction Transaction { get; }
    internal List<ChangedThing> Things { get; } = [];

    /// <summary>The machine it is about, for the history on that machine's page; null for stock and gearbox sets.</summary>
    public long? MachineId { get; set; }

    internal Writing(SqliteConnection connection, SqliteTransaction transaction)
    {
        Connection = connection;
        Transaction = transaction;
    }

    internal Session Session => new(Connection, Transaction);
}

/// <summary>A connection with the transaction it is in, or none while only reading.</summary>
internal readonly record struct Session(SqliteConnection Connection, DbTransaction? Transaction);

/// <summary>One thing before and after a change, as JSON; null where it was not there.</summary>
internal sealed record ChangedThing(string Thing, long ThingId, string? Before, string? After);
