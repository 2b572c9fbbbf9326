using System.Security.Cryptography;
using Dapper;
using Wendrak.Store.Bodies;

namespace Wendrak.Store;

/// <summary>Files that lie beside the data file under the hash of their content: the same one twice is stored once.</summary>
public sealed class Attachments(Database database)
{
    public const string FolderName = "attachments";

    /// <summary>Stores a file; its row is part of the change being made.</summary>
    /// <param name="type">Media type, as “image/jpeg”.</param>
    /// <returns>The hash under which it is found.</returns>
    public async Task<string> AddAsync(Session session, Stream content, string type, DateTimeOffset? takenAt)
    {
        string folder = Path.Combine(database.Folder, FolderName);
        Directory.CreateDirectory(folder);
        string unfinished = Path.Combine(folder, $"{Guid.NewGuid():N}.unfinished");
        string hash;
        await using (FileStream file = File.Create(unfinished))
        {
            using SHA256 sha = SHA256.Create();
            await using CryptoStream hashed = new(file, sha, CryptoStreamMode.Write, leaveOpen: true);
            await content.CopyToAsync(hashed);
            await hashed.FlushFinalBlockAsync();
            file.Flush(flushToDisk: true);
            hash = Convert.ToHexStringLower(sha.Hash!);
        }
        // On the disk before its row is: a row never names a file that is not there.
        string place = PlaceOf(database.Folder, hash);
        Directory.CreateDirectory(Path.GetDirectoryName(place)!);
        File.Move(unfinished, place, overwrite: true);
        const string sql = """
            INSERT INTO attachment (hash, type, taken_at) VALUES (@hash, @type, @taken) ON CONFLICT DO NOTHING
            """;
        string? taken = takenAt is { } at ? Moment.Text(at) : null;
        await session.Connection.ExecuteAsync(
            sql,
            new
            {
                hash,
                type,
                taken,
            },
            session.Transaction
        );
        return hash;
    }

    /// <returns>Null when there is none.</returns>
    public Stream? Open(string hash) =>
        PlaceOf(database.Folder, hash) is var file && File.Exists(file) ? File.OpenRead(file) : null;

    /// <summary>Two letters of the hash as a folder, so that none gets too full.</summary>
    internal static string PlaceOf(string folder, string hash) =>
        hash.Length == 64 && hash.All(char.IsAsciiHexDigitLower)
            ? Path.Combine(folder, FolderName, hash[..2], hash)
            : throw new ArgumentException("This is no hash.", nameof(hash));
}
