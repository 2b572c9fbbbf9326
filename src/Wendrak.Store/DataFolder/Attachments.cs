using System.Security.Cryptography;
using Dapper;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>A picture that was written anew and is to be stored.</summary>
/// <param name="File">Where it lies now; it is moved from there.</param>
/// <param name="SmallFile">A smaller one for lists; null where there is none.</param>
/// <param name="TakenAt">As the camera said; null where it did not.</param>
public sealed record PictureFile(string File, string? SmallFile, int WidthPx, int HeightPx, DateTimeOffset? TakenAt);

/// <summary>Pictures that lie beside the data file under the hash of their content: the same one twice is stored once.</summary>
public static class Attachments
{
    public const string FolderName = "attachments";
    private const string SmallSuffix = ".small";
    private const string UnfinishedSuffix = ".unfinished";
    private const string JpegType = "image/jpeg";

    /// <summary>The hash under which a file would be found.</summary>
    public static async Task<string> HashAsync(string file, CancellationToken ct)
    {
        await using FileStream content = File.OpenRead(file);
        return Convert.ToHexStringLower(await SHA256.HashDataAsync(content, ct));
    }

    /// <summary>Puts a picture in its place; its row is part of the change being made.</summary>
    /// <remarks>It is on the disk before its row is: a row never names a file that is not there.</remarks>
    public static async Task AddAsync(Session session, string folder, string hash, PictureFile picture)
    {
        string place = PlaceOf(folder, hash);
        Directory.CreateDirectory(Path.GetDirectoryName(place)!);
        if (picture.SmallFile is { } small)
            MoveIn(small, place + SmallSuffix);
        MoveIn(picture.File, place);
        const string sql = """
            INSERT INTO attachment (hash, type, taken_at) VALUES (@hash, @type, @taken) ON CONFLICT DO NOTHING
            """;
        await session.Connection.ExecuteAsync(
            sql,
            new
            {
                hash,
                type = JpegType,
                taken = picture.TakenAt is { } at ? Moment.Text(at) : null,
            },
            session.Transaction
        );
    }

    /// <summary>Whether there is one under a hash.</summary>
    public static async Task<bool> HasAsync(Session session, string hash) =>
        await session.Connection.ExecuteScalarAsync<long>(
            "SELECT count(*) FROM attachment WHERE hash = @hash",
            new { hash },
            session.Transaction
        ) > 0;

    /// <param name="isSmall">The smaller one, where it is there.</param>
    /// <returns>Its file; null when there is none.</returns>
    public static string? Find(string folder, string hash, bool isSmall = false)
    {
        if (!IsHash(hash))
            return null;
        string place = PlaceOf(folder, hash);
        return isSmall && File.Exists(place + SmallSuffix) ? place + SmallSuffix
            : File.Exists(place) ? place
            : null;
    }

    /// <summary>All files of a folder, by their places below it.</summary>
    public static IEnumerable<string> PlacesIn(string folder)
    {
        string attachments = Path.Combine(folder, FolderName);
        return Directory.Exists(attachments)
            ? Directory
                .EnumerateFiles(attachments, "*", SearchOption.AllDirectories)
                .Where(file => !file.EndsWith(UnfinishedSuffix, StringComparison.Ordinal))
                .Select(file => Path.GetRelativePath(folder, file))
            : [];
    }

    /// <summary>Copies all of a folder to another one; a copy is in its place only when it is whole.</summary>
    internal static void CopyAll(string from, string to)
    {
        foreach (string place in PlacesIn(from))
        {
            string file = Path.Combine(to, place);
            Directory.CreateDirectory(Path.GetDirectoryName(file)!);
            File.Copy(Path.Combine(from, place), file + UnfinishedSuffix, overwrite: true);
            MoveIn(file + UnfinishedSuffix, file);
        }
    }

    private static void MoveIn(string file, string place)
    {
        using (FileStream written = new(file, FileMode.Open, FileAccess.ReadWrite))
            written.Flush(flushToDisk: true);
        File.Move(file, place, overwrite: true);
    }

    /// <summary>Two letters of the hash as a folder, so that none gets too full.</summary>
    private static string PlaceOf(string folder, string hash) =>
        IsHash(hash)
            ? Path.Combine(folder, FolderName, hash[..2], hash)
            : throw new ArgumentException("This is no hash.", nameof(hash));

    /// <summary>Whether a text could be one.</summary>
    public static bool IsHash(string text) => text.Length == 64 && text.All(char.IsAsciiHexDigitLower);
}
