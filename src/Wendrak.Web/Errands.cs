using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>What can be done with the data at the command line.</summary>
public static class Errands
{
    /// <returns>What was done, in a few lines.</returns>
    /// <exception cref="DataFileException">It can't be done.</exception>
    public static string Run(Errand errand, string folder, DateTimeOffset now)
    {
        switch (errand.Name)
        {
            case "--backup":
                BackupZip.Write(folder, errand.Path);
                return $"The backup is {errand.Path} ({new FileInfo(errand.Path).Length / 1000} kB), looked through and good.";
            case "--restore":
                if (!File.Exists(errand.Path))
                    throw new DataFileException($"There is no file {errand.Path}.");
                using (FolderLock.Take(folder, "Wendrak, restoring a backup"))
                    RestoreAtStart.Run(folder, errand.Path, now);
                return $"{errand.Path} is restored. What was there is in {Path.Combine(folder, Backups.FolderName)}.";
            default:
                using (FolderLock.Take(folder, "Wendrak, rescuing data"))
                {
                    Rescued rescued = Rescue.Run(folder, errand.Path, now);
                    string[] saved = [.. rescued.Saved.Where(s => s.Value > 0).Select(s => $"{s.Value} of {s.Key}")];
                    string lost =
                        rescued.Lost.Count == 0
                            ? "Nothing that could be found is lost."
                            : $"Lost: {string.Join(", ", rescued.Lost.Take(20))}{(rescued.Lost.Count > 20 ? $" and {rescued.Lost.Count - 20} more" : "")}.";
                    return $"Saved into {errand.Path}: {string.Join(", ", saved)}.\n{lost}\nLook at it with ./run --data {errand.Path}";
                }
        }
    }
}
