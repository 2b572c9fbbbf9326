namespace Wendrak.Mutate;

/// <summary>A number in the source.</summary>
/// <param name="Line">The line it stands in.</param>
internal sealed record Number(int Id, string File, int LineNumber, string Text, string Line)
{
    public string Place => $"{File}:{LineNumber}";
}
