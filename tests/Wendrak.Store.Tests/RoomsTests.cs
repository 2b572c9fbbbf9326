using Wendrak.Core.Tests;

namespace Wendrak.Store.Tests;

/// <summary>The rooms of the store stand in one order, and none knows what comes after it.</summary>
public sealed class RoomsTests
{
    /// <summary>The data file itself is in the store's own name space.</summary>
    private static readonly string[] Rooms =
    [
        "Bodies",
        "Wendrak.Store",
        "Records",
        "Jobs",
        "Logs",
        "Ledger",
        "Machines",
        "Demo",
    ];

    private static readonly RoomOrder Order = new(typeof(Database).Assembly, Rooms);

    [Fact]
    public void Each_uses_only_those_before_it() => Assert.Equal([], Order.Upwards());

    [Fact]
    public void Each_stands_in_the_order() => Assert.Equal(Rooms.Order(), Order.Used);
}
