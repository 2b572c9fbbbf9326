using MetadataExtractor;
using MetadataExtractor.Formats.Exif;
using SkiaSharp;
using Wendrak.Pictures;

namespace Wendrak.Web.Tests.Photos;

/// <summary>A picture is written anew: upright, bounded, and with nothing but its pixels. Held against a reader of metadata.</summary>
public sealed class PictureMakingTests : IDisposable
{
    private readonly string _folder = System.IO.Directory.CreateTempSubdirectory("wendrak-pictures-").FullName;

    public void Dispose() => System.IO.Directory.Delete(_folder, recursive: true);

    // Which corner of the stored rows comes to lie upper left, upper right, lower right, lower left: CIPA DC-008 (Exif), 4.6.4,
    // tag “Orientation” (where the 0th row and the 0th column are).
    [Theory]
    [InlineData(1, 0, 1, 2, 3)]
    [InlineData(2, 1, 0, 3, 2)]
    [InlineData(3, 2, 3, 0, 1)]
    [InlineData(4, 3, 2, 1, 0)]
    [InlineData(5, 0, 3, 2, 1)]
    [InlineData(6, 3, 0, 1, 2)]
    [InlineData(7, 2, 1, 0, 3)]
    [InlineData(8, 1, 2, 3, 0)]
    public void It_stands_upright_however_the_camera_was_held(int orientation, params int[] corners)
    {
        (PictureMade made, byte[] kept, byte[] small) = Make(
            TestPictures.WithExif(TestPictures.Draw(800, 600), orientation)
        );
        Assert.Null(made.Fault);
        Assert.Equal(orientation < 5 ? (800, 600) : (600, 800), (made.WidthPx, made.HeightPx));
        Assert.Equal(corners, TestPictures.CornersOf(kept));
        Assert.Equal(corners, TestPictures.CornersOf(small));
    }

    [Fact]
    public void Nothing_tells_where_when_and_by_what_it_was_taken_but_the_time_that_is_told_beside_it()
    {
        byte[] taken = TestPictures.WithExif(TestPictures.Draw(400, 300), 6);
        IReadOnlyList<MetadataExtractor.Directory> before = ImageMetadataReader.ReadMetadata(new MemoryStream(taken));
        Assert.Equal(3, before.OfType<GpsDirectory>().Single().GetRationalArray(GpsDirectory.TagLatitude)!.Length);
        Assert.Equal("Phone 1", before.OfType<ExifIfd0Directory>().Single().GetString(ExifDirectoryBase.TagMake));

        (PictureMade made, byte[] kept, byte[] small) = Make(taken);
        Assert.Equal("2026-04-18T09:30:00+02:00", made.TakenAt);
        foreach (byte[] picture in new[] { kept, small })
            Assert.DoesNotContain(
                ImageMetadataReader.ReadMetadata(new MemoryStream(picture)),
                d => d is ExifDirectoryBase or GpsDirectory || d.Name.Contains("XMP", StringComparison.Ordinal)
            );
        Assert.DoesNotContain("Phone", System.Text.Encoding.Latin1.GetString(kept), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public void A_large_one_is_bounded_in_the_shape_it_has(SKEncodedImageFormat format)
    {
        (PictureMade made, byte[] kept, byte[] small) = Make(TestPictures.Draw(6000, 4500, format));
        Assert.Null(made.Fault);
        Assert.InRange(made.WidthPx, PictureMaking.KeptSide / 2, PictureMaking.KeptSide);
        Assert.Equal(4 / 3d, made.WidthPx / (double)made.HeightPx, 2);
        Assert.Equal([0, 1, 2, 3], TestPictures.CornersOf(kept));
        using SKBitmap less = SKBitmap.Decode(small);
        Assert.Equal(PictureMaking.SmallSide, less.Width);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public void One_that_was_cut_off_is_refused(SKEncodedImageFormat format)
    {
        byte[] whole = TestPictures.Draw(640, 480, format);
        Assert.Equal(PictureFault.NotWhole, Make(whole[..(whole.Length / 2)]).Made.Fault);
    }

    [Fact]
    public void What_is_no_picture_by_its_bytes_is_refused()
    {
        foreach (byte[] file in new[] { TestPictures.Pdf, [], "GIF89a\u0001\0\u0001\0"u8.ToArray(), "BM"u8.ToArray() })
            Assert.Equal(PictureFault.NoPicture, Make(file).Made.Fault);
    }

    [Fact]
    public void One_with_too_many_pixels_is_refused_before_it_is_opened()
    {
        Assert.Equal(PictureFault.TooLarge, Make(TestPictures.PngThatSays(60_001, 1000)).Made.Fault);
        Assert.Equal(PictureFault.NotWhole, Make(TestPictures.PngThatSays(100, 1000)).Made.Fault);
    }

    [Fact]
    public void What_lets_light_through_lies_on_white()
    {
        using SKBitmap clear = new(64, 64);
        using SKData data = clear.Encode(SKEncodedImageFormat.Png, 100);
        using SKBitmap made = SKBitmap.Decode(Make(data.ToArray()).Kept);
        Assert.Equal(SKColors.White, made.GetPixel(32, 32));
    }

    private (PictureMade Made, byte[] Kept, byte[] Small) Make(byte[] file)
    {
        string[] names = [.. new[] { "sent", "kept", "small" }.Select(n => Path.Combine(_folder, n))];
        File.WriteAllBytes(names[0], file);
        PictureMade made = PictureMaking.Make(names[0], names[1], names[2]);
        return made.Fault is null ? (made, File.ReadAllBytes(names[1]), File.ReadAllBytes(names[2])) : (made, [], []);
    }
}
