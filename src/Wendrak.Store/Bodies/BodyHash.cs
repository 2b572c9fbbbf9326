using System.Globalization;
using System.IO.Hashing;
using System.Security.Cryptography;
using System.Text;

namespace Wendrak.Store.Bodies;

/// <summary>Hash of a body and of where it belongs: what the database's own check can't see is seen by it.</summary>
/// <remarks>
/// XXH3, 128 bits. It finds what a disk or a hand changed, not what somebody forged; SHA-256, which earlier forms have, loads a
/// library of five megabytes into every program for it (decision 55).
/// </remarks>
internal static class BodyHash
{
    public static byte[] Compute(string kind, long id, long version, long schema, string body) =>
        XxHash128.Hash(Said(kind, id, version, schema, body));

    /// <summary>As rows of forms 8 and earlier have it.</summary>
    public static byte[] ComputeEarlier(string kind, long id, long version, long schema, string body) =>
        SHA256.HashData(Said(kind, id, version, schema, body));

    /// <summary>Whether a body is what was written. A rescue reads rows of earlier forms, too.</summary>
    public static bool IsOf(byte[] hash, string kind, long id, long version, long schema, string body) =>
        hash.AsSpan()
            .SequenceEqual(
                hash.Length == SHA256.HashSizeInBytes
                    ? ComputeEarlier(kind, id, version, schema, body)
                    : Compute(kind, id, version, schema, body)
            );

    private static byte[] Said(string kind, long id, long version, long schema, string body) =>
        Encoding.UTF8.GetBytes(string.Create(CultureInfo.InvariantCulture, $"{kind}/{id}/{version}/{schema}\n{body}"));
}
