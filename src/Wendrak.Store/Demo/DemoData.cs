using System.Reflection;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
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
        foreach (StockItem wheel in Read<StockItem[]>("stock.json"))
            await stock.Wheels.AddAsync(Who, wheel, CancellationToken.None);
        foreach (StockPart part in Read<StockPart[]>("parts.json"))
            await stock.Parts.AddAsync(Who, part, CancellationToken.None);
        foreach (HandTool tool in Read<HandTool[]>("tools.json"))
            await stock.Tools.AddAsync(Who, tool, CancellationToken.None);
        foreach (StockSpacer spacer in Read<StockSpacer[]>("spacers.json"))
            await stock.Spacers.AddAsync(Who, spacer, CancellationToken.None);
        IReadOnlyDictionary<string, string> photos = await UnpackPhotosAsync(database.Folder);
        foreach (string name in Names("machine-"))
            await machines.ReadAsync(Who, Read<MachineFile>(name), CancellationToken.None, photos);
    }

    /// <summary>Drawn ones, as files that are moved to their places, by hash: their names end with it.</summary>
    private static async Task<IReadOnlyDictionary<string, string>> UnpackPhotosAsync(string folder)
    {
        string into = Directory.CreateDirectory(Path.Combine(folder, Beginning.PassingName)).FullName;
        Dictionary<string, string> photos = [];
        foreach (string name in Names("photos."))
        {
            string file = Path.Combine(into, name);
            await using (Stream drawn = Open(name))
            await using (FileStream to = File.Create(file))
                await drawn.CopyToAsync(to);
            photos[name.Split('.')[^2]] = file;
        }
        return photos;
    }

    private static IEnumerable<string> Names(string begin) =>
        Assembly
            .GetExecutingAssembly()
            .GetManifestResourceNames()
            .Where(n => n.StartsWith(Folder + begin, StringComparison.Ordinal))
            .Select(n => n[Folder.Length..])
            .Order(StringComparer.Ordinal);

    private static T Read<T>(string name)
    {
        using StreamReader reader = new(Open(name));
        return EarlierJson.FromJson<T>(reader.ReadToEnd());
    }

    private static Stream Open(string name) =>
        Assembly.GetExecutingAssembly().GetManifestResourceStream(Folder + name)!;
}
