using System.Reflection;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
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
        await FillAsync(stock.Wheels, "stock.json");
        await FillAsync(stock.Parts, "parts.json");
        await FillAsync(stock.Tools, "tools.json");
        await FillAsync(stock.Spacers, "spacers.json");
        await AddMachinesAsync(database, machines);
    }

    /// <summary>Puts its machines into a yard where none stands, and onto each shelf that is empty what lies there.</summary>
    /// <exception cref="InvalidInputException">A machine stands there: nobody wants to tell invented ones from their own.</exception>
    public static async Task AddAsync(Database database, MachineStore yard, StockStore stock, MachineFiles machines)
    {
        new Guard()
            .That(
                (await yard.ListAsync()).Count == 0,
                "Yard",
                "not_empty",
                "The demo comes into an empty yard only: start the program with another folder to look at it."
            )
            .ThrowIfAny();
        await FillAsync(stock.Wheels, "stock.json");
        await FillAsync(stock.Parts, "parts.json");
        await FillAsync(stock.Tools, "tools.json");
        await FillAsync(stock.Spacers, "spacers.json");
        await AddMachinesAsync(database, machines);
    }

    private static async Task FillAsync<T>(ListStore<T> shelf, string name)
        where T : StoredRecord
    {
        if ((await shelf.ListAsync()).Count > 0)
            return;
        foreach (T thing in Read<T[]>(name))
            await shelf.AddAsync(Who, thing, CancellationToken.None);
    }

    private static async Task AddMachinesAsync(Database database, MachineFiles machines)
    {
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
