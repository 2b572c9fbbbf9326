using System.IO.Compression;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>A backup in one file: the data file and the attachments beside it.</summary>
public static class BackupZip
{
    /// <summary>Writes a backup while others write; the file is there only when it is whole.</summary>
    /// <param name="folder">Of the data; a server may be up there.</param>
    /// <param name="zip">Written over where it exists.</param>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">There is no data, or what was written is not what was there.</exception>
    public static void Write(string folder, string zip, Action<string>? between = null)
    {
        string data = Path.Combine(folder, Database.FileName);
        if (!File.Exists(data))
            throw new DataFileException($"There is no data in {folder}.");
        DataFileLook.Check(data);
        string copy = $"{zip}.copy";
        string unfinished = $"{zip}.unfinished";
        try
        {
            using (SqliteConnection from = Backups.OpenAlone(data, SqliteOpenMode.ReadOnly))
                Backups.Copy(from, copy, between);
            using (FileStream file = File.Create(unfinished))
            {
                using (ZipArchive archive = new(file, ZipArchiveMode.Create, leaveOpen: true))
                    Pack(archive, folder, copy);
                file.Flush(flushToDisk: true);
            }
            between?.Invoke("packed");
            File.Move(unfinished, zip, overwrite: true);
            between?.Invoke("named");
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
        {
            throw new DataFileException($"The backup could not be written: {e.Message.ReplaceLineEndings(" ")}", e);
        }
        finally
        {
            File.Delete(copy);
            File.Delete(unfinished);
        }
    }

    private static void Pack(ZipArchive archive, string folder, string copy)
    {
        archive.CreateEntryFromFile(copy, Database.FileName, CompressionLevel.Fastest);
        foreach (string place in Attachments.PlacesIn(folder))
            // Pictures are packed already.
            archive.CreateEntryFromFile(Path.Combine(folder, place), place, CompressionLevel.NoCompression);
    }

    /// <summary>Unpacks a backup, one in a zip or a bare data file, into a folder of its own.</summary>
    /// <exception cref="DataFileException">It is no backup.</exception>
    public static void Unpack(string backup, string folder)
    {
        Directory.CreateDirectory(folder);
        try
        {
            if (!IsZip(backup))
            {
                File.Copy(backup, Path.Combine(folder, Database.FileName));
                return;
            }
            using ZipArchive archive = ZipFile.OpenRead(backup);
            foreach (ZipArchiveEntry entry in archive.Entries)
                if (
                    entry.FullName == Database.FileName
                    || entry.FullName.StartsWith(Attachments.FolderName + "/", StringComparison.Ordinal)
                )
                    Extract(entry, folder);
        }
        catch (InvalidDataException e)
        {
            throw new DataFileException("This is no backup of Wendrak, or not the whole of one.", e);
        }
        if (!File.Exists(Path.Combine(folder, Database.FileName)))
            throw new DataFileException("This is no backup of Wendrak: no data file is in it.");
    }

    private static void Extract(ZipArchiveEntry entry, string folder)
    {
        string place = Path.GetFullPath(Path.Combine(folder, entry.FullName));
        // An entry that climbs out of the folder is none of ours.
        if (!place.StartsWith(Path.GetFullPath(folder) + Path.DirectorySeparatorChar, StringComparison.Ordinal))
            throw new InvalidDataException(entry.FullName);
        Directory.CreateDirectory(Path.GetDirectoryName(place)!);
        entry.ExtractToFile(place, overwrite: true);
    }

    private static bool IsZip(string file)
    {
        using FileStream stream = File.OpenRead(file);
        byte[] start = new byte[4];
        return stream.ReadAtLeast(start, 4, throwOnEndOfStream: false) == 4
            && start.AsSpan().SequenceEqual("PK\x3\x4"u8);
    }
}
