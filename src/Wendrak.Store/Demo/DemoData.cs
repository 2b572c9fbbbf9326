using System.Reflection;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Demo;

/// <summary>The Saltmarsh Courier Co-op and its greenhouse: invented machines to look around with.</summary>
public static class DemoData
{
    private const string Who = "demo data";
    private const string Folder = "Wendrak.Store.Demo.";

    /// <summary>Fills a new data file, through the same doors as a person's own machines.</summary>
    public static async Task FillAsync(Database database, TimeProvider clock)
    {
        ChangeLog log = new(database, clock);
        MachineFiles machines = new(database, log, new(database, log, clock));
        StockStore stock = new(database, log);
        foreach (StockWheel wheel in Read<StockWheel[]>("stock.json"))
            await stock.Wheels.AddAsync(Who, new(0, 0, wheel, null), CancellationToken.None);
        foreach (StockSpacer spacer in Read<StockSpacer[]>("spacers.json"))
            await stock.Spacers.AddAsync(Who, spacer, CancellationToken.None);
        foreach (string name in MachineFiles())
            await machines.ReadAsync(Who, Read<MachineFile>(name), CancellationToken.None);
    }

    private static IEnumerable<string> MachineFiles() =>
        Assembly
            .GetExecutingAssembly()
            .GetManifestResourceNames()
            .Where(n => n.StartsWith(Folder + "machine-", StringComparison.Ordinal))
            .Select(n => n[Folder.Length..])
            .Order(StringComparer.Ordinal);

    private static T Read<T>(string name)
    {
        using Stream stream = Assembly.GetExecutingAssembly().GetManifestResourceStream(Folder + name)!;
        using StreamReader reader = new(stream);
        return EarlierJson.FromJson<T>(reader.ReadToEnd());
    }
}
