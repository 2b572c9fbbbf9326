using System.Diagnostics;

namespace Wendrak.Store.Tests;

/// <summary>Copies of a folder as it stood between every two steps of something: what a power cut at each would have left.</summary>
/// <param name="folder">The one that is worked in.</param>
/// <param name="into">Where the copies go; deleted by whoever made it.</param>
internal sealed class PowerCuts(string folder, string into)
{
    private readonly List<string> _left = [];

    /// <summary>One folder for each step, in their order.</summary>
    public IReadOnlyList<string> Left => _left;

    /// <summary>Copied by another program: closing a file here would let go of the locks that SQLite holds on it.</summary>
    public void Between(string step)
    {
        string copy = Path.Combine(into, $"cut-{_left.Count}-{step.Replace(' ', '-')}");
        Directory.CreateDirectory(copy);
        using Process cp = Process.Start("cp", ["-a", $"{folder}/.", copy]);
        cp.WaitForExit();
        Assert.Equal(0, cp.ExitCode);
        _left.Add(copy);
    }
}
