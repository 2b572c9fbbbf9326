using System.Diagnostics;

namespace Wendrak.Web.Tests;

/// <summary>The program as a process of its own, with a data folder that is thrown away.</summary>
public sealed class Started : IDisposable
{
    private readonly List<Process> _started = [];

    public string Folder { get; } = Directory.CreateTempSubdirectory("wendrak-process-").FullName;
    public string Data => Path.Combine(Folder, "data");

    public void Dispose()
    {
        foreach (Process process in _started)
        {
            if (!process.HasExited)
                process.Kill(entireProcessTree: true);
            process.Dispose();
        }
        Directory.Delete(Folder, recursive: true);
    }

    public Process Start(int port, params string[] more) => Run(["--port", $"{port}", "--data", Data, .. more]);

    /// <summary>With these arguments and no others.</summary>
    public Process Run(string[] arguments, string? inShell = null, (string, string)? variable = null)
    {
        ProcessStartInfo info = new(inShell is null ? "dotnet" : "unshare")
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            WorkingDirectory = Folder,
        };
        if (variable is var (name, value))
            info.Environment[name] = value;
        if (inShell is not null)
            foreach (string argument in new[] { "-rm", "sh", "-c", inShell + " && exec dotnet \"$@\"", "sh" })
                info.ArgumentList.Add(argument);
        foreach (string argument in (string[])[typeof(WendrakApp).Assembly.Location, .. arguments])
            info.ArgumentList.Add(argument);
        Process process = Process.Start(info)!;
        _started.Add(process);
        return process;
    }

    public static async Task<HttpClient> WhenUpAsync(Process process, int port)
    {
        string? line = await process.StandardOutput.ReadLineAsync().WaitAsync(TimeSpan.FromSeconds(60));
        Assert.True(
            line?.StartsWith("Wendrak is up", StringComparison.Ordinal) == true,
            line ?? await process.StandardError.ReadToEndAsync()
        );
        return new() { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
    }

    public static async Task<string> RefusesInOneLineAsync(Process process, string wanted)
    {
        string error = await process.StandardError.ReadToEndAsync().WaitAsync(TimeSpan.FromSeconds(60));
        await process.WaitForExitAsync();
        Assert.NotEqual(0, process.ExitCode);
        string line = Assert.Single(error.Split('\n', StringSplitOptions.RemoveEmptyEntries));
        Assert.Contains(wanted, line, StringComparison.Ordinal);
        return line;
    }
}
