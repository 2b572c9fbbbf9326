using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store;

/// <summary>Begins a data folder, and begins one anew. Each step can be the last one before the power goes.</summary>
public static class Beginning
{
    private const string UnfinishedName = "unfinished";

    /// <summary>Files on their way in or out, in the data folder since there is room for them; none outlives a start.</summary>
    public const string PassingName = "passing";

    /// <summary>Takes away what was on its way when the last one was stopped.</summary>
    public static void Sweep(string folder)
    {
        foreach (string name in new[] { PassingName, Restoring.StagedName })
            if (Directory.Exists(Path.Combine(folder, name)))
                Directory.Delete(Path.Combine(folder, name), recursive: true);
    }

    /// <summary>Makes a data file elsewhere and moves it in when it is whole: a start that is cut short leaves no half.</summary>
    /// <param name="fill">Puts in what it begins with.</param>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">The folder can't be written.</exception>
    public static async Task WithAsync(
        string folder,
        DateTimeOffset now,
        Func<Database, Task> fill,
        Action<string>? between = null
    )
    {
        string unfinished = Path.Combine(folder, UnfinishedName);
        try
        {
            if (Directory.Exists(unfinished))
                Directory.Delete(unfinished, recursive: true);
            between?.Invoke("swept");
            using (Database database = Database.Prepare(unfinished, now))
            {
                between?.Invoke("made");
                await fill(database);
            }
            between?.Invoke("filled");
            Attachments.CopyAll(unfinished, folder);
            between?.Invoke("pictures copied");
            Journal.PutStrayAside(Path.Combine(folder, Database.FileName), now);
            File.Move(Path.Combine(unfinished, Database.FileName), Path.Combine(folder, Database.FileName));
            between?.Invoke("moved in");
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
    /// <param name="before">What it is put aside for: the name begins with it.</param>
    /// <param name="between">Called between every two steps, for tests that stop there.</param>
    /// <exception cref="DataFileException">The files can't be moved.</exception>
    public static void PutAside(
        string folder,
        DateTimeOffset now,
        string before = "fresh",
        Action<string>? between = null
    )
    {
        string file = Path.Combine(folder, Database.FileName);
        if (!File.Exists(file))
            return;
        try
        {
            string stamp = now.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture);
            string aside = Path.Combine(folder, Backups.FolderName, $"before-{before}-{stamp}");
            Directory.CreateDirectory(aside);
            between?.Invoke("folder made");
            FoldJournalIn(file);
            between?.Invoke("journal folded in");
            // The file first: a journal without its file is put aside at the next start, a file without its journal is not whole.
            foreach (string part in new[] { file, file + Journal.Suffix, file + "-shm" }.Where(File.Exists))
            {
                File.Move(part, Path.Combine(aside, Path.GetFileName(part)));
                between?.Invoke($"moved {Path.GetFileName(part)}");
            }
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException(
                $"The data in {folder} can't be put aside: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
    }

    /// <summary>Where that can't be done, the journal is moved along with the file.</summary>
    private static void FoldJournalIn(string file)
    {
        try
        {
            DataFileLook.Check(file);
            using SqliteConnection connection = Backups.OpenAlone(file, SqliteOpenMode.ReadWrite);
            connection.Execute("PRAGMA wal_checkpoint(TRUNCATE)");
        }
        catch (Exception e) when (e is SqliteException or DataFileException) { }
    }
}
