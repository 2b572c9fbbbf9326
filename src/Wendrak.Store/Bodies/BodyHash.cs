using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace Wendrak.Store.Bodies;

/// <summary>SHA-256 of a body and of where it belongs: what the database's own check can't see is seen by it.</summary>
internal static class BodyHash
{
    public static byte[] Compute(string kind, long id, long version, long schema, string body) =>
        SHA256.HashData(
            Encoding.UTF8.GetBytes(
                string.Create(CultureInfo.InvariantCulture, $"{kind}/{id}/{version}/{schema}\n{body}")
            )
        );
}
