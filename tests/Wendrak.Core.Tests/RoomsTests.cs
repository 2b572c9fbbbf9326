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
        "Faults",
        "Gearing",
        "Wheels",
        "Lengths",
        "Markings",
        "Loops",
        "Fit",
        "Shafts",
        "Stock",
        "Drawing",
        "Wear",
        "Upkeep",
        "Comparing",
        "Loads",
        "Frequency",
        "Tension",
        "Alignment",
        "Photos",
        "Procedures",
        "Choices",
        "Records",
        "Importing",
        "Traces",
        "Logbook",
        "Sharing",
        "Evaluation",
    ];

    private static readonly RoomOrder Order = new(typeof(RatioSearch).Assembly, Rooms);

    [Fact]
    public void Each_uses_only_those_before_it() => Assert.Equal([], Order.Upwards());

    [Fact]
    public void Each_stands_in_the_order() => Assert.Equal(Rooms.Order(), Order.Used);
}
