namespace Wendrak.Store;

/// <summary>Goes back to a backup while no server is up, also where the present data can't be opened any more.</summary>
public static class RestoreAtStart
{
    private const string UnpackedName = "restoring";
    private const string ReadyName = "restored";

    /// <summary>Puts a backup in the place of the data; what was there is moved into the backups as it is.</summary>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">It is no backup, or is damaged: nothing was moved then.</exception>
    public static void Run(string folder, string backup, DateTimeOffset now, Action<string>? between = null)
    {
        string unpacked = Path.Combine(folder, UnpackedName);
        try
        {
            if (Directory.Exists(unpacked))
                Directory.Delete(unpacked, recursive: true);
            BackupZip.Unpack(backup, unpacked);
            between?.Invoke("unpacked");
            using (Database database = Database.Prepare(unpacked, now))
            {
                database.LookThrough();
                if (database.Damage.IsAny)
                    throw new DataFileException($"This backup is damaged: {string.Join(", ", database.Damage.Found)}.");
            }
            between?.Invoke("looked through");
            Attachments.CopyAll(unpacked, folder);
            between?.Invoke("attachments moved");
            string ready = Path.Combine(folder, ReadyName);
            if (Directory.Exists(ready))
                Directory.Delete(ready, recursive: true);
            Directory.Move(unpacked, ready);
            between?.Invoke("ready");
            Beginning.PutAside(folder, now, "restore", between);
            between?.Invoke("put aside");
            Finish(folder, now);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException($"The backup could not be restored: {e.Message.ReplaceLineEndings(" ")}", e);
        }
    }

    /// <summary>Moves in what was made ready, also when the one who made it ready was stopped before.</summary>
    public static void Finish(string folder, DateTimeOffset now)
    {
        string ready = Path.Combine(folder, ReadyName);
        string data = Path.Combine(folder, Database.FileName);
        if (File.Exists(Path.Combine(ready, Database.FileName)) && !File.Exists(data))
        {
            Journal.PutStrayAside(data, now);
            File.Move(Path.Combine(ready, Database.FileName), data);
        }
        if (Directory.Exists(ready))
            Directory.Delete(ready, recursive: true);
    }
}
