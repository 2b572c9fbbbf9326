namespace Wendrak.Store;

/// <summary>Whether a file that is open still lies where it was opened. Linux tells it of each open file.</summary>
/// <remarks>man 5 proc, /proc/self/fd: the link of a file that was removed ends with “(deleted)”, of a moved one it follows.</remarks>
internal sealed class OpenFile
{
    private readonly string _file;
    private readonly string? _link;

    /// <param name="file">Open in this process already.</param>
    public OpenFile(string file)
    {
        _file = file;
        string folder = Path.GetDirectoryName(file)!;
        string real = Path.Combine(
            new DirectoryInfo(folder).ResolveLinkTarget(returnFinalTarget: true)?.FullName ?? folder,
            Path.GetFileName(file)
        );
        _link = Directory.Exists("/proc/self/fd")
            ? Directory.EnumerateFileSystemEntries("/proc/self/fd").FirstOrDefault(l => TargetOf(l) == real)
            : null;
        Place = _link is null ? null : real;
    }

    private string? Place { get; }

    public bool IsInPlace => _link is null ? File.Exists(_file) : TargetOf(_link) == Place;

    private static string? TargetOf(string link)
    {
        try
        {
            return new FileInfo(link).LinkTarget;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            return null;
        }
    }
}
