namespace Wendrak.Store;

/// <summary>Holds a data folder for one program; the system lets it go when that ends, however it ends.</summary>
public sealed class FolderLock : IDisposable
{
    private const string LockName = "wendrak.lock";
    private const string HolderName = "wendrak.holder";
    private readonly FileStream _held;

    private FolderLock(FileStream held) => _held = held;

    /// <param name="holder">Who holds it, in words for the next one who asks.</param>
    /// <exception cref="DataFileException">Somebody else holds it, or the folder can't be used.</exception>
    public static FolderLock Take(string folder, string holder)
    {
        string file = Path.Combine(folder, LockName);
        try
        {
            Directory.CreateDirectory(folder);
            FolderLock taken = new(new FileStream(file, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
            File.WriteAllText(Path.Combine(folder, HolderName), holder);
            return taken;
        }
        catch (IOException e) when (IsHeld(file))
        {
            throw new DataFileException(
                $"The data in {folder} is in use by {HolderOf(folder)}. Stop that one first.",
                e
            );
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException(
                $"The data folder {folder} can't be used: {e.Message.ReplaceLineEndings(" ")}",
                e
            );
        }
    }

    public void Dispose() => _held.Dispose();

    private static bool IsHeld(string file)
    {
        try
        {
            using FileStream free = new(file, FileMode.Open, FileAccess.ReadWrite, FileShare.None);
            return false;
        }
        catch (IOException)
        {
            return File.Exists(file);
        }
        catch (UnauthorizedAccessException)
        {
            return false;
        }
    }

    private static string HolderOf(string folder)
    {
        string file = Path.Combine(folder, HolderName);
        return File.Exists(file) ? File.ReadAllText(file).Trim() : "another Wendrak";
    }
}
