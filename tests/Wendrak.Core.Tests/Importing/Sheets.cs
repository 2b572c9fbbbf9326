using System.Text;
using Wendrak.Core.Importing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Tests.Importing;

/// <summary>Files as streams.</summary>
internal static class Sheets
{
    public static MemoryStream Of(string text, Encoding? encoding = null, bool hasMark = false)
    {
        encoding ??= new UTF8Encoding(false);
        return new([.. hasMark ? encoding.Preamble.ToArray() : [], .. encoding.GetBytes(text)]);
    }

    public static LogFileLook Look(string text, params LogColumns[] earlier) => LogFileLook.Of(Of(text), earlier);

    /// <summary>Read as it is guessed, fills full where no column says so.</summary>
    public static LogImport Read(string text)
    {
        using MemoryStream file = Of(text);
        return LogImport.Read(file, LogFileLook.Of(file, []).Guess with { AreAllFull = true });
    }
}
