using System.Globalization;

namespace Wendrak.Web;

/// <summary>What the command line says.</summary>
/// <param name="DataFolder">Folder of the data file.</param>
/// <param name="Fresh">Put the present data aside and begin again with the demo data.</param>
/// <param name="Empty">A new data file begins without the demo data.</param>
/// <param name="Errand">What is done instead of serving; null to serve.</param>
public sealed record StartOptions(string DataFolder, int Port, bool Fresh, bool Empty, Errand? Errand = null)
{
    public const int DefaultPort = 5210;

    public const string Usage = """
        Usage: ./run [--data DIR] [--port N] [--fresh] [--empty]
          --data DIR   folder of the data file (default: data)
          --port N     port on the loopback address (default: 5210)
          --fresh      put the present data aside and begin again with the demo data
          --empty      a new data file begins without the demo data
        Instead of serving:
          --backup FILE   write everything into one zip, also while Wendrak is up
          --restore FILE  go back to a backup; what is there is put aside
          --rescue DIR    save what is good of damaged data into a new folder
        """;

    /// <returns>The options, or one line that says what is wrong with the arguments.</returns>
    public static (StartOptions? Options, string? Refusal) Parse(IReadOnlyList<string> args, string defaultFolder)
    {
        StartOptions options = new(defaultFolder, DefaultPort, false, false);
        for (int i = 0; i < args.Count; i++)
        {
            string? value = i + 1 < args.Count ? args[i + 1] : null;
            switch (args[i])
            {
                case "--fresh":
                    options = options with { Fresh = true };
                    break;
                case "--empty":
                    options = options with { Empty = true };
                    break;
                case "--data":
                    if (string.IsNullOrWhiteSpace(value))
                        return (null, "--data wants a folder.");
                    options = options with { DataFolder = Path.GetFullPath(value) };
                    i++;
                    break;
                case "--backup" or "--restore" or "--rescue":
                    if (string.IsNullOrWhiteSpace(value))
                        return (null, $"{args[i]} wants a {(args[i] == "--rescue" ? "folder" : "file")}.");
                    if (options.Errand is not null)
                        return (null, "One of --backup, --restore and --rescue at a time.");
                    options = options with { Errand = new(args[i], Path.GetFullPath(value)) };
                    i++;
                    break;
                case "--port":
                    if (
                        !int.TryParse(value, NumberStyles.None, CultureInfo.InvariantCulture, out int port)
                        || port is < 1 or > 65535
                    )
                        return (null, "--port wants a number from 1 to 65535.");
                    options = options with { Port = port };
                    i++;
                    break;
                default:
                    return (null, $"Unknown argument {args[i]}.");
            }
        }
        return (options, null);
    }
}

/// <summary>Something done with the data at the command line, instead of serving it.</summary>
/// <param name="Name">--backup, --restore or --rescue.</param>
/// <param name="Path">The file or folder it was given.</param>
public sealed record Errand(string Name, string Path);
