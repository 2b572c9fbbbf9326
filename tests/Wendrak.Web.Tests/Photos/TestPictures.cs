using System.Text;
using SkiaSharp;

namespace Wendrak.Web.Tests.Photos;

/// <summary>Pictures that are drawn here, with what a camera writes beside them.</summary>
internal static class TestPictures
{
    /// <summary>Of the corners, clockwise from the upper left one.</summary>
    public static readonly SKColor[] Corners = [SKColors.Red, SKColors.Lime, SKColors.Blue, SKColors.Black];

    /// <summary>Four corners on grey.</summary>
    public static byte[] Draw(int width, int height, SKEncodedImageFormat format = SKEncodedImageFormat.Jpeg)
    {
        using SKBitmap bitmap = new(width, height);
        using (SKCanvas canvas = new(bitmap))
        {
            canvas.Clear(SKColors.Gray);
            (float w, float h) = (width / 4f, height / 4f);
            SKPoint[] at = [new(0, 0), new(width - w, 0), new(width - w, height - h), new(0, height - h)];
            for (int i = 0; i < at.Length; i++)
                canvas.DrawRect(at[i].X, at[i].Y, w, h, new() { Color = Corners[i] });
        }
        using SKData data = bitmap.Encode(format, 90);
        return data.ToArray();
    }

    /// <summary>The corners of a picture, clockwise from the upper left one, each as the nearest of <see cref="Corners"/>.</summary>
    public static int[] CornersOf(byte[] picture)
    {
        using SKBitmap bitmap = SKBitmap.Decode(picture);
        (int w, int h) = (bitmap.Width / 8, bitmap.Height / 8);
        (int X, int Y)[] at =
        [
            (w, h),
            (bitmap.Width - w, h),
            (bitmap.Width - w, bitmap.Height - h),
            (w, bitmap.Height - h),
        ];
        return [.. at.Select(p => Nearest(bitmap.GetPixel(p.X, p.Y)))];
    }

    private static int Nearest(SKColor c) =>
        Enumerable
            .Range(0, Corners.Length)
            .MinBy(i =>
                Math.Abs(Corners[i].Red - c.Red)
                + Math.Abs(Corners[i].Green - c.Green)
                + Math.Abs(Corners[i].Blue - c.Blue)
            );

    /// <summary>Puts beside a JPEG what a phone does: how it was held, its make, when, and where.</summary>
    /// <remarks>Laid out as CIPA DC-008 (Exif) and TIFF 6.0 say; the tags are theirs.</remarks>
    public static byte[] WithExif(byte[] jpeg, int orientation)
    {
        const ushort text = 2;
        const ushort number = 3;
        const ushort offset = 4;
        const ushort rational = 5;
        using MemoryStream tiff = new();
        using BinaryWriter w = new(tiff);
        w.Write("II*\0"u8);
        w.Write(8);
        // At 8: four entries; at 62, 92 and 132 what they point to.
        const int exif = 62;
        const int gps = 92;
        const int texts = 122;
        Entries(
            (0x010F, text, 8, texts),
            (0x0112, number, 1, orientation),
            (0x8769, offset, 1, exif),
            (0x8825, offset, 1, gps)
        );
        Pad(exif);
        Entries((0x9003, text, 20, texts + 8), (0x9011, text, 7, texts + 28));
        Pad(gps);
        Entries((0x0001, text, 2, 'N'), (0x0002, rational, 3, texts + 36));
        Pad(texts);
        w.Write("Phone 1\0"u8);
        w.Write("2026:04:18 09:30:00\0"u8);
        w.Write("+02:00\0\0"u8);
        foreach (int part in new[] { 47, 1, 22, 1, 8, 1 })
            w.Write(part);
        byte[] payload = [.. "Exif\0\0"u8, .. tiff.ToArray()];
        byte[] length = [(byte)((payload.Length + 2) >> 8), (byte)(payload.Length + 2)];
        return [.. jpeg[..2], 0xFF, 0xE1, .. length, .. payload, .. jpeg[2..]];

        void Entries(params (int Tag, ushort Type, int Count, int Value)[] entries)
        {
            w.Write((ushort)entries.Length);
            foreach ((int tag, ushort type, int count, int value) in entries)
            {
                w.Write((ushort)tag);
                w.Write(type);
                w.Write(count);
                w.Write(value);
            }
            w.Write(0);
        }

        void Pad(int until)
        {
            while (tiff.Position < until)
                w.Write((byte)0);
        }
    }

    /// <summary>The start of a PNG that says it is so large; nothing more of it is needed to refuse it.</summary>
    public static byte[] PngThatSays(int width, int height)
    {
        byte[] png = Draw(16, 16, SKEncodedImageFormat.Png);
        foreach ((int at, int value) in new[] { (16, width), (20, height) })
            for (int i = 0; i < 4; i++)
                png[at + i] = (byte)(value >> (24 - (8 * i)));
        byte[] sum = BitConverter.GetBytes(Crc(png.AsSpan(12, 17)));
        Array.Reverse(sum);
        sum.CopyTo(png, 29);
        return png;
    }

    public static byte[] Pdf { get; } = Encoding.ASCII.GetBytes("%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\n%%EOF");

    private static uint Crc(ReadOnlySpan<byte> bytes)
    {
        uint crc = uint.MaxValue;
        foreach (byte b in bytes)
        {
            crc ^= b;
            for (int i = 0; i < 8; i++)
                crc = (crc & 1) == 1 ? (crc >> 1) ^ 0xEDB88320 : crc >> 1;
        }
        return ~crc;
    }
}
