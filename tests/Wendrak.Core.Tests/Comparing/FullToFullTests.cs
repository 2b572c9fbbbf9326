using Wendrak.Core.Comparing;

namespace Wendrak.Core.Tests.Comparing;

/// <summary>What was used between two full fills; common practice.</summary>
public sealed class FullToFullTests
{
    private static Fill Full(double? km, double amount, bool isMissing = false) => new(km, amount, true, isMissing);

    private static Fill Part(double? km, double amount) => new(km, amount, false, false);

    [Fact]
    public void What_was_filled_on_the_way_counts_to_the_next_full_one()
    {
        FullToFull found = FullToFull.Of([Part(50, 3), Full(100, 9), Part(200, 4), Full(350, 6), Full(450, 5)]);
        Assert.Equal([new(1, 3, 250, 10), new Stretch(3, 4, 100, 5)], found.Stretches);
        Assert.Equal(4, FullToFull.Fuel.Value(10, 250));
        Assert.Equal(35, FullToFull.Energy.Value(7_000, 200));
    }

    [Fact]
    public void A_full_one_whose_distance_nobody_read_goes_to_the_next() =>
        Assert.Equal([new(0, 2, 300, 12)], FullToFull.Of([Full(100, 9), Full(null, 5), Full(400, 7)]).Stretches);

    [Fact]
    public void A_stretch_with_a_fill_that_is_missing_or_an_odometer_that_went_back_is_none_and_is_counted()
    {
        FullToFull found = FullToFull.Of([
            Full(100, 9),
            Full(200, 5, isMissing: true),
            Full(300, 5),
            Full(250, 5),
            Full(250, 1),
            Full(350, 4),
        ]);
        Assert.Equal([new(1, 2, 100, 5), new Stretch(4, 5, 100, 4)], found.Stretches);
        Assert.Equal((1, 2), (found.Missing, found.Backwards));
    }

    [Fact]
    public void One_that_is_missing_before_a_part_fill_spoils_the_stretch_as_well() =>
        Assert.Equal(1, FullToFull.Of([Full(100, 9), new(150, 3, false, true), Full(200, 5)]).Missing);

    [Fact]
    public void One_full_fill_tells_nothing() => Assert.Empty(FullToFull.Of([Full(100, 9), Part(200, 3)]).Stretches);
}
