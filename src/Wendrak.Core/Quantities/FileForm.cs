namespace Wendrak.Core.Quantities;

/// <summary>What stands at the head of every file of this program.</summary>
internal static class FileForm
{
    /// <summary>Refuses another format first, then a version that this program does not know.</summary>
    /// <exception cref="InvalidInputException">Names the format that is wanted, or both versions.</exception>
    public static void Check(string format, string wanted, int formatVersion, int newest)
    {
        new Guard()
            .That(format == wanted, "Format", "other_format", $"Give a file whose format is “{wanted}”.")
            .ThrowIfAny();
        new Guard()
            .That(
                formatVersion >= 1 && formatVersion <= newest,
                "FormatVersion",
                "other_version",
                $"This file has format version {formatVersion}; this program knows {newest}. Update Wendrak.",
                newest
            )
            .ThrowIfAny();
    }
}
