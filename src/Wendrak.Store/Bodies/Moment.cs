using System.Globalization;

namespace Wendrak.Store.Bodies;

/// <summary>A moment as it is written in every row.</summary>
internal static class Moment
{
    public static string Text(DateTimeOffset at) =>
        at.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss.FFFFFFF'Z'", CultureInfo.InvariantCulture);
}
