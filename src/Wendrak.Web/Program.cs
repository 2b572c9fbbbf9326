using System.Net.NetworkInformation;
using Wendrak.Store;
using Wendrak.Web;

if (args.Contains("--help"))
{
    Console.WriteLine(StartOptions.Usage);
    return 0;
}
string home = Environment.GetEnvironmentVariable("WENDRAK_HOME") ?? Directory.GetCurrentDirectory();
(StartOptions? options, string? refusal) = StartOptions.Parse(args, Path.Combine(home, "data"));
if (options is null)
{
    Console.Error.WriteLine($"wendrak: {refusal} See ./run --help.");
    return 2;
}

if (options.Errand is { } errand)
    try
    {
        Console.WriteLine(Errands.Run(errand, options.DataFolder, TimeProvider.System.GetUtcNow()));
        return 0;
    }
    catch (DataFileException e)
    {
        Console.Error.WriteLine($"wendrak: {e.Message}");
        return 4;
    }

// Asked before the data is touched: said more clearly than the web server would.
bool portTaken = IPGlobalProperties
    .GetIPGlobalProperties()
    .GetActiveTcpListeners()
    .Any(e => e.Port == options.Port && IsLoopbackOrAny(e.Address));
if (portTaken)
{
    Console.Error.WriteLine($"wendrak: port {options.Port} is in use. Choose another with --port N.");
    return 3;
}

try
{
    await using WebApplication app = await WendrakApp.BuildAsync(options, TimeProvider.System);
    await app.StartAsync();
    if (app.Services.GetRequiredService<Database>().StrayJournal is { } stray)
        Console.Error.WriteLine($"wendrak: a journal of another state of the data lay beside it; it is {stray} now.");
    Console.WriteLine(
        $"Wendrak is up: http://127.0.0.1:{options.Port}/ (data in {options.DataFolder}; stop with Ctrl+C)"
    );
    await app.WaitForShutdownAsync();
    return 0;
}
catch (DataFileException e)
{
    Console.Error.WriteLine($"wendrak: {e.Message}");
    return 4;
}
catch (IOException e)
{
    Console.Error.WriteLine($"wendrak: could not listen on port {options.Port}: {e.Message.ReplaceLineEndings(" ")}");
    return 3;
}

static bool IsLoopbackOrAny(System.Net.IPAddress address) =>
    System.Net.IPAddress.IsLoopback(address)
    || address.Equals(System.Net.IPAddress.Any)
    || address.Equals(System.Net.IPAddress.IPv6Any);
