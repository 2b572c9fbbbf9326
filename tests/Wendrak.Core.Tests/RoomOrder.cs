using ArchUnitNET.Domain;
using ArchUnitNET.Loader;

namespace Wendrak.Core.Tests;

/// <summary>What uses what between the rooms of an assembly: the name spaces right below its own.</summary>
internal sealed class RoomOrder(System.Reflection.Assembly assembly, IReadOnlyList<string> rooms)
{
    private readonly string _own = assembly.GetName().Name!;
    private List<(string From, string To, string What)>? _uses;

    /// <summary>Rooms that are in use.</summary>
    public IEnumerable<string> Used => Uses.SelectMany(u => new[] { u.From, u.To }).Distinct().Order();

    /// <summary>Each use of something in a room that does not come before.</summary>
    public IReadOnlyList<string> Upwards() =>
        [.. Uses.Where(u => Place(u.To) >= Place(u.From)).Select(u => $"{u.From}.{u.What} in {u.To}").Order()];

    private int Place(string room) => rooms.ToList().IndexOf(room);

    private List<(string From, string To, string What)> Uses => _uses ??= FindUses();

    private List<(string From, string To, string What)> FindUses() =>
        [
            .. new ArchLoader()
                .LoadAssembly(assembly)
                .Build()
                .Types.SelectMany(t => t.Dependencies, (t, d) => (From: RoomOf(t), To: RoomOf(d.Target), t, d))
                .Where(u => u.From is not null && u.To is not null && u.From != u.To)
                .Select(u => (u.From!, u.To!, $"{u.t.Name} uses {u.d.Target.Name}"))
                .Distinct(),
        ];

    /// <summary>Null for what is not of the assembly; what stands in its own name space is the room of that name.</summary>
    private string? RoomOf(IType type) =>
        type.Namespace?.FullName is not { } name ? null
        : name == _own ? _own
        : name.StartsWith(_own + ".", StringComparison.Ordinal) ? name[(_own.Length + 1)..].Split('.')[0]
        : null;
}
