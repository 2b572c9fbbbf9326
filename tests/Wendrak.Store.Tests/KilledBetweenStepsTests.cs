using Wendrak.Store.Demo;

namespace Wendrak.Store.Tests;

/// <summary>Whatever the power goes in the middle of, what was there is there, and the next one finds its way.</summary>
public sealed class KilledBetweenStepsTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 28, 9, 0, 0, TimeSpan.Zero);
    private readonly TempStore _store = new();
    private readonly string _aside = Directory.CreateTempSubdirectory("wendrak-aside-").FullName;
    private readonly PowerCuts _cuts;

    public KilledBetweenStepsTests() => _cuts = new(_store.Folder, Path.Combine(_aside, "cuts"));

    public void Dispose()
    {
        _store.Dispose();
        Directory.Delete(_aside, recursive: true);
    }

    private static async Task<string> NamesAsync(string folder)
    {
        using TempStore store = new(folder, keep: true);
        store.Database.LookThrough();
        Assert.Empty(store.Database.Damage.Found);
        return string.Join(", ", (await store.Machines.ListAsync()).Select(m => m.Machine.Name));
    }

    [Fact]
    public async Task Of_a_backup_made_by_itself()
    {
        await _store.AddMachineAsync("Precious");
        // Two of a day long past, of which one is kept.
        for (int hour = 0; hour < 2; hour++)
            Backups.Make(_store.Database, Now.AddDays(-40).AddHours(hour));
        Backups.Make(_store.Database, Now.AddHours(3), _cuts.Between);
        Assert.Single(_cuts.Left, l => l.EndsWith("let-go-of-one", StringComparison.Ordinal));
        Assert.InRange(_cuts.Left.Count, 5, 10);
        foreach (string left in _cuts.Left)
        {
            Assert.Equal("Precious", await NamesAsync(left));
            Assert.All(Backups.List(left), b => IsWhole(b.File));
            using TempStore next = new(left, keep: true);
            IsWhole(Backups.Make(next.Database, Now.AddHours(4)).File);
            Assert.Empty(Directory.GetFiles(Path.Combine(left, Backups.FolderName), "*.unfinished*"));
        }
    }

    private void IsWhole(string backup) =>
        Assert.Equal(
            1,
            new Restoring(_store.Database, TimeProvider.System)
                .Stage(backup)
                .Differences.Single(d => d.Word == "machine")
                .Same
        );

    [Fact]
    public async Task Of_a_backup_made_by_hand()
    {
        await _store.AddMachineAsync("Precious");
        string zip = Path.Combine(_store.Folder, "mine.zip");
        BackupZip.Write(_store.Folder, zip, _cuts.Between);
        Assert.InRange(_cuts.Left.Count, 5, 10);
        foreach (string left in _cuts.Left)
        {
            Assert.Equal("Precious", await NamesAsync(left));
            string made = Path.Combine(left, "mine.zip");
            if (File.Exists(made))
                IsWhole(made);
            BackupZip.Write(left, made);
            IsWhole(made);
            Assert.Equal([made], Directory.GetFiles(left, "mine.zip*"));
        }
    }

    [Fact]
    public async Task Of_a_restore_from_the_page()
    {
        await _store.AddMachineAsync("In the backup");
        string zip = Path.Combine(_aside, "x.zip");
        BackupZip.Write(_store.Folder, zip);
        await _store.AddMachineAsync("Since");
        Restoring restoring = new(_store.Database, TimeProvider.System);
        await restoring.RestoreAsync(restoring.Stage(zip).Token, null, _cuts.Between);
        List<string> found = [];
        foreach (string left in _cuts.Left)
        {
            Beginning.Sweep(left);
            found.Add(await NamesAsync(left));
            if (found[^1] == "In the backup")
                Assert.Contains(Backups.List(left), b => NamesOf(b.File) == "In the backup, Since");
        }
        Assert.Equal(["In the backup, Since", "In the backup, Since", "In the backup, Since", "In the backup"], found);
    }

    private string NamesOf(string backup)
    {
        string folder = Directory.CreateDirectory(Path.Combine(_aside, $"{Guid.NewGuid():N}")).FullName;
        File.Copy(backup, Path.Combine(folder, Database.FileName));
        return NamesAsync(folder).Result;
    }

    [Fact]
    public async Task Of_a_restore_at_the_start()
    {
        await _store.AddMachineAsync("In the backup");
        string zip = Path.Combine(_aside, "x.zip");
        BackupZip.Write(_store.Folder, zip);
        await _store.AddMachineAsync("Since");
        _store.Database.Dispose();
        RestoreAtStart.Run(_store.Folder, zip, Now, _cuts.Between);
        Assert.InRange(_cuts.Left.Count, 7, 12);
        List<string> found = [];
        foreach (string left in _cuts.Left)
        {
            RestoreAtStart.Finish(left, Now);
            found.Add(await NamesAsync(left));
        }
        Assert.Equal(["In the backup", "In the backup, Since"], found.Distinct().Order());
        Assert.Equal("In the backup", found[^1]);
    }

    [Fact]
    public async Task Of_beginning_anew()
    {
        await _store.AddMachineAsync("Precious");
        _store.Database.Dispose();
        Beginning.PutAside(_store.Folder, Now, between: _cuts.Between);
        Assert.InRange(_cuts.Left.Count, 3, 6);
        foreach (string left in _cuts.Left)
        {
            // The next start finds the old data where it was or put aside, whole.
            if (!File.Exists(Path.Combine(left, Database.FileName)))
                await Beginning.WithAsync(left, Now, _ => Task.CompletedTask);
            string names = await NamesAsync(left);
            if (names.Length == 0)
                names = await NamesAsync(
                    Directory.GetDirectories(Path.Combine(left, Backups.FolderName), "before-fresh*").Single()
                );
            Assert.Equal("Precious", names);
        }
    }

    [Fact]
    public async Task Of_the_first_start()
    {
        string folder = Directory.CreateDirectory(Path.Combine(_aside, "first")).FullName;
        PowerCuts cuts = new(folder, Path.Combine(_aside, "cuts"));
        await Beginning.WithAsync(folder, Now, FillAsync, cuts.Between);
        Assert.Equal(5, cuts.Left.Count);
        foreach (string left in cuts.Left)
        {
            if (!File.Exists(Path.Combine(left, Database.FileName)))
                await Beginning.WithAsync(left, Now, FillAsync);
            Assert.Equal(7, (await NamesAsync(left)).Split(", ").Length);
        }

        static Task FillAsync(Database database) => DemoData.FillAsync(database, TimeProvider.System);
    }
}
