using Wendrak.Core.Photos;

namespace Wendrak.Core.Tests.Photos;

public sealed class PhotoScaleTests
{
    // Similar triangles, as on a drawing with a scale bar: 200 px for 100 mm is 0.5 mm a pixel.
    [Theory]
    [InlineData(0, 50, 60, 50, 30)]
    [InlineData(10, 10, 40, 50, 25)]
    [InlineData(90, 20, 90, 140, 60)]
    public void A_length_is_to_the_known_one_as_its_line_is(double x1, double y1, double x2, double y2, double mm)
    {
        PhotoLength length = PhotoScale.Measure(new(0, 0, 200, 0), 100, new(x1, y1, x2, y2));
        Assert.Equal(mm, length.LengthMm, 9);
        Assert.Equal("l = L·p/P", length.Working.Formula);
        Assert.Equal((length.LengthMm, "mm"), (length.Working.Result.Value, length.Working.Result.Unit));
    }

    // Held against drawing the four ends a hundred thousand times, each off by what a finger is.
    [Theory]
    [InlineData(400, 120)]
    [InlineData(60, 300)]
    public void What_the_ends_leave_open_is_what_comes_of_placing_them_again_and_again(double knownPx, double px)
    {
        Random random = new(7);
        double Off() =>
            PhotoScale.EndPx
            * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble()))
            * Math.Cos(2 * Math.PI * random.NextDouble());
        DrawnLine Drawn(double length) => new(Off(), Off(), length + Off(), Off());
        double[] lengths =
        [
            .. Enumerable.Range(0, 100_000).Select(_ => PhotoScale.Measure(Drawn(knownPx), 100, Drawn(px)).LengthMm),
        ];
        double mean = lengths.Average();
        double spread = Math.Sqrt(lengths.Average(l => (l - mean) * (l - mean)));
        PhotoLength told = PhotoScale.Measure(new(0, 0, knownPx, 0), 100, new(0, 0, px, 0));
        Assert.Equal(1, spread / told.PlusMinusMm, 1);
        Assert.Equal(told.PlusMinusMm, told.Working.Beside[0].Value);
    }
}
