using System.Diagnostics;
using Wendrak.Core.Frequency;

namespace Wendrak.Core.Tests.Frequency;

/// <summary>Recordings made by Debian's sox, a generator that knows nothing of this program.</summary>
internal static class Sox
{
    /// <summary>Runs sox and reads the WAV file it writes.</summary>
    /// <param name="output">Format of the file, e.g. <c>-r 44100 -b 16</c>.</param>
    /// <param name="synth">What is synthesised, and effects.</param>
    public static WavRecording Make(string output, string synth)
    {
        string folder = Directory.CreateTempSubdirectory("wendrak-sox-").FullName;
        try
        {
            string file = Path.Combine(folder, "a.wav");
            // -R: the same noise each time.
            Run($"-R -V1 -n {output} {file} {synth}");
            using FileStream stream = File.OpenRead(file);
            return WavRecording.Read(stream);
        }
        finally
        {
            Directory.Delete(folder, true);
        }
    }

    /// <summary>Lays recordings over each other.</summary>
    public static WavRecording Mix(string output, params string[] synths)
    {
        string folder = Directory.CreateTempSubdirectory("wendrak-sox-").FullName;
        try
        {
            string[] files = [.. synths.Select((_, i) => Path.Combine(folder, $"{i}.wav"))];
            for (int i = 0; i < synths.Length; i++)
                Run($"-R -V1 -n -r 48000 -b 32 -c 1 {files[i]} {synths[i]}");
            string file = Path.Combine(folder, "mix.wav");
            Run($"-R -V1 -m {string.Join(' ', files.Select(f => "-v 1 " + f))} {output} {file}");
            using FileStream stream = File.OpenRead(file);
            return WavRecording.Read(stream);
        }
        finally
        {
            Directory.Delete(folder, true);
        }
    }

    private static void Run(string arguments)
    {
        using Process sox =
            Process.Start(new ProcessStartInfo("sox", arguments) { RedirectStandardError = true })
            ?? throw new InvalidOperationException("sox is missing: ./test installs it.");
        string said = sox.StandardError.ReadToEnd();
        sox.WaitForExit();
        if (sox.ExitCode != 0)
            throw new InvalidOperationException($"sox {arguments}: {said}");
    }
}
