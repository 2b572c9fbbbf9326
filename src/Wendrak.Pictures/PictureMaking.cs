using MetadataExtractor;
using MetadataExtractor.Formats.Exif;
using SkiaSharp;
using Directory = MetadataExtractor.Directory;

namespace Wendrak.Pictures;

/// <summary>
/// Writes a picture anew, upright and of a size for a page, with nothing but its pixels: what a camera wrote beside them, where
/// it was and which one, is not in it.
/// </summary>
public static class PictureMaking
{
    /// <summary>Pixels of a picture that is opened at all.</summary>
    public const long MostPixels = 60_000_000;

    /// <summary>Longer side as it is kept, px: enough to count the links of a chain on a photo of the whole drive.</summary>
    public const int KeptSide = 2560;

    /// <summary>Longer side of the smaller one, px: as wide as a column of the page.</summary>
    public const int SmallSide = 480;

    private const int KeptQuality = 85;
    private const int SmallQuality = 75;

    private static readonly SKEncodedImageFormat[] Taken =
    [
        SKEncodedImageFormat.Jpeg,
        SKEncodedImageFormat.Png,
        SKEncodedImageFormat.Webp,
    ];

    /// <param name="source">Any file.</param>
    /// <param name="kept">Written where it is a picture.</param>
    /// <param name="small">Written where it is a picture.</param>
    public static PictureMade Make(string source, string kept, string small)
    {
        using SKCodec? codec = SKCodec.Create(source);
        if (codec is null || !Taken.Contains(codec.EncodedFormat))
            return new(PictureFault.NoPicture);
        if ((long)codec.Info.Width * codec.Info.Height > MostPixels)
            return new(PictureFault.TooLarge);
        using SKBitmap? pixels = Decode(codec);
        if (pixels is null)
            return new(PictureFault.NotWhole);
        IReadOnlyList<Directory> beside = ReadBeside(source);
        using SKImage asStored = SKImage.FromPixels(pixels.PeekPixels());
        using SKImage upright = Upright(asStored, OrientationOf(beside), KeptSide);
        Write(upright, kept, KeptQuality);
        using (SKImage less = Upright(upright, 1, SmallSide))
            Write(less, small, SmallQuality);
        return new(null, upright.Width, upright.Height, TakenAt(beside));
    }

    /// <summary>As small as its format can be opened without becoming smaller than it is kept.</summary>
    /// <returns>Null where the file ends too early.</returns>
    private static SKBitmap? Decode(SKCodec codec)
    {
        float scale = Math.Min(1, KeptSide / (float)Math.Max(codec.Info.Width, codec.Info.Height));
        SKSizeI size = codec.GetScaledDimensions(scale);
        SKImageInfo info = new(
            size.Width,
            size.Height,
            SKColorType.Rgba8888,
            SKAlphaType.Premul,
            SKColorSpace.CreateSrgb()
        );
        SKBitmap pixels = new(info);
        if (codec.GetPixels(info, pixels.GetPixels()) == SKCodecResult.Success)
            return pixels;
        pixels.Dispose();
        return null;
    }

    private static IReadOnlyList<Directory> ReadBeside(string source)
    {
        try
        {
            return ImageMetadataReader.ReadMetadata(source);
        }
        catch (ImageProcessingException)
        {
            // The pixels were whole: what stands beside them is spoilt, and is not needed.
            return [];
        }
    }

    /// <summary>1 to 8, as CIPA DC-008 (Exif) numbers the ways to hold a camera; 1 where it did not say.</summary>
    private static int OrientationOf(IEnumerable<Directory> beside) =>
        beside
            .OfType<ExifIfd0Directory>()
            .Select(d => d.TryGetInt32(ExifDirectoryBase.TagOrientation, out int way) ? way : 1)
            .FirstOrDefault(1);

    private static string? TakenAt(IEnumerable<Directory> beside)
    {
        ExifSubIfdDirectory? exif = beside
            .OfType<ExifSubIfdDirectory>()
            .FirstOrDefault(d => d.ContainsTag(ExifDirectoryBase.TagDateTimeOriginal));
        if (exif?.TryGetDateTime(ExifDirectoryBase.TagDateTimeOriginal, out DateTime taken) != true)
            return null;
        string zone = exif.GetString(ExifDirectoryBase.TagTimeZoneOriginal)?.Trim() ?? "";
        return FormattableString.Invariant($"{taken:yyyy-MM-ddTHH:mm:ss}{zone}");
    }

    /// <summary>On white, where it lets light through.</summary>
    private static SKImage Upright(SKImage image, int orientation, int longest)
    {
        (float w, float h) = (image.Width, image.Height);
        bool isTurned = orientation is >= 5 and <= 8;
        (float width, float height) = isTurned ? (h, w) : (w, h);
        float scale = Math.Min(1, longest / Math.Max(width, height));
        using SKSurface surface = SKSurface.Create(
            new SKImageInfo(
                Math.Max(1, (int)Math.Round(width * scale)),
                Math.Max(1, (int)Math.Round(height * scale)),
                SKColorType.Rgba8888,
                SKAlphaType.Premul,
                SKColorSpace.CreateSrgb()
            )
        );
        SKCanvas canvas = surface.Canvas;
        canvas.Clear(SKColors.White);
        canvas.Scale(scale);
        canvas.Concat(Turn(orientation, w, h));
        canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        return surface.Snapshot();
    }

    /// <summary>Where a pixel of the stored rows goes, by the tag “Orientation” of CIPA DC-008 (Exif), 4.6.4.</summary>
    private static SKMatrix Turn(int orientation, float w, float h) =>
        orientation switch
        {
            2 => new(-1, 0, w, 0, 1, 0, 0, 0, 1),
            3 => new(-1, 0, w, 0, -1, h, 0, 0, 1),
            4 => new(1, 0, 0, 0, -1, h, 0, 0, 1),
            5 => new(0, 1, 0, 1, 0, 0, 0, 0, 1),
            6 => new(0, -1, h, 1, 0, 0, 0, 0, 1),
            7 => new(0, -1, h, -1, 0, w, 0, 0, 1),
            8 => new(0, 1, 0, -1, 0, w, 0, 0, 1),
            _ => SKMatrix.Identity,
        };

    private static void Write(SKImage picture, string file, int quality)
    {
        using SKData data = picture.Encode(SKEncodedImageFormat.Jpeg, quality);
        using FileStream stream = File.Create(file);
        data.SaveTo(stream);
    }
}
