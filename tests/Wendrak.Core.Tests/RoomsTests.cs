using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests;

/// <summary>The rooms of the core stand in one order, and none knows what comes after it.</summary>
public sealed class RoomsTests
{
    private static readonly string[] Rooms =
    [
        "Quantities",
        "Vocabulary",
        "Tables",
        "Gearing",
        "Wheels",
        "Lengths",
        "Loops",
        "Fit",
        "Shafts",
        "Drawing",
        "Wear",
        "Loads",
        "Frequency",
        "Tension",
        "Alignment",
        "Records",
        "Evaluation",
    ];

    private static readonly (string From, string To, string What)[] Uses =
    [
        .. new ArchLoader()
            .LoadAssembly(typeof(RatioSearch).Assembly)
            .Build()
            .Types.Where(t => RoomOf(t) is not null)
            .SelectMany(t => t.Dependencies.Select(d => (RoomOf(t)!, RoomOf(d.Target), $"{t.Name} → {d.Target.Name}")))
            .Where(u => u.Item2 is not null && u.Item1 != u.Item2)
            .Select(u => (u.Item1, u.Item2!, u.Item3))
            .Distinct(),
    ];

    private static string? RoomOf(IType type) =>
        type.Namespace?.FullName is { } name && name.StartsWith("Wendrak.Core.", StringComparison.Ordinal)
            ? name.Split('.')[2]
            : null;

    [Fact]
    public void Each_uses_only_those_before_it()
    {
        Assert.InRange(Uses.Length, 500, 5000);
        Assert.Equal([], Uses.Where(u => Array.IndexOf(Rooms, u.To) >= Array.IndexOf(Rooms, u.From)));
    }

    [Fact]
    public void Each_stands_in_the_order() =>
        Assert.Equal(Rooms.Order(), Uses.SelectMany(u => new[] { u.From, u.To }).Distinct().Order());
}
