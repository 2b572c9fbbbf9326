using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>Every kind of row is written with every value different, read back, and compared whole.</summary>
public sealed class RoundTripTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private static Drive EveryKindOfStage(GearboxSet set) =>
        new(
            "left",
            "Left side",
            null,
            new("crank", InputKind.Rider, 51.5, 102.5, 172.5),
            [
                new FixedPair("pair", "primary pair", "crank", "second", 21, 43, Meshing.InternalGears),
                new Gearbox("box", "the box", "second", "third", set),
                new HubGear("hub", "the hub", "third", "fourth", "three-speed", [0.75, 1.0, 1.333], 1.75),
                new PlanetaryStage(
                    "planet",
                    "the planet",
                    "fourth",
                    "fifth",
                    18,
                    72,
                    PlanetaryMember.Carrier,
                    PlanetaryMember.Ring
                ),
                new Loop(
                    "belt",
                    "the belt",
                    "fifth",
                    "sixth",
                    DriveElement.FlatBelt,
                    "flat 30",
                    BeltArrangement.Crossed,
                    0.015,
                    "front hub",
                    "rear hub",
                    410.5,
                    61.5,
                    true
                ),
                new Loop(
                    "chain",
                    "the chain",
                    "fifth",
                    "seventh",
                    DriveElement.Chain,
                    "428",
                    BeltArrangement.Open,
                    0,
                    null,
                    null,
                    null,
                    null,
                    false
                ),
            ],
            [
                new("drum", "sixth", false, new("180 mm", 566.5)),
                new("wheel", "seventh", true, new("47-406", null)),
                new("bare shaft", "fifth", false, null),
            ],
            true,
            SpeedPickup.DrivenWheel,
            3.25
        );

    private static LoopLayout Layout(string loopKey, Track track) =>
        new(
            loopKey,
            Turning.Counterclockwise,
            new(1.25, 2.5),
            new(-640, 3),
            [new("tensioner", new(-300, -70), 12, true, RunSide.Back, LoopRun.Slack)],
            new("tensioner", track)
        );

    [Fact]
    public async Task A_machine_comes_back_as_it_was_stored()
    {
        Drive left = EveryKindOfStage(new(0, 0, "a set", [2.5, 1.25], true, "a note on it"));
        Drive right = StartingMachines.For(MachineKind.Motorcycle).Machine.Drives[0] with
        {
            Key = "right",
            Mirrors = "left",
            Outputs = [new("right wheel", "rear wheel", true, null)],
            GearsInterchangeable = false,
        };
        Machine machine = new(
            0,
            0,
            "Everything 🐦 <b>",
            MachineKind.Robot,
            "machine note",
            1234.5,
            new(2026, 7, 8),
            [left, right],
            new(1.5, 2.5, 3.5, 4.5, 5.5, 6.5),
            [
                Layout("chain", new LineTrack(new(-628.5, 1), new(-668, 2))),
                Layout("final", new ArcTrack(new(5, 6), 7, 8, 9)),
            ]
        );
        LoopChoice[] loops =
        [
            new("belt", 90.5, 355.5, null, 1600.5),
            new("chain", 14, 38, 84),
            new("final", 15, 45, 112),
        ];
        FittedMachine added = await _store.Machines.AddAsync(
            TempStore.Who,
            new(machine, loops),
            CancellationToken.None
        );
        FittedMachine read = (await _store.Machines.FindAsync(added.Machine.Id))!;
        Assert.Equal(EarlierJson.ToJson(added.Machine), EarlierJson.ToJson(read.Machine));
        Assert.Equal(EarlierJson.ToJson(added.Fitted), EarlierJson.ToJson(read.Fitted));
        // The stored machine says what was given, beside ids and versions.
        Drive kept = read.Machine.Drives[0];
        GearboxSet set = ((Gearbox)kept.Stages[1]).Set;
        Machine given = machine with
        {
            Id = read.Machine.Id,
            Version = 1,
            Drives = [EveryKindOfStage(set), right with { Stages = read.Machine.Drives[1].Stages }],
        };
        Assert.Equal(EarlierJson.ToJson(given), EarlierJson.ToJson(read.Machine));
        Assert.Equal(loops, read.Fitted.Loops);
    }

    [Fact]
    public async Task A_setup_comes_back_as_it_was_stored()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        NewTrial trial = new(
            "Trial Z",
            [new("final", 16, 43, 110)],
            [new("rear wheel", new("130/80-17", 1901.5))],
            "try it"
        );
        Setup added = (
            await _store.Setups.AddTrialAsync(TempStore.Who, machine.Machine.Id, trial, CancellationToken.None)
        )!;
        Setup read = (await _store.Setups.ListAsync(machine.Machine.Id)).Single(s => s.Id == added.Id);
        Assert.Equal(EarlierJson.ToJson(added), EarlierJson.ToJson(read));
        Assert.Equal(new LoopChoice("final", 16, 43, 110), read.Loops.Single());
        Assert.Equal(new RoadWheelChoice("rear wheel", new("130/80-17", 1901.5)), read.RoadWheels.Single());
        Assert.Equal(("Trial Z", SetupStatus.Trial, "try it"), (read.Name, read.Status, read.Note));
    }

    public static TheoryData<AimTarget> Targets =>
        [
            new CruiseSpeed(91.5, 4, 5021.5, 5331.5),
            new TopSpeed(161.5, 3, 4.5),
            new SpeedAtCadence(16.5, 2, 78.5, 92.5),
            new OutputSpeed(64.5, 1, 1410.5, 1440.5),
            new OverallRatio(6.25, 7.25, null),
            new OverallRatio(6.25, 7.25, 5),
            new FinalRatio(2.75, 2.95),
            new MatchSetup(9, "other", [new("final", 14, 44, null)], [new("rear wheel", new("4 in", null))], 2.5),
        ];

    [Theory, MemberData(nameof(Targets))]
    public async Task An_aim_comes_back_as_it_was_stored(AimTarget target)
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Aim aim = TempStore.AimFor(machine.Machine.Id) with { Target = target };
        Aim added = (await _store.Aims.AddAsync(TempStore.Who, aim, CancellationToken.None))!;
        Aim read = (await _store.Aims.ListAsync(machine.Machine.Id)).Single();
        Assert.Equal(EarlierJson.ToJson(added), EarlierJson.ToJson(read));
        Assert.Equal(EarlierJson.ToJson(aim with { Id = read.Id, Version = 1 }), EarlierJson.ToJson(read));
    }

    [Theory]
    [InlineData(WheelSide.Front, "13-spline", 19.9)]
    [InlineData(WheelSide.Rear, null, null)]
    public async Task A_stock_item_comes_back_as_it_was_stored(WheelSide side, string? mounting, double? price)
    {
        StockItem item = new(0, 0, new("520", side, 15.5, mounting, 3, price, false), "on the top shelf");
        StockItem added = await _store.Stock.Wheels.AddAsync(TempStore.Who, item, CancellationToken.None);
        StockItem read = (await _store.Stock.Wheels.ListAsync()).Single();
        Assert.Equal(added, read);
        Assert.Equal(item with { Id = read.Id, Version = 1 }, read);
    }

    [Theory]
    [InlineData(true, "measured")]
    [InlineData(false, null)]
    public async Task A_gearbox_set_comes_back_as_it_was_stored(bool turnsRound, string? note)
    {
        GearboxSet set = new(0, 0, "six", [2.643, 1.857, 0.846], turnsRound, note);
        await _store.Stock.GearboxSets.AddAsync(TempStore.Who, set, CancellationToken.None);
        GearboxSet read = (await _store.Stock.GearboxSets.ListAsync()).Single();
        Assert.Equal(EarlierJson.ToJson(set with { Id = read.Id, Version = 1 }), EarlierJson.ToJson(read));
    }

    [Fact]
    public async Task What_is_not_there_is_null()
    {
        Assert.Null(await _store.Machines.FindAsync(99));
        Assert.Null(await _store.Files.WriteAsync(99));
        Assert.Null(await _store.Machines.CopyAsync(TempStore.Who, 99, "copy", CancellationToken.None));
        Assert.Null(await _store.Aims.AddAsync(TempStore.Who, TempStore.AimFor(99), CancellationToken.None));
        Assert.Null(await _store.Setups.FitAsync(TempStore.Who, 99, 1, CancellationToken.None));
        Assert.False(await _store.Aims.RemoveAsync(TempStore.Who, 99, 1, CancellationToken.None));
    }
}
