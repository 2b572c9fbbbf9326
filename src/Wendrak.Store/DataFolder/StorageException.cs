using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>Why nothing can be written just now.</summary>
public enum StorageTrouble
{
    /// <summary>The disk is full.</summary>
    Full,

    /// <summary>The folder or the file may only be read.</summary>
    ReadOnly,

    /// <summary>The data file is not where it was, or another one is in its place.</summary>
    Gone,

    /// <summary>The disk does not answer as it should.</summary>
    Failing,

    /// <summary>Something else writes for too long.</summary>
    Busy,

    /// <summary>The data file is damaged: what can be read is shown, nothing is written over it.</summary>
    Damaged,
}

/// <summary>Nothing was written; what was sent can be sent again once the trouble is over.</summary>
public sealed class StorageException(StorageTrouble trouble, Exception? inner = null)
    : Exception(Sentence(trouble), inner)
{
    public StorageTrouble Trouble { get; } = trouble;

    /// <summary>What SQLite's refusal means; null where it is a fault of ours.</summary>
    public static StorageException? From(SqliteException e)
    {
        const int busy = 5,
            locked = 6,
            readOnly = 8,
            io = 10,
            corrupt = 11,
            full = 13,
            cannotOpen = 14,
            notADatabase = 26;
        StorageTrouble? trouble = e.SqliteErrorCode switch
        {
            busy or locked => StorageTrouble.Busy,
            readOnly => StorageTrouble.ReadOnly,
            io => StorageTrouble.Failing,
            corrupt or notADatabase => StorageTrouble.Damaged,
            full => StorageTrouble.Full,
            cannotOpen => StorageTrouble.Gone,
            _ => null,
        };
        return trouble is { } t ? new(t, e) : null;
    }

    /// <summary>What is the matter and what to do.</summary>
    public static string Sentence(StorageTrouble trouble) =>
        trouble switch
        {
            StorageTrouble.Full =>
                "The disk is full: nothing can be stored. Make room; what you typed is kept here until then.",
            StorageTrouble.ReadOnly =>
                "The data folder may only be read: nothing can be stored. Allow writing there; what you typed is kept here until then.",
            StorageTrouble.Gone =>
                "The data file is not where it was. Put it back, or stop Wendrak and start it again; what you typed is kept here until then.",
            StorageTrouble.Busy => "Something else is writing to the data for a long time. It is tried again.",
            StorageTrouble.Damaged =>
                "The data file is damaged. What can be read is shown and nothing is written over it: restore a backup, or save what is good with --rescue.",
            _ => "The disk does not take what is written. Look at the disk; what you typed is kept here until then.",
        };
}
