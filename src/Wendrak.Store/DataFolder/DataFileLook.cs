using System.Buffers.Binary;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>Looks at a data file before anything is done with it.</summary>
/// <remarks>Layout of the header: https://www.sqlite.org/fileformat2.html, section 1.3.</remarks>
internal static class DataFileLook
{
    /// <summary>“WDK1”, in the header of every data file since the records.</summary>
    public const int ApplicationId = 0x57444b31;

    private const int HeaderLength = 100;

    /// <exception cref="DataFileException">It is none of ours, or cut off; it was left as it is.</exception>
    public static void Check(string file)
    {
        long length = new FileInfo(file).Length;
        if (length == 0)
            throw Refused(file, "is empty: no data is in it. Move it away to begin anew");
        byte[] header = new byte[HeaderLength];
        using (FileStream stream = File.Open(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite))
            if (stream.ReadAtLeast(header, HeaderLength, throwOnEndOfStream: false) < HeaderLength)
                throw Refused(file, "is not a Wendrak data file");
        if (!header.AsSpan().StartsWith("SQLite format 3\0"u8))
            throw Refused(file, "is not a Wendrak data file");
        int application = At(header, 68);
        if (application != 0 && application != ApplicationId)
            throw Refused(file, "belongs to another program");
        int pageSize = BinaryPrimitives.ReadUInt16BigEndian(header.AsSpan(16)) is var size && size == 1 ? 65536 : size;
        // The number of pages counts only where it was written with the last change.
        bool isCounted = At(header, 24) == At(header, 92);
        if (isCounted && (long)(uint)At(header, 28) * pageSize > length)
            throw Refused(file, "is cut off: a part of the data is missing");
        if (application == 0)
            CheckIsOurs(file);
    }

    /// <summary>A file without the mark is ours only if an earlier version made it.</summary>
    private static void CheckIsOurs(string file)
    {
        using SqliteConnection connection = Backups.OpenAlone(file, SqliteOpenMode.ReadOnly);
        // The mark may still stand in the journal alone.
        if (connection.ExecuteScalar<long>("PRAGMA application_id") == ApplicationId)
            return;
        const string tables = "SELECT count(*) FROM sqlite_master WHERE name IN ('SchemaVersions', 'stock_item')";
        if (connection.ExecuteScalar<long>(tables) < 2)
            throw Refused(file, "belongs to another program");
    }

    private static DataFileException Refused(string file, string what) =>
        new(
            $"{file} {what}. It was left as it is; name another folder with --data, or {Backups.Advice(Path.GetDirectoryName(file)!)}."
        );

    private static int At(byte[] header, int offset) => BinaryPrimitives.ReadInt32BigEndian(header.AsSpan(offset));
}
