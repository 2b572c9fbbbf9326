using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Tests.Stock;

/// <summary>What may stand in Stock, and what is taken from it. The data is made up.</summary>
public sealed class StockTests
{
    private static readonly StockPart Link = new(1, 1, PartKind.JoiningLink, "rivet", "520", 4, 3.5, true, null);

    [Theory]
    [InlineData(-1, 1.0, "Wheel.Count")]
    [InlineData(1, -1.0, "Wheel.Price")]
    [InlineData(100_001, 1.0, "Wheel.Count")]
    [InlineData(1, 1_000_001.0, "Wheel.Price")]
    public void A_wheel_has_a_count_and_a_price_within_bounds(int count, double price, string field) =>
        Refusals.Names(
            field,
            new StockItem(0, 0, new("520", WheelSide.Front, 15, null, count, price, true), null).Check
        );

    [Fact]
    public void Each_list_refuses_what_can_not_stand_in_it()
    {
        StockSpacer spacer = new(0, 0, 2, 17, 3);
        spacer.Check();
        Refusals.Names("Price", (spacer with { Price = -1 }).Check);
        Refusals.Names("BoreMm", (spacer with { BoreMm = 0 }).Check);
        Refusals.Names("Supply.DeliveryDays", (spacer with { Supply = new(null, 366, null) }).Check);
        Link.Check();
        Refusals.Names("Kind", (Link with { Kind = (PartKind)99 }).Check);
        Refusals.Names("Name", (Link with { Name = " " }).Check);
        Refusals.Names("GoesWith", (Link with { GoesWith = "" }).Check);
        Refusals.Names("Count", (Link with { Count = -1 }).Check);
        Refusals.Names("Price", (Link with { Price = -1 }).Check);
        Refusals.Names("Note", (Link with { Note = new('x', 2001) }).Check);
        Refusals.Names("Supply.Supplier", (Link with { Supply = new(new('x', 2001), null, null) }).Check);
        Refusals.Names("Supply.DeliveryDays", (Link with { Supply = new(null, -1, null) }).Check);
        Refusals.Names("Kind", new HandTool(0, 0, (ToolKind)99, null).Check);
        Refusals.Names("Size", new HandTool(0, 0, ToolKind.Spanner, "").Check);
    }

    [Fact]
    public void A_line_is_called_by_what_it_is()
    {
        Assert.Equal("joining link rivet for 520", Link.Describe());
        Assert.Equal("grease", (Link with { Kind = PartKind.Other, Name = "grease", GoesWith = null }).Describe());
        Assert.Equal("grease for 520", (Link with { Kind = PartKind.Other, Name = "grease" }).Describe());
        Assert.Equal("spacer 0.5 mm for 17 mm", new StockSpacer(0, 0, 0.5, 17, 1).Describe());
        Assert.Equal(
            "rear 40 for 520",
            new StockItem(0, 0, new("520", WheelSide.Rear, 40, null, 1, 1, true), null).Describe()
        );
        Assert.Equal("torque wrench, 20–100 Nm", new HandTool(0, 0, ToolKind.TorqueWrench, "20–100 Nm").Describe());
    }

    [Fact]
    public void What_is_taken_is_there_no_more_and_is_called_and_priced_as_in_stock()
    {
        (StockPart left, PartUsed used) = PartRules.Take(Link, new("mine", 3, 99, new(StockList.Parts, 1)), "");
        Assert.Equal(1, left.Count);
        Assert.Equal(("joining link rivet for 520", 3.5), (used.What, used.UnitPrice));
        Assert.Equal(0, PartRules.Take(Link, new("", 4, null, null), "").Left.Count);
        Refusals.Names("Count", () => PartRules.Take(Link, new("", 5, null, null), ""));
        Refusals.Names(
            "Events[0].Count",
            () => PartRules.Take(Link with { Count = 0 }, new("", 1, null, null), "Events[0]")
        );
    }

    [Fact]
    public void A_tool_is_missing_only_where_the_workshop_said_what_it_has()
    {
        ToolKind[] needed = [ToolKind.Stand, ToolKind.TorqueWrench, ToolKind.Stand];
        Assert.Empty(ToolStandIns.Missing(needed, []));
        Assert.Equal(
            [ToolKind.TorqueWrench],
            ToolStandIns.Missing(needed, [new(1, 1, ToolKind.Stand, null)]).Select(t => t.Tool)
        );
        Assert.Equal(
            [ToolKind.Stand, ToolKind.TorqueWrench],
            ToolStandIns.Missing(needed, [new(1, 1, ToolKind.Puller, null)]).Select(t => t.Tool)
        );
    }

    [Fact]
    public void Every_tool_has_a_stand_in_and_a_risk_of_its_own()
    {
        ToolStandIn[] all = [.. Enum.GetValues<ToolKind>().Select(ToolStandIns.Find)];
        Assert.Equal(Enum.GetValues<ToolKind>(), all.Select(t => t.Tool));
        Assert.All(all, t => Assert.EndsWith(".", t.StandIn, StringComparison.Ordinal));
        Assert.Equal(all.Length, all.Select(t => t.Risk).Distinct().Count());
    }
}
