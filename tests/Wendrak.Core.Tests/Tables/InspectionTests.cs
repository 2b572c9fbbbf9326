using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tables;

/// <summary>What is looked at, what makes it fine or a stop, and how often: whole for every kind of loop and machine.</summary>
public sealed class InspectionTests
{
    private static readonly InspectionKind[] Kinds = Enum.GetValues<InspectionKind>();

    [Fact]
    public void Every_kind_is_looked_at_in_one_order_each_part_once_and_the_guard_first() =>
        Assert.All(
            Kinds,
            kind =>
            {
                InspectionItem[] items = [.. InspectionItems.For(kind)];
                Assert.Equal(items.Select(i => i.Order).Distinct().Order(), items.Select(i => i.Order));
                Assert.Equal(items.Length, items.Select(i => i.Part).Distinct().Count());
                Assert.Equal(InspectedPart.Guard, items[0].Part);
                Assert.Contains(items, i => i.Part == InspectedPart.Adjuster);
                Assert.Contains(items, i => i.Part == InspectedPart.Fasteners);
            }
        );

    [Fact]
    public void Every_item_says_fine_and_stop_and_something_watched_says_until_when() =>
        Assert.All(
            InspectionItems.All,
            i =>
            {
                Assert.NotEqual("", i.What + i.Fine + i.Stop + i.Source + i.Certainty);
                Assert.NotEqual(i.Fine, i.Stop);
                Assert.Equal(i.Watch is not null, i.WatchDays is not null);
            }
        );

    /// <summary>Common practice, as the trade tells it.</summary>
    [Theory]
    [InlineData(InspectionKind.Belt, InspectedPart.Teeth, "crack at the root")]
    [InlineData(InspectionKind.Belt, InspectedPart.Gap, "hangs over the edge")]
    [InlineData(InspectionKind.Belt, InspectedPart.Back, "cord bare")]
    [InlineData(InspectionKind.Chain, InspectedPart.Joint, "clip bent or missing")]
    [InlineData(InspectionKind.Chain, InspectedPart.Elongation, "at its limit")]
    [InlineData(InspectionKind.Chain, InspectedPart.StiffLinks, "stays bent")]
    [InlineData(InspectionKind.VBelt, InspectedPart.Height, "bottoms in the groove")]
    [InlineData(InspectionKind.VariableBelt, InspectedPart.Height, "stands above its sheave")]
    [InlineData(InspectionKind.VariableBelt, InspectedPart.Idle, "creeps at idle")]
    [InlineData(InspectionKind.Rail, InspectedPart.Blocks, "loose or cracked")]
    [InlineData(InspectionKind.Rail, InspectedPart.Spacers, "missing")]
    public void A_stop_is_what_the_trade_stops_at(InspectionKind kind, InspectedPart part, string words) =>
        Assert.Contains(words, InspectionItems.For(kind).Single(i => i.Part == part).Stop, StringComparison.Ordinal);

    [Fact]
    public void A_v_belt_may_stand_slightly_proud_where_a_variable_one_may_not()
    {
        InspectionItem Height(InspectionKind kind) =>
            InspectionItems.For(kind).Single(i => i.Part == InspectedPart.Height);
        Assert.Contains("slightly proud", Height(InspectionKind.VBelt).Fine, StringComparison.Ordinal);
        Assert.Contains("too tight", Height(InspectionKind.VariableBelt).Stop, StringComparison.Ordinal);
    }

    [Fact]
    public void Belts_are_washed_with_nothing_sharp_and_no_solvent() =>
        Assert.All(
            Kinds.Except([InspectionKind.Chain, InspectionKind.Rail]),
            k => Assert.Contains("no solvent", InspectionItems.WashFirst(k), StringComparison.Ordinal)
        );

    /// <summary>Common practice: belt 4 000 to 8 000 km, chain 1 000 km, bicycle chain 500 km, V-belt every three months.</summary>
    [Theory]
    [InlineData(MachineKind.Motorcycle, InspectionKind.Chain, 1_000d, 180)]
    [InlineData(MachineKind.Motorcycle, InspectionKind.Belt, 4_000d, 365)]
    [InlineData(MachineKind.Bicycle, InspectionKind.Chain, 500d, 90)]
    [InlineData(MachineKind.Winch, InspectionKind.VBelt, null, 90)]
    [InlineData(MachineKind.Robot, InspectionKind.Rail, null, 7)]
    public void Intervals_are_those_of_the_trade(MachineKind machine, InspectionKind kind, double? km, int days)
    {
        CheckInterval interval = CheckIntervals.Get(machine, kind);
        Assert.Equal((km, days), (interval.KmLow, interval.Days));
        Assert.True(interval.KmHigh is null || interval.KmHigh >= interval.KmLow);
    }

    [Fact]
    public void Every_machine_with_every_kind_has_one_interval() =>
        Assert.All(
            Enum.GetValues<MachineKind>().SelectMany(m => Kinds.Select(k => (m, k))),
            pair => Assert.True(CheckIntervals.Get(pair.m, pair.k).Days > 0)
        );

    [Fact]
    public void Every_event_asks_for_something_that_is_looked_at_on_that_kind()
    {
        foreach (UseEvent happened in Enum.GetValues<UseEvent>())
            Assert.True(Kinds.Count(k => EventLooks.Find(happened, k) is not null) >= 3, $"{happened}");
        foreach (EventLook look in EventLooks.All)
        foreach (InspectionKind kind in look.Kinds)
            Assert.True(
                look.Parts.Intersect(InspectionItems.For(kind).Select(i => i.Part)).Any(),
                $"{look.Event} of {kind} asks for nothing it has"
            );
    }
}
