using System.Globalization;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>The folder with the data file.</summary>
public static class DataFolder
{
    /// <summary>Makes a data file elsewhere and moves it in when it is whole: a start that is cut short leaves no half.</summary>
    /// <exception cref="DataFileException">The folder can't be written.</exception>
    public static async Task BeginWithAsync(string folder, TimeProvider clock, Func<Database, TimeProvider, Task> fill)
    {
        string unfinished = Path.Combine(folder, "unfinished");
        try
        {
            if (Directory.Exists(unfinished))
                Directory.Delete(unfinished, recursive: true);
            await fill(Database.Prepare(unfinished, clock.GetUtcNow()), clock);
            Database.CloseAll();
            File.Move(Path.Combine(unfinished, Database.FileName), Path.Combine(folder, Database.FileName));
            Directory.Delete(unfinished, recursive: true);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException(
                $"The data folder {folder} can't be used: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
    }

    /// <summary>Moves the present data into the backups, so that beginning anew loses nothing.</summary>
    /// <exception cref="DataFileException">The files can't be moved.</exception>
    public static void PutAside(string folder, DateTimeOffset now)
    {
        string file = Path.Combine(folder, Database.FileName);
        if (!File.Exists(file))
            return;
        try
        {
            string stamp = now.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture);
            string aside = Path.Combine(folder, Database.BackupFolderName, $"before-fresh-{stamp}");
            Directory.CreateDirectory(aside);
            // The write-ahead log belongs to the file: one without the other loses the newest changes.
            foreach (string part in new[] { file, file + "-wal", file + "-shm" }.Where(File.Exists))
                File.Move(part, Path.Combine(aside, Path.GetFileName(part)));
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException(
                $"The data in {folder} can't be put aside: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
    }
}
