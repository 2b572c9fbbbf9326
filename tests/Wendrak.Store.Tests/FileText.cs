using System.IO.Pipelines;
using System.Text;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>Machine files as text, through the same door as those that come over the wire.</summary>
internal static class FileText
{
    public static Task<MachineFile> ReadAsync(string text) =>
        MachineFileText.ReadAsync(PipeReader.Create(new MemoryStream(Encoding.UTF8.GetBytes(text))), default);

    public static async Task<string> WriteAsync(MachineFile file)
    {
        using MemoryStream stream = new();
        PipeWriter writer = PipeWriter.Create(stream, new(leaveOpen: true));
        await MachineFileText.WriteAsync(writer, file, default);
        await writer.CompleteAsync();
        return Encoding.UTF8.GetString(stream.ToArray());
    }
}
