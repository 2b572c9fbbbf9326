using Wendrak.Core.Quantities;

namespace Wendrak.Core.Stock;

/// <summary>Tools by their kind, as a step asks for them.</summary>
public enum ToolKind
{
    Stand,
    Spanner,
    Socket,
    HexKey,
    Screwdriver,
    TorqueWrench,
    TensionGauge,
    StraightEdge,
    FeelerGauge,
    Caliper,

    /// <summary>Opens, presses and rivets chain links.</summary>
    ChainTool,
    Puller,
    Punch,
    Clamp,
    Pliers,
    Vice,

    /// <summary>Reads the speed of a shaft or a motor.</summary>
    Tachometer,
}

/// <summary>A tool that the workshop has.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Size">Its size or range, in free words: “36 mm”, “20–100 Nm”; null where it has none.</param>
public sealed record HandTool(long Id, int Version, ToolKind Kind, string? Size) : StoredRecord(Id, Version)
{
    /// <summary>“torque wrench, 20–100 Nm”.</summary>
    public string Describe() => Size is null ? WordOf(Kind) : $"{WordOf(Kind)}, {Size}";

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public void Check() =>
        new Guard()
            .OneOf(nameof(Kind), Kind)
            .Include(Size is null ? new() : new Guard().Named(nameof(Size), Size))
            .ThrowIfAny();

    private static string WordOf(ToolKind kind) =>
        string.Concat($"{kind}".Select((c, i) => i > 0 && char.IsUpper(c) ? $" {c}" : $"{c}")).ToLowerInvariant();
}
