using System.Data.Common;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>A connection with the transaction it is in; everything read in it is of one moment.</summary>
public readonly record struct Session
{
    internal SqliteConnection Connection { get; }
    internal DbTransaction Transaction { get; }
    internal Damage Damage { get; }

    internal Session(SqliteConnection connection, DbTransaction transaction, Damage damage) =>
        (Connection, Transaction, Damage) = (connection, transaction, damage);
}
