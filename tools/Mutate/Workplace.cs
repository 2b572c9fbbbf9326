using System.Diagnostics;

namespace Wendrak.Mutate;

/// <summary>A copy of the core and its tests, which may be changed and built.</summary>
internal sealed class Workplace
{
    private readonly string _root;
    public string Core => Path.Combine(_root, "src/Wendrak.Core");
    private string Tests => Path.Combine(_root, "tests/Wendrak.Core.Tests");

    public IReadOnlyList<string> Sources { get; }

    private Workplace(string root)
    {
        _root = root;
        Sources =
        [
            .. Directory
                .EnumerateFiles(root, "*.cs", SearchOption.AllDirectories)
                .Where(f =>
                    !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal)
                ),
        ];
    }

    public static Workplace CopyOf(string root)
    {
        string copy = Directory.CreateTempSubdirectory("mutate-").FullName;
        foreach (
            string file in Run(
                    root,
                    "git",
                    "ls-files",
                    "src/Wendrak.Core",
                    "tests/Wendrak.Core.Tests",
                    "*.props",
                    ".editorconfig"
                )
                .Split('\n', StringSplitOptions.RemoveEmptyEntries)
        )
        {
            string to = Path.Combine(copy, file);
            Directory.CreateDirectory(Path.GetDirectoryName(to)!);
            File.Copy(Path.Combine(root, file), to);
        }
        return new(copy);
    }

    /// <summary>What the numbers go through, and formulas printed as if they did not.</summary>
    public void AddMutant()
    {
        File.WriteAllText(
            Path.Combine(Core, "Quantities/Mutant.cs"),
            """
            namespace Wendrak.Core.Quantities;
            public static class Mutant
            {
                private static readonly int Changed = int.TryParse(Environment.GetEnvironmentVariable("MUTANT"), out int id) ? id : -1;
                private static readonly string? Trace = Environment.GetEnvironmentVariable("MUTANT_TRACE");
                private static readonly System.Collections.Concurrent.ConcurrentDictionary<int, bool> Seen = new();
                static Mutant() => AppDomain.CurrentDomain.ProcessExit += (_, _) => { if (Trace is not null) System.IO.File.WriteAllLines(Trace, Seen.Keys.Select(k => k.ToString())); };
                private static bool IsChanged(int id) { if (Trace is not null) Seen[id] = true; return id == Changed; }
                public static double Of(int id, double value) => IsChanged(id) ? value * 1.1 : value;
                public static int Of(int id, int value) => IsChanged(id) ? Math.Max(value + 1, (int)Math.Round(value * 1.1)) : value;
                public static string Unwrap(string lambda) => System.Text.RegularExpressions.Regex.Replace(lambda, @"Wendrak\.Core\.Quantities\.Mutant\.Of\(\d+, ([^)]*)\)", "$1");
            }
            """
        );
        string file = Path.Combine(Core, "Quantities/Formula.cs");
        string formula = File.ReadAllText(file);
        const string read = "FormulaText.Parse(expression)";
        if (!formula.Contains(read, StringComparison.Ordinal))
            throw new InvalidOperationException($"{file} reads its lambda no more by {read}: say here how it does.");
        File.WriteAllText(file, formula.Replace(read, "FormulaText.Parse(Mutant.Unwrap(expression))"));
    }

    public async Task BuildAsync()
    {
        (int code, string told) = await RunAsync([
            "build",
            Tests,
            "-c",
            "Release",
            "--nologo",
            "-v",
            "quiet",
            "-p:TreatWarningsAsErrors=false",
            "-p:EnforceCodeStyleInBuild=false",
            "-p:RunAnalyzers=false",
        ]);
        if (code != 0)
            throw new InvalidOperationException(told);
    }

    /// <summary>Classes of tests that the built copy has.</summary>
    public IReadOnlyList<string> TestClasses() =>
        [
            .. Sources
                .Where(f =>
                    f.StartsWith(Tests, StringComparison.Ordinal) && f.EndsWith("Tests.cs", StringComparison.Ordinal)
                )
                .Select(f => Path.GetFileNameWithoutExtension(f))
                // They hold the source itself to its rules, not what it computes.
                .Except(["RoomsTests", "ArchitectureTests"])
                .Order(StringComparer.Ordinal),
        ];

    /// <exception cref="InvalidOperationException">They fail with no number changed: then they would seem to notice every one.</exception>
    public async Task<string[]> TraceAsync(string tests)
    {
        string file = Path.Combine(_root, $"{tests}.trace");
        if (await TestAsync([tests], ("MUTANT_TRACE", file)) != 0)
            throw new InvalidOperationException($"{tests} fails in {_root} with no number changed.");
        return File.Exists(file) ? await File.ReadAllLinesAsync(file) : [];
    }

    public async Task<bool> FailsAsync(string[] tests, Number number) =>
        (await TestAsync(tests, ("MUTANT", number.Id.ToString(System.Globalization.CultureInfo.InvariantCulture))))
        != 0;

    private async Task<int> TestAsync(string[] tests, (string Name, string Value) setting)
    {
        (int code, _) = await RunAsync(
            [
                typeof(Workplace).Assembly.Location,
                TestRun.Command,
                Path.Combine(Tests, "bin/Release/net10.0/Wendrak.Core.Tests.dll"),
                .. tests,
            ],
            setting
        );
        return code;
    }

    private async Task<(int Code, string Told)> RunAsync(
        string[] arguments,
        params (string Name, string Value)[] settings
    )
    {
        ProcessStartInfo start = new("dotnet", arguments)
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            WorkingDirectory = _root,
        };
        foreach ((string name, string value) in settings)
            start.Environment[name] = value;
        using Process process = Process.Start(start)!;
        Task<string> told = process.StandardOutput.ReadToEndAsync();
        await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();
        return (process.ExitCode, await told);
    }

    private static string Run(string folder, string program, params string[] arguments)
    {
        using Process process = Process.Start(
            new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true, WorkingDirectory = folder }
        )!;
        return process.StandardOutput.ReadToEnd();
    }
}
